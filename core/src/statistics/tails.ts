import fCdf from '@stdlib/stats-base-dists-f-cdf';

/**
 * How often F lies above a value by chance. Taken from the other end of the reciprocal, F(1 ÷ f; b, a), so that small chances keep
 * their digits.
 * @param f at least 0; Infinity gives 0.
 * @param degreesOfFreedom above and below the line, each above 0.
 */
export function aboveF(f: number, [above, below]: readonly [number, number]): number {
  return f === 0 ? 1 : fCdf(1 / f, below, above);
}

/** How often Student’s t lies further from 0 than a value, on either side, by chance: t² is F with 1 and so many degrees of freedom. */
export function beyondT(t: number, degreesOfFreedom: number): number {
  return aboveF(t ** 2, [1, degreesOfFreedom]);
}
