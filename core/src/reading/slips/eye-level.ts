import { liquidColumnOf, parallaxShift } from '../liquid-column.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { SightSlip } from './slip.ts';

/** Below this many divisions of shift nobody can tell the eye from a level one. */
const NOTICEABLE = 0.05;

function shiftWhen(task: ReadingTask, isOff: (eyeHeight: number) => boolean): number | null {
  const column = liquidColumnOf(task);
  if (!column || !isOff(column.eyeHeight)) return null;
  const shift = parallaxShift(column);
  return Math.abs(shift) < NOTICEABLE * column.cylinder.division ? null : shift;
}

function seemsHigher(task: ReadingTask): boolean {
  const column = liquidColumnOf(task);
  return column !== null && parallaxShift(column) > 0;
}

function why(task: ReadingTask, slope: string): string {
  return `Your line of sight slopes ${slope} through the glass, so the surface seems to stand beside a ${seemsHigher(task) ? 'higher' : 'lower'} mark than it does.`;
}

const lookAt = (): string => 'the beam: bring the eye to where it runs level and the surface closes to a single line';

export const eyeHigh: SightSlip = {
  id: 'eye-high',
  stage: 'sight',
  name: 'Eye too high',
  baseRate: 0.5,
  why: (task) => why(task, 'down'),
  lookAt,
  shift: (task) => shiftWhen(task, (height) => height > 0),
  path: () => [{ kind: 'sight', text: 'the eye is above the surface' }],
};

export const eyeLow: SightSlip = {
  id: 'eye-low',
  stage: 'sight',
  name: 'Eye too low',
  baseRate: 0.5,
  why: (task) => why(task, 'up'),
  lookAt,
  shift: (task) => shiftWhen(task, (height) => height < 0),
  path: () => [{ kind: 'sight', text: 'the eye is below the surface' }],
};
