import { beyondT } from './tails.ts';
import { summarise, type Summary } from './summarise.ts';

/** Whether two sets of repeats lie apart by more than their scatter. */
export interface Welch {
  /** (mean of a − mean of b) ÷ its standard uncertainty. */
  readonly t: number;
  readonly df: number;
  /** How often chance alone would bring the means so far apart, on either side: 0 to 1. */
  readonly p: number;
}

/** How far two means lie apart, in the unit of the values. */
export interface DifferenceOfMeans {
  readonly difference: number;
  /** Its standard uncertainty, from the scatter of each; 0 where neither scatters. */
  readonly standard: number;
  /** Degrees of freedom of that (Welch–Satterthwaite); NaN where neither scatters. */
  readonly df: number;
}

function meanSquare({ n, sampleStandardDeviation }: Summary): number {
  return (sampleStandardDeviation ?? 0) ** 2 / n;
}

/** @param a at least two values; `b` likewise, in the same unit. */
export function differenceOfMeans(a: readonly number[], b: readonly number[]): DifferenceOfMeans {
  const [one, other] = [summarise(a), summarise(b)];
  const [uOne, uOther] = [meanSquare(one), meanSquare(other)];
  const variance = uOne + uOther;
  return {
    difference: one.mean - other.mean,
    standard: Math.sqrt(variance),
    df: variance ** 2 / (uOne ** 2 / (one.n - 1) + uOther ** 2 / (other.n - 1)),
  };
}

/**
 * Welch’s test of two means whose scatters may differ (Welch, Biometrika 34 (1947) 28), two-sided.
 * @param a repeats, at least two, independent of each other; `b` likewise, in the same unit.
 * @throws RangeError where one has fewer than two values or one that is not finite, or where neither has any scatter: then there is
 * nothing to tell a difference from.
 * @example welch([8.7, 8.8, 8.6], [8.9, 9.0, 8.9]).p
 */
export function welch(a: readonly number[], b: readonly number[]): Welch {
  for (const [name, values] of Object.entries({ a, b }))
    if (values.length < 2)
      throw new RangeError(`${name}: ${values.length} is too few; at least two values show a scatter.`);
  const { difference, standard, df } = differenceOfMeans(a, b);
  if (standard === 0)
    throw new RangeError('a, b: all values of each are the same, so there is no scatter to compare with.');
  const t = difference / standard;
  return { t, df, p: beyondT(t, df) };
}
