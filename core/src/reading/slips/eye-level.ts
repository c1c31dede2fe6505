import { acceptanceBand } from '../expected-reading.ts';
import { displayReadingOf } from '../balance-reading.ts';
import { EYE_DISTANCE, parallax, scaleReadingOf, seenAt, type ScaleReading } from '../scale-reading.ts';
import type { ReadingTask } from '../reading-task.ts';
import { caliperReadingOf, VERNIER_GAP } from '../slide-reading.ts';
import type { SightSlip } from './slip.ts';

/** A shift that stays within the accepted band makes no reading wrong, and cannot be told from scatter. */
function isNoticeable(task: ReadingTask, { tool }: ScaleReading, shift: number): boolean {
  return Math.abs(shift) > acceptanceBand(tool, task.rules);
}

function shiftOf(reading: ScaleReading): number {
  return seenAt(reading, parallax(reading)) - reading.present;
}

function shiftWhen(task: ReadingTask, isOff: (reading: ScaleReading) => boolean): number | null {
  const reading = scaleReadingOf(task);
  if (!reading || !isOff(reading)) return null;
  const shift = shiftOf(reading);
  return isNoticeable(task, reading, shift) ? shift : null;
}

const upright = ({ tool }: ScaleReading): boolean => tool.body.kind !== 'rule';

function why(task: ReadingTask, slope: string): string {
  const reading = scaleReadingOf(task);
  const higher = reading !== null && shiftOf(reading) > 0;
  return `Your line of sight slopes ${slope}, so what you read seems to stand beside a ${higher ? 'higher' : 'lower'} mark than it does.`;
}

const lookAt = (): string => 'the beam: bring the eye to where it runs level';

export const eyeHigh: SightSlip = {
  id: 'eye-high',
  stage: 'sight',
  name: 'Eye too high',
  baseRate: 0.5,
  why: (task) => why(task, 'down'),
  lookAt,
  shift: (task) => shiftWhen(task, (reading) => upright(reading) && reading.eyeHeight > 0),
  path: () => [{ kind: 'sight', text: 'the eye is above the mark' }],
};

export const eyeLow: SightSlip = {
  id: 'eye-low',
  stage: 'sight',
  name: 'Eye too low',
  baseRate: 0.5,
  why: (task) => why(task, 'up'),
  lookAt,
  shift: (task) => shiftWhen(task, (reading) => upright(reading) && reading.eyeHeight < 0),
  path: () => [{ kind: 'sight', text: 'the eye is below the mark' }],
};

export const eyeAside: SightSlip = {
  id: 'eye-aside',
  stage: 'sight',
  name: 'Eye to one side',
  baseRate: 0.5,
  why: (task) => why(task, 'sideways'),
  lookAt: () => 'the beam: bring the eye straight over the edge',
  shift: (task) => {
    const caliper = caliperReadingOf(task);
    if (!caliper) return shiftWhen(task, (reading) => !upright(reading) && reading.eyeHeight !== 0);
    const shift = (VERNIER_GAP * (task.situation.eyeHeight ?? 0)) / EYE_DISTANCE;
    return Math.abs(shift) > acceptanceBand(caliper.tool, task.rules) ? shift : null;
  },
  path: () => [{ kind: 'sight', text: 'the eye is not over the edge' }],
};

export const unsettled: SightSlip = {
  id: 'unsettled',
  stage: 'sight',
  name: 'Read before it was at rest',
  baseRate: 0.4,
  why: (task) =>
    displayReadingOf(task)
      ? 'The digits were still changing: the balance had not settled, and did not show its stability mark yet.'
      : 'The thread was still moving: it had not taken up the temperature of the liquid yet.',
  lookAt: (task) =>
    displayReadingOf(task) ? 'the stability mark' : 'the end of the thread, until it has stood still for a while',
  shift: (task) => {
    const display = displayReadingOf(task);
    if (display) return display.present === display.value ? null : display.present - display.value;
    const reading = scaleReadingOf(task);
    if (!reading) return null;
    const shift = reading.present - reading.value;
    return isNoticeable(task, reading, shift) ? shift : null;
  },
};
