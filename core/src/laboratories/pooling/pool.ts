import { compensatedSum } from '../../statistics/compensated-sum.ts';
import { consensus } from '../../statistics/consensus.ts';
import { summarise, type Summary } from '../../statistics/summarise.ts';
import type { KeptVariance } from '../kept-results.ts';
import { hasVariance, root, type GroupResult, type KnownResult } from './group-result.ts';

/** What results have in common, and do not lose by being many. */
export interface SharedPart {
  readonly kind: 'tool' | 'given';
  /** Code of the tool, or the quantity that was given. */
  readonly name: string;
  /** Standard uncertainty that it adds to the value of all together. */
  readonly standard: number;
  readonly groups: number;
}

/** What groups found together. */
export interface PooledValue {
  readonly value: number;
  /** From the groups’ own uncertainties and what lies between them. */
  readonly own: number;
  /** What they share, the largest first. */
  readonly shared: readonly SharedPart[];
  /** Of both together. */
  readonly standard: number;
  /** Standard deviation between the groups beyond what each knows of its own result; 0 where that explains it. */
  readonly betweenGroups: number;
  /** Groups further from the rest than chance brings one of so many. */
  readonly disagreeing: readonly string[];
  /** Groups without an uncertainty: they are seen, and do not count. */
  readonly left: readonly string[];
}

export interface Pool {
  /** Of the values alone, each counting the same. */
  readonly summary: Summary;
  /** Null where no group has an uncertainty. */
  readonly together: PooledValue | null;
}

/** Standard uncertainties that results share add up before they are squared: they err to the same side. */
function sharedParts(
  known: readonly KnownResult[],
  weights: readonly number[],
  kind: SharedPart['kind'],
  partsOf: (variance: KeptVariance) => Readonly<Record<string, number>>,
): SharedPart[] {
  const names = new Set(known.flatMap(({ variance }) => Object.keys(partsOf(variance))));
  return [...names].map((name) => {
    const each = known.flatMap(({ variance }, i) => {
      const part = partsOf(variance)[name];
      return part === undefined ? [] : [(weights[i] ?? 0) * root(part)];
    });
    return { kind, name, standard: compensatedSum(each), groups: each.length };
  });
}

function together(results: readonly GroupResult[]): PooledValue | null {
  const known = results.filter(hasVariance);
  if (known.length === 0) return null;
  const found = consensus(
    known.map(({ value }) => value),
    known.map(({ variance }) => root(variance.own)),
  );
  const shared = [
    ...sharedParts(known, found.weights, 'tool', ({ tools }) => tools),
    ...sharedParts(known, found.weights, 'given', ({ given }) => given),
  ]
    .filter(({ standard }) => standard > 0)
    .sort((a, b) => b.standard - a.standard);
  return {
    value: found.value,
    own: found.standard,
    shared,
    standard: Math.hypot(found.standard, ...shared.map(({ standard }) => standard)),
    betweenGroups: found.betweenGroups,
    disagreeing: found.disagreeing.flatMap((i) => known[i]?.group ?? []),
    left: results.filter(({ variance }) => variance === null).map(({ group }) => group),
  };
}

/**
 * Puts the results of groups together: what is each group’s own, by random effects (see `consensus`), then what tools and given values
 * share, which being many does not make smaller.
 * @param results of different groups, at least one, all of one quantity in one unit.
 * @throws RangeError where there is none, or a value is not finite.
 */
export function pool(results: readonly GroupResult[]): Pool {
  return { summary: summarise(results.map(({ value }) => value)), together: together(results) };
}
