import { labelPassed, lastMarkPassed, multipleOf, nextBeyond, type LinearScale } from '../../scales/linear-scale.ts';
import { scaleReadingOf } from '../scale-reading.ts';
import { slidingBeam } from './balance.ts';
import { drawnAt } from '../picture.ts';
import type { PathPiece } from '../path.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { CountSlip, Counted } from './slip.ts';

function scaleOf(task: ReadingTask): LinearScale | null {
  return scaleReadingOf(task)?.tool.scale ?? null;
}

/** What is counted on a scale of any tool: of a beam balance on the sliding rider’s, what the notched riders show being added. */
function onItsScale(
  task: ReadingTask,
  seen: number,
  count: (scale: LinearScale, seen: number) => Counted[],
): Counted[] {
  const sliding = slidingBeam(task, seen);
  if (sliding)
    return count(sliding.scale, seen - sliding.base).map((one) => ({ ...one, value: one.value + sliding.base }));
  const scale = scaleOf(task);
  return scale ? count(scale, seen) : [];
}

function spanOn(
  task: ReadingTask,
  from: (scale: LinearScale, value: number) => number,
  to: (scale: LinearScale, value: number) => number,
  text: string,
): PathPiece[] {
  const reading = scaleReadingOf(task);
  if (!reading) return [];
  const { tool, value } = reading;
  return [
    {
      kind: 'span',
      fromY: drawnAt(reading, from(tool.scale, value)),
      toY: drawnAt(reading, to(tool.scale, value)),
      text,
    },
  ];
}

const labelOver = (scale: LinearScale, value: number): number => nextBeyond(scale.labelEvery, value);
const markOver = (scale: LinearScale, value: number): number => nextBeyond(scale.division, value);
const itself = (_: LinearScale, value: number): number => value;
const counted = (value: number, part = 1): Counted => ({ value, scatter: true, part });

/** The next mark taken for the one passed: 84.6 → 85.6, and 84.2 → 85 without estimating at all. */
function roundedUpReadings(scale: LinearScale, seen: number): Counted[] {
  const fraction = (seen - lastMarkPassed(scale, seen)) / scale.division;
  const next = counted(seen + (seen < 0 ? -scale.division : scale.division), 0.6);
  if (Math.abs(fraction) < 0.05 || Math.abs(fraction) > 0.5) return [next];
  return [next, { value: markOver(scale, seen), scatter: false, part: 0.4 }];
}

export const roundedUp: CountSlip = {
  id: 'rounded-up',
  stage: 'count',
  name: 'The next mark, not the one passed',
  baseRate: 0.06,
  why: () => 'Certain digits come from the last mark passed; you started from the one that is not reached yet.',
  lookAt: () => 'the last mark passed, then the part of a space beyond it',
  counted: (task, seen) => onItsScale(task, seen, roundedUpReadings),
  path: (task) => spanOn(task, markOver, itself, 'not reached yet'),
};

export const labelAbove: CountSlip = {
  id: 'label-above',
  stage: 'count',
  name: 'Counted back from the next label',
  baseRate: 0.06,
  why: () => 'You took the spaces back from the next label for the part beyond the label that is passed.',
  lookAt: () => 'the label passed last; count on from there',
  counted: (task, seen) =>
    onItsScale(task, seen, (scale, at) =>
      scale.direction === 'up' ? [counted(labelPassed(scale, at) + labelOver(scale, at) - at)] : [],
    ),
  path: (task) => spanOn(task, labelOver, itself, 'counted back'),
};

/** What a division of a scale by twos, fives or tens is taken for; a scale by single ones or tenths leaves nothing to mistake. */
const TAKEN_FOR: Readonly<Record<string, readonly (readonly [division: number, part: number])[]>> = {
  '0.5': [
    [0.1, 0.8],
    [1, 0.2],
  ],
  '2': [
    [1, 0.8],
    [10, 0.2],
  ],
  '5': [
    [1, 0.8],
    [10, 0.2],
  ],
  '10': [[1, 1]],
  '20': [
    [10, 0.6],
    [1, 0.4],
  ],
  '50': [
    [10, 0.8],
    [1, 0.2],
  ],
};

function takenFor(scale: LinearScale, spaces: number): { readonly division: number; readonly part: number }[] {
  // Nobody counts on past the next label.
  return (TAKEN_FOR[scale.division] ?? [])
    .filter(([division]) => spaces * division < scale.labelEvery)
    .map(([division, part]) => ({ division, part }));
}

function spacesPerLabel(scale: LinearScale): number {
  return Math.round(scale.labelEvery / scale.division);
}

export const divisionMiscounted: CountSlip = {
  id: 'division-miscounted',
  stage: 'count',
  name: 'A division taken for one',
  baseRate: 0.12,
  why: (task) => {
    const scale = scaleOf(task);
    if (!scale) return '';
    const spaces = spacesPerLabel(scale);
    return `Between two labels ${spaces === 1 ? 'there is one space' : `there are ${spaces} spaces`} for ${scale.labelEvery}: ${spaces === 1 ? 'it' : 'one of them'} is worth ${scale.division}, and you counted it as another size.`;
  },
  lookAt: () => 'two neighbouring labels and the spaces between them, before counting any mark',
  counted(task, seen) {
    const scale = scaleOf(task);
    if (!scale) return [];
    const label = labelPassed(scale, seen);
    const spaces = (seen - label) / scale.division;
    if (Math.abs(spaces) < 0.05) return [];
    return takenFor(scale, Math.abs(spaces)).map(({ division, part }) => ({
      value: label + spaces * division,
      scatter: true,
      part,
      division,
    }));
  },
  path: (task) => spanOn(task, labelPassed, labelOver, 'another size'),
};

export const marksCounted: CountSlip = {
  id: 'marks-counted',
  stage: 'count',
  name: 'Marks counted instead of spaces',
  baseRate: 0.04,
  why: (task) => {
    const scale = scaleOf(task);
    const spaces = scale ? spacesPerLabel(scale) : 10;
    return `Between two labels ${spaces === 1 ? 'there is one space' : `there are ${spaces} spaces`}; counting ${spaces === 1 ? 'its' : 'their'} marks gives ${spaces + 1}, and every division comes out too small.`;
  },
  lookAt: () => 'the spaces between two neighbouring labels',
  counted: (task, seen) =>
    onItsScale(task, seen, (scale, at) => {
      const label = labelPassed(scale, at);
      const spaces = scale.labelEvery / scale.division;
      return [counted(label + ((at - label) * spaces) / (spaces + 1))];
    }),
  path: (task) => spanOn(task, labelPassed, labelOver, 'spaces, not marks'),
};

export const otherScale: CountSlip = {
  id: 'other-scale',
  stage: 'count',
  name: 'The other scale',
  baseRate: 0.1,
  why: () =>
    'This tool carries two scales. The one that counts downward tells how much has been poured out of a full cylinder, not how much is in it.',
  lookAt: () => 'the scale whose zero is at the bottom',
  counted(task, seen) {
    const reading = scaleReadingOf(task);
    return reading?.secondScale ? [counted(reading.tool.scale.to - seen)] : [];
  },
  path: (task) => spanOn(task, (scale) => scale.to, itself, 'counted from the top'),
};

export const upsideDown: CountSlip = {
  id: 'upside-down',
  stage: 'count',
  name: 'Counted upward',
  baseRate: 0.15,
  why: () => 'On this tool the numbers grow downward. You counted upward from the label below, as on a cylinder.',
  lookAt: () => 'the label above; count downward from there',
  counted(task, seen) {
    const scale = scaleOf(task);
    if (!scale || scale.direction !== 'down') return [];
    const [above, below] = [labelPassed(scale, seen), labelOver(scale, seen)];
    const upward = below - seen;
    return [counted(below + upward, 0.5), counted(above + upward, 0.5)];
  },
  path: (task) => spanOn(task, labelOver, itself, 'counted upward'),
};

export const signLost: CountSlip = {
  id: 'sign-lost',
  stage: 'count',
  name: 'The sign or its direction was lost',
  baseRate: 0.2,
  why: () =>
    'Below zero the numbers grow downward: the part of a space is counted on from the mark passed, away from zero, and the sign is written.',
  lookAt: () => 'which side of zero the thread ends on, and which mark it has passed on the way down',
  counted(task, seen) {
    const scale = scaleOf(task);
    if (!scale || scale.from >= 0 || seen >= 0) return [];
    const [passed, beyond] = [lastMarkPassed(scale, seen), markOver(scale, seen)];
    const wrongWay = passed === seen ? [] : [counted(2 * passed - seen, 0.3), counted(2 * beyond - seen, 0.2)];
    return [counted(-seen, 0.5), ...wrongWay];
  },
  path: (task) => spanOn(task, () => 0, itself, 'below zero'),
};

export const sixteenthsAsTenths: CountSlip = {
  id: 'sixteenths-as-tenths',
  stage: 'count',
  name: 'Sixteenths taken for tenths',
  baseRate: 0.2,
  why: () => 'An inch is parted into sixteen here. You wrote the count of sixteenths as if it were a decimal.',
  lookAt: () => 'how many spaces there are in one inch',
  counted(task, seen) {
    const scale = scaleOf(task);
    if (scale?.division !== 1 / 16) return [];
    const inches = labelPassed(scale, seen);
    const sixteenths = Math.round((seen - inches) * 16);
    if (sixteenths === 0 || sixteenths === 16) return [];
    const asDecimal = (digits: number, part: number): Counted => ({
      value: multipleOf(0.01, Math.round((inches + sixteenths / digits) * 100)),
      scatter: false,
      part,
    });
    return sixteenths < 10 ? [asDecimal(10, 1)] : [asDecimal(100, 0.6), asDecimal(10, 0.4)];
  },
  path: (task) => spanOn(task, labelPassed, labelOver, 'sixteen spaces'),
};
