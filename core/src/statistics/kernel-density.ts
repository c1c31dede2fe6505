import { checkFinite } from './centred.ts';
import { summarise } from './summarise.ts';

/** Quantile of sorted values, interpolated between neighbours (Hyndman & Fan, Am. Stat. 50 (1996) 361, definition 7). */
function quantile(sorted: readonly number[], part: number): number {
  const at = (sorted.length - 1) * part;
  const below = Math.floor(at);
  const [low = NaN, high = low] = [sorted[below], sorted[below + 1]];
  return low + (at - below) * (high - low);
}

/** The distance between the quartiles of normal values, in standard deviations. */
const QUARTILES_OF_NORMAL = 1.34;

/**
 * How wide each value is smeared so that a shape appears, by Silverman’s rule: 0.9·min(s, (Q₃ − Q₁) ÷ 1.34)·n^(−1/5)
 * (B. W. Silverman, Density Estimation, 1986, eq. 3.31).
 * @param least what it is at least: values that are all the same have no width of their own.
 */
export function bandwidth(values: readonly number[], least: number): number {
  const { n, sampleStandardDeviation: s } = summarise(values);
  if (s === null) return least;
  const sorted = [...values].sort((a, b) => a - b);
  const quartiles = (quantile(sorted, 0.75) - quantile(sorted, 0.25)) / QUARTILES_OF_NORMAL;
  const width = quartiles > 0 ? Math.min(s, quartiles) : s;
  return Math.max(least, 0.9 * width * n ** -0.2);
}

/**
 * The density of some values as a smooth curve: a normal curve over each, one on top of the other. Its area is 1.
 * @param width standard deviation of each curve, above zero; see `bandwidth`.
 * @returns the density at a point, per unit of the values.
 * @throws RangeError naming what is not finite or not above zero.
 */
export function kernelDensity(values: readonly number[], width: number): (at: number) => number {
  if (values.length === 0) throw new RangeError('values: at least one number is needed.');
  checkFinite('values', values);
  if (!(width > 0) || !Number.isFinite(width)) throw new RangeError(`width: ${width} is not above zero.`);
  const scale = 1 / (values.length * width * Math.sqrt(2 * Math.PI));
  return (at) => scale * values.reduce((sum, value) => sum + Math.exp(-0.5 * ((at - value) / width) ** 2), 0);
}
