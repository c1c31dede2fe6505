import { compensatedSum } from './compensated-sum.ts';
import { aboveF } from './tails.ts';
import { summarise } from './summarise.ts';

/** Whether sets of repeats scatter differently. */
export interface BrownForsythe {
  /** Between the sets over within them, of the distances from each set’s median. */
  readonly F: number;
  /** Sets − 1, values − sets. */
  readonly df: readonly [number, number];
  /** How often chance alone would make the scatters so different: 0 to 1. */
  readonly p: number;
}

/**
 * Brown and Forsythe’s test of equal scatter (J. Am. Stat. Assoc. 69 (1974) 364): the sets’ distances from their medians, compared by
 * their means. One value far out disturbs it little.
 * @param groups at least two, each of at least two values, in one unit.
 * @throws RangeError naming the group that has too few values or one that is not finite, or where no value lies off its median by
 * another distance than the rest: then the scatters cannot be compared.
 */
export function brownForsythe(groups: readonly (readonly number[])[]): BrownForsythe {
  if (groups.length < 2) throw new RangeError(`groups: ${groups.length} is too few; at least two are compared.`);
  groups.forEach((values, i) => {
    if (values.length < 2)
      throw new RangeError(`groups[${i}]: ${values.length} is too few; at least two values show a scatter.`);
  });
  const distances = groups.map((values) => {
    const { median } = summarise(values);
    return values.map((value) => Math.abs(value - median));
  });
  const n = compensatedSum(distances.map(({ length }) => length));
  const overall = compensatedSum(distances.flat()) / n;
  const means = distances.map((list) => compensatedSum(list) / list.length);
  const df: readonly [number, number] = [groups.length - 1, n - groups.length];
  const between = compensatedSum(distances.map(({ length }, i) => length * ((means[i] ?? 0) - overall) ** 2)) / df[0];
  const within =
    compensatedSum(distances.flatMap((list, i) => list.map((distance) => (distance - (means[i] ?? 0)) ** 2))) / df[1];
  if (within === 0)
    throw new RangeError('groups: all values of each lie equally far from its median, so scatters cannot be compared.');
  const F = between / within;
  return { F, df, p: aboveF(F, df) };
}
