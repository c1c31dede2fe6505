import { centred, checkFinite, products } from './centred.ts';

/**
 * Pearson’s correlation (Proc. R. Soc. Lond. 58 (1895) 240), −1 to 1; null where one of them does not vary.
 * @param x and `y`, as many of each, at least two.
 * @throws RangeError where they are not as many, too few, or one is not finite.
 */
export function correlation(x: readonly number[], y: readonly number[]): number | null {
  if (x.length !== y.length) throw new RangeError(`y: ${y.length} values for ${x.length} values of x.`);
  if (x.length < 2) throw new RangeError(`x: ${x.length} is too few; at least two pairs are needed.`);
  checkFinite('x', x);
  checkFinite('y', y);
  const [atX, atY] = [centred(x).deviations, centred(y).deviations];
  const squares = Math.sqrt(products(atX, atX)) * Math.sqrt(products(atY, atY));
  return squares === 0 ? null : Math.max(-1, Math.min(1, products(atX, atY) / squares));
}

/**
 * How each of a row of values goes with the one after it, as where each is a difference that shares a reading with the next: then −½.
 * @returns null where there are fewer than three, or they do not vary.
 */
export function neighbourCorrelation(values: readonly number[]): number | null {
  return values.length < 3 ? null : correlation(values.slice(0, -1), values.slice(1));
}
