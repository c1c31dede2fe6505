import { multipleOf } from '../../scales/linear-scale.ts';
import type { Action, ActionKind } from '../actions.ts';
import type { Disturbance } from './weighing-situation.ts';

/** What lies on a pan. */
export interface OnPan {
  readonly vessel: boolean;
  readonly thing: boolean;
}

/** The pan after something was put on it or taken off. */
export function putOrTaken<P extends OnPan>(pan: P, { kind }: Action): P {
  if (kind === 'put-vessel' || kind === 'take-vessel') return { ...pan, vessel: kind === 'put-vessel' };
  return kind === 'put-thing' || kind === 'take-thing' ? { ...pan, thing: kind === 'put-thing' } : pan;
}

/** What puts each disturbance right. */
export const PUTS_RIGHT: Readonly<Record<Disturbance, ActionKind>> = {
  draught: 'shield',
  'off-centre': 'centre',
  wet: 'dry',
  fingerprints: 'clean',
  touching: 'hang-free',
};

/** By how much a disturbed weighing is off, in last digits; no more than can be noticed. */
const OFF_BY: Readonly<Record<Disturbance, number>> = {
  draught: 6,
  'off-centre': 4,
  wet: 9,
  fingerprints: 3,
  touching: -14,
};

/** What a disturbance adds to what a balance with such a division shows, in g; nothing where there is none. */
export function disturbedBy(division: number, disturbance: Disturbance | undefined): number {
  return disturbance === undefined ? 0 : multipleOf(division, OFF_BY[disturbance]);
}

/** What each disturbance does, once it has been missed. */
export const MISSED: Readonly<Record<Disturbance, string>> = {
  draught: 'The draught shield was open. Moving air presses on the pan and shifts the reading. Close the shield first.',
  'off-centre': 'It lay near the rim of the pan. Put it in the middle: there the balance is right.',
  wet: 'It was wet, so you weighed the water too. Dry it first.',
  touching: 'It touched the side of the beaker, which carried a part of it. Let it hang free before you weigh it.',
  fingerprints:
    'It was held in the hand. A balance as fine as this also weighs the grease of fingerprints. Wipe it and use tweezers.',
};
