import { multipleOf } from '../../scales/linear-scale.ts';
import { BY_HAND, sometimes, type Aimed } from '../drawing/aimed.ts';
import type { JawsSituation } from './jaws-situation.ts';

/** How far a caliper or a micrometer is off, in its last digits: a few, and either way. */
export function drawnZeroError(division: number, aimed: Aimed): Pick<JawsSituation, 'zeroError'> {
  const wanted = aimed.at('zero-sign') || aimed.at('zero-negative-misread') || sometimes(aimed, 'zero-ignored', 0.4);
  if (!wanted) return {};
  const count = 2 + aimed.random.below(division < 0.1 ? 5 : 3);
  const negative = aimed.at('zero-negative-misread') || aimed.random.uniform() < 0.5;
  return { zeroError: multipleOf(division, negative ? -count : count) };
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
