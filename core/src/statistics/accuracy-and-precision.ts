import { studentT95 } from './student-t.ts';
import { summarise, type Summary } from './summarise.ts';

/** Whether a mean is off by no more than is allowed: the scatter of its repeats may leave that open. */
export type ByTolerance = 'within' | 'beyond' | 'open';

/** The 95 % interval of a mean error against a tolerance. @param half of the interval; null where one repeat has none. */
export function againstTolerance(mean: number, half: number | null, tolerance: number): ByTolerance {
  if (half === null) return 'open';
  const off = Math.abs(mean);
  if (off + half <= tolerance * (1 + 1e-9)) return 'within';
  return off - half > tolerance * (1 + 1e-9) ? 'beyond' : 'open';
}

/** Repeats on two axes: how far they are off together, and how far they lie from each other. */
export interface AccuracyAndPrecision {
  /** Of the errors, in the unit of the readings. */
  readonly summary: Summary;
  /** Half a 95 % interval of the mean error, by Student’s t; null of one reading. */
  readonly half: number | null;
  /** Whether the mean is off by no more than the tolerance. */
  readonly accurate: ByTolerance;
  /** Whether twice the scatter lies within the tolerance: then nearly every reading would, if it were not for the bias. Null of one reading. */
  readonly precise: boolean | null;
}

/**
 * Judges repeats against a true value: accuracy by their mean, precision by their scatter (JCGM 200:2012, 2.13 and 2.15).
 * @param readings at least one, in one unit; `truth` and `tolerance` in the same, the tolerance above zero.
 * @throws RangeError naming what is missing or not finite.
 */
export function accuracyAndPrecision(
  readings: readonly number[],
  truth: number,
  tolerance: number,
): AccuracyAndPrecision {
  if (!(tolerance > 0)) throw new RangeError(`tolerance: ${tolerance} is not above zero.`);
  if (!Number.isFinite(truth)) throw new RangeError(`truth: ${truth} is not a finite number.`);
  const summary = summarise(readings.map((value) => value - truth));
  const { n, mean, standardError, sampleStandardDeviation: s } = summary;
  const half = standardError === null ? null : studentT95(n - 1) * standardError;
  return {
    summary,
    half,
    accurate: againstTolerance(mean, half, tolerance),
    precise: s === null ? null : 2 * s <= tolerance * (1 + 1e-9),
  };
}
