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
export function sometimes(aimed: Aimed, slip: string, chance: number): boolean {
  return sometimesAny(aimed, [slip], chance);
}

/** True where one of several slips is aimed at, and otherwise now and then. */
export function sometimesAny({ random, at, any }: Aimed, slips: readonly string[], chance: number): boolean {
  return slips.some(at) || (!any && random.uniform() < chance);
}

/** Now and then what a tool that is known to be off shows is asked for, and not what that means. */
export function drawnAsk(aimed: Aimed): { readonly ask?: 'observed' } {
  return sometimes(aimed, 'corrected-unasked', 0.2) ? { ask: 'observed' } : {};
}

/** Slips over a known error. */
export const OVER_A_ZERO_ERROR = ['zero-ignored', 'zero-sign', 'corrected-unasked'] as const;

/** Slips over a difference of two readings. */
export const OVER_A_DIFFERENCE = ['difference-added', 'difference-turned', 'difference-borrowed'] as const;

/** An eye off the level, the way that is aimed at. */
export function drawnEye({ random, at }: Aimed): number {
  const height = 35 + 55 * random.uniform();
  if (at('eye-low')) return -height;
  return Number((at('eye-high') || random.uniform() < 0.5 ? height : -height).toFixed(1));
}

/** Part of the things that the student handles. */
export const BY_HAND = 0.5;
