import { labelPassed } from '../../scales/linear-scale.ts';
import { COUNTING_SLIPS } from '../slips/counting.ts';
import { scattered, type Counted, type CountSlip, type Slip } from '../slips/slip.ts';
import { WEIGHING_SLIPS } from '../weighing/weighing-slips.ts';
import { withoutDust } from '../indication/indication.ts';
import { areSeated, isBalanced, riderReading, ridersShowing, type BeamIndication } from './beam-indication.ts';

const counted = (value: number, part = 1): Counted => scattered(withoutDust(value), part);

const riderUp: CountSlip<BeamIndication> = {
  id: 'rider-up',
  stage: 'count',
  where: 'sliding rider',
  name: 'The sliding rider’s next number',
  baseRate: 0.12,
  why: () => 'The sliding rider is between two numbers. You took the one that it has not reached.',
  lookAt: () => 'the number the sliding rider has passed, and the lines beyond it',
  counted(indication, seen) {
    const riders = ridersShowing(indication, seen);
    const scale = indication.tool.beams.at(-1)?.scale;
    if (!riders || !scale) return [];
    const sliding = riders.at(-1) ?? 0;
    // On a number there is nothing to be mistaken.
    return sliding - labelPassed(scale, sliding) < scale.division / 2 ? [] : [counted(seen + scale.labelEvery)];
  },
};

const beamsSwapped: CountSlip<BeamIndication> = {
  id: 'beams-swapped',
  stage: 'count',
  where: 'notches',
  name: 'Two riders mixed up',
  baseRate: 0.05,
  why: () => 'Each beam has its own size of step. You wrote the digit of one rider in the place of another.',
  lookAt: () => 'what one notch of each beam stands for, before adding up',
  counted(indication, seen) {
    const riders = ridersShowing(indication, seen);
    if (!riders) return [];
    const digits = indication.tool.beams.flatMap(({ notched, scale }, i) =>
      notched ? [{ size: scale.division, digit: Math.round((riders[i] ?? 0) / scale.division) }] : [],
    );
    const swaps = digits.flatMap((one, i) =>
      digits.slice(i + 1).map((other) => (one.digit - other.digit) * (other.size - one.size)),
    );
    const readings = swaps.filter((change) => change !== 0).map((change) => seen + change);
    return readings.map((value) => counted(value, 1 / readings.length));
  },
};

const beamOmitted: CountSlip<BeamIndication> = {
  id: 'beam-omitted',
  stage: 'count',
  where: 'notches',
  twice: true,
  name: 'A rider left out',
  baseRate: 0.1,
  why: () => 'The mass is the sum of all the riders. You left one out.',
  lookAt: () => 'every beam, from the largest rider to the sliding one',
  counted(indication, seen) {
    const adding = ridersShowing(indication, seen)?.filter((rider) => rider > 1e-9) ?? [];
    // Who leaves out the only rider that has moved reads nothing at all.
    return adding.length < 2 ? [] : adding.map((rider) => counted(seen - rider, 1 / adding.length));
  },
};

const notchOff: CountSlip<BeamIndication> = {
  id: 'notch-off',
  stage: 'count',
  where: 'notches',
  twice: true,
  name: 'A rider read one notch off',
  baseRate: 0.08,
  why: () => 'You read one of the riders at the notch next to its own.',
  lookAt: () => 'the number at each notch, from the largest rider on',
  counted(indication, seen) {
    const riders = ridersShowing(indication, seen);
    if (!riders) return [];
    const readings = indication.tool.beams.flatMap(({ notched, scale }, i) => {
      const at = riders[i] ?? 0;
      const beside = notched ? [at - scale.division, at + scale.division] : [];
      return beside.filter((notch) => notch >= scale.from && notch <= scale.to).map((notch) => seen - at + notch);
    });
    return readings.map((value) => counted(value, 1 / readings.length));
  },
};

const notSeated: CountSlip<BeamIndication> = {
  id: 'not-seated',
  stage: 'count',
  name: 'A rider not in its notch',
  baseRate: 0.4,
  needsTheTool: true,
  why: () => 'A rider is between two notches, and it counts where it is. You read a notch.',
  lookAt: () => 'whether every notched rider has dropped into its notch',
  counted: (indication) =>
    isBalanced(indication) && !areSeated(indication) ? [counted(riderReading(indication))] : [],
};

const notBalanced: CountSlip<BeamIndication> = {
  id: 'not-balanced',
  stage: 'count',
  name: 'Read before it was in balance',
  baseRate: 0.4,
  needsTheTool: true,
  why: () => 'The pointer did not swing about its mark. The riders did not balance the load yet.',
  lookAt: () => 'the pointer: it swings as far above the mark as below it, or it rests on the mark',
  counted: (indication) => (isBalanced(indication) ? [] : [counted(riderReading(indication))]),
};

export const BEAM_SLIPS: readonly Slip<BeamIndication>[] = [
  // A label off on the sliding rider’s beam has a name of its own here.
  ...COUNTING_SLIPS.filter(({ id }) => id !== 'label-off').map((slip) => ({ ...slip, where: 'sliding rider' })),
  riderUp,
  beamsSwapped,
  beamOmitted,
  notchOff,
  notSeated,
  notBalanced,
  ...WEIGHING_SLIPS,
];
