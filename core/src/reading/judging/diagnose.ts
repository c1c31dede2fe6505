import { parseUnit, type Unit } from '../../units/unit.ts';
import type { Indication } from '../indication/indication.ts';
import { writtenUnitOf } from '../indication/written.ts';
import { indicationOf, type ReadingTask } from '../reading-task.ts';
import { slipOn } from '../slips.ts';
import { estimateOff } from '../slips/estimate-off.ts';
import { UnreadableEntryError, type Entry } from './entry.ts';
import { parseEntry } from './parse-entry.ts';
import { merged, predictedText, weigh, weighTwoCounted, type Weighed } from './explanations.ts';
import { ratesFrom, type RateOf, type SlipHistory } from './hypotheses.ts';
import { measureOf, type Measure } from './measure.ts';
import { asDigits, isSound, nearness, placedFor } from './nearness.ts';

export interface SlipFound {
  /** One slip, or two made together; slips of the record come last. */
  readonly ids: readonly string[];
  /** The reading these slips give in this situation. */
  readonly predicted: string;
  readonly probability: number;
}

export type Verdict = 'sound' | 'record' | 'slip' | 'unexplained' | 'unreadable';

export interface Diagnosis {
  readonly verdict: Verdict;
  /** Every explanation consistent with the entry, most likely first. */
  readonly slips: readonly SlipFound[];
  /** Signed distance from the true value in smallest divisions; null when nothing could be read. */
  readonly offBy: number | null;
  /** For an unreadable entry, what is wrong with it; for the right quantity in another unit, that it is. */
  readonly message?: string;
}

/**
 * A wrong reading that no slip explains: how often it is made, and how far off it is, in divisions. Half of them are near misses, of a
 * few divisions; the others are spread alike as far as `far`, and ever less beyond it.
 */
const UNEXPLAINED = { rate: 0.05, near: 1.5, far: 30 };

function found(weighed: readonly Weighed[], unexplained: number): SlipFound[] {
  const total = weighed.reduce((sum, one) => sum + one.weight, unexplained);
  return weighed.map((one) => ({
    ids: one.ids,
    predicted: predictedText(one),
    probability: one.weight / total,
  }));
}

/** How likely a wrong reading that no slip explains is this one. @param offBy in divisions. */
function unexplainedBy(offBy: number, { step, division }: Measure): number {
  const { rate, near, far } = UNEXPLAINED;
  // Cauchy's distribution, and an even one with tails that hold as much as its middle: each has the mass 1.
  const nearby = near / (Math.PI * (near ** 2 + offBy ** 2));
  const anywhere = Math.min(1, (far / offBy) ** 2) / (4 * far);
  return (rate * ((nearby + anywhere) / 2) * step) / division;
}

const UNITS = new Map<string, Unit>();

/** Units of instruments, parsed once. */
function unitNamed(text: string): Unit {
  const unit = UNITS.get(text) ?? parseUnit(text);
  UNITS.set(text, unit);
  return unit;
}

function readEntry({ tool }: Indication, typed: string): Entry | string {
  try {
    return parseEntry(typed, unitNamed(tool.unit));
  } catch (error) {
    if (error instanceof UnreadableEntryError) return error.message;
    throw error;
  }
}

/**
 * Names the slips behind an entry. Each slip, and each pair of slips, predicts a reading; those consistent with the entry are
 * weighed by Bayes' rule from base rates (or this student's own), the scatter of an estimated digit, and the chance that no slip
 * explains it at all, so that no explanation is more certain than the evidence.
 * @param entry what the student typed, with or without a unit.
 * @param history this student's earlier readings, for the priors.
 * @example diagnose(readingTask('cylinder-50', { value: 37.4 }), '38.7 mL').slips[0].ids // ['meniscus-edge']
 */
export function diagnose(task: ReadingTask, entry: string, history?: SlipHistory): Diagnosis {
  const indication = indicationOf(task);
  const read = readEntry(indication, entry);
  if (typeof read === 'string') return { verdict: 'unreadable', slips: [], offBy: null, message: read };
  const measure = measureOf(indication);
  const quantity = placedFor(read, measure);
  if (isSound(indication, quantity, measure)) {
    const offBy = (quantity.value - indication.answer) / measure.division;
    return { verdict: 'sound', slips: [], offBy, ...inOtherUnit(quantity, indication) };
  }
  const digits = asDigits(quantity);
  if (digits === null) return judged(indication, [quantity], measure, ratesFrom(history));
  const isUnit = nearness(indication, digits, measure) === 'right';
  return judged(indication, isUnit ? [digits] : [quantity, digits], measure, ratesFrom(history));
}

/** The right quantity in another unit is right, and the tool’s own unit is told. */
function inOtherUnit({ number, otherUnit }: Entry, { tool, rules }: Indication): { readonly message?: string } {
  if (otherUnit === null || otherUnit.isPowerOfTen) return {};
  const unit = writtenUnitOf(tool, rules);
  return {
    message: `${number.text} ${otherUnit.symbol} is the right quantity. This tool is marked in ${unit}, so write ${unit} next time.`,
  };
}

/** Nothing but how it was written is behind an entry; a digit is missing from the right reading, and no more. */
function isOfTheRecord({ hypothesis, meant, entry }: Weighed): boolean {
  return hypothesis.ids.length + meant.ids.length === 0 && (meant.place ?? entry.place) <= hypothesis.measure.place + 1;
}

/** Something that is seen of the tool as it stands speaks for a slip. */
function isOfTheTool({ hypothesis, meant }: Weighed, { tool }: Indication): boolean {
  const [id, ...others] = hypothesis.ids;
  return id !== undefined && others.length + meant.ids.length === 0 && slipOn(tool, id)?.needsTheTool === true;
}

/** Another slip, and a digit that was estimated badly as well: that could bring nearly any slip to nearly any entry. */
function isBesideBadEstimate({ hypothesis, meant }: Weighed): boolean {
  return hypothesis.ids.includes(estimateOff.id) && hypothesis.ids.length + meant.ids.length > 1;
}

/** Names what is behind an entry that is not sound. @param readings what may have been written, the likeliest first. */
function judged(
  indication: Indication,
  readings: readonly [Entry, ...Entry[]],
  measure: Measure,
  rateOf: RateOf,
): Diagnosis {
  const [entry] = readings;
  const offBy = (entry.value - indication.answer) / measure.division;
  const near = nearness(indication, entry, measure);
  const weighed = merged(readings.flatMap((one) => weigh(one, indication, rateOf))).filter(({ ids }) => ids.length > 0);
  if (near !== 'wrong') {
    // Within the band the eye was right. Where a digit is missing, an eye off the level may have seen just that.
    const told = weighed.filter((one) => isOfTheRecord(one) || (near === 'cut' && isOfTheTool(one, indication)));
    const [first] = told;
    if (first) return { verdict: isOfTheRecord(first) ? 'record' : 'slip', slips: found(told, 0), offBy };
  }
  const unexplained = unexplainedBy(offBy, measure);
  const isLikely = (one: Weighed): boolean => one.weight > unexplained && !isOfTheRecord(one);
  const simple = weighed.filter((one) => isLikely(one) && !isBesideBadEstimate(one));
  // What nothing simpler explains: two slips of counting, or another slip and a bad estimate.
  const likely =
    simple.length > 0 ? simple : merged([...weighed, ...weighTwoCounted(entry, indication, rateOf)]).filter(isLikely);
  return { verdict: likely.length > 0 ? 'slip' : 'unexplained', slips: found(likely, unexplained), offBy };
}

const ALIKE: RateOf = () => 1;

/**
 * How likely somebody with just one slip, or with none (the key is empty), writes an entry on a task: the scatter of estimates and the
 * ways a slip can go are reckoned with, how often it is made is not. Null when the entry cannot be read.
 */
export function singleExplanations(task: ReadingTask, entry: string): ReadonlyMap<string, number> | null {
  const indication = indicationOf(task);
  const read = readEntry(indication, entry);
  if (typeof read === 'string') return null;
  const masses = new Map<string, number>();
  for (const { ids, weight } of weigh(read, indication, ALIKE)) {
    const [id = '', ...more] = ids;
    if (more.length === 0) masses.set(id, (masses.get(id) ?? 0) + weight);
  }
  return masses;
}
