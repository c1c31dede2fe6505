import type { RingTool } from '../../instruments/instrument.ts';
import type { Remark } from '../actions.ts';

/** What has been done with a pipette since it was filled last. */
export interface Filling {
  readonly filled: boolean;
  /** How far the surface stands above the ring, in mm; null where that is not known. */
  readonly above: number | null;
  readonly wiped: boolean;
  readonly delivered: boolean;
  readonly drained: boolean;
  readonly takenAway: boolean;
  readonly blown: boolean;
}

export const UNFILLED: Filling = {
  filled: false,
  above: null,
  wiped: false,
  delivered: false,
  drained: false,
  takenAway: false,
  blown: false,
};

/** Nearer than this to the ring, in mm, a surface counts as set on it. */
const ON_THE_RING = 0.5;

function ringMissed({ bore }: RingTool, above: number): Remark[] {
  if (Math.abs(above) <= ON_THE_RING) return [];
  const millilitres = (Math.abs(above) * Math.PI * (bore / 2) ** 2) / 1000;
  return [
    {
      id: 'ring-missed',
      text: `When it was delivered the surface stood ${Math.abs(above).toFixed(1)} mm ${above > 0 ? 'above' : 'below'} the ring: about ${millilitres.toFixed(2)} mL too ${above > 0 ? 'much' : 'little'}.`,
    },
  ];
}

const NOT_WIPED: Remark = {
  id: 'not-wiped',
  text: 'The outside was not wiped: what hangs there runs down and is delivered as well.',
};
const BLOWN: Remark = {
  id: 'last-drop-blown',
  text: 'The last drop was blown out. This pipette is made to deliver: the drop that stays in the tip is allowed for.',
};
const NOT_DRAINED: Remark = {
  id: 'not-drained',
  text: 'It was taken away at once. Let it drain against the wall and wait: a film still runs down inside.',
};

/** What is to be said of a delivery; nothing before there was one. */
export function pipetteRemarks(tool: RingTool, filling: Filling): Remark[] {
  if (!filling.filled || !filling.delivered) return [];
  return [
    ...(filling.wiped ? [] : [NOT_WIPED]),
    ...(filling.above === null ? [] : ringMissed(tool, filling.above)),
    ...(filling.blown ? [BLOWN] : []),
    ...(filling.takenAway && !filling.drained ? [NOT_DRAINED] : []),
  ];
}
