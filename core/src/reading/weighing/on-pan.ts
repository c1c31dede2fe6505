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
  draught:
    'The draught shield was open: moving air presses on the pan, and the digits do not come to rest on the mass. Close it before reading.',
  'off-centre': 'It lay near the rim of the pan: a balance is right for what lies in its middle.',
  wet: 'It was wet when it was weighed: what clung to it was weighed too. Dry it first.',
  touching: 'It touched the side of the beaker, which bore a part of it: hang it free before it is weighed.',
  fingerprints:
    'It had been taken up by hand: the grease of fingerprints shows on a balance as fine as this. Use tweezers, and wipe it.',
};
