import { Decimal } from '../../numbers/decimal.ts';
import { roundToPlace } from '../../numbers/rounding.ts';
import { parseUnit, type Unit } from '../../units/unit.ts';
import { acceptedAnswers, acceptedReadings, HAIR, marksBeside } from '../indication/acceptance.ts';
import type { Indication } from '../indication/indication.ts';
import { resolutionOf } from '../indication/resolution.ts';
import { expectedFrom } from '../indication/written.ts';
import { indicationOf, type ReadingTask } from '../reading-task.ts';
import { parseEntry, UnreadableEntryError, type Entry } from './entry.ts';
import { merged, predictedText, weigh, type Weighed } from './explanations.ts';
import { countSlipsOn, ratesFrom, type RateOf, type SlipHistory } from './hypotheses.ts';
import { measureOf, type Measure } from './measure.ts';

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
  /** For an unreadable entry, what is wrong with it. */
  readonly message?: string;
}

/** A wrong reading that no slip explains: how often, and over how many divisions it is spread. */
const MISJUDGED = { rate: 0.05, divisions: 30 };

function found(weighed: readonly Weighed[], unexplained: number, entry: Entry): SlipFound[] {
  const total = weighed.reduce((sum, one) => sum + one.weight, unexplained);
  return weighed.map((one) => ({
    ids: one.ids,
    predicted: predictedText(one, entry),
    probability: one.weight / total,
  }));
}

/** True for the last mark or the nearest one where estimating adds no place: read rightly, and not estimated. */
function isMarkBeside(indication: Indication, entered: number): boolean {
  const { mark, subtracted } = indication;
  return (
    mark !== null && marksBeside(indication, mark).some((beside) => Math.abs(beside - subtracted - entered) <= HAIR)
  );
}

/** How likely a wrong reading that no slip explains is this one: alike over the usual distance, and ever less likely beyond it. */
function misjudgedBy(offBy: number, { step, division }: Measure): number {
  const near = (MISJUDGED.rate * step) / (MISJUDGED.divisions * division);
  return near * Math.min(1, (MISJUDGED.divisions / Math.abs(offBy)) ** 2);
}

/** What is left of a reading when a part of the tool was not read at all, as a vernier, is another slip than a digit left out. */
function leftAPartOut(indication: Indication, entered: number): boolean {
  const { mark, subtracted } = indication;
  if (mark === null) return false;
  return countSlipsOn(indication).some((slip) =>
    slip
      .counted(indication, mark)
      .some(({ value, place }) => place !== undefined && Math.abs(value - subtracted - entered) <= HAIR),
  );
}

/** Right eye: within the band, or the right reading cut or rounded by one place. */
function isRightEye(indication: Indication, entry: Entry, measure: Measure, accepted: readonly number[]): boolean {
  if (accepted.some((reading) => Math.abs(reading - entry.value) <= HAIR)) return true;
  if (Math.abs(entry.value - indication.answer) <= measure.band + HAIR || isMarkBeside(indication, entry.value))
    return true;
  if (entry.place < measure.place) {
    // Digits that were not measured, added to a reading that was: it is judged without them.
    const measured = new Decimal(entry.value)
      .toDecimalPlaces(Math.max(0, -measure.place), Decimal.ROUND_DOWN)
      .toNumber();
    return accepted.some((reading) => Math.abs(reading - measured) <= HAIR);
  }
  if (entry.place !== measure.place + 1 || leftAPartOut(indication, entry.value)) return false;
  const right = new Decimal(expectedFrom(indication).text);
  return (
    right.toDecimalPlaces(Math.max(0, -entry.place), Decimal.ROUND_DOWN).equals(entry.value) ||
    roundToPlace(right, entry.place).equals(entry.value)
  );
}

/** Who writes a fraction has read to the nearest mark, whatever the class estimates. */
function nearestMarks({ resolution, rules, answer }: Indication): number[] {
  return acceptedReadings(resolutionOf(resolution.division, 'nearest-division'), rules, answer);
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
  const offBy = (read.value - indication.answer) / measure.division;
  const accepted = read.isFraction ? nearestMarks(indication) : acceptedAnswers(indication);
  const rightEye = isRightEye(indication, read, measure, accepted);
  const wellWritten =
    read.unit === 'fits' &&
    read.place === measure.place &&
    accepted.some((reading) => Math.abs(reading - read.value) <= HAIR);
  if (wellWritten) return { verdict: 'sound', slips: [], offBy };
  const misjudged = misjudgedBy(offBy, measure);
  const weighed = merged(weigh(read, indication, ratesFrom(history), measure));
  if (rightEye) {
    const records = weighed.filter(
      (one) => one.hypothesis.ids.length + one.meant.ids.length === 0 && one.ids.length > 0,
    );
    return { verdict: 'record', slips: found(records, 0, read), offBy };
  }
  const likely = weighed.filter(
    (one) => one.ids.length > 0 && one.weight > misjudged && one.hypothesis.ids.length + one.meant.ids.length > 0,
  );
  return { verdict: likely.length > 0 ? 'slip' : 'unexplained', slips: found(likely, misjudged, read), offBy };
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
  for (const { ids, weight } of weigh(read, indication, ALIKE, measureOf(indication))) {
    const [id = '', ...more] = ids;
    if (more.length === 0) masses.set(id, (masses.get(id) ?? 0) + weight);
  }
  return masses;
}
