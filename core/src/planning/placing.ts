import type { Job, Jobs } from './jobs.ts';

/** Times that are taken, in order, none over another. In minutes. */
class Calendar {
  readonly #starts: number[] = [];
  readonly #ends: number[] = [];

  /** The first time from which on so many minutes are free. */
  freeFrom(earliest: number, minutes: number): number {
    const [starts, ends] = [this.#starts, this.#ends];
    let at = earliest;
    for (let i = 0; i < starts.length; i += 1) {
      if ((starts[i] ?? 0) >= at + minutes) break;
      const end = ends[i] ?? 0;
      if (end > at) at = end;
    }
    return at;
  }

  take(start: number, minutes: number): void {
    let place = this.#starts.length;
    while (place > 0 && (this.#starts[place - 1] ?? 0) > start) place -= 1;
    this.#starts.splice(place, 0, start);
    this.#ends.splice(place, 0, start + minutes);
  }
}

/** A calendar that must be free for a stretch of a job. */
interface Needed {
  readonly calendar: Calendar;
  readonly from: number;
  readonly minutes: number;
}

/** When each job of each group begins: the job’s number beside the group’s, `group × jobs + job`. */
export interface Placed {
  readonly starts: readonly number[];
  /** Which tool of each kind a group keeps to, `group × kinds + kind`; −1 where it uses none. */
  readonly toolOf: readonly number[];
  readonly minutes: number;
}

/** The first time at which everything that is needed is free. */
function firstFree(needed: readonly Needed[], earliest: number): number {
  let at = earliest;
  for (;;) {
    const before = at;
    for (const { calendar, from, minutes } of needed) at = calendar.freeFrom(at + from, minutes) - from;
    if (at === before) return at;
  }
}

/** What is taken while jobs are placed one after the other. */
class Taken {
  readonly #hands: Calendar[];
  readonly #tools: Calendar[][];
  readonly #served: number[][];
  readonly #shares: number[];
  readonly toolOf: number[];

  constructor(
    private readonly lesson: Jobs,
    kept: readonly number[] | null,
  ) {
    const { groups, counts } = lesson;
    this.#hands = Array.from({ length: groups }, () => new Calendar());
    this.#tools = counts.map((count) => Array.from({ length: count }, () => new Calendar()));
    this.#served = counts.map((count) => new Array<number>(count).fill(0));
    this.#shares = counts.map((count) => Math.ceil(groups / count));
    this.toolOf = kept ? [...kept] : new Array<number>(groups * counts.length).fill(-1);
  }

  /** Takes what a job needs, as early as it is all free. @returns when it begins. */
  place(group: number, { hands, tools }: Job, earliest: number): number {
    const own = this.#hands[group];
    const needed: Needed[] = own ? hands.map(({ from, minutes }) => ({ calendar: own, from, minutes })) : [];
    for (const { kind, from, minutes } of tools) {
      const slot = group * this.lesson.counts.length + kind;
      let tool = this.toolOf[slot] ?? -1;
      if (tool < 0) {
        tool = this.#bestTool(kind, { from, minutes }, needed, earliest);
        this.toolOf[slot] = tool;
        const served = this.#served[kind];
        if (served) served[tool] = (served[tool] ?? 0) + 1;
      }
      const calendar = this.#tools[kind]?.[tool];
      if (calendar) needed.push({ calendar, from, minutes });
    }
    const start = firstFree(needed, earliest);
    for (const { calendar, from, minutes } of needed) calendar.take(start + from, minutes);
    return start;
  }

  /** The tool that is free first, of those that do not serve their share of the groups yet. */
  #bestTool(kind: number, stretch: Omit<Needed, 'calendar'>, needed: readonly Needed[], earliest: number): number {
    let [best, first] = [0, Infinity];
    this.#tools[kind]?.forEach((calendar, tool) => {
      if ((this.#served[kind]?.[tool] ?? 0) >= (this.#shares[kind] ?? 1)) return;
      const at = firstFree([...needed, { calendar, ...stretch }], earliest);
      if (at < first) [best, first] = [tool, at];
    });
    return best;
  }
}

/**
 * Places jobs one after the other, each as early as it can be, into gaps too: a serial schedule (Kolisch, Eur. J. Oper. Res. 90 (1996)
 * 320). Of the jobs whose turn can come, the one with the largest number is next.
 * @param priority of each job of each group, `group × jobs + job`.
 * @param kept tools that groups have already.
 */
export function place(lesson: Jobs, priority: ArrayLike<number>, kept: readonly number[] | null = null): Placed {
  const { groups, jobs } = lesson;
  const count = groups * jobs.length;
  const taken = new Taken(lesson, kept);
  const starts = new Array<number>(count).fill(-1);
  const followers = jobs.map((_, job) =>
    jobs.flatMap(({ before }, other) => before.filter((one) => one.job === job).map(() => other)),
  );
  const waitsFor = Array.from({ length: count }, (_, task) => jobs[task % jobs.length]?.before.length ?? 0);
  const open = waitsFor.flatMap((left, task) => (left === 0 ? [task] : []));
  let minutes = 0;
  while (open.length > 0) {
    let [next, highest] = [0, -Infinity];
    for (let i = 0; i < open.length; i += 1) {
      const value = priority[open[i] ?? 0] ?? 0;
      if (value > highest) [next, highest] = [i, value];
    }
    const task = open[next] ?? 0;
    open[next] = open.at(-1) ?? 0;
    open.pop();
    const own = task % jobs.length;
    const base = task - own;
    const job = jobs[own] as Job;
    let earliest = 0;
    for (const { job: other, at, own: from } of job.before)
      earliest = Math.max(earliest, (starts[base + other] ?? 0) + at - from);
    const start = taken.place(base / jobs.length, job, earliest);
    starts[task] = start;
    minutes = Math.max(minutes, start + job.minutes);
    for (const follower of followers[own] ?? []) {
      const left = (waitsFor[base + follower] ?? 0) - 1;
      waitsFor[base + follower] = left;
      if (left === 0) open.push(base + follower);
    }
  }
  return { starts, toolOf: taken.toolOf, minutes };
}
