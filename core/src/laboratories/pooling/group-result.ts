import type { KeptVariance } from '../kept-results.ts';

/** One group’s result, to be compared with those of others. */
export interface GroupResult {
  readonly group: string;
  /** In the unit that all share. */
  readonly value: number;
  /** The variance by quadrature, in parts; null where quadrature has no result. */
  readonly variance: KeptVariance | null;
}

export type KnownResult = GroupResult & { readonly variance: KeptVariance };

export function hasVariance(result: GroupResult): result is KnownResult {
  return result.variance !== null;
}

/** The root of a part of a variance. It can be below 0 where scatters go against each other: alone it then adds nothing. */
export function root(part: number): number {
  return Math.sqrt(Math.max(0, part));
}
