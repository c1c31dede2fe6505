import { PITCH, THIMBLE, THIMBLE_DIVISION } from '../../instruments/micrometers.ts';
import { marksCounted, roundedUp } from '../slips/counting.ts';
import { estimateOff } from '../slips/estimate-off.ts';
import { labelOff } from '../slips/label-off.ts';
import type { Marked } from '../slips/on-its-scale.ts';
import { scattered, unscattered, type Counted, type CountSlip, type Slip } from '../slips/slip.ts';
import { ZERO_SLIPS, zeroNegativeForwards, zeroNegativeMisread } from '../slips/zero.ts';
import { mainMarkAfter, vernierIgnored, vernierNeighbour } from '../vernier/vernier-slips.ts';
import { onThimble, type MicrometerIndication } from './micrometer-indication.ts';

/** Thimble divisions from one number to the next. */
const PER_LABEL = THIMBLE.labelEvery / THIMBLE.division;

/** A slip of counting as it is made on the thimble. */
function onTheThimble(slip: CountSlip<Marked>): CountSlip<MicrometerIndication> {
  const there = (indication: MicrometerIndication): MicrometerIndication => ({
    ...indication,
    countedOn: (seen) => ({ scale: THIMBLE, base: onThimble(seen).sleeve }),
  });
  return {
    ...slip,
    where: 'thimble',
    why: (indication) => slip.why(there(indication)),
    counted: (indication, seen) => slip.counted(there(indication), seen),
  };
}

/** Whether a half-millimetre line is the last one uncovered. */
function halfUncovered(seen: number): boolean {
  return Math.round(onThimble(seen).sleeve * 2) % 2 !== 0;
}

const halfMissed: CountSlip = {
  id: 'half-missed',
  stage: 'count',
  where: 'main scale',
  name: 'The half millimetre was not counted',
  baseRate: 0.25,
  why: () =>
    'You can see a half-millimetre line on the other side of the datum line. It counts: two turns of the thimble make one millimetre.',
  lookAt: () => 'the lines below the datum line, next to the thimble’s edge',
  counted: (_, seen) => (halfUncovered(seen) ? [scattered(seen - PITCH)] : []),
};

const halfInvented: CountSlip = {
  id: 'half-invented',
  stage: 'count',
  where: 'main scale',
  name: 'Half millimetre counted too early',
  baseRate: 0.12,
  why: () =>
    'The half-millimetre line is not reached yet. The thimble has not passed its zero since the last whole millimetre.',
  lookAt: () => 'whether the thimble has passed 0 since the last line appeared',
  counted: (_, seen) => (halfUncovered(seen) ? [] : [scattered(seen + PITCH)]),
};

const thimbleAsTenths: CountSlip<MicrometerIndication> = {
  id: 'thimble-as-tenths',
  stage: 'count',
  where: 'thimble',
  name: 'Thimble divisions read as tenths',
  baseRate: 0.1,
  why: () => 'One division of the thimble is a hundredth of a millimetre: 23 divisions are 0.23 mm.',
  lookAt: () => 'how far one turn of the thimble goes, and how many parts it has',
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
  where: 'thimble',
  name: 'Thimble counted the wrong way',
  baseRate: 0.1,
  why: () => 'Count the thimble’s divisions on from the last number passed. You counted back from the next number.',
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

const sleeveOnly: CountSlip<MicrometerIndication> = {
  id: 'sleeve-only',
  stage: 'count',
  name: 'Only the sleeve was read',
  baseRate: 0.15,
  why: () => 'You wrote what the sleeve shows. Add what the thimble shows.',
  lookAt: () => 'the thimble, where the datum line meets it',
  counted(_, seen) {
    const { sleeve, divisions } = onThimble(seen);
    return divisions < 0.5 ? [] : [{ ...unscattered(sleeve), place: -1 }];
  },
};

const thimbleOnly: CountSlip<MicrometerIndication> = {
  id: 'thimble-only',
  stage: 'count',
  name: 'Only the thimble was read',
  baseRate: 0.1,
  why: () => 'You wrote what the thimble shows. Add it to what the sleeve shows.',
  lookAt: () => 'the last line that you can see on the sleeve',
  counted({ tool }, seen) {
    const { sleeve, divisions } = onThimble(seen);
    if (sleeve < PITCH / 2) return [];
    const asDivisions = tool.sleeveLines > 0 ? 0.1 : 1;
    return [scattered(divisions * THIMBLE_DIVISION, 0.6), scattered(divisions, 0.4, asDivisions)];
  },
};

export const MICROMETER_SLIPS: readonly Slip<MicrometerIndication>[] = [
  mainMarkAfter,
  vernierNeighbour,
  vernierIgnored,
  estimateOff,
  { ...labelOff, where: 'main scale' },
  onTheThimble(roundedUp),
  // Five spaces are seldom miscounted.
  { ...onTheThimble(marksCounted), baseRate: 0.02 },
  halfMissed,
  halfInvented,
  thimbleAsTenths,
  thimbleWrongWay,
  sleeveOnly,
  thimbleOnly,
  ...ZERO_SLIPS,
  // One turn lies between a thimble’s last division and its zero.
  zeroNegativeMisread(PITCH),
  zeroNegativeForwards([THIMBLE_DIVISION, PITCH]),
];
