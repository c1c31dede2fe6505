import { parseWrittenNumber, type WrittenNumber } from '../numbers/written-number.ts';
import type { Diagnosis, SlipFound } from '../reading/judging/diagnose.ts';
import { UnreadableEntryError, type Entry } from '../reading/judging/entry.ts';
import { ratesFrom, type RateOf, type SlipHistory } from '../reading/judging/hypotheses.ts';
import { rightOf, wrongBy } from './candidates.ts';
import { enteredIn } from './entered.ts';
import type { NumberTask } from './number-task.ts';
import type { Result } from './result.ts';
import { notConverted } from './slips/conversion.ts';
import { WORKING_SLIPS, WRITING_SLIPS } from './slips/registry.ts';
import { unitMissing, unitWrong } from './slips/units.ts';
import { bareZeros, lastPlace } from './slips/writing.ts';

/** One way to have come to an answer, with how much speaks for it. */
export interface Explanation {
  readonly ids: readonly string[];
  readonly predicted: string;
  readonly weight: number;
}

/** Weight of a wrong answer that no slip explains: of a number, a little less than any slip alone. */
const UNEXPLAINED = { number: 0.004, word: 0.02 };

/** A result come to, rightly or by another working. */
interface Candidate {
  readonly ids: readonly string[];
  readonly prior: number;
  readonly result: Result;
}

function rightly(task: NumberTask): Candidate {
  return { ids: [], prior: 1, result: rightOf(task) };
}

function candidatesOf(task: NumberTask, rateOf: RateOf): Candidate[] {
  return [
    rightly(task),
    ...WORKING_SLIPS.flatMap((slip) =>
      wrongBy(task, slip).map((result, _, all): Candidate => ({
        ids: [slip.id],
        prior: rateOf(slip) / all.length,
        result,
      })),
    ),
  ];
}

/** Whether two texts are one written number: the same value, known to the same place. */
function isWritten(entered: WrittenNumber, text: string): boolean {
  const meant = parseWrittenNumber(text);
  if (!meant.value.equals(entered.value)) return false;
  // Zeros at the end of a whole number may count or not.
  return meant.place <= entered.place && lastPlace(meant) >= lastPlace(entered);
}

/** Zeros whose weight cannot be told are a fault of writing, except where a class takes them as filling up. */
function leavesInDoubt({ place, atLeast, atMost }: WrittenNumber, text: string, { rules }: NumberTask): boolean {
  if (atLeast === atMost) return false;
  return rules.bareTrailingZeros === 'not-significant' ? place !== parseWrittenNumber(text).place : true;
}

/** After a wrong working, digits that are not even near its result were not come to by it. */
const FAR = 0.6;

function isNear({ value }: Result, entered: WrittenNumber): boolean {
  const size = value.toNumber();
  return Math.abs(entered.value.toNumber() - size) <= FAR * Math.abs(size);
}

/** The ways of writing a result that give these digits. */
function writings(
  candidate: Candidate,
  entered: WrittenNumber,
  task: NumberTask,
  rateOf: RateOf,
): { readonly ids: readonly string[]; readonly prior: number; readonly predicted: string }[] {
  const { result } = candidate;
  if (isWritten(entered, result.text)) {
    // Zeros of an exact number hide no digit.
    const doubtful = result.place !== -Infinity && leavesInDoubt(entered, result.text, task);
    return [{ ids: doubtful ? [bareZeros.id] : [], prior: doubtful ? rateOf(bareZeros) : 1, predicted: result.text }];
  }
  if (candidate.ids.length > 0 && !isNear(result, entered)) return [];
  return WRITING_SLIPS.flatMap((slip) => {
    if (slip === bareZeros) return [];
    const texts = slip.written(result, task);
    const text = texts.find((one) => isWritten(entered, one));
    if (text === undefined && slip.meant?.(result, entered) !== true) return [];
    return [{ ids: [slip.id], prior: rateOf(slip) / Math.max(1, texts.length), predicted: text ?? entered.text }];
  });
}

function unitSlips(entry: Entry, rateOf: RateOf): { readonly ids: readonly string[]; readonly prior: number } {
  if (entry.unit === 'missing') return { ids: [unitMissing.id], prior: rateOf(unitMissing) };
  if (entry.unit === 'wrong') return { ids: [unitWrong.id], prior: rateOf(unitWrong) };
  return { ids: [], prior: 1 };
}

const MOST_TOGETHER = 2;

/**
 * The ways to have come to an answer that is a number: rightly, or by slips.
 * @throws UnreadableEntryError with a message for the person who typed it.
 */
export function numberExplanations(task: NumberTask, typed: string, rateOf: RateOf): Explanation[] {
  const all = candidatesOf(task, rateOf).flatMap((candidate) => waysBy(candidate, task, typed, rateOf));
  // What was given is the same quantity in another unit: who copies it has converted nothing.
  const copied = all.some(({ ids }) => ids.join() === notConverted.id);
  return copied ? all.filter(({ ids }) => ids.join() !== unitWrong.id) : all;
}

/** The ways to have written what somebody came to. */
function waysBy(candidate: Candidate, task: NumberTask, typed: string, rateOf: RateOf): Explanation[] {
  const right = rightOf(task);
  // With another working the unit may come out another one; either is what somebody would write.
  const own = enteredIn(typed, candidate.result, task);
  const asked =
    candidate.result.unit === right.unit ? own : enteredIn(typed, { ...candidate.result, unit: right.unit }, task);
  const entered = own.some(({ entry }) => entry.unit === 'fits') ? own : asked;
  return entered.flatMap(({ entry, number }) => {
    const unit = unitSlips(entry, rateOf);
    return writings(candidate, number, task, rateOf).flatMap(({ ids, prior, predicted }): Explanation[] => {
      const together = [...candidate.ids, ...ids, ...unit.ids];
      return together.length > MOST_TOGETHER
        ? []
        : [{ ids: together, predicted, weight: candidate.prior * prior * unit.prior }];
    });
  });
}

const WRITTEN_ONLY: ReadonlySet<string> = new Set(
  [...WRITING_SLIPS.filter(({ changesValue }) => !changesValue), unitMissing, unitWrong].map(({ id }) => id),
);

function merged(explanations: readonly Explanation[]): Explanation[] {
  const byIds = new Map<string, Explanation>();
  for (const one of [...explanations].sort((a, b) => b.weight - a.weight)) {
    const known = byIds.get(one.ids.join('+'));
    byIds.set(one.ids.join('+'), known ? { ...known, weight: known.weight + one.weight } : one);
  }
  return [...byIds.values()].sort((a, b) => b.weight - a.weight);
}

/** What the ways to have come to an answer say of it, the likeliest first. */
export function diagnosisFrom(explanations: readonly Explanation[], answered: 'number' | 'word'): Diagnosis {
  const all = merged(explanations);
  const [first] = all;
  if (all.some(({ ids }) => ids.length === 0)) return { verdict: 'sound', slips: [], offBy: null };
  const total = all.reduce((sum, { weight }) => sum + weight, UNEXPLAINED[answered]);
  const slips = all.map(({ ids, predicted, weight }): SlipFound => ({ ids, predicted, probability: weight / total }));
  const isWritingOnly = answered === 'number' && first?.ids.every((id) => WRITTEN_ONLY.has(id));
  return { verdict: !first ? 'unexplained' : isWritingOnly ? 'record' : 'slip', slips, offBy: null };
}

/**
 * Diagnoses a number with its unit. `record`: the value is right, and the digits or the unit with which it is written are not.
 * @param history what this student has done before, which moves the priors.
 */
export function diagnoseNumber(task: NumberTask, typed: string, history?: SlipHistory): Diagnosis {
  try {
    const rateOf = ratesFrom(history);
    // Most answers are right, and then nothing else has to be worked out.
    const right = waysBy(rightly(task), task, typed, rateOf).filter(({ ids }) => ids.length === 0);
    return diagnosisFrom(right.length > 0 ? right : numberExplanations(task, typed, rateOf), 'number');
  } catch (error) {
    if (error instanceof UnreadableEntryError)
      return { verdict: 'unreadable', slips: [], offBy: null, message: error.message };
    throw error;
  }
}
