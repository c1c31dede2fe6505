import { Decimal } from '../numbers/decimal.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import type { Instrument } from '../instruments/instrument.ts';
import { decimalsOf } from '../scales/linear-scale.ts';
import type { Estimate, HouseRules } from './house-rules.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';

/** What a reading may be a multiple of, and the place it is written to. */
export interface ReadingStep {
  readonly step: number;
  readonly place: number;
}

/** The estimate rule for an instrument: its family's own where the class has one. */
export function estimateFor(instrument: Instrument, rules: HouseRules): Estimate {
  return rules.estimateByFamily[instrument.skill] ?? rules.estimate;
}

/**
 * The finest step a class reads an instrument to. Tenths: divisions of 1 or 2 times a power of ten to a tenth of that power,
 * divisions of 5 in fifths. A display is written with every digit it shows.
 */
export function readingStep(instrument: Instrument, rules: HouseRules): ReadingStep {
  const estimate = instrument.reads === 'display' ? 'nearest-division' : estimateFor(instrument, rules);
  const key = `${instrument.division} ${estimate}`;
  const known = STEPS.get(key);
  if (known) return known;
  const step = stepOf(instrument.division, estimate);
  const reading = { step, place: -decimalsOf(step) };
  STEPS.set(key, reading);
  return reading;
}

/** Worked out once for each division and rule. */
const STEPS = new Map<string, ReadingStep>();

function stepOf(division: number, estimate: Estimate): number {
  if (estimate === 'nearest-division') return division;
  if (estimate === 'half-division') return Number(new Decimal(division).div(2));
  const power = new Decimal(10).pow(Math.floor(Math.log10(division) + 1e-9));
  return Number(new Decimal(division).div(power).equals(5) ? new Decimal(division).div(5) : power.div(10));
}

/** Half the width of the accepted band about the true value, in the instrument's unit; 0 for a display. */
export function acceptanceBand(instrument: Instrument, rules: HouseRules): number {
  return instrument.reads === 'display' ? 0 : (rules.acceptance / 10) * instrument.division;
}

/** Room for the rounding of doubles when a reading lies exactly on the edge of a band. */
export const HAIR = 1e-9;

/** Under half-division and nearest-division either neighbour is right this near to the midpoint, in divisions. */
const NEAR_MIDPOINT = 0.2;

/** Every reading that counts as right for a true value, lowest first, as multiples of the step. */
export function acceptedReadings(instrument: Instrument, rules: HouseRules, value: number): number[] {
  const { step } = readingStep(instrument, rules);
  const nearest = Math.round(value / step + HAIR);
  if (instrument.reads === 'display') return [nearest * step];
  if (estimateFor(instrument, rules) === 'tenths') {
    const band = acceptanceBand(instrument, rules) + HAIR;
    const counts = Array.from({ length: Math.ceil(band / step) * 2 + 3 }, (_, i) => nearest + i - Math.ceil(band / step) - 1);
    return counts.map((count) => count * step).filter((reading) => Math.abs(reading - value) <= band);
  }
  const below = Math.floor(value / step + HAIR);
  const fromMidpoint = Math.abs(value - (below + 0.5) * step);
  return fromMidpoint <= NEAR_MIDPOINT * instrument.division + HAIR ? [below * step, (below + 1) * step] : [nearest * step];
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

/** The unit the class writes an instrument's readings in: mL or cm³ for volumes. */
export function writtenUnitOf(instrument: Instrument, rules: HouseRules): string {
  return instrument.unit === 'mL' ? rules.volumeUnit : instrument.unit;
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

/**
 * The reading a careful observer with a level eye would write, in the class's unit and by its house rules, and the band about the
 * true value that is accepted (with a decimal point, whatever mark the class writes).
 * @example expectedReading(readingTask('cylinder-50', { value: 46 })).text // '46.0'
 */
export function expectedReading(task: ReadingTask): ExpectedReading {
  const instrument = instrumentOf(task);
  const { value } = task.situation;
  const accepted = acceptedReadings(instrument, task.rules, value);
  const [lowest = value, highest = value] = [accepted[0], accepted.at(-1)];
  return {
    text: writtenReading(task, value),
    unit: writtenUnitOf(instrument, task.rules),
    place: readingStep(instrument, task.rules).place,
    accepts: [writtenReading(task, lowest), writtenReading(task, highest)],
  };
}
