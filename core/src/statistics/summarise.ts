import { centred, checkFinite, products } from './centred.ts';
import { compensatedSum } from './compensated-sum.ts';

/** The usual figures of a set of repeats. One value has no spread: its spreads are null, not zero. */
export interface Summary {
  readonly n: number;
  readonly mean: number;
  readonly median: number;
  readonly range: number | null;
  /** Mean distance from the mean, Σ|xᵢ − x̄| ÷ n. */
  readonly averageDeviation: number | null;
  /** √(Σ(xᵢ − x̄)² ÷ (n − 1)). */
  readonly sampleStandardDeviation: number | null;
  /** Sample standard deviation ÷ √n. */
  readonly standardError: number | null;
}

function median(sorted: readonly number[]): number {
  const middle = Math.floor(sorted.length / 2);
  const upper = sorted[middle] ?? NaN;
  return sorted.length % 2 === 1 ? upper : ((sorted[middle - 1] ?? NaN) + upper) / 2;
}

function checkValues(values: readonly number[]): void {
  if (values.length === 0) throw new RangeError('values: at least one number is needed.');
  checkFinite('values', values);
}

/**
 * Summarises repeats of one measurement, in the unit of the values. Two passes with compensated sums: deviations are taken from the mean
 * and corrected for its rounding (Chan, Golub & LeVeque, Am. Stat. 37 (1983) 242), so that 10000000.2 ± 0.1 keeps its digits.
 * @throws RangeError naming the index of a value that is not finite.
 * @example summarise([8.5, 9.1, 8.6, 8.8]).mean // 8.75
 */
export function summarise(values: readonly number[]): Summary {
  checkValues(values);
  const n = values.length;
  const sorted = [...values].sort((a, b) => a - b);
  const mean = compensatedSum(values) / n;
  if (n === 1)
    return {
      n,
      mean,
      median: mean,
      range: null,
      averageDeviation: null,
      sampleStandardDeviation: null,
      standardError: null,
    };
  const { deviations } = centred(values);
  const sampleStandardDeviation = Math.sqrt(products(deviations, deviations) / (n - 1));
  return {
    n,
    mean,
    median: median(sorted),
    range: (sorted[n - 1] ?? NaN) - (sorted[0] ?? NaN),
    averageDeviation: compensatedSum(deviations.map(Math.abs)) / n,
    sampleStandardDeviation,
    standardError: sampleStandardDeviation / Math.sqrt(n),
  };
}
