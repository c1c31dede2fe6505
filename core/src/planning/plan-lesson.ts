import type { Random } from '../simulation/random.ts';
import { headsAndTails, lowerBound } from './bound.ts';
import { checkProblem, inOrder, type LessonPlan, type PlannedStep, type PlanProblem, type PlanStep } from './plan.ts';

/** Times that are taken, in order, none over another. */
class Calendar {
  readonly #taken: { start: number; end: number }[] = [];

  /** The first time from which on so many minutes are free. */
  freeFrom(earliest: number, minutes: number): number {
    let at = earliest;
    for (const { start, end } of this.#taken) {
      if (start >= at + minutes) break;
      if (end > at) at = end;
    }
    return at;
  }

  take(start: number, end: number): void {
    const place = this.#taken.findIndex((one) => one.start >= start);
    this.#taken.splice(place < 0 ? this.#taken.length : place, 0, { start, end });
  }
}

/** Which step of which group. */
interface Task {
  readonly group: number;
  readonly step: PlanStep;
}

/** The first time at which all of some calendars are free for so long. */
function commonFree(calendars: readonly Calendar[], earliest: number, minutes: number): number {
  let at = earliest;
  for (;;) {
    const next = calendars.reduce((time, calendar) => calendar.freeFrom(time, minutes), at);
    if (next === at) return at;
    at = next;
  }
}

/** Places tasks one after the other, each as early as it can be, into gaps too. Every task comes after what it needs. */
function placed({ groups, tools }: PlanProblem, order: readonly Task[]): PlannedStep[] {
  const hands = Array.from({ length: groups }, () => new Calendar());
  const calendars = new Map(
    Object.entries(tools).map(([kind, count]) => [kind, Array.from({ length: count }, () => new Calendar())]),
  );
  const own = Array.from({ length: groups }, () => new Map<string, number>());
  const served = new Map(Object.entries(tools).map(([kind, count]) => [kind, new Array<number>(count).fill(0)]));
  const ends = Array.from({ length: groups }, () => new Map<string, number>());
  return order.map(({ group, step }): PlannedStep => {
    const { id, minutes, attention, after } = step;
    const mine = own[group] ?? new Map<string, number>();
    const earliest = Math.max(0, ...after.map((other) => ends[group]?.get(other) ?? 0));
    const chosen: Record<string, number> = {};
    const needed: Calendar[] = attention === 'hands' ? [hands[group] ?? new Calendar()] : [];
    for (const kind of step.tools) {
      const all = calendars.get(kind) ?? [];
      const index = mine.get(kind) ?? bestTool(all, served.get(kind) ?? [], needed, earliest, minutes, groups);
      chosen[kind] = index;
      const calendar = all[index];
      if (calendar) needed.push(calendar);
    }
    const start = commonFree(needed, earliest, minutes);
    for (const calendar of needed) calendar.take(start, start + minutes);
    for (const [kind, index] of Object.entries(chosen)) {
      const counts = served.get(kind);
      if (!mine.has(kind) && counts) counts[index] = (counts[index] ?? 0) + 1;
      mine.set(kind, index);
    }
    ends[group]?.set(id, start + minutes);
    return { group, step: id, start, end: start + minutes, tools: chosen };
  });
}

/** The tool that is free first, of those that do not serve their share of groups yet. */
function bestTool(
  all: readonly Calendar[],
  served: readonly number[],
  needed: readonly Calendar[],
  earliest: number,
  minutes: number,
  groups: number,
): number {
  const share = Math.ceil(groups / all.length);
  let [best, at] = [0, Infinity];
  all.forEach((calendar, i) => {
    if ((served[i] ?? 0) >= share) return;
    const free = commonFree([...needed, calendar], earliest, minutes);
    if (free < at) [best, at] = [i, free];
  });
  return best;
}

const lengthOf = (steps: readonly PlannedStep[]): number => Math.max(...steps.map(({ end }) => end));

/** How long the groups have nothing to do, all together: of two plans that are as long the one with less of it is better. */
function idleOf({ steps: known, groups }: PlanProblem, plan: readonly PlannedStep[]): number {
  const hands = new Set(known.filter(({ attention }) => attention === 'hands').map(({ id }) => id));
  let idle = 0;
  for (let group = 0; group < groups; group += 1) {
    const own = plan.filter((one) => one.group === group && hands.has(one.step));
    if (own.length === 0) continue;
    const busy = own.reduce((total, { start, end }) => total + end - start, 0);
    idle += lengthOf(own) - Math.min(...own.map(({ start }) => start)) - busy;
  }
  return idle;
}

/** An order of tasks by numbers, the largest first, in which each comes after what it needs. */
function ordered(problem: PlanProblem, steps: readonly PlanStep[], priority: ReadonlyMap<string, number>): Task[] {
  const left: Task[] = [];
  for (let group = 0; group < problem.groups; group += 1) for (const step of steps) left.push({ group, step });
  const value = ({ group, step }: Task): number => priority.get(`${group} ${step.id}`) ?? 0;
  left.sort((a, b) => value(b) - value(a));
  const done = Array.from({ length: problem.groups }, () => new Set<string>());
  const order: Task[] = [];
  while (left.length > 0) {
    const next = left.findIndex(({ group, step }) => step.after.every((id) => done[group]?.has(id)));
    const [task] = left.splice(Math.max(0, next), 1);
    if (!task) break;
    done[task.group]?.add(task.step.id);
    order.push(task);
  }
  return order;
}

/** First orders: by how much still follows, with the groups beginning at different steps; then with more and more chance. */
function firstPriority(problem: PlanProblem, random: Random, chance: number): Map<string, number> {
  const { tails } = headsAndTails(problem.steps);
  const share = new Map(
    problem.steps.map((step) => [
      step.id,
      Math.max(0, ...step.tools.map((kind) => problem.groups / (problem.tools[kind] ?? 1))) * step.minutes,
    ]),
  );
  const priority = new Map<string, number>();
  for (let group = 0; group < problem.groups; group += 1)
    for (const { id, minutes } of problem.steps)
      priority.set(
        `${group} ${id}`,
        (tails.get(id) ?? 0) + minutes + 0.5 * (share.get(id) ?? 0) - 0.01 * group + chance * 30 * random.uniform(),
      );
  return priority;
}

/** How a plan is coming on. */
export interface PlanProgress {
  /** The best plan so far. */
  readonly plan: LessonPlan;
  /** How many orders have been tried. */
  readonly tried: number;
}

/** After so many orders that were no better, another beginning is taken. */
const PATIENCE = 150;

/**
 * Plans a lesson: every group does every step once, waiting overlaps with work, a tool serves one group at a time and a group keeps to
 * its tool. Orders of tasks are placed as early as they can be (a serial schedule, Kolisch, Eur. J. Oper. Res. 90 (1996) 320), and
 * changed a little again and again. It ends where a plan is as short as none can be shorter; otherwise it goes on for as long as it is
 * asked to.
 * @throws PlanError naming the field.
 */
export function* planLesson(problem: PlanProblem, random: Random): Generator<PlanProgress> {
  checkProblem(problem);
  const steps = inOrder(problem.steps);
  const bound = lowerBound(problem);
  let best: { plan: PlannedStep[]; minutes: number; idle: number } | null = null;
  let tried = 0;
  for (let round = 0; ; round += 1) {
    let current = firstPriority(problem, random, round === 0 ? 0 : Math.min(1, 0.2 * round));
    let minutes = Infinity;
    let idle = Infinity;
    for (let patience = 0; patience < PATIENCE; patience += 1) {
      const next = patience === 0 ? current : changed(current, random);
      const plan = placed(problem, ordered(problem, steps, next));
      tried += 1;
      const [length, waits] = [lengthOf(plan), idleOf(problem, plan)];
      if (length < minutes || (length === minutes && waits <= idle)) {
        if (length < minutes || waits < idle) patience = 0;
        [current, minutes, idle] = [next, length, waits];
      }
      if (best === null || length < best.minutes || (length === best.minutes && waits < best.idle))
        best = { plan, minutes: length, idle: waits };
      yield { plan: { steps: best.plan, minutes: best.minutes, bound }, tried };
      if (best.minutes === bound && best.idle === 0) return;
    }
  }
}

/** The same numbers with a few changed: two exchanged, or one drawn anew. */
function changed(priority: ReadonlyMap<string, number>, random: Random): Map<string, number> {
  const next = new Map(priority);
  const keys = [...next.keys()];
  const any = (): string => keys[random.below(keys.length)] ?? '';
  for (let times = 1 + random.below(3); times > 0; times -= 1) {
    const [one, other] = [any(), any()];
    const [a, b] = [next.get(one) ?? 0, next.get(other) ?? 0];
    if (random.uniform() < 0.7) next.set(one, b).set(other, a);
    else next.set(one, b + random.normal());
  }
  return next;
}
