import { describe, it } from 'vitest';
import { slipsIn } from '../../src/index.ts';
import type { ExerciseKind } from '../../src/exercises/exercise.ts';
import type { HouseRules } from '../../src/rules/house-rules.ts';
import { careful, HABITS } from './calculating.ts';
import { expectNamed, expectSound } from './prove-students.ts';

const KINDS: readonly ExerciseKind[] = [
  'add-subtract',
  'multiply-divide',
  'mixed-steps',
  'percent-error',
  'convert-units',
];
const cases = KINDS.flatMap((kind) => slipsIn(kind).map((slip) => [kind, slip] as const));

function habit(slip: string): (typeof HABITS)[string] {
  const own = HABITS[slip];
  if (!own) throw new Error(`Nobody here has the habit ${slip}.`);
  return own;
}

describe('a simulated student with one slip of calculating', () => {
  it.each(cases)('%s, %s: is named first in at least 95 in 100 of 120 exercises', (kind, slip) => {
    expectNamed(slip, habit(slip), { kind, many: 120 });
  });
});

describe('a careful student', () => {
  it.each(KINDS)('%s: is judged sound in at least 99 in 100 of 900 exercises', (kind) => {
    expectSound(careful, { kind, many: 900 });
  });
});

describe('in a class with volumes in cm³ and percent errors without a sign', () => {
  const rules: Partial<HouseRules> = { volumeUnit: 'cm³', percentError: 'absolute', decimalMark: 'comma' };

  it.each(['multiply-divide', 'mixed-steps', 'add-subtract'] as const)('%s: the careful are judged sound', (kind) => {
    expectSound(careful, { kind, many: 200, rules });
  });

  it('a percent error is written without its sign', () => {
    expectSound(
      (exercise: Parameters<typeof careful>[0]) =>
        careful({ ...exercise, formula: exercise.formula.replace('abs', '') }).replace('-', ''),
      { kind: 'percent-error', many: 200, rules },
    );
  });
});
