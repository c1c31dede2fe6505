import { describe, expect, it } from 'vitest';
import { seededRandom, type Random } from '../simulation/random.ts';
import { lowerBound } from './bound.ts';
import { planLesson } from './plan-lesson.ts';
import {
  planConflicts,
  PlanError,
  type LessonPlan,
  type PlannedStep,
  type PlanProblem,
  type PlanStep,
} from './plan.ts';

/** How many lessons are drawn. */
const CASES = 24;
/** About so many orders of a large lesson are tried in two seconds. */
const ORDERS = 1500;

const step = (id: string, minutes: number, more: Partial<PlanStep> = {}): PlanStep => ({
  id,
  minutes,
  attention: 'hands',
  after: [],
  tools: [],
  ...more,
});

/** The best plan after so many orders, or the first that is good enough. @param enough how many times as long as none can be shorter. */
function planned(problem: PlanProblem, tries: number, seed = 5, enough = 0): LessonPlan {
  let plan: LessonPlan | null = null;
  for (const progress of planLesson(problem, seededRandom(seed))) {
    ({ plan } = progress);
    if (progress.tried >= tries || plan.minutes <= enough * plan.bound) break;
  }
  return plan!;
}

/** A step, and the one that begins with its end. */
const chained = (steps: readonly PlanStep[]): PlanStep[][] =>
  steps
    .filter(({ follows }) => follows === undefined)
    .map((first) => [first, ...steps.filter(({ follows }) => follows === first.id)]);

/** The shortest of all plans, by trying every order of all tasks and every way to share the tools, each task put behind those before it. */
function shortest({ groups, steps, tools }: PlanProblem): number {
  const kinds = Object.keys(tools);
  const chains = chained(steps);
  let best = Infinity;
  const shares = (left: number): number[][][] =>
    left === 0
      ? [[]]
      : shares(left - 1).flatMap((rest) =>
          kinds
            .reduce<number[][]>(
              (all, kind) => all.flatMap((one) => Array.from({ length: tools[kind]! }, (_, i) => [...one, i])),
              [[]],
            )
            .map((own) => [...rest, own]),
        );
  for (const share of shares(groups)) {
    const ends = new Map<string, number>();
    const hands = new Array<number>(groups).fill(0);
    const busy = new Map<string, number>();
    const go = (done: number, length: number): void => {
      if (length >= best) return;
      if (done === groups * chains.length) {
        best = length;
        return;
      }
      for (let group = 0; group < groups; group += 1)
        for (const chain of chains) {
          const mine = (id: string): string => `${group} ${id}`;
          const needs = chain.flatMap(({ after }) => after).filter((id) => !chain.some((own) => own.id === id));
          if (ends.has(mine(chain[0]!.id)) || needs.some((id) => !ends.has(mine(id)))) continue;
          const used = [...new Set(chain.flatMap((one) => one.tools))].map(
            (kind) => `${kind} ${share[group]![kinds.indexOf(kind)]!}`,
          );
          let start = Math.max(0, ...used.map((tool) => busy.get(tool) ?? 0));
          let from = 0;
          for (const { minutes, attention, after } of chain) {
            for (const id of after)
              if (!chain.some((own) => own.id === id)) start = Math.max(start, ends.get(mine(id))! - from);
            if (attention === 'hands') start = Math.max(start, hands[group]! - from);
            from += minutes;
          }
          const before = [hands[group]!, used.map((tool) => busy.get(tool) ?? 0)] as const;
          let at = start;
          for (const { id, minutes, attention } of chain) {
            at += minutes;
            ends.set(mine(id), at);
            if (attention === 'hands') hands[group] = at;
          }
          for (const tool of used) busy.set(tool, at);
          go(done + 1, Math.max(length, at));
          for (const { id } of chain) ends.delete(mine(id));
          hands[group] = before[0];
          used.forEach((tool, i) => busy.set(tool, before[1][i]!));
        }
    };
    go(0, 0);
  }
  return best;
}

/** Whether everything is done once, for as long as it takes. */
function expectSound(problem: PlanProblem, { steps, minutes }: LessonPlan): void {
  expect(planConflicts(problem, steps)).toEqual([]);
  expect(new Set(steps.map(({ group, step: id }) => `${group} ${id}`)).size).toBe(
    problem.groups * problem.steps.length,
  );
  for (const { step: id, start, end, tools } of steps) {
    const known = problem.steps.find((one) => one.id === id)!;
    expect(end - start).toBe(known.minutes);
    expect(Object.keys(tools).sort()).toEqual([...known.tools].sort());
    for (const [kind, index] of Object.entries(tools)) expect(index).toBeLessThan(problem.tools[kind]!);
  }
  expect(minutes).toBe(Math.max(...steps.map(({ end }) => end)));
}

function smallProblem(random: Random): PlanProblem {
  const groups = 2 + random.below(2);
  const count = groups === 2 ? 3 + random.below(2) : 3;
  const tools: Record<string, number> = { balance: 1 + random.below(2), plate: 1 };
  const steps: PlanStep[] = [];
  for (let i = 0; i < count; i += 1) {
    const last = steps.at(-1);
    if (last?.attention === 'waiting' && last.follows === undefined && random.uniform() < 0.7) {
      steps.push(step(`s${i}`, 1 + random.below(4), { follows: last.id, tools: last.tools }));
      continue;
    }
    steps.push(
      step(`s${i}`, 2 + random.below(9), {
        attention: random.uniform() < 0.4 ? 'waiting' : 'hands',
        after: i > 0 && random.uniform() < 0.5 ? [`s${random.below(i)}`] : [],
        tools: random.uniform() < 0.6 ? [random.pick(['balance', 'plate'])] : [],
      }),
    );
  }
  return { groups, steps, tools };
}

function largeProblem(random: Random): PlanProblem {
  const kinds = ['balance', 'plate', 'caliper', 'micrometer', 'burette', 'thermometer', 'hydrometer', 'barometer'];
  const tools = Object.fromEntries(kinds.map((kind) => [kind, 1 + random.below(5)]));
  const steps: PlanStep[] = [];
  for (let i = 0; i < 20; i += 1) {
    const last = steps.at(-1);
    if (last?.attention === 'waiting' && last.follows === undefined && random.uniform() < 0.5)
      steps.push(step(`s${i}`, 1 + random.below(3), { follows: last.id, tools: last.tools }));
    else
      steps.push(
        step(`s${i}`, 1 + random.below(6), {
          attention: random.uniform() < 0.15 ? 'waiting' : 'hands',
          after: i > 0 && random.uniform() < 0.4 ? [`s${Math.max(0, i - 1 - random.below(3))}`] : [],
          tools: random.uniform() < 0.45 ? [random.pick(kinds as [string, ...string[]])] : [],
        }),
      );
  }
  return { groups: 12, steps, tools };
}

describe('a lesson', () => {
  it('has waiting beside work: what heats by itself costs nobody time', () => {
    const problem: PlanProblem = {
      groups: 1,
      steps: [step('heat', 10, { attention: 'waiting' }), step('measure', 8), step('boil', 4, { after: ['heat'] })],
      tools: {},
    };
    const plan = planned(problem, 50);
    expectSound(problem, plan);
    expect(plan.minutes).toBe(14);
  });

  it('reads what boils the minute it boils, and keeps the hot plate until then', () => {
    const problem: PlanProblem = {
      groups: 2,
      steps: [
        step('heat', 10, { attention: 'waiting', tools: ['plate'] }),
        step('boil', 4, { follows: 'heat', tools: ['plate'] }),
        step('measure', 12),
      ],
      tools: { plate: 1 },
    };
    const plan = planned(problem, 50);
    expectSound(problem, plan);
    expect(plan.minutes).toBe(28);
  });

  it('has two groups at one balance one after the other, each doing something else meanwhile', () => {
    const problem: PlanProblem = {
      groups: 2,
      steps: [step('weigh', 5, { tools: ['balance'] }), step('measure', 5)],
      tools: { balance: 1 },
    };
    expect(planned(problem, 50).minutes).toBe(10);
  });

  it('keeps a group at its own tool', () => {
    const problem: PlanProblem = {
      groups: 4,
      steps: [
        step('empty', 2, { tools: ['balance'] }),
        step('fill', 3, { after: ['empty'] }),
        step('full', 2, { tools: ['balance'], after: ['fill'] }),
      ],
      tools: { balance: 2 },
    };
    const plan = planned(problem, 400);
    expectSound(problem, plan);
    for (let group = 0; group < 4; group += 1)
      expect(
        new Set(plan.steps.filter((one) => one.group === group).flatMap(({ tools }) => Object.values(tools))).size,
      ).toBe(1);
  });

  it('of few groups and steps is never more than 3 minutes longer than the shortest of all plans', () => {
    const random = seededRandom(61);
    const longer = Array.from({ length: CASES }, () => {
      const problem = smallProblem(random);
      const plan = planned(problem, 250);
      expectSound(problem, plan);
      const best = shortest(problem);
      expect(plan.bound).toBeLessThanOrEqual(best);
      return plan.minutes - best;
    });
    expect(Math.min(...longer)).toBeGreaterThanOrEqual(0);
    expect(Math.max(...longer)).toBeLessThanOrEqual(3);
  });

  it('of twelve groups, 20 steps and 8 tools is within a tenth of what none can be shorter than', () => {
    const random = seededRandom(62);
    for (let i = 0; i < CASES; i += 1) {
      const problem = largeProblem(random);
      const plan = planned(problem, ORDERS, i, 1.1);
      expectSound(problem, plan);
      expect(plan.bound).toBe(lowerBound(problem));
      expect(plan.minutes / plan.bound, JSON.stringify(problem.tools)).toBeLessThanOrEqual(1.1);
    }
  });

  it('is the same from the same seed', () => {
    const problem = largeProblem(seededRandom(3));
    expect(planned(problem, 40, 9)).toEqual(planned(problem, 40, 9));
  });

  it.each([
    [{ groups: 0 }, 'groups'],
    [{ steps: [] }, 'steps'],
    [{ steps: [step('a', 0)] }, 'minutes'],
    [{ steps: [step('a', 2), step('a', 3)] }, 'steps'],
    [{ steps: [step('a', 2, { after: ['b'] })] }, 'after'],
    [{ steps: [step('a', 2, { after: ['b'] }), step('b', 2, { after: ['a'] })] }, 'after'],
    [{ steps: [step('a', 2, { tools: ['balance'] })] }, 'tools'],
    [{ steps: [step('a', 2, { follows: 'b' })] }, 'follows'],
    [{ steps: [step('a', 2), step('b', 2, { follows: 'a' }), step('c', 2, { follows: 'a' })] }, 'follows'],
  ])('%j cannot be planned: its field is named', (wrong, field) => {
    const problem: PlanProblem = { groups: 2, steps: [step('a', 2)], tools: {}, ...wrong };
    expect(() => planLesson(problem, seededRandom(1)).next()).toThrow(PlanError);
    expect(() => planLesson(problem, seededRandom(1)).next()).toThrow(new RegExp(`^${field}:`));
  });
});

describe('what cannot be so in a plan', () => {
  const problem = {
    steps: [
      step('weigh', 5, { tools: ['balance'] }),
      step('fill', 3, { after: ['weigh'] }),
      step('heat', 8, { attention: 'waiting' }),
      step('boil', 3, { follows: 'heat' }),
    ],
  };
  const at = (group: number, id: string, start: number, tools: Record<string, number> = {}): PlannedStep => ({
    group,
    step: id,
    start,
    end: start + problem.steps.find((one) => one.id === id)!.minutes,
    tools,
  });

  it.each([
    ['nothing', [at(0, 'weigh', 0, { balance: 0 }), at(0, 'fill', 5), at(1, 'weigh', 5, { balance: 0 })], []],
    ['two groups at one balance', [at(0, 'weigh', 0, { balance: 0 }), at(1, 'weigh', 4, { balance: 0 })], ['tool']],
    ['a step before what it needs', [at(0, 'weigh', 4, { balance: 0 }), at(0, 'fill', 0)], ['too-early']],
    ['two steps at once', [at(0, 'weigh', 0, { balance: 0 }), at(0, 'fill', 4)], ['too-early', 'hands']],
    ['what boils read before it boils', [at(0, 'heat', 0), at(0, 'boil', 5)], ['too-early']],
    ['what has boiled read later', [at(0, 'heat', 0), at(0, 'boil', 9)], ['too-late']],
    ['another balance', [at(0, 'weigh', 0, { balance: 0 }), { ...at(0, 'weigh', 9, { balance: 1 }) }], ['other-tool']],
  ])('%s', (_, plan, kinds) => {
    expect(
      planConflicts(problem, plan)
        .map(({ kind }) => kind)
        .sort(),
    ).toEqual([...kinds].sort());
  });
});
