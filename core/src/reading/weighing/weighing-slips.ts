import type { BeamBalance, DigitalBalance } from '../../instruments/instrument.ts';
import { withoutDust, type Indication } from '../indication/indication.ts';
import { differenceSlips, initialAlone } from '../slips/difference.ts';
import type { CorrectionSlip } from '../slips/slip.ts';
import { ZERO_SLIPS } from '../slips/zero.ts';
import type { WeighingSituation } from './weighing-situation.ts';

type Weighed = Indication<BeamBalance | DigitalBalance, WeighingSituation>;

/** What a balance shows when one of the things to be taken off it is left in. */
function leftIn({ subtracted }: Weighed, reading: number, left: number): number {
  return withoutDust(reading - subtracted + left);
}

const notZeroed: CorrectionSlip<Weighed> = {
  id: 'not-zeroed',
  stage: 'correction',
  name: 'Not zeroed first',
  baseRate: 0.3,
  why: () => 'The empty balance did not show zero. What it showed then is still in your reading.',
  lookAt: () => 'what the balance shows with nothing on it',
  corrected(indication, reading) {
    const { empty = 0, zeroError = 0 } = indication.situation;
    if (indication.asked === 'observed') return [];
    if (empty !== 0) return [{ value: leftIn(indication, reading, empty), part: 1 }];
    return zeroError === 0 ? [] : [{ value: leftIn(indication, reading, zeroError), part: 0.5 }];
  },
};

const containerIncluded: CorrectionSlip<Weighed> = {
  id: 'container-included',
  stage: 'correction',
  name: 'The vessel was weighed with it',
  baseRate: 0.25,
  why: ({ situation: { vessel = 'vessel' } }) =>
    `You read the mass of the ${vessel} and the thing in it together. Subtract the ${vessel} alone.`,
  lookAt: () => 'what else was on the balance besides the thing in the question',
  corrected(indication, reading) {
    const { container = 0 } = indication.situation;
    return container === 0 || indication.asked === 'observed'
      ? []
      : [{ value: leftIn(indication, reading, container), part: 1 }];
  },
};

/** What the balance shows with the vessel alone, of a weighing by difference. */
function vesselAlone({ asked, situation, subtracted }: Weighed): number | null {
  return asked === 'corrected' && (situation.container ?? 0) > 0 ? subtracted : null;
}

const containerAlone = initialAlone(
  { id: 'container-alone', name: 'Only the empty vessel’s mass', baseRate: 0.04 },
  vesselAlone,
  {
    why: 'The mass is the reading with the thing in the vessel minus the vessel alone. You wrote the vessel alone.',
    lookAt: 'what was on the balance at each of the two readings',
  },
);

/** What is left in a weighing, or taken off the wrong way. */
export const WEIGHING_SLIPS: readonly CorrectionSlip<Weighed>[] = [
  ...ZERO_SLIPS,
  notZeroed,
  containerIncluded,
  containerAlone,
  ...differenceSlips(vesselAlone),
];
