import { describe, expect, it } from 'vitest';
import { AimError } from '../reading/drawing/draw-task.ts';
import { shownOnPaper, SLIPS } from '../reading/slips.ts';
import { completeRules } from '../rules/house-rules.ts';
import { planForAims, plannedItems, planRound } from './plan-round.ts';
import { subjectsNamed } from './subjects.ts';
import { PRACTICE_SLIPS } from './slips.ts';
import { closesTask, TRIES, type Outcome } from './tries.ts';

const rules = completeRules();
const MIXED = subjectsNamed(['cylinder-50', 'cylinder-100', 'burette-50', 'count-figures', 'convert-units']);

describe('a round of something of everything', () => {
  it('takes each family in turn, and its tools at random', () => {
    const families = planRound(MIXED, 40, 3, rules).map(
      ({ subjectId }) => MIXED.find(({ id }) => id === subjectId)!.family,
    );
    const order = families.slice(0, 4);
    expect(new Set(order).size).toBe(4);
    families.forEach((family, i) => expect(family).toBe(order[i % 4]));
    expect(new Set(planRound(MIXED, 40, 3, rules).map(({ subjectId }) => subjectId))).toEqual(
      new Set(MIXED.map(({ id }) => id)),
    );
  });

  it('is the same from the same seed, and another from another', () => {
    expect(planRound(MIXED, 10, 8, rules)).toEqual(planRound(MIXED, 10, 8, rules));
    expect(planRound(MIXED, 10, 8, rules)).not.toEqual(planRound(MIXED, 10, 9, rules));
  });

  it('on paper aims at every slip of an exercise, but at none of an eye off the level', () => {
    const ofExercises = PRACTICE_SLIPS.filter(({ id }) => !SLIPS.some((slip) => slip.id === id));
    expect(ofExercises.length).toBeGreaterThan(5);
    expect(ofExercises.filter(({ id }) => !shownOnPaper(id))).toEqual([]);
    expect(['eye-high', 'unsettled'].filter(shownOnPaper)).toEqual([]);
    const aims = planRound(MIXED, 200, 3, rules, shownOnPaper).flatMap(({ aim }) => aim);
    expect(aims.filter((id) => ofExercises.some((slip) => slip.id === id)).length).toBeGreaterThan(20);
  });

  it('leaves about a quarter of its items without a trap, and aims the others at what can be told apart', () => {
    const items = planRound(subjectsNamed(['cylinder-50', 'multiply-divide']), 400, 1, rules);
    const unaimed = items.filter(({ aim }) => aim.length === 0).length;
    // 100 of 400 are expected; four standard deviations of the binomial are 35.
    expect(Math.abs(unaimed - 100)).toBeLessThan(35);
    for (const { subjectId, aim } of items)
      for (const slip of aim) expect(subjectsNamed([subjectId])[0]!.slips(rules)).toContain(slip);
  });

  it('aims at nothing that it may not', () => {
    expect(planRound(MIXED, 60, 2, rules, () => false).every(({ aim }) => aim.length === 0)).toBe(true);
  });

  it('goes on without end, an item at a time', () => {
    const items = plannedItems(subjectsNamed(['round-number']), 5, rules);
    const seeds = Array.from({ length: 200 }, () => items.next().value.seed);
    expect(new Set(seeds).size).toBe(200);
  });
});

describe('a round that aims', () => {
  it('takes the slips in turn, each on what can show it', () => {
    const aims = ['meniscus-edge', 'factor-inverted', 'eye-high'];
    const items = planForAims(MIXED, aims, 9, 4, rules);
    expect(items.map(({ aim }) => aim[0])).toEqual([...aims, ...aims, ...aims]);
    for (const { subjectId, aim } of items) expect(subjectsNamed([subjectId])[0]!.slips(rules)).toContain(aim[0]);
  });

  it('names a slip that nothing chosen can show', () => {
    expect(() => planForAims(subjectsNamed(['count-figures']), ['meniscus-edge'], 3, 1, rules)).toThrow(
      expect.objectContaining({
        name: AimError.name,
        message: 'aim: “meniscus-edge” cannot be told apart on “Counting figures”.',
      }),
    );
  });
});

describe('tries', () => {
  it.each<[Outcome, number, number, boolean]>([
    ['sound', 1, TRIES, true],
    ['shown', 1, TRIES, true],
    ['slip', 1, TRIES, false],
    ['slip', 2, TRIES, true],
    ['record', 1, TRIES, false],
    ['unexplained', 1, 1, true],
    ['unexplained', 2, 3, false],
    ['unreadable', 9, TRIES, false],
  ])('%s at try %d of %d: closed %s', (outcome, tryNumber, tries, closed) => {
    expect(closesTask(outcome, tryNumber, tries)).toBe(closed);
  });
});
