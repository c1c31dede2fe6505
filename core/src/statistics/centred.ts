import { compensatedSum } from './compensated-sum.ts';

/** Values as they lie about their mean. */
export interface Centred {
  readonly mean: number;
  readonly deviations: readonly number[];
}

/** Deviations from the mean, corrected for its rounding (Chan, Golub & LeVeque, Am. Stat. 37 (1983) 242). */
export function centred(values: readonly number[]): Centred {
  const n = values.length;
  const rough = compensatedSum(values) / n;
  const deviations = values.map((value) => value - rough);
  const correction = compensatedSum(deviations) / n;
  return { mean: rough + correction, deviations: deviations.map((deviation) => deviation - correction) };
}

/** Σ aᵢbᵢ. */
export function products(a: readonly number[], b: readonly number[]): number {
  return compensatedSum(a.map((value, i) => value * (b[i] ?? 0)));
}

/** @throws RangeError naming the value that is not finite. */
export function checkFinite(name: string, values: readonly number[]): void {
  const wrong = values.findIndex((value) => !Number.isFinite(value));
  if (wrong >= 0) throw new RangeError(`${name}[${wrong}]: ${String(values[wrong])} is not a finite number.`);
}
