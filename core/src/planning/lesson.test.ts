import { describe, expect, it } from 'vitest';
import { protocol, protocolIds } from '../laboratories/protocols.ts';
import { seededRandom } from '../simulation/random.ts';
import { lessonOf, problemOf, type Lesson } from './lesson.ts';
import { fits, moved, withTool } from './moving.ts';
import { planLesson } from './plan-lesson.ts';
import { planConflicts, type PlannedStep } from './plan.ts';
import { atMinute, narrowPlace, waitsOf } from './waits.ts';

const BALANCES = [
  { instrumentId: 'digital-balance-hundredth', code: 'B-01' },
  { instrumentId: 'digital-balance-tenth', code: 'B-02' },
];

function planOf(lesson: Lesson, tries = 60): readonly PlannedStep[] {
  let steps: readonly PlannedStep[] = [];
  for (const { plan, tried } of planLesson(problemOf(lesson), seededRandom(8))) {
    steps = plan.steps;
    if (tried >= tries) break;
  }
  return steps;
}

describe('the lesson of a laboratory', () => {
  it.each(protocolIds())(
    '%s can be planned for eight groups with two balances, and nothing is in anybody’s way',
    (id) => {
      const lesson = lessonOf([protocol(id)], BALANCES, 8);
      const plan = planOf(lesson, 10);
      expect(planConflicts(problemOf(lesson), plan)).toEqual([]);
      expect(fits(problemOf(lesson), plan)).toBe(true);
      const before = (one: string, other: string): boolean =>
        plan.every(
          (a) => a.step !== one || plan.every((b) => b.group !== a.group || b.step !== other || a.end <= b.start),
        );
      for (const { id: step } of lesson.steps.slice(1, -1)) {
        expect(before('set-up', step)).toBe(true);
        expect(before(step, 'clear-up')).toBe(true);
      }
    },
  );

  it('has the tools that its readings are usually taken on, and its apparatus', () => {
    const { steps } = lessonOf([protocol('solid-two-ways'), protocol('thermometer-check')], BALANCES, 8);
    expect(Object.fromEntries(steps.map(({ id, tools }) => [id, tools]))).toMatchObject({
      'solid-two-ways/dimensions': ['calipers'],
      'solid-two-ways/mass': ['balances'],
      'solid-two-ways/difference': ['balances'],
      'solid-two-ways/water': ['graduated-glass'],
      'thermometer-check/heat': ['hot plate'],
      'thermometer-check/boiling': ['thermometers', 'hot plate'],
      'clear-up': [],
    });
  });

  it('takes fine and coarse tools where each is used', () => {
    const { steps } = lessonOf([protocol('plate-two-ways')], [], 4);
    const toolsIn = (id: string): readonly string[] => steps.find((step) => step.id === `plate-two-ways/${id}`)!.tools;
    expect([toolsIn('coarse'), toolsIn('fine'), toolsIn('thickness')]).toEqual([
      ['rulers'],
      ['rulers', 'calipers'],
      ['micrometers'],
    ]);
  });

  it('shares what the cabinet has too few of, and nothing else', () => {
    const counts = ({ tools }: Lesson): Record<string, number | null> =>
      Object.fromEntries(tools.map(({ kind, count }) => [kind, count]));
    const two = [protocol('solid-two-ways')];
    expect(counts(lessonOf(two, BALANCES, 8))).toEqual({ calipers: null, balances: 2, 'graduated-glass': null });
    expect(counts(lessonOf(two, BALANCES, 2))).toEqual({ calipers: null, balances: null, 'graduated-glass': null });
    expect(problemOf(lessonOf(two, BALANCES, 8)).tools).toEqual({ balances: 2 });
  });

  it('has water boil for as long as the amount says, and what boils read at once', () => {
    const { steps } = lessonOf([protocol('thermometer-check')], [], 4);
    const heat = steps.find(({ id }) => id === 'thermometer-check/heat')!;
    expect(heat).toMatchObject({ minutes: 10, attention: 'waiting', water: { millilitres: 250, from: 20, to: 100 } });
    expect(steps.find(({ id }) => id === 'thermometer-check/boiling')!.follows).toBe(heat.id);
  });

  it('keeps the order of a laboratory, and leaves two laboratories in any order', () => {
    const { steps } = lessonOf([protocol('solid-by-displacement'), protocol('length-two-units')], [], 4);
    const afterOf = (id: string): readonly string[] => steps.find((step) => step.id === id)!.after;
    expect(afterOf('solid-by-displacement/after')).toEqual(['set-up', 'solid-by-displacement/before']);
    expect(afterOf('length-two-units/second')).toEqual(['set-up']);
  });
});

describe('where groups meet', () => {
  // Twelve groups, two balances: six groups each, four minutes for every one of them.
  const lesson = lessonOf([protocol('solid-by-displacement')], BALANCES, 12);

  it('is the tool that is needed longest', () => {
    expect(narrowPlace(lesson)).toMatchObject({ tool: { kind: 'balances' }, count: 2, each: 4, minutes: 24 });
    expect(narrowPlace(lessonOf([protocol('solid-by-displacement')], BALANCES, 2))).toBeNull();
  });

  it('makes the later ones wait: nothing can be done before the dry mass is known', () => {
    const waits = waitsOf(lesson, planOf(lesson));
    expect([...waits].sort((a, b) => a - b)).toEqual([0, 0, 4, 4, 8, 8, 12, 12, 16, 16, 20, 20]);
  });

  it('says what a group does now, and next', () => {
    const plan = planOf(lesson);
    const last = waitsOf(lesson, plan).indexOf(20);
    expect(atMinute(lesson, plan, last, 1)).toMatchObject({
      now: { step: 'set-up' },
      next: { step: 'solid-by-displacement/mass' },
    });
    expect(atMinute(lesson, plan, last, 10)).toMatchObject({ now: null, beside: [], next: { start: 23 } });
    expect(atMinute(lesson, plan, last, 1000)).toEqual({ now: null, beside: [], next: null });
  });
});

describe('a step that is moved', () => {
  const lesson = lessonOf([protocol('thermometer-check')], [], 2);
  const problem = problemOf(lesson);
  const plan = planOf(lesson);
  const startOf = (steps: readonly PlannedStep[], id: string): number =>
    steps.find(({ group, step }) => group === 0 && step === `thermometer-check/${id}`)!.start;

  it('takes along what begins with its end', () => {
    const later = moved(problem, plan, {
      group: 0,
      step: 'thermometer-check/boiling',
      start: startOf(plan, 'boiling') + 7,
    });
    expect(startOf(later, 'heat')).toBe(startOf(plan, 'heat') + 7);
    expect(startOf(later, 'boiling')).toBe(startOf(plan, 'boiling') + 7);
    expect(startOf(later, 'ice')).toBe(startOf(plan, 'ice'));
    expect(later.filter(({ group }) => group === 1)).toEqual(plan.filter(({ group }) => group === 1));
  });

  it('does not begin before the lesson, and stays as long as it was', () => {
    const first = moved(problem, plan, { group: 0, step: 'thermometer-check/boiling', start: -40 });
    expect(startOf(first, 'heat')).toBe(0);
    expect(startOf(first, 'boiling')).toBe(10);
    expect(fits(problem, first)).toBe(true);
  });

  it('is told where it stands against another', () => {
    const at = startOf(plan, 'room');
    const kinds = planConflicts(
      problem,
      moved(problem, plan, { group: 0, step: 'thermometer-check/room', start: at - 3 }),
    );
    expect(kinds.length).toBeGreaterThan(0);
  });

  it('does not fit another lesson', () => {
    expect(fits(problem, plan)).toBe(true);
    expect(fits(problem, plan.slice(1))).toBe(false);
    expect(fits(problem, [...plan.slice(1), plan[1]!])).toBe(false);
    expect(fits({ ...problem, groups: 1 }, plan)).toBe(false);
    expect(fits(problemOf(lessonOf([protocol('burn-rate')], [], 2)), plan)).toBe(false);
  });

  it('can be done at another tool', () => {
    const shared = lessonOf([protocol('solid-two-ways')], BALANCES, 4);
    const kept = planOf(shared);
    const other = withTool(kept, 1, 'balances', 1);
    expect(fits(problemOf(shared), other)).toBe(true);
    expect(new Set(other.filter(({ group }) => group === 1).flatMap(({ tools }) => tools['balances'] ?? []))).toEqual(
      new Set([1]),
    );
    expect(fits(problemOf(shared), withTool(kept, 1, 'balances', 2))).toBe(false);
  });
});
