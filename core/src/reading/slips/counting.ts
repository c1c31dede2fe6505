import { labelPassed, lastMarkPassed, type LinearScale } from '../../scales/linear-scale.ts';
import { estimateOff } from './estimate-off.ts';
import { labelOff } from './label-off.ts';
import { itself, labelOver, markOver, onItsScale, scaleIn, spanOn, type Marked } from './on-its-scale.ts';
import { scattered, unscattered, type Counted, type CountSlip } from './slip.ts';

/** The next mark taken for the one passed: 84.6 → 85.6, and 84.2 → 85 without estimating at all. */
function roundedUpReadings(scale: LinearScale, seen: number): Counted[] {
  const fraction = (seen - lastMarkPassed(scale, seen)) / scale.division;
  const next = scattered(seen + (seen < 0 ? -scale.division : scale.division), 0.6);
  if (Math.abs(fraction) < 0.05 || Math.abs(fraction) > 0.5) return [next];
  return [next, unscattered(markOver(scale, seen), 0.4)];
}

export const roundedUp: CountSlip<Marked> = {
  id: 'rounded-up',
  stage: 'count',
  name: 'The next mark, not the one passed',
  baseRate: 0.06,
  why: () => 'You started from a mark that is not reached yet. The certain digits come from the last mark passed.',
  lookAt: () => 'the last mark passed, then the part of a space beyond it',
  counted: (indication, seen) => onItsScale(indication, seen, roundedUpReadings),
  path: (indication) => spanOn(indication, markOver, itself, 'not reached yet'),
};

const labelAbove: CountSlip<Marked> = {
  id: 'label-above',
  stage: 'count',
  name: 'Counted back from the next label',
  baseRate: 0.06,
  why: () => 'You counted back from the next label. Count on from the last label passed.',
  lookAt: () => 'the last label passed; count on from there',
  counted: (indication, seen) =>
    onItsScale(indication, seen, (scale, at) =>
      scale.direction === 'up' ? [scattered(labelPassed(scale, at) + labelOver(scale, at) - at)] : [],
    ),
  path: (indication) => spanOn(indication, labelOver, itself, 'counted back'),
};

const upsideDown: CountSlip<Marked> = {
  id: 'upside-down',
  stage: 'count',
  name: 'Counted upward',
  baseRate: 0.15,
  why: () => 'On this tool the numbers grow downward. You counted upward from the label below, as on a cylinder.',
  lookAt: () => 'the label above; count downward from there',
  counted: (indication, seen) =>
    onItsScale(indication, seen, (scale, at) => {
      if (scale.direction !== 'down') return [];
      const [above, below] = [labelPassed(scale, at), labelOver(scale, at)];
      const upward = below - at;
      return [scattered(below + upward, 0.5), scattered(above + upward, 0.5)];
    }),
  path: (indication) => spanOn(indication, labelOver, itself, 'counted upward'),
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

const divisionMiscounted: CountSlip<Marked> = {
  id: 'division-miscounted',
  stage: 'count',
  name: 'Wrong size of one division',
  baseRate: 0.12,
  why: (indication) => {
    const scale = scaleIn(indication);
    if (!scale) return '';
    const spaces = spacesPerLabel(scale);
    return `Between two labels ${spaces === 1 ? 'there is one space' : `there are ${spaces} spaces`} for ${scale.labelEvery}: ${spaces === 1 ? 'it' : 'one of them'} is worth ${scale.division}. You counted with another size.`;
  },
  lookAt: () => 'two neighbouring labels and the spaces between them, before counting any mark',
  counted: (indication, seen) =>
    onItsScale(indication, seen, (scale, at) => {
      const label = labelPassed(scale, at);
      const spaces = (at - label) / scale.division;
      if (Math.abs(spaces) < 0.05) return [];
      return takenFor(scale, Math.abs(spaces)).map(({ division, part }) =>
        scattered(label + spaces * division, part, division),
      );
    }),
  path: (indication) => spanOn(indication, labelPassed, labelOver, 'another size'),
};

export const marksCounted: CountSlip<Marked> = {
  id: 'marks-counted',
  stage: 'count',
  name: 'Marks counted instead of spaces',
  baseRate: 0.04,
  why: (indication) => {
    const scale = scaleIn(indication);
    const spaces = scale ? spacesPerLabel(scale) : 10;
    return `Between two labels ${spaces === 1 ? 'there is one space' : `there are ${spaces} spaces`}. You counted marks and came to ${spaces + 1}, so each division came out too small.`;
  },
  lookAt: () => 'the spaces between two neighbouring labels',
  counted: (indication, seen) =>
    onItsScale(indication, seen, (scale, at) => {
      const label = labelPassed(scale, at);
      const spaces = scale.labelEvery / scale.division;
      return [scattered(label + ((at - label) * spaces) / (spaces + 1))];
    }),
  path: (indication) => spanOn(indication, labelPassed, labelOver, 'spaces, not marks'),
};

/** Slips that are made wherever marks are counted: each asks the scale itself whether it can be made on it. */
export const COUNTING_SLIPS: readonly CountSlip<Marked>[] = [
  estimateOff,
  roundedUp,
  labelAbove,
  labelOff,
  upsideDown,
  divisionMiscounted,
  marksCounted,
];
