import { Decimal } from '../numbers/decimal.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import type { Instrument } from '../instruments/instrument.ts';
import { decimalsOf } from '../scales/linear-scale.ts';
import { isDifference, takenOff, trueAnswer } from './correction.ts';
import type { Estimate, HouseRules } from '../rules/house-rules.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';

/** What a reading may be a multiple of, and the place it is written to. */
export interface ReadingStep {
  readonly step: number;
  readonly place: number;
}

/** Read by the line that coincides: there is nothing to estimate, and a line to either side cannot be told from it. */
export function isCoincidence(instrument: Instrument): boolean {
  return instrument.reads === 'vernier' || (instrument.reads === 'thimble' && instrument.sleeveLines > 0);
}

/**
 * The estimate rule for an instrument: a rule for one tool wins over one for its family, and that over the general one. Null where
 * nothing is estimated: a display, a ring, a coincidence.
 */
export function estimateFor(instrument: Instrument, rules: HouseRules): Estimate | null {
  if (isCoincidence(instrument) || instrument.reads === 'display' || instrument.reads === 'ring') return null;
  if (instrument.reads === 'thimble')
    return rules.micrometerEstimate === 'nearest-line' ? 'nearest-division' : 'tenths';
  if (instrument.skill === 'burettes') return rules.burettePlace === 'half' ? 'half-division' : 'tenths';
  return rules.estimateByFamily[instrument.skill] ?? rules.estimate;
}

/**
 * The finest step a class reads an instrument to. Tenths: divisions of 1 or 2 times a power of ten to a tenth of that power,
 * divisions of 5 in fifths; approximate marks to the unit; sixteenths of an inch as decimals. A display is written with every digit
 * it shows, and a ring with every digit its volume is known to.
 */
export function readingStep(instrument: Instrument, rules: HouseRules): ReadingStep {
  const estimate = estimateFor(instrument, rules) ?? 'nearest-division';
  const key = `${instrument.division} ${estimate} ${isApproximate(instrument)}`;
  const known = STEPS.get(key);
  if (known) return known;
  const reading =
    isApproximate(instrument) && estimate === 'tenths'
      ? { step: 1, place: 0 }
      : stepOfDivision(instrument.division, estimate);
  STEPS.set(key, reading);
  return reading;
}

function isApproximate(instrument: Instrument): boolean {
  return instrument.reads === 'scale' && instrument.approximate;
}

/** Worked out once for each division and rule. */
const STEPS = new Map<string, ReadingStep>();

/** Sixteenths are written as decimals to a hundredth, whatever part of them is estimated. */
const SIXTEENTH = 1 / 16;
const SIXTEENTHS: Readonly<Record<Estimate, ReadingStep>> = {
  tenths: { step: 0.01, place: -2 },
  'half-division': { step: SIXTEENTH / 2, place: -2 },
  'nearest-division': { step: SIXTEENTH, place: -2 },
};

/** The finest step of a scale with such divisions. */
export function stepOfDivision(division: number, estimate: Estimate): ReadingStep {
  if (division === SIXTEENTH) return SIXTEENTHS[estimate];
  const step = stepOf(division, estimate);
  return { step, place: -decimalsOf(step) };
}

function stepOf(division: number, estimate: Estimate): number {
  if (estimate === 'nearest-division') return division;
  if (estimate === 'half-division') return Number(new Decimal(division).div(2));
  const power = new Decimal(10).pow(Math.floor(Math.log10(division) + 1e-9));
  return Number(new Decimal(division).div(power).equals(5) ? new Decimal(division).div(5) : power.div(10));
}

/**
 * A scale on which estimating adds no place (by fives, by tens of whole units, approximate marks): who does not estimate writes the
 * last mark or the nearest one, with every digit in place.
 */
export function stopsAtMarks(instrument: Instrument, rules: HouseRules): boolean {
  if (instrument.reads !== 'scale' || estimateFor(instrument, rules) !== 'tenths') return false;
  const { step, place } = readingStep(instrument, rules);
  return step < instrument.division && place === -Math.min(decimalsOf(instrument.division), 2);
}

/** A difference of two readings is accepted within this many times the band of one. */
const DIFFERENCE_BAND = 1.5;

/** Half the width of the accepted band about the true value, in the instrument's unit; 0 for a display or a ring. */
export function acceptanceBand(instrument: Instrument, rules: HouseRules, difference = false): number {
  if (isCoincidence(instrument)) return instrument.division;
  if (estimateFor(instrument, rules) === null) return 0;
  return (rules.acceptance / 10) * instrument.division * (difference ? DIFFERENCE_BAND : 1);
}

/** Room for the rounding of doubles when a reading lies exactly on the edge of a band. */
export const HAIR = 1e-9;

/** Under half-division and nearest-division either neighbour is right this near to the midpoint, in divisions. */
const NEAR_MIDPOINT = 0.2;

/** A number of steps as it is written: free of dust, and rounded where the step has more places than are written. */
function stepped(count: number, { step, place }: ReadingStep): number {
  return Number((count * step).toFixed(Math.max(0, -place)));
}

/** Steps on either side of a point that are right for it where no tenth is estimated. */
function neighbours(value: number, { step }: ReadingStep, division: number): number[] {
  const below = Math.floor(value / step + HAIR);
  const fromMidpoint = Math.abs(value - (below + 0.5) * step);
  return fromMidpoint <= NEAR_MIDPOINT * division + HAIR ? [below, below + 1] : [Math.round(value / step + HAIR)];
}

/** Every reading of one point that counts as right, lowest first. */
export function acceptedReadings(
  instrument: Instrument,
  rules: HouseRules,
  value: number,
  difference = false,
): number[] {
  const reading = readingStep(instrument, rules);
  const { step } = reading;
  const nearest = Math.round(value / step + HAIR);
  // The line beside the one that coincides cannot be told from it.
  if (isCoincidence(instrument)) return [nearest - 1, nearest, nearest + 1].map((count) => stepped(count, reading));
  if (estimateFor(instrument, rules) === null) return [stepped(nearest, reading)];
  if (estimateFor(instrument, rules) !== 'tenths')
    return neighbours(value, reading, instrument.division).map((count) => stepped(count, reading));
  const band = acceptanceBand(instrument, rules, difference) + HAIR;
  const reach = Math.ceil(band / step) + 1;
  const within = Array.from({ length: 2 * reach + 1 }, (_, i) => stepped(nearest + i - reach, reading)).filter(
    (accepted) => Math.abs(accepted - value) <= band,
  );
  return within.length > 0 ? within : [stepped(nearest, reading)];
}

/** Halves and whole divisions are read at the marks. */
function judgedAtMarks(instrument: Instrument, rules: HouseRules): boolean {
  const estimate = estimateFor(instrument, rules);
  return estimate === 'half-division' || estimate === 'nearest-division';
}

/** Every number that counts as right for a task, lowest first: readings, less what is taken off. */
export function acceptedAnswers(task: ReadingTask): number[] {
  const instrument = instrumentOf(task);
  const { rules } = task;
  const answer = trueAnswer(task);
  if (!judgedAtMarks(instrument, rules)) return acceptedReadings(instrument, rules, answer, isDifference(task));
  // Halves and whole divisions are judged at the marks; what is taken off follows.
  const off = takenOff(task);
  const offs = isDifference(task) ? acceptedReadings(instrument, rules, off) : [off];
  const { place } = readingStep(instrument, rules);
  const all = acceptedReadings(instrument, rules, answer + off).flatMap((reading) =>
    offs.map((one) => Number((reading - one).toFixed(Math.max(0, -place)))),
  );
  return [...new Set(all)].sort((a, b) => a - b);
}

/** The right reading of a task, as it should be written. */
export interface ExpectedReading {
  readonly text: string;
  readonly unit: string;
  /** Power of ten of the last digit. */
  readonly place: number;
  /** Lowest and highest reading that count as right. */
  readonly accepts: readonly [string, string];
}

/** The unit the class writes an instrument's readings in: mL or cm³ for volumes, and so for densities. */
export function writtenUnitOf(instrument: Instrument, rules: HouseRules): string {
  return instrument.unit.replace('mL', rules.volumeUnit);
}

/** Writes a value as a reading of the task's instrument: rounded to its step, with every digit to its place. */
export function writtenReading(task: ReadingTask, value: number): string {
  const { step, place } = readingStep(instrumentOf(task), task.rules);
  const count = new Decimal(value).div(step).toDecimalPlaces(0, Decimal.ROUND_HALF_UP);
  return writtenAtPlace(count.times(step), place, task.rules.rounding);
}

/** As `writtenReading`, in binary arithmetic, for the predictions of slips, where a tie in rounding decides nothing. */
export function roughlyWritten(value: number, { step, place }: ReadingStep): string {
  return (Math.round(value / step) * step + 0).toFixed(Math.max(0, -place));
}

/** The right answer of a task as it is written. */
function writtenAnswer(task: ReadingTask): string {
  const instrument = instrumentOf(task);
  const off = takenOff(task);
  const answer = trueAnswer(task);
  if (off === 0 || !judgedAtMarks(instrument, task.rules)) return writtenReading(task, answer);
  const reading = new Decimal(writtenReading(task, answer + off));
  const { place } = readingStep(instrument, task.rules);
  return writtenAtPlace(
    reading.minus(isDifference(task) ? writtenReading(task, off) : off),
    place,
    task.rules.rounding,
  );
}

/**
 * What a careful observer with a level eye would write, in the class's unit and by its house rules, and the band about the true
 * value that is accepted (with a decimal point, whatever mark the class writes).
 * @example expectedReading(readingTask('cylinder-50', { value: 46 })).text // '46.0'
 * @example expectedReading(readingTask('burette-50', { value: 24.38, from: 1.12 })).text // '23.26'
 */
export function expectedReading(task: ReadingTask): ExpectedReading {
  const instrument = instrumentOf(task);
  const { place } = readingStep(instrument, task.rules);
  const accepted = acceptedAnswers(task);
  const [lowest = 0, highest = 0] = [accepted[0], accepted.at(-1)];
  return {
    text: writtenAnswer(task),
    unit: writtenUnitOf(instrument, task.rules),
    place,
    accepts: [writtenAtPlace(lowest, place), writtenAtPlace(highest, place)],
  };
}
