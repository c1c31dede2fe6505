import { workOut, type WorkedRun } from '../engine/evaluate.ts';
import type { ResultFound } from '../engine/results.ts';
import type { Protocol } from '../protocol/protocol.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import type { HouseRules } from '../../rules/house-rules.ts';

/* What a protocol’s own test needs to work its sample by hand, with plain numbers and the textbook’s formulas. */

/** A protocol’s sample, worked out by the engine. */
export function workedSample(protocol: Protocol, index = 0, rules: Partial<HouseRules> = {}): WorkedRun {
  return workOut(protocol, sampleRun(protocol, protocol.samples[index]), rules);
}

/** One result of it. */
export function resultOf(run: WorkedRun, quantity: string, member?: string): ResultFound {
  const found = run.results.find(
    (result) =>
      result.quantity === quantity && (member === undefined || Object.values(result.members).includes(member)),
  );
  if (!found) throw new Error(`${quantity} has no result${member === undefined ? '' : ` at ${member}`}.`);
  return found;
}

/** The standard uncertainty of a result by quadrature. */
export function standardOf({ methods }: ResultFound): number {
  return methods.find(({ method }) => method === 'quadrature')?.uncertainty ?? NaN;
}

export function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

/** Standard error of a mean. */
export function errorOfMean(values: readonly number[]): number {
  const mean = meanOf(values);
  return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (values.length - 1) / values.length);
}

/** Covariance of the means of what was repeated together. */
export function covarianceOfMeans(a: readonly number[], b: readonly number[]): number {
  const [meanA, meanB] = [meanOf(a), meanOf(b)];
  return a.reduce((sum, value, i) => sum + (value - meanA) * ((b[i] ?? NaN) - meanB), 0) / (a.length - 1) / a.length;
}

/** A half-width as the standard uncertainty of a rectangle. */
export function rectangle(halfWidth: number): number {
  return halfWidth / Math.sqrt(3);
}

/** Standard uncertainty of a function of means that were repeated together, each with one reading error: slopes by small differences. */
export function byDifferences(
  f: (values: readonly number[]) => number,
  repeats: readonly (readonly number[])[],
  reading: readonly number[],
): number {
  const at = repeats.map(meanOf);
  const slopes = at.map((value, i) => {
    const h = value * 1e-5;
    const moved = (by: number): number => f(at.map((one, k) => (k === i ? one + by : one)));
    return (moved(h) - moved(-h)) / (2 * h);
  });
  const variance = slopes.reduce(
    (sum, slope, i) =>
      sum +
      (slope * (reading[i] ?? NaN)) ** 2 +
      slopes.reduce(
        (inner, other, k) => inner + slope * other * covarianceOfMeans(repeats[i] ?? [], repeats[k] ?? []),
        0,
      ),
    0,
  );
  return Math.sqrt(variance);
}

/** Standard uncertainty of a function of independent values, each with its own: slopes by small differences. */
export function ofIndependent(
  f: (values: readonly number[]) => number,
  at: readonly number[],
  standards: readonly number[],
): number {
  return Math.sqrt(
    at.reduce((sum, value, i) => {
      const h = Math.max(1e-6, Math.abs(value) * 1e-5);
      const moved = (by: number): number => f(at.map((one, k) => (k === i ? one + by : one)));
      return sum + (((moved(h) - moved(-h)) / (2 * h)) * (standards[i] ?? NaN)) ** 2;
    }, 0),
  );
}
