import quantile from '@stdlib/stats-base-dists-t-quantile';
import { summarise } from './summarise.ts';

/** The value that lies furthest out, and whether chance would bring it so far. */
export interface Grubbs {
  /** Index of the value that lies furthest from the mean. */
  readonly suspect: number;
  /** Its distance from the mean, in sample standard deviations; 0 where all values are the same. */
  readonly G: number;
  /** What G stays below in 95 of 100 sets of so many values without an outlier. */
  readonly critical: number;
}

/** Of three values of which two are the same the third would always be suspect. */
const FEWEST = 4;
const CHANCE = 0.05;

/** Two-sided (Grubbs, Technometrics 11 (1969) 1). */
function criticalFor(n: number): number {
  const t = quantile(1 - CHANCE / (2 * n), n - 2);
  return ((n - 1) / Math.sqrt(n)) * Math.sqrt(t ** 2 / (n - 2 + t ** 2));
}

/**
 * Grubbs’ test for one outlier at 5 %, on either side. It suggests, and decides nothing.
 * @param values at least four, independent of each other: no running totals.
 * @throws RangeError when there are fewer, or naming one that is not finite.
 */
export function grubbs(values: readonly number[]): Grubbs {
  if (values.length < FEWEST)
    throw new RangeError(`values: ${values.length} are too few; at least ${FEWEST} are needed.`);
  const { mean, sampleStandardDeviation } = summarise(values);
  const distances = values.map((value) => Math.abs(value - mean));
  const furthest = Math.max(...distances);
  return {
    suspect: distances.indexOf(furthest),
    G: sampleStandardDeviation ? furthest / sampleStandardDeviation : 0,
    critical: criticalFor(values.length),
  };
}
