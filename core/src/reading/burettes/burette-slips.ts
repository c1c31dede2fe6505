import { MENISCUS_SLIPS } from '../column/meniscus-slips.ts';
import { COUNTING_SLIPS } from '../slips/counting.ts';
import { EYE_LEVEL_SLIPS } from '../slips/eye-level.ts';
import { differenceSlips, initialAlone } from '../slips/difference.ts';
import type { CorrectionSlip, Slip } from '../slips/slip.ts';
import type { BuretteIndication } from './burette-indication.ts';

const whatIsLeft: CorrectionSlip<BuretteIndication> = {
  id: 'what-is-left',
  stage: 'correction',
  name: 'What is left in the tool',
  baseRate: 0.06,
  why: () => 'You wrote how much liquid is left. The scale counts what has run out, from the zero at the top.',
  lookAt: () => 'where the zero of this scale stands',
  corrected: ({ tool }, reading) => [{ value: tool.scale.to - reading, part: 1 }],
};

/** Where the surface began, of a volume that has run out since. */
function initialOf({ asked, situation }: BuretteIndication): number | null {
  return asked === 'delivered' && situation.from ? situation.from : null;
}

const finalAsDelivered: CorrectionSlip<BuretteIndication> = {
  id: 'final-as-delivered',
  stage: 'correction',
  name: 'Only the final reading',
  baseRate: 0.15,
  why: () => 'The volume delivered is the final reading minus the initial one. You wrote the final one alone.',
  lookAt: () => 'both readings: where the surface began, and where it ended',
  corrected: (indication, reading) => (initialOf(indication) === null ? [] : [{ value: reading, part: 1 }]),
};

const initialAsDelivered = initialAlone(
  { id: 'initial-as-delivered', name: 'Only the initial reading', baseRate: 0.04 },
  initialOf,
  {
    why: 'The volume delivered is the final reading minus the initial one. You wrote the initial one alone.',
    lookAt: 'both readings: where the surface began, and where it ended',
  },
);

export const BURETTE_SLIPS: readonly Slip<BuretteIndication>[] = [
  ...EYE_LEVEL_SLIPS,
  ...MENISCUS_SLIPS,
  ...COUNTING_SLIPS,
  whatIsLeft,
  finalAsDelivered,
  initialAsDelivered,
  ...differenceSlips(initialOf),
];
