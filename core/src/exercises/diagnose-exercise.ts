import { UnreadableEntryError, type Entry } from '../reading/judging/entry.ts';
import type { Diagnosis, SlipFound, Verdict } from '../reading/judging/diagnose.ts';
import { ratesFrom, type RateOf, type SlipHistory } from '../reading/judging/hypotheses.ts';
import { isNumberTask, rightAnswer } from './answer.ts';
import { rightOf, wrongBy } from './candidates.ts';
import { isChoice, type ExerciseTask, type TableExercise } from './exercise.ts';
import { enteredIn } from './entered.ts';
import { FAULT_KINDS, parseMarks, UnreadableMarksError, type Marked } from './faults.ts';
import type { NumberTask, Result } from './result.ts';
import { ANSWER_SLIPS, WORKING_SLIPS, WRITING_SLIPS } from './slips/registry.ts';
import { notConverted } from './slips/conversion.ts';
import { cellsOf, faultMisnamed, soundCellMarked } from './slips/tables.ts';
import { unitMissing, unitWrong } from './slips/units.ts';
import { bareZeros, lastPlace } from './slips/writing.ts';
import { indexOfLetter } from './letters.ts';
import { parseWrittenNumber, type WrittenNumber } from '../numbers/written-number.ts';

/** One way to have come to an answer, with how much speaks for it. */
export interface Explanation {
  readonly ids: readonly string[];
  readonly predicted: string;
  readonly weight: number;
}

/** What was entered, or why it cannot be read. */
type Understood = { readonly explanations: readonly Explanation[] } | { readonly unreadable: string };

/** Weight of a wrong answer that no slip explains: a little less than any slip alone. */
const UNEXPLAINED = 0.004;

/** A result come to, rightly or by another working. */
interface Candidate {
  readonly ids: readonly string[];
  readonly prior: number;
  readonly result: Result;
}

function candidatesOf(task: NumberTask, rateOf: RateOf): Candidate[] {
  return [
    { ids: [], prior: 1, result: rightOf(task) },
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
function leavesInDoubt({ place, atLeast, atMost }: WrittenNumber, text: string, { rules }: ExerciseTask): boolean {
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
  task: ExerciseTask,
  rateOf: RateOf,
): { readonly ids: readonly string[]; readonly prior: number; readonly predicted: string }[] {
  const { result } = candidate;
  if (isWritten(entered, result.text)) {
    const doubtful = leavesInDoubt(entered, result.text, task);
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

function numberExplanations(task: NumberTask, typed: string, rateOf: RateOf): Explanation[] {
  const right = rightOf(task);
  const all = candidatesOf(task, rateOf).flatMap((candidate) => {
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
  });
  // What was given is the same quantity in another unit: who copies it has converted nothing.
  const copied = all.some(({ ids }) => ids.join() === notConverted.id);
  return copied ? all.filter(({ ids }) => ids.join() !== unitWrong.id) : all;
}

const COUNT = /^(\d{1,3})(?:\D.*)?$/s;

function countIn(typed: string): Understood | string {
  const count = COUNT.exec(typed.normalize('NFKC').trim())?.[1];
  return count === undefined ? { unreadable: 'Write how many there are, as a whole number.' } : String(Number(count));
}

function letterIn(typed: string, options: number): Understood | string {
  const letter = typed.normalize('NFKC').trim().toLowerCase();
  const index = indexOfLetter(letter);
  return index >= 0 && index < options ? letter : { unreadable: `Choose one of the ${options} answers.` };
}

/** Explanations of an answer that is a word of its own: the right one, or what a slip leads to. */
function answerExplanations(task: ExerciseTask, answer: string, rateOf: RateOf): Explanation[] {
  if (answer === rightAnswer(task).text) return [{ ids: [], predicted: answer, weight: 1 }];
  return ANSWER_SLIPS.flatMap((slip) => {
    const answers = slip.answers(task);
    return answers.includes(answer)
      ? [{ ids: [slip.id], predicted: answer, weight: rateOf(slip) / answers.length }]
      : [];
  });
}

/** What is wrong with marks: every fault that is not marked, cells that are sound, and names that do not fit. */
function markExplanations({ faults }: TableExercise, marks: readonly Marked[], typed: string): Explanation[] {
  const found = (fault: TableExercise['faults'][number]): Marked | undefined =>
    marks.find(({ cell }) => fault.cells.includes(cell));
  const missed = faults.filter((fault) => !found(fault));
  const misnamed = faults.filter((fault) => !fault.called.includes(found(fault)?.fault ?? fault.called[0] ?? ''));
  const hits = new Set(faults.map((fault) => found(fault)).filter((mark) => mark !== undefined));
  const overlooked = FAULT_KINDS.filter(({ id }) => missed.some(({ called }) => called[0] === id)).map(
    ({ overlooked: { id } }) => id,
  );
  // Who found nothing of what is there had to mark something: that is no slip of its own.
  const alarmed = marks.length > hits.size && (missed.length === 0 || hits.size > 0);
  return [
    {
      ids: [
        ...overlooked,
        ...(misnamed.length > 0 ? [faultMisnamed.id] : []),
        ...(alarmed ? [soundCellMarked.id] : []),
      ],
      predicted: typed,
      weight: 1,
    },
  ];
}

function understood(task: ExerciseTask, typed: string, rateOf: RateOf): Understood {
  const { exercise } = task;
  try {
    if (isNumberTask(task)) return { explanations: numberExplanations(task, typed, rateOf) };
    if (exercise.kind === 'spot-the-error')
      return { explanations: markExplanations(exercise, parseMarks(typed, cellsOf(exercise)), typed) };
    const answer = isChoice(exercise) ? letterIn(typed, exercise.options.length) : countIn(typed);
    return typeof answer === 'string' ? { explanations: answerExplanations(task, answer, rateOf) } : answer;
  } catch (error) {
    if (error instanceof UnreadableEntryError || error instanceof UnreadableMarksError)
      return { unreadable: error.message };
    throw error;
  }
}

function merged(explanations: readonly Explanation[]): Explanation[] {
  const byIds = new Map<string, Explanation>();
  for (const one of [...explanations].sort((a, b) => b.weight - a.weight)) {
    const known = byIds.get(one.ids.join('+'));
    byIds.set(one.ids.join('+'), known ? { ...known, weight: known.weight + one.weight } : one);
  }
  return [...byIds.values()].sort((a, b) => b.weight - a.weight);
}

const WRITTEN_ONLY: ReadonlySet<string> = new Set(
  [...WRITING_SLIPS.filter(({ changesValue }) => !changesValue), unitMissing, unitWrong].map(({ id }) => id),
);

function verdictOn(task: ExerciseTask, first: Explanation | undefined): Verdict {
  if (!first) return 'unexplained';
  if (first.ids.length === 0) return 'sound';
  return isNumberTask(task) && first.ids.every((id) => WRITTEN_ONLY.has(id)) ? 'record' : 'slip';
}

/**
 * Diagnoses an answer to an exercise. `record`: the value is right, and the digits or the unit with which it is written are not.
 * @param history what this student has done before, which moves the priors.
 */
export function diagnoseExercise(task: ExerciseTask, typed: string, history?: SlipHistory): Diagnosis {
  const read = understood(task, typed, ratesFrom(history));
  if ('unreadable' in read) return { verdict: 'unreadable', slips: [], offBy: null, message: read.unreadable };
  const all = merged(read.explanations);
  const sound = all.find(({ ids }) => ids.length === 0);
  if (sound) return { verdict: 'sound', slips: [], offBy: null };
  const total = all.reduce((sum, { weight }) => sum + weight, isNumberTask(task) ? UNEXPLAINED : 0.02);
  const slips = all.map(({ ids, predicted, weight }): SlipFound => ({ ids, predicted, probability: weight / total }));
  return { verdict: verdictOn(task, all[0]), slips, offBy: null };
}

/** Odds of each single slip, and under '' of none, given an answer; null when it cannot be read. */
export function singleSlips(task: ExerciseTask, typed: string): ReadonlyMap<string, number> | null {
  const read = understood(task, typed, () => 1);
  if ('unreadable' in read) return null;
  const masses = new Map<string, number>();
  for (const { ids, weight } of read.explanations) {
    if (ids.length > 1) continue;
    const id = ids[0] ?? '';
    masses.set(id, (masses.get(id) ?? 0) + weight);
  }
  return masses;
}
