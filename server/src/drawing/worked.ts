import type { Exercise, Level } from '@green-beam/core';

/** What somebody has worked before: how hard the next exercise of each kind is to be, and those that have been set. */
export interface Worked {
  readonly levels: ReadonlyMap<string, Level>;
  /** Each as `tellOf` tells it. */
  readonly seen: ReadonlySet<string>;
}

export const NOTHING_WORKED: Worked = { levels: new Map(), seen: new Set() };

/** What makes an exercise the one it is: what is told, what is given, and what is to be chosen from. */
export function tellOf(exercise: Exercise): string {
  return JSON.stringify({ ...exercise, level: 0 });
}
