import { describe, expect, it } from 'vitest';
import { instrumentIds } from '../../instruments/catalogue.ts';
import { completeRules, PRESETS, type HouseRules } from '../../rules/house-rules.ts';
import { asLaid } from '../bench.ts';
import { drawTask, slipsOn } from '../drawing/draw-task.ts';
import { expectedReading } from '../expected-reading.ts';
import { diagnose } from '../judging/diagnose.ts';
import { readingTask, type ReadingTask } from '../reading-task.ts';
import { numberWritten } from './written.ts';

const ITEMS = 2000;

/** Items with an error on them, and with none: both are to be right. */
function items(tool: string, rules: HouseRules): ReadingTask[] {
  const overAnError = ['zero-ignored', 'zero-negative-misread'].filter((slip) => slipsOn(tool, rules).includes(slip));
  const aims = [[], ...overAnError.map((slip) => [slip])];
  return Array.from({ length: ITEMS }, (_, seed) =>
    asLaid(drawTask(tool, { seed, aim: seed % 10 === 0 ? aims.at(-1)! : [], rules })),
  );
}

/** What is wrong with what the program itself expects; nothing, one hopes. */
function faultIn(task: ReadingTask): string[] {
  const { text, unit, accepts } = expectedReading(task);
  const isWithin = numberWritten(accepts[0]) <= numberWritten(text) && numberWritten(text) <= numberWritten(accepts[1]);
  const { verdict } = diagnose(task, `${text} ${unit}`);
  return isWithin && verdict === 'sound'
    ? []
    : [`${JSON.stringify(task.situation)}: ${text} of ${accepts.join('–')}, ${verdict}`];
}

describe('what the program expects', () => {
  it.each(PRESETS.map(({ id, rules }) => [id, rules] as const))(
    'by %s lies within its own band on every tool',
    (_, rules) => {
      const faults = instrumentIds().flatMap((tool) => items(tool, rules).flatMap(faultIn));
      expect(faults.slice(0, 5)).toEqual([]);
    },
    120_000,
  );

  it.each([
    [-0.005, '18.19', ['18.18', '18.19']],
    [0.005, '18.18', ['18.18', '18.19']],
  ])('with a zero error of %s between two lines of a thimble', (zeroError, text, accepts) => {
    const rules = completeRules(PRESETS.find(({ id }) => id === 'least-count')!.rules);
    const task = readingTask('micrometer-hundredth', { value: 18.183, zeroError }, rules);
    expect(expectedReading(task)).toMatchObject({ text, accepts });
  });
});
