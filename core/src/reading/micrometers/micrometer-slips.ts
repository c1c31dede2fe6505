import { PITCH, THIMBLE_DIVISION } from '../../instruments/micrometers.ts';
import { labelOff } from '../slips/label-off.ts';
import { scattered, type Counted, type CountSlip, type Slip } from '../slips/slip.ts';
import { ZERO_SLIPS, zeroNegativeMisread } from '../slips/zero.ts';
import { mainMarkAfter, vernierIgnored, vernierNeighbour } from '../vernier/vernier-slips.ts';
import { onThimble, type MicrometerIndication } from './micrometer-indication.ts';

/** Thimble divisions from one number to the next. */
const PER_LABEL = 5;

/** Whether a half-millimetre line is the last one uncovered. */
function halfUncovered(seen: number): boolean {
  return Math.round(onThimble(seen).sleeve * 2) % 2 !== 0;
}

const halfMissed: CountSlip = {
  id: 'half-missed',
  stage: 'count',
  name: 'The half millimetre was not counted',
  baseRate: 0.25,
  why: () =>
    'A half-millimetre line is uncovered on the other side of the datum line, and it counts: two turns of the thimble make one millimetre.',
  lookAt: () => 'the lines below the datum line, next to the thimble’s edge',
  counted: (_, seen) => (halfUncovered(seen) ? [scattered(seen - PITCH)] : []),
};

const halfInvented: CountSlip = {
  id: 'half-invented',
  stage: 'count',
  name: 'A half millimetre counted before it is there',
  baseRate: 0.12,
  why: () =>
    'The half-millimetre line is not uncovered yet: the thimble has not passed its zero since the whole millimetre.',
  lookAt: () => 'whether the thimble has passed 0 since the last line appeared',
  counted: (_, seen) => (halfUncovered(seen) ? [] : [scattered(seen + PITCH)]),
};

const thimbleAsTenths: CountSlip<MicrometerIndication> = {
  id: 'thimble-as-tenths',
  stage: 'count',
  name: 'Thimble divisions taken for tenths',
  baseRate: 0.1,
  why: () => 'One division of the thimble is a hundredth of a millimetre: 23 divisions are 0.23 mm.',
  lookAt: () => 'what one turn of the thimble is, and into how many parts it is divided',
  counted({ tool }, seen) {
    const { sleeve, divisions } = onThimble(seen);
    const of = (size: number, part: number): Counted =>
      scattered(sleeve + divisions * size, part, tool.sleeveLines > 0 ? size / 10 : size);
    return divisions < 1 ? [] : [of(0.1, 0.6), of(0.001, 0.4)];
  },
};

const thimbleWrongWay: CountSlip = {
  id: 'thimble-wrong-way',
  stage: 'count',
  name: 'The thimble counted the wrong way',
  baseRate: 0.1,
  why: () =>
    'The thimble’s numbers grow away from you as it opens: divisions are counted from the number passed last, and added.',
  lookAt: () => 'the numbers on both sides of the datum line: which one was passed, and which is still to come',
  counted(_, seen) {
    const { sleeve, divisions } = onThimble(seen);
    const below = Math.floor(divisions / PER_LABEL + 1e-9) * PER_LABEL;
    const beyond = divisions - below;
    if (beyond < 0.2) return [];
    const up = sleeve + (below + 2 * PER_LABEL - beyond) * THIMBLE_DIVISION;
    const down = sleeve + (below - beyond) * THIMBLE_DIVISION;
    return below > 0 ? [scattered(up, 0.5), scattered(down, 0.5)] : [scattered(up)];
  },
};

export const MICROMETER_SLIPS: readonly Slip<MicrometerIndication>[] = [
  mainMarkAfter,
  vernierNeighbour,
  vernierIgnored,
  labelOff,
  halfMissed,
  halfInvented,
  thimbleAsTenths,
  thimbleWrongWay,
  ...ZERO_SLIPS,
  // One turn lies between a thimble’s last division and its zero.
  zeroNegativeMisread(PITCH),
];
