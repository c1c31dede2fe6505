import { labelPassed, type LinearScale } from '../../scales/linear-scale.ts';
import { ridersFor, riderSum } from '../../scales/rider-beam.ts';
import { areSeated, beamReadingOf, isBalanced, riderReading, type BeamReading } from '../balance-reading.ts';
import { askedFor, takenOff } from '../correction.ts';
import { instrumentOf, type ReadingTask } from '../reading-task.ts';
import type { CorrectionSlip, CountSlip, Counted } from './slip.ts';

const scattered = (value: number, part = 1): Counted => ({ value: Number(value.toFixed(9)), scatter: true, part });

/** A beam balance that stands as it should; riders that do not are another slip’s matter. */
function restingBeams(task: ReadingTask): BeamReading | null {
  const reading = beamReadingOf(task);
  return reading && isBalanced(reading) && areSeated(reading) ? reading : null;
}

/** What each rider adds when the balance shows `seen`. */
function partsOf({ tool, riders, load }: BeamReading, seen: number): readonly number[] {
  return Math.abs(seen - load) < 1e-6 ? riders : ridersFor(tool.beams, Math.max(0, seen));
}

export const riderUp: CountSlip = {
  id: 'rider-up',
  stage: 'count',
  name: 'The sliding rider’s next number',
  baseRate: 0.12,
  why: () => 'The sliding rider stands between two numbers, and you took the one that it has not reached.',
  lookAt: () => 'the number the sliding rider has passed, and the lines beyond it',
  counted(task, seen) {
    const reading = restingBeams(task);
    const beam = reading?.tool.beams.at(-1);
    if (!reading || !beam) return [];
    const sliding = partsOf(reading, seen).at(-1) ?? 0;
    const { labelEvery, division } = beam.scale;
    // On a number there is nothing to be mistaken.
    return sliding - labelPassed(beam.scale, sliding) < division / 2 ? [] : [scattered(seen + labelEvery)];
  },
};

export const beamsSwapped: CountSlip = {
  id: 'beams-swapped',
  stage: 'count',
  name: 'Two riders taken for each other',
  baseRate: 0.05,
  why: () => 'Each beam counts its own size; the digit of one rider was written in the place of another.',
  lookAt: () => 'what one notch of each beam stands for, before adding up',
  counted(task, seen) {
    const reading = restingBeams(task);
    if (!reading) return [];
    const { tool } = reading;
    const parts = partsOf(reading, seen);
    const digits = tool.beams.flatMap(({ notched, scale }, i) =>
      notched ? [{ size: scale.division, digit: Math.round((parts[i] ?? 0) / scale.division) }] : [],
    );
    const swaps = digits.flatMap((one, i) =>
      digits.slice(i + 1).map((other) => (one.digit - other.digit) * (other.size - one.size)),
    );
    const readings = swaps.filter((change) => change !== 0).map((change) => seen + change);
    return readings.map((value) => scattered(value, 1 / readings.length));
  },
};

export const beamOmitted: CountSlip = {
  id: 'beam-omitted',
  stage: 'count',
  name: 'One rider left out',
  baseRate: 0.1,
  why: () => 'The mass is what all the riders show together; one of them was not added.',
  lookAt: () => 'every beam, from the largest rider to the sliding one',
  counted(task, seen) {
    const reading = restingBeams(task);
    if (!reading) return [];
    const parts = partsOf(reading, seen).filter((part) => part > 1e-9);
    // Who leaves out the only rider that has moved reads nothing at all.
    return parts.length < 2 ? [] : parts.map((part) => scattered(seen - part, 1 / parts.length));
  },
};

export const notSeated: CountSlip = {
  id: 'not-seated',
  stage: 'count',
  name: 'A rider not in its notch',
  baseRate: 0.4,
  why: () =>
    'A rider of the notched beams stands between two notches: it pulls with what it stands at, and you read a notch.',
  lookAt: () => 'whether every notched rider has dropped into its notch',
  counted(task) {
    const reading = beamReadingOf(task);
    return reading && isBalanced(reading) && !areSeated(reading) ? [scattered(riderReading(reading))] : [];
  },
};

export const notBalanced: CountSlip = {
  id: 'not-balanced',
  stage: 'count',
  name: 'Read before it was in balance',
  baseRate: 0.4,
  why: () => 'The pointer did not swing about its mark: the riders did not balance what was on the pan yet.',
  lookAt: () => 'the pointer: as far above the mark as below it, or resting on it',
  counted(task) {
    const reading = beamReadingOf(task);
    return reading && !isBalanced(reading) ? [scattered(riderReading(reading))] : [];
  },
};

/** What a balance shows when one of the things to be taken off it is left in. */
function leftIn(task: ReadingTask, reading: number, left: number): number {
  return Number((reading - takenOff(task) + left).toFixed(9));
}

const isBalance = (task: ReadingTask): boolean => instrumentOf(task).unit === 'g';

export const notZeroed: CorrectionSlip = {
  id: 'not-zeroed',
  stage: 'correction',
  name: 'Not zeroed first',
  baseRate: 0.3,
  why: () => 'With nothing on it the balance did not show zero, and what it showed then is still in the reading.',
  lookAt: () => 'what the balance shows with nothing on it',
  corrected(task, reading) {
    const { empty = 0, zeroError = 0 } = task.situation;
    if (!isBalance(task) || askedFor(task) === 'observed') return [];
    if (empty !== 0) return [{ value: leftIn(task, reading, empty), part: 1 }];
    return zeroError === 0 ? [] : [{ value: leftIn(task, reading, zeroError), part: 0.5 }];
  },
};

export const containerIncluded: CorrectionSlip = {
  id: 'container-included',
  stage: 'correction',
  name: 'The vessel was weighed with it',
  baseRate: 0.25,
  why: (task) =>
    `The reading is of the ${task.situation.vessel ?? 'vessel'} and what is in it together; the ${task.situation.vessel ?? 'vessel'} alone is to be taken off.`,
  lookAt: () => 'what stood on the balance besides the thing that is asked for',
  corrected(task, reading) {
    const { container = 0 } = task.situation;
    return container === 0 || askedFor(task) === 'observed'
      ? []
      : [{ value: leftIn(task, reading, container), part: 1 }];
  },
};

/** The sliding rider’s scale, and what the notched riders show already when the balance shows `seen`; null for any other tool. */
export function slidingBeam(
  task: ReadingTask,
  seen: number,
): { readonly scale: LinearScale; readonly base: number } | null {
  const reading = restingBeams(task);
  const scale = reading?.tool.beams.at(-1)?.scale;
  return reading && scale ? { scale, base: riderSum(partsOf(reading, seen).slice(0, -1)) } : null;
}
