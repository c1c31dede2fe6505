import { hasVariance, root, type GroupResult, type KnownResult } from './group-result.ts';

/** The results of two groups, one beside the other. */
export interface BetweenTwo {
  /** The first less the second, in the unit that both share. */
  readonly difference: number;
  /** Standard uncertainty of the difference, without what both share; null where one of them has none. */
  readonly standard: number | null;
  /** Whether they differ by no more than twice that; null where it is not known. */
  readonly agree: boolean | null;
}

type Parts = Readonly<Record<string, number>>;

/** What one tool, or one given value, adds to the variance of a difference: it moves both results to the same side. */
function leftOfShared(first: Parts, second: Parts): number {
  return [...new Set([...Object.keys(first), ...Object.keys(second)])].reduce(
    (sum, name) => sum + (root(first[name] ?? 0) - root(second[name] ?? 0)) ** 2,
    0,
  );
}

function standardOf({ variance: first }: KnownResult, { variance: second }: KnownResult): number {
  return root(
    first.own + second.own + leftOfShared(first.tools, second.tools) + leftOfShared(first.given, second.given),
  );
}

/**
 * Compares the results of two groups: what a tool or a given value adds to both cancels, the rest adds in quadrature (JCGM 100:2008,
 * 5.2.2), and they agree where they differ by no more than twice the uncertainty of their difference.
 */
export function betweenTwo(first: GroupResult, second: GroupResult): BetweenTwo {
  const difference = first.value - second.value;
  if (!hasVariance(first) || !hasVariance(second)) return { difference, standard: null, agree: null };
  const standard = standardOf(first, second);
  return { difference, standard, agree: Math.abs(difference) <= 2 * standard * (1 + 1e-9) };
}

/**
 * Groups in pairs whose results lie well apart: the lowest with the one in the middle, and so on up to the highest.
 * @returns pairs of groups, each group in one at most; of an odd number the one in the middle is left over.
 */
export function pairsApart(results: readonly Pick<GroupResult, 'group' | 'value'>[]): (readonly [string, string])[] {
  const sorted = [...results].sort((a, b) => a.value - b.value);
  const half = Math.floor(sorted.length / 2);
  const upper = sorted.slice(sorted.length - half);
  return sorted.slice(0, half).flatMap(({ group }, i) => {
    const other = upper[i];
    return other ? [[group, other.group] as const] : [];
  });
}
