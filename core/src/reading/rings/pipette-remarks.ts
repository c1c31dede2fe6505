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
      text: `When you delivered it, the level was ${Math.abs(above).toFixed(1)} mm ${above > 0 ? 'above' : 'below'} the ring: about ${millilitres.toFixed(2)} mL too ${above > 0 ? 'much' : 'little'}.`,
    },
  ];
}

const NOT_WIPED: Remark = {
  id: 'not-wiped',
  text: 'You did not wipe the outside. Drops that hang there run down and are delivered too.',
};
const BLOWN: Remark = {
  id: 'last-drop-blown',
  text: 'You blew the last drop out. This pipette is made so that one drop stays in the tip.',
};
const NOT_DRAINED: Remark = {
  id: 'not-drained',
  text: 'You took it away at once. Hold the tip against the wall and wait: a film still runs down inside.',
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
