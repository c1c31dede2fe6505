import { describe, expect, it } from 'vitest';
import { completeRules } from '../rules/house-rules.ts';
import { workOut } from '../calculations/work-out.ts';
import { rightAnswer } from './answer.ts';
import { drawExercise } from './draw-exercise.ts';
import { exerciseTask, LEVELS, type RoundingExercise } from './exercise.ts';
import { parseMarks } from './faults.ts';
import { EXERCISE_KINDS } from './kinds.ts';
import { solutionOf } from './solution.ts';

const wordsOn = (number: string): string => {
  const solution = solutionOf(
    exerciseTask({ kind: 'count-figures', level: 1, story: '', question: 'How many significant figures?', number }),
  );
  if (solution.by !== 'words') throw new Error('A count is explained in words.');
  return solution.text;
};

describe('how figures are counted', () => {
  it.each([
    ['0.0450', 'Count 4 5 0: 3 figures. The zeros before them only show where the decimal mark is.'],
    ['46.0', 'Count 4 6 0: 3 figures.'],
    ['1500', 'Count 1 5: 2 figures. The zeros after them are only placeholders.'],
    ['1500.', 'Count 1 5 0 0: 4 figures.'],
    ['3.070 × 10⁻⁴', 'Count 3 0 7 0: 4 figures. The power of ten says how large the number is.'],
    [
      '0.50 × 10³',
      'Count 5 0: 2 figures. The zeros before them only show where the decimal mark is. The power of ten says how large the number is.',
    ],
    ['20.03', 'Count 2 0 0 3: 4 figures.'],
  ])('in %s', (number, words) => {
    expect(wordsOn(number)).toBe(words);
  });
});

describe('how a number is rounded', () => {
  const rounding = (number: string, to: RoundingExercise['to'], rule: 'half-up' | 'half-even' = 'half-up') =>
    exerciseTask(
      { kind: 'round-number', level: 1, story: '', question: 'Round it.', number, unit: 'g', to },
      { rounding: rule },
    );

  it.each([
    ['2.345', { decimals: 2 }, 'half-up', '2.35'],
    ['2.345', { decimals: 2 }, 'half-even', '2.34'],
    ['2.3451', { decimals: 2 }, 'half-even', '2.35'],
    ['9.996', { figures: 3 }, 'half-up', '10.0'],
    ['0.04996', { figures: 3 }, 'half-up', '0.0500'],
    ['1249', { figures: 2 }, 'half-up', '1.2e3'],
    ['-2.5', { decimals: 0 }, 'half-up', '-3'],
    ['17.004', { decimals: 2 }, 'half-up', '17.00'],
  ] as const)('%s to %o by %s', (number, to, rule, text) => {
    expect(rightAnswer(rounding(number, to, rule))).toEqual({ text, unit: 'g' });
  });

  it('is said by the class’s own rule', () => {
    expect(solutionOf(rounding('2.345', { decimals: 2 }))).toMatchObject({
      text: expect.stringContaining('up, away from zero'),
    });
    expect(solutionOf(rounding('2.345', { figures: 2 }, 'half-even'))).toMatchObject({
      text: expect.stringMatching(/^Significant figures are counted .*to the even neighbour\.$/),
    });
  });
});

describe('a solution', () => {
  it.each(EXERCISE_KINDS.map(({ id }) => id))('of %s leads to the right answer', (kind) => {
    for (const [seed, level] of Array.from({ length: 30 }, (_, i) => [i, LEVELS[i % 3]!] as const)) {
      const task = drawExercise(kind, { seed, level });
      const { text, unit } = rightAnswer(task);
      const solution = solutionOf(task);
      switch (solution.by) {
        case 'working': {
          const { calculation } = workOut(solution.line, completeRules());
          expect([calculation.text, calculation.unit]).toEqual([text, unit]);
          break;
        }
        case 'words':
          expect(solution.text).not.toBe('');
          break;
        case 'options':
          expect(solution.whys.length).toBe('options' in task.exercise ? task.exercise.options.length : -1);
          for (const why of solution.whys) expect(why).not.toBe('');
          break;
        case 'faults':
          expect(solution.faults.length).toBe(text.split(' ').length);
          for (const { cells, fault, right, why } of solution.faults) {
            expect(parseMarks(text, 999).some((mark) => cells.includes(mark.cell) && mark.fault === fault)).toBe(true);
            expect(right).not.toBe('');
            expect(why).not.toBe('');
          }
      }
    }
  });
});
