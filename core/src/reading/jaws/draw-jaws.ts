import { multipleOf } from '../../scales/linear-scale.ts';
import { BY_HAND, drawnAsk, OVER_A_ZERO_ERROR, sometimesAny, type Aimed } from '../drawing/aimed.ts';
import type { JawsSituation } from './jaws-situation.ts';

const OVER_A_NEGATIVE = ['zero-negative-misread', 'zero-negative-forwards'];

/** How far a caliper or a micrometer is off: so many of its last digits, and either way. */
export function drawnZeroError(
  digit: number,
  [least, most]: readonly [number, number],
  aimed: Aimed,
): Pick<JawsSituation, 'zeroError' | 'ask'> {
  if (!sometimesAny(aimed, [...OVER_A_ZERO_ERROR, ...OVER_A_NEGATIVE], 0.4)) return {};
  const count = least + aimed.random.below(most - least + 1);
  const negative = OVER_A_NEGATIVE.some(aimed.at) || aimed.random.uniform() < 0.5;
  return { zeroError: multipleOf(digit, negative ? -count : count), ...drawnAsk(aimed) };
}

/**
 * Part of the things are brought between the jaws by the student, now and then soft, or with grit on them.
 * @param size decides whether a soft thing can be of that size.
 */
export function broughtByHand(
  size: number,
  division: number,
  { random, any }: Aimed,
): Pick<JawsSituation, 'loose' | 'thing' | 'soft' | 'grit'> {
  if (random.uniform() >= BY_HAND) return {};
  const chance = random.uniform();
  if (!any && chance < 0.15 && size >= 8 && size <= 40) return { loose: true, thing: 'cork bung', soft: 1.2 };
  return {
    loose: true,
    ...(chance > 0.75 ? { grit: Number(((2 + random.below(4)) * division).toFixed(4)) } : {}),
  };
}
