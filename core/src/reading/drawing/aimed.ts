import type { HouseRules } from '../../rules/house-rules.ts';
import type { Random } from '../../simulation/random.ts';

/** What a drawn situation is to be good for. */
export interface Aimed {
  readonly random: Random;
  readonly rules: HouseRules;
  /** Whether a slip is aimed at. */
  readonly at: (slip: string) => boolean;
  /** Whether any is. */
  readonly any: boolean;
}

/** True where a slip is aimed at, and otherwise now and then. */
export function sometimes({ random, at, any }: Aimed, slip: string, chance: number): boolean {
  return at(slip) || (!any && random.uniform() < chance);
}

/** An eye off the level, the way that is aimed at. */
export function drawnEye({ random, at }: Aimed): number {
  const height = 35 + 55 * random.uniform();
  if (at('eye-low')) return -height;
  return Number((at('eye-high') || random.uniform() < 0.5 ? height : -height).toFixed(1));
}

/** Part of the things that the student handles. */
export const BY_HAND = 0.5;
