import type { Random } from '../simulation/random.ts';
import { widthPerStandard, type UncertainInput } from './input.ts';

/** Fills the errors of one or more inputs, `count` of each. */
export type Draw = (errors: readonly Float64Array[], count: number) => void;

/**
 * Student’s t by the polar method (R. W. Bailey, Math. Comp. 62 (1994) 779), for any degrees of freedom above 0.
 */
function studentT(random: Random, degreesOfFreedom: number): number {
  for (;;) {
    const [u, v] = [2 * random.uniform() - 1, 2 * random.uniform() - 1];
    const square = u * u + v * v;
    if (square > 0 && square < 1)
      return u * Math.sqrt((degreesOfFreedom * (square ** (-2 / degreesOfFreedom) - 1)) / square);
  }
}

/** How one error is drawn: from what the input is said to be (JCGM 101:2008, 6.4). */
export function drawOf({ shape, standard, degreesOfFreedom }: UncertainInput, random: Random): Draw {
  const one = ((): (() => number) => {
    switch (shape) {
      case 'normal':
        return () => standard * random.normal();
      case 't':
        return degreesOfFreedom === Infinity
          ? () => standard * random.normal()
          : () => standard * studentT(random, degreesOfFreedom);
      case 'rectangular': {
        const width = 2 * standard * widthPerStandard('rectangular');
        return () => width * (random.uniform() - 0.5);
      }
      case 'triangular': {
        const width = standard * widthPerStandard('triangular');
        return () => width * (random.uniform() + random.uniform() - 1);
      }
    }
  })();
  return ([errors], count) => {
    if (errors) for (let i = 0; i < count; i += 1) errors[i] = one();
  };
}

/**
 * How errors are drawn that come from one scatter: as their weights’ mixtures of the same normal draws, and, unless repeats are taken
 * as normal, divided by one common χ: a multivariate t (JCGM 101:2008, 6.4.9).
 * @param weights of each error, all of one length.
 */
export function drawTogether(
  weights: readonly (readonly number[])[],
  degreesOfFreedom: number,
  random: Random,
  repeatsAs: 't' | 'normal',
): Draw {
  const mix = new Float64Array(weights[0]?.length ?? 0);
  const wide = (): number => {
    if (repeatsAs === 'normal' || degreesOfFreedom === Infinity) return 1;
    let squares = 0;
    for (let k = 0; k < degreesOfFreedom; k += 1) squares += random.normal() ** 2;
    return Math.sqrt(degreesOfFreedom / squares);
  };
  return (errors, count) => {
    for (let i = 0; i < count; i += 1) {
      const factor = wide();
      for (let k = 0; k < mix.length; k += 1) mix[k] = random.normal();
      weights.forEach((of, q) => {
        let sum = 0;
        for (let k = 0; k < mix.length; k += 1) sum += (of[k] ?? 0) * (mix[k] ?? 0);
        const out = errors[q];
        if (out) out[i] = sum * factor;
      });
    }
  };
}
