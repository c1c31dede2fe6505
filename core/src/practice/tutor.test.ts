import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation/random.ts';
import { drawTask } from '../reading/drawing/draw-task.ts';
import { predictedEntries } from '../reading/drawing/predictions.ts';
import { expectedReading } from '../reading/expected-reading.ts';
import { completeRules } from '../rules/house-rules.ts';
import { asOperated } from '../reading/bench.ts';
import { instrumentIds } from '../instruments/catalogue.ts';
import { drawExercise } from '../exercises/draw-exercise.ts';
import type { ExerciseKind } from '../exercises/exercise.ts';
import { exerciseSubject } from './exercise-subject.ts';
import { EXERCISE_KINDS } from '../exercises/kinds.ts';
import { planRound } from './plan-round.ts';
import { entriesWith } from './practice-task.ts';
import { toolSubject } from './tool-subject.ts';
import type { ReadingTask } from '../reading/reading-task.ts';
import { slipById } from '../reading/slips.ts';
import { faded, MADE, NO_HABIT, planForBelief, PRIORS, updated, type Belief } from './tutor.ts';
import { fieldsOf } from '../../test/fields-of.ts';

const rules = completeRules();
const PRIOR = PRIORS.reading;
const TOOLS = instrumentIds().map(toolSubject);
const total = (belief: Belief): number => Object.values(belief).reduce((sum, weight) => sum + weight, 0);
const level = (task: ReadingTask): ReadingTask =>
  asOperated(task, {
    eyeHeight: 0,
    done: [
      { kind: 'lower', at: 0, to: null },
      { kind: 'lay', at: 0, to: fieldsOf(task).endOffset ?? 0 },
    ],
    at: 60_000,
  });
const right = (task: ReadingTask): string => `${expectedReading(task).text} ${expectedReading(task).unit}`;

function after(slip: string, tool: string, readings: number): Belief {
  let belief: Belief = PRIOR;
  for (let seed = 0; seed < readings; seed += 1) {
    const drawn = drawTask(tool, { seed, aim: [slip], rules });
    const read = slip.startsWith('eye-') ? drawn : level(drawn);
    belief = updated(belief, drawn, read, predictedEntries(read, slipById(slip))[0]!);
  }
  return belief;
}

describe('what is believed', () => {
  it('begins as a distribution, in which most slips are possible and none is likely', () => {
    expect(total(PRIOR)).toBeCloseTo(1, 12);
    for (const [id, weight] of Object.entries(PRIOR)) if (id !== NO_HABIT) expect(weight).toBeLessThan(0.1);
  });

  it.each([
    ['cylinder-50', 'meniscus-edge'],
    ['burette-50', 'upside-down'],
    ['thermometer-degree', 'sign-lost'],
    ['thermometer-degree', 'zero-sign'],
    ['ruler-inch', 'sixteenths-as-tenths'],
    ['cylinder-100', 'eye-high'],
    ['cylinder-50', 'unit-missing'],
  ])('on a %s, %s made three times is a habit', (tool, slip) => {
    const belief = after(slip, tool, 3);
    expect(total(belief)).toBeCloseTo(1, 9);
    expect(belief[slip]).toBeGreaterThan(0.9);
  });

  it('grows careful with sound readings', () => {
    let belief: Belief = PRIOR;
    for (let seed = 0; seed < 12; seed += 1) {
      const drawn = drawTask('cylinder-50', { seed, rules });
      belief = updated(belief, drawn, level(drawn), right(drawn));
    }
    expect(belief[NO_HABIT]).toBeGreaterThan(PRIOR[NO_HABIT]! + 0.06);
    expect(belief['meniscus-edge']).toBeLessThan(PRIOR['meniscus-edge']!);
    // Cylinders say nothing of what is only ever done with a thermometer.
    expect(belief['sign-lost']! / PRIOR['sign-lost']!).toBeCloseTo(belief['zero-sign']! / PRIOR['zero-sign']!, 6);
  });

  it('counts an eye that was brought to the level against the habit of leaving it', () => {
    const drawn = drawTask('cylinder-50', { seed: 3, aim: ['eye-high'], rules });
    const belief = updated(PRIOR, drawn, level(drawn), right(drawn));
    expect(belief['eye-high']! / PRIOR['eye-high']!).toBeLessThan(
      1.2 * (1 - MADE) * (belief[NO_HABIT]! / PRIOR[NO_HABIT]!),
    );
  });

  it('lets an old habit fade, and learns nothing from what cannot be read', () => {
    const sure = after('meniscus-edge', 'cylinder-50', 4);
    const drawn = drawTask('cylinder-50', { seed: 1, rules });
    expect(updated(sure, drawn, drawn, 'about half')).toBe(sure);
    expect(faded(sure, 'reading')['meniscus-edge']).toBeLessThan(sure['meniscus-edge']!);
    expect(total(faded(sure, 'reading'))).toBeCloseTo(1, 12);
  });

  it('stays a distribution whatever is written', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 300 }), fc.integer({ min: 0, max: 9999 }), (seed, digits) => {
        const drawn = drawTask('burette-50', { seed, rules });
        const belief = updated(PRIOR, drawn, level(drawn), `${(digits / 100).toFixed(2)} mL`);
        expect(total(belief)).toBeCloseTo(1, 9);
        expect(Math.min(...Object.values(belief))).toBeGreaterThanOrEqual(0);
      }),
      { numRuns: 60 },
    );
  });
});

describe('what is set next', () => {
  const plan = (belief: Belief, options: Partial<Parameters<typeof planForBelief>[1]> = {}) =>
    planForBelief(belief, { subjects: TOOLS, count: 5, seed: 4, rules, ...options });

  it('is the same from the same seed, and names tools of the bench', () => {
    expect(plan(PRIOR)).toEqual(plan(PRIOR));
    for (const { subjectId } of plan(PRIOR, { count: 20 })) expect(instrumentIds()).toContain(subjectId);
  });

  it('keeps to the tools that are named', () => {
    expect(
      new Set(plan(PRIOR, { subjects: [toolSubject('ruler-inch')], count: 8 }).map((item) => item.subjectId)),
    ).toEqual(new Set(['ruler-inch']));
  });

  it.each([
    ['sign-lost', 'thermometer-degree'],
    ['what-is-left', 'burette-50'],
    ['other-scale', 'cylinder-100'],
  ])('asks again where it is between %s and nothing', (slip) => {
    const unsure = {
      ...Object.fromEntries(Object.keys(PRIOR).map((id) => [id, 0.0005])),
      [slip]: 0.45,
      [NO_HABIT]: 0.5,
    };
    const [first] = plan(unsure, { count: 1 });
    const drawn = level(drawTask(first!.subjectId, { seed: first!.seed, aim: first!.aim, rules }));
    expect(predictedEntries(drawn, slipById(slip)).length).toBeGreaterThan(0);
  });

  it('looks again at what was cured, one item in five', () => {
    const items = plan(PRIOR, { count: 10, revisit: ['sign-lost'] });
    expect(items[4]!.aim).toContain('sign-lost');
    expect(items[9]!.aim).toContain('sign-lost');
  });

  it('plans rounds without a belief too: every family named comes up', () => {
    const families = ['burette-50', 'cylinder-100', 'ruler-inch'];
    expect(new Set(planRound(families.map(toolSubject), 9, 1, rules).map((item) => item.subjectId))).toEqual(
      new Set(families),
    );
  });

  it('finds a learner’s slip sooner than chance does', () => {
    const random = seededRandom(11);
    const readings = (
      choose: (belief: Belief) => { subjectId: string; seed: number; aim: readonly string[] },
      slip: string,
    ): number => {
      let belief: Belief = PRIOR;
      for (let count = 1; count <= 40; count += 1) {
        const item = choose(belief);
        const drawn = drawTask(item.subjectId, { seed: item.seed, aim: item.aim, rules });
        const read = level(drawn);
        const wrong = random.uniform() < MADE ? predictedEntries(read, slipById(slip))[0] : undefined;
        belief = updated(belief, drawn, read, wrong ?? right(read));
        if (belief[slip]! > 0.95) return count;
      }
      return 40;
    };
    // Three learners with each slip: one of them may be lucky every time it is asked for.
    const slips = ['sign-lost', 'zero-ignored', 'what-is-left', 'end-not-zero', 'meniscus-edge', 'other-scale'].flatMap(
      (slip) => [slip, slip, slip],
    );
    const chosen = slips.map((slip) =>
      readings((belief) => plan(belief, { count: 1, seed: random.below(1e9) })[0]!, slip),
    );
    const byChance = slips.map((slip) =>
      readings(() => ({ ...planRound(TOOLS, 1, random.below(1e9), rules)[0]!, aim: [] }), slip),
    );
    const sum = (values: number[]): number => values.reduce((all, value) => all + value, 0);
    expect(sum(chosen)).toBeLessThan(0.75 * sum(byChance));
  }, 120_000);
});

describe('habits of calculating', () => {
  const subjects = EXERCISE_KINDS.map(({ id }) => exerciseSubject(id));

  it.each([
    ['multiply-divide', 'decimals-in-product'],
    ['convert-units', 'factor-power-forgotten'],
    ['count-figures', 'leading-zeros-counted'],
    ['choose-statement', 'precise-is-accurate'],
    ['spot-the-error', 'unit-overlooked'],
  ] as const)('in %s, %s made three times is a habit', (kind, slip) => {
    let belief: Belief = PRIORS.calculating;
    for (let seed = 0; seed < 3; seed += 1) {
      const task = drawExercise(kind, { seed, aim: [slip], rules });
      belief = updated(belief, task, task, entriesWith(task, slip)[0]!);
    }
    expect(total(belief)).toBeCloseTo(1, 9);
    expect(belief[slip]).toBeGreaterThan(0.8);
  });

  it('are asked for where one is likely', () => {
    const unsure = {
      ...Object.fromEntries(Object.keys(PRIORS.calculating).map((id) => [id, 0.0005])),
      'percent-of-measured': 0.45,
      [NO_HABIT]: 0.5,
    };
    for (const { subjectId, seed, aim } of planForBelief(unsure, {
      subjects: [exerciseSubject('percent-error')],
      count: 4,
      seed: 2,
      rules,
    })) {
      expect(
        entriesWith(drawExercise(subjectId as ExerciseKind, { seed, aim, rules }), 'percent-of-measured').length,
      ).toBeGreaterThan(0);
    }
  });

  it('are asked about in exercises of every kind in turn', () => {
    const ids = planForBelief(PRIORS.calculating, { subjects, count: subjects.length, seed: 3, rules }).map(
      ({ subjectId }) => subjectId,
    );
    expect(new Set(ids)).toEqual(new Set(subjects.map(({ id }) => id)));
  });
});
