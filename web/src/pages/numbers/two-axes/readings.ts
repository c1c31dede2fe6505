import { seededRandom } from '@green-beam/core';

/** What is dragged: how a tool reads a thing whose true value is known. */
export interface Reader {
  /** How far all readings are off together, in mL. */
  readonly bias: number;
  /** Standard deviation of one reading, in mL. */
  readonly scatter: number;
  readonly count: number;
  /** What the maker allows to either side, in mL. */
  readonly tolerance: number;
}

/** What can be chosen of each. */
export const BOUNDS = {
  bias: { least: -0.5, most: 0.5, step: 0.01 },
  scatter: { least: 0, most: 0.3, step: 0.005 },
  count: { least: 1, most: 60, step: 1 },
  tolerance: { least: 0.02, most: 0.4, step: 0.01 },
} as const;

/** A pipette’s mark, in mL. */
export const TRUTH = 10;

/** Readings are written to so many decimals. */
const DECIMALS = 2;

export const AT_FIRST: Reader = { bias: 0.2, scatter: 0.04, count: 12, tolerance: 0.1 };

/**
 * Readings of a seed: the same luck each time, so that what is dragged moves them and does not draw them anew. They are written to a
 * hundredth, as anybody reads them: a finer scatter cannot be seen.
 */
export function readingsOf({ bias, scatter, count }: Reader, seed: number): number[] {
  const random = seededRandom(seed);
  return Array.from({ length: count }, () => Number((TRUTH + bias + scatter * random.normal()).toFixed(DECIMALS)));
}

/** A number within bounds, on a step. */
export function within(value: number, { least, most, step }: (typeof BOUNDS)[keyof typeof BOUNDS]): number {
  const bounded = Math.min(most, Math.max(least, value));
  return Number((Math.round(bounded / step) * step).toFixed(3));
}
