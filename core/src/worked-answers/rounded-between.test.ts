import { describe, expect, it } from 'vitest';
import { completeRules } from '../rules/house-rules.ts';
import { exerciseTask } from '../exercises/exercise.ts';
import { numberTaskOf } from '../exercises/number-task-of.ts';
import { resultOf } from './result.ts';
import { withRoundedSteps } from './rounded-between.ts';

describe('rounding in between', () => {
  it.each([
    // 24.2 − 21 is written 3; 27.4 − 25.48 is written 1.9, and 1.9 ÷ 25.48 as 0.075; 2.41 ÷ 2 as 1.21, π · 1.21² as 4.59.
    ['mass / (after - before)', { mass: '8.53 g', after: '24.2 mL', before: '21 mL' }, '3 g/mL', '2.8433333333'],
    ['(measured - accepted) / accepted * 100 %', { measured: '27.4 g', accepted: '25.48 g' }, '7.5 %', '7.5'],
    ['pi * (diameter / exact(2))^2 * height', { diameter: '2.41 cm', height: '4.00 cm' }, '18.4 cm^3', '18.36'],
  ] as const)('%s goes on with what was written', (formula, given, written, full) => {
    const exercise = { kind: 'mixed-steps', level: 1, story: '', question: '', given, formula } as const;
    const task = numberTaskOf(exerciseTask(exercise, completeRules()));
    if (task?.kind !== 'calculation') throw new Error('no calculation');
    const stepped = withRoundedSteps(task);
    if (!stepped) throw new Error('one step only');
    const { text, unitText, value } = resultOf(task, stepped);
    expect(`${text} ${unitText}`).toBe(written);
    expect(value.toNumber()).toBeCloseTo(Number(full), 10);
  });

  it.each([
    ['mass', { mass: '8.53 g' }],
    ['mass / volume', { mass: '8.53 g', volume: '3.2 mL' }],
  ])('%s has one step, or none', (formula, given) => {
    const exercise = { kind: 'mixed-steps', level: 1, story: '', question: '', given, formula } as const;
    const task = numberTaskOf(exerciseTask(exercise));
    expect(task?.kind === 'calculation' && withRoundedSteps(task)).toBeNull();
  });
});
