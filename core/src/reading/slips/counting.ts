import { lastMarkPassed, labelBelow, multipleOf, type LinearScale } from '../../scales/linear-scale.ts';
import { liquidColumnOf } from '../liquid-column.ts';
import { yOnTube } from '../picture.ts';
import type { PathPiece } from '../path.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { CountSlip, Counted } from './slip.ts';

function scaleOf(task: ReadingTask): LinearScale | null {
  return liquidColumnOf(task)?.cylinder.scale ?? null;
}

function spanOn(task: ReadingTask, from: (scale: LinearScale, value: number) => number, to: (scale: LinearScale, value: number) => number, text: string): PathPiece[] {
  const column = liquidColumnOf(task);
  if (!column) return [];
  const { cylinder, value } = column;
  return [{ kind: 'span', fromY: yOnTube(cylinder, from(cylinder.scale, value)), toY: yOnTube(cylinder, to(cylinder.scale, value)), text }];
}

const labelOver = (scale: LinearScale, value: number): number => labelBelow(scale, value) + scale.labelEvery;
const markOver = (scale: LinearScale, value: number): number => lastMarkPassed(scale, value) + scale.division;
const itself = (_: LinearScale, value: number): number => value;

/** The next mark taken for the one passed: 84.6 → 85.6, and 84.2 → 85 without estimating at all. */
function roundedUpReadings(scale: LinearScale, seen: number): Counted[] {
  const fraction = (seen - lastMarkPassed(scale, seen)) / scale.division;
  const next: Counted = { value: seen + scale.division, scatter: true, part: 0.6 };
  if (fraction < 0.05 || fraction > 0.5) return [next];
  return [next, { value: multipleOf(scale.division, Math.round(markOver(scale, seen) / scale.division)), scatter: false, part: 0.4 }];
}

export const roundedUp: CountSlip = {
  id: 'rounded-up',
  stage: 'count',
  name: 'The next mark, not the one passed',
  baseRate: 0.06,
  why: () => 'Certain digits come from the last mark the surface has passed; you started from the one it has not reached.',
  lookAt: () => 'the last mark passed, then the part of a space beyond it',
  counted(task, seen) {
    const scale = scaleOf(task);
    return scale ? roundedUpReadings(scale, seen) : [];
  },
  path: (task) => spanOn(task, markOver, itself, 'not reached yet'),
};

export const labelAbove: CountSlip = {
  id: 'label-above',
  stage: 'count',
  name: 'Counted down from the label above',
  baseRate: 0.06,
  why: () => 'On this scale the numbers grow upward. You took the spaces between the surface and the label above it for the part beyond the label below.',
  lookAt: () => 'the label below the surface; count up from there',
  counted(task, seen) {
    const scale = scaleOf(task);
    if (!scale || scale.direction !== 'up') return [];
    return [{ value: labelBelow(scale, seen) + labelOver(scale, seen) - seen, scatter: true, part: 1 }];
  },
  path: (task) => spanOn(task, labelOver, itself, 'counted downward'),
};

export const marksCounted: CountSlip = {
  id: 'marks-counted',
  stage: 'count',
  name: 'Marks counted instead of spaces',
  baseRate: 0.04,
  why: (task) => {
    const scale = scaleOf(task);
    const spaces = scale ? Math.round(scale.labelEvery / scale.division) : 10;
    return `Between two labels there are ${spaces} spaces; counting their marks gives ${spaces + 1}, and every division comes out too small.`;
  },
  lookAt: () => 'the spaces between two neighbouring labels',
  counted(task, seen) {
    const scale = scaleOf(task);
    if (!scale) return [];
    const label = labelBelow(scale, seen);
    const spaces = scale.labelEvery / scale.division;
    return [{ value: label + ((seen - label) * spaces) / (spaces + 1), scatter: true, part: 1 }];
  },
  path: (task) => spanOn(task, labelBelow, labelOver, 'spaces, not marks'),
};

export const otherScale: CountSlip = {
  id: 'other-scale',
  stage: 'count',
  name: 'The other scale',
  baseRate: 0.1,
  why: () => 'This tool carries two scales. The one that counts downward tells how much has been poured out of a full cylinder, not how much is in it.',
  lookAt: () => 'the scale whose zero is at the bottom',
  counted(task, seen) {
    const column = liquidColumnOf(task);
    return column?.secondScale ? [{ value: column.cylinder.scale.to - seen, scatter: true, part: 1 }] : [];
  },
  path: (task) => spanOn(task, (scale) => scale.to, itself, 'counted from the top'),
};
