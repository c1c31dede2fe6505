import type { Random } from '../simulation/random.ts';
import { headsAndTails, lowerBound } from './bound.ts';
import { backwards, jobsOf, type Jobs } from './jobs.ts';
import { place, type Placed } from './placing.ts';
import { checkProblem, type LessonPlan, type PlannedStep, type PlanProblem } from './plan.ts';

/** A lesson to be planned, both ways round. */
interface Search {
  readonly lesson: Jobs;
  readonly turned: Jobs;
}

/** A plan, and how long its groups have nothing to do, all together: of two that are as long the one with less of it is better. */
interface Found {
  /** What it came of. */
  readonly order: Float64Array;
  readonly placed: Placed;
  readonly idle: number;
}

/** In minutes, between the first and the last step of each group that needs its hands. */
function idleOf({ groups, jobs }: Jobs, { starts }: Placed): number {
  let idle = 0;
  for (let group = 0; group < groups; group += 1) {
    let [first, last, busy] = [Infinity, 0, 0];
    jobs.forEach(({ hands }, job) => {
      const start = starts[group * jobs.length + job] ?? 0;
      for (const { from, minutes } of hands) {
        first = Math.min(first, start + from);
        last = Math.max(last, start + from + minutes);
        busy += minutes;
      }
    });
    if (busy > 0) idle += last - first - busy;
  }
  return idle;
}

const isBetter = (one: Found, other: Found): boolean =>
  one.placed.minutes < other.placed.minutes || (one.placed.minutes === other.placed.minutes && one.idle < other.idle);

/**
 * The plan that comes of an order: placed as early as it can be, then everything as late as the end allows, then as early again, which
 * often closes gaps (Valls, Ballestín and Quintanilla, Eur. J. Oper. Res. 165 (2005) 375).
 */
function planFrom({ lesson, turned }: Search, order: Float64Array): Found {
  const { jobs } = lesson;
  const first = place(lesson, order);
  const ends = first.starts.map((start, task) => start + (jobs[task % jobs.length]?.minutes ?? 0));
  const late = place(turned, ends, first.toolOf);
  // The one that is last when time runs backwards is first again.
  const again = place(
    lesson,
    late.starts.map((start, task) => start + (jobs[task % jobs.length]?.minutes ?? 0)),
    first.toolOf,
  );
  const [one, other] = [first, again].map((placed) => ({ order, placed, idle: idleOf(lesson, placed) })) as [
    Found,
    Found,
  ];
  return isBetter(other, one) ? other : one;
}

/** First orders: by how much still follows and how much is shared, with more and more chance. */
function firstOrder(
  { groups, steps, tools }: PlanProblem,
  { jobs }: Jobs,
  random: Random,
  chance: number,
): Float64Array {
  const { tails } = headsAndTails(steps);
  const weight = jobs.map(({ parts }) =>
    parts.reduce(
      (sum, { step }) => {
        const shared = Math.max(0, ...step.tools.map((kind) => groups / (tools[kind] ?? 1)));
        return sum + step.minutes + 0.5 * shared * step.minutes;
      },
      Math.max(...parts.map(({ step }) => tails.get(step.id) ?? 0)),
    ),
  );
  return Float64Array.from(
    { length: groups * jobs.length },
    (_, task) =>
      (weight[task % jobs.length] ?? 0) - 0.01 * Math.floor(task / jobs.length) + chance * 30 * random.uniform(),
  );
}

/** How far a step is put forward or back, in minutes. */
const FAR = 20;

/** The order of a plan, by when its steps begin, with a few of them put forward or back. */
function putForward({ placed }: Found, random: Random): Float64Array {
  const next = Float64Array.from(placed.starts, (start) => -start);
  for (let times = 1 + random.below(6); times > 0; times -= 1) {
    const one = random.below(next.length);
    next[one] = (next[one] ?? 0) + FAR * random.normal();
  }
  return next;
}

/** The order that a plan came of with a few exchanged, or one drawn anew. */
function exchanged({ order }: Found, random: Random): Float64Array {
  const next = Float64Array.from(order);
  for (let times = 1 + random.below(3); times > 0; times -= 1) {
    const [one, other] = [random.below(next.length), random.below(next.length)];
    const [a, b] = [next[one] ?? 0, next[other] ?? 0];
    next[one] = b;
    next[other] = random.uniform() < 0.7 ? a : b + random.normal();
  }
  return next;
}

function stepsOf({ groups, kinds, jobs }: Jobs, { starts, toolOf }: Placed): PlannedStep[] {
  return Array.from({ length: groups }, (_, group) =>
    jobs.flatMap(({ parts }, job) =>
      parts.map(({ step, from }): PlannedStep => {
        const start = (starts[group * jobs.length + job] ?? 0) + from;
        const tools = Object.fromEntries(
          step.tools.map((kind) => [kind, toolOf[group * kinds.length + kinds.indexOf(kind)] ?? 0]),
        );
        return { group, step: step.id, start, end: start + step.minutes, tools };
      }),
    ),
  ).flat();
}

/** How a plan is coming on. */
export interface PlanProgress {
  /** The best plan so far. */
  readonly plan: LessonPlan;
  /** How many orders have been tried. */
  readonly tried: number;
}

/** After so many orders that were no better, another beginning is taken. */
const PATIENCE = 40;

/**
 * Plans a lesson: every group does every step once, waiting overlaps with work, a tool serves one group at a time and a group keeps to
 * its tool. Orders are placed, and changed a little again and again. It ends where a plan is as short as none can be shorter and nobody
 * waits; otherwise it goes on for as long as it is asked to.
 * @throws PlanError naming the field.
 */
export function* planLesson(problem: PlanProblem, random: Random): Generator<PlanProgress> {
  checkProblem(problem);
  const lesson = jobsOf(problem);
  const search: Search = { lesson, turned: backwards(lesson) };
  const bound = lowerBound(problem);
  let best: Found | null = null;
  let plan: LessonPlan = { steps: [], minutes: Infinity, bound };
  let tried = 0;
  for (let round = 0; ; round += 1) {
    const order = firstOrder(problem, lesson, random, round === 0 ? 0 : Math.min(1, 0.2 * round));
    let found: Found | null = null;
    for (let patience = 0; patience < PATIENCE; patience += 1) {
      const candidate: Found = planFrom(
        search,
        found === null ? order : (round % 2 === 0 ? exchanged : putForward)(found, random),
      );
      tried += 1;
      if (found === null || !isBetter(found, candidate)) {
        if (found === null || isBetter(candidate, found)) patience = 0;
        found = candidate;
      }
      if (best === null || isBetter(candidate, best)) {
        best = candidate;
        plan = { steps: stepsOf(lesson, best.placed), minutes: best.placed.minutes, bound };
      }
      yield { plan, tried };
      if (plan.minutes === bound && best.idle === 0) return;
    }
  }
}
