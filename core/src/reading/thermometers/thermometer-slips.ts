import { lastMarkPassed } from '../../scales/linear-scale.ts';
import { COUNTING_SLIPS } from '../slips/counting.ts';
import { itself, markOver, spanOn } from '../slips/on-its-scale.ts';
import { EYE_LEVEL_SLIPS, noticed } from '../slips/eye-level.ts';
import { scattered, type CountSlip, type SightSlip, type Slip } from '../slips/slip.ts';
import { UNSETTLED } from '../slips/unsettled.ts';
import { ZERO_SLIPS } from '../slips/zero.ts';
import type { ThermometerIndication } from './thermometer-indication.ts';

const threadMoving: SightSlip<ThermometerIndication> = {
  ...UNSETTLED,
  why: () => 'The thread was still moving. It had not reached the temperature of the liquid yet.',
  lookAt: () => 'the end of the thread, until it has stood still for a while',
  shift: (indication) => noticed(indication, indication.present - indication.mark),
};

const signLost: CountSlip<ThermometerIndication> = {
  id: 'sign-lost',
  stage: 'count',
  name: 'The sign or its direction was lost',
  baseRate: 0.2,
  why: () =>
    'Below zero the numbers grow downward. Count on from the mark passed, away from zero, and write the minus sign.',
  lookAt: () => 'on which side of zero the thread ends, and which mark it has passed on the way down',
  counted({ tool: { scale } }, seen) {
    if (scale.from >= 0 || seen >= 0) return [];
    const [passed, beyond] = [lastMarkPassed(scale, seen), markOver(scale, seen)];
    const wrongWay = passed === seen ? [] : [scattered(2 * passed - seen, 0.3), scattered(2 * beyond - seen, 0.2)];
    return [scattered(-seen, 0.5), ...wrongWay];
  },
  path: (indication) => spanOn(indication, () => 0, itself, 'below zero'),
};

export const THERMOMETER_SLIPS: readonly Slip<ThermometerIndication>[] = [
  ...EYE_LEVEL_SLIPS,
  threadMoving,
  ...COUNTING_SLIPS,
  signLost,
  ...ZERO_SLIPS,
];
