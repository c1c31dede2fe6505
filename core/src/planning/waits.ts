import { isShared, type Lesson, type LessonTool } from './lesson.ts';
import type { PlannedStep } from './plan.ts';

/** How long each tool of a kind is in use, when groups share it evenly. */
export interface NarrowPlace {
  readonly tool: LessonTool;
  /** How many there are. */
  readonly count: number;
  /** Minutes that the one that serves most groups is needed. */
  readonly minutes: number;
  /** Minutes that one group needs it. */
  readonly each: number;
}

/** Where groups meet: the shared kind of tool that is needed longest; null where nothing is shared. */
export function narrowPlace(lesson: Lesson): NarrowPlace | null {
  const places = lesson.tools
    .filter((tool) => isShared(lesson, tool))
    .map((tool): NarrowPlace => {
      const count = tool.count ?? lesson.groups;
      const each = lesson.steps.reduce((sum, { tools, minutes }) => sum + (tools.includes(tool.kind) ? minutes : 0), 0);
      return { tool, count, minutes: Math.ceil(lesson.groups / count) * each, each };
    })
    .filter(({ each }) => each > 0);
  return places.sort((a, b) => b.minutes - a.minutes)[0] ?? null;
}

/** Minutes that each group has nothing to do with its hands, from the beginning to its own end; by group. */
export function waitsOf({ groups, steps }: Lesson, plan: readonly PlannedStep[]): number[] {
  const hands = new Set(steps.filter(({ attention }) => attention === 'hands').map(({ id }) => id));
  return Array.from({ length: groups }, (_, group) => {
    const own = plan.filter((one) => one.group === group && hands.has(one.step)).sort((a, b) => a.start - b.start);
    let [free, waits] = [0, 0];
    for (const { start, end } of own) {
      waits += Math.max(0, start - free);
      free = Math.max(free, end);
    }
    return waits;
  });
}

/** What a group does at a minute of the lesson, and what comes next. */
export interface AtMinute {
  /** What it has its hands on; null while it waits. */
  readonly now: PlannedStep | null;
  /** What goes on by itself meanwhile. */
  readonly beside: readonly PlannedStep[];
  /** What its hands do next; null where that was the last. */
  readonly next: PlannedStep | null;
}

/** @param minute from the beginning of the lesson; parts of minutes count. */
export function atMinute(
  { steps }: Pick<Lesson, 'steps'>,
  plan: readonly PlannedStep[],
  group: number,
  minute: number,
): AtMinute {
  const hands = new Set(steps.filter(({ attention }) => attention === 'hands').map(({ id }) => id));
  const own = plan.filter((one) => one.group === group).sort((a, b) => a.start - b.start);
  const isNow = ({ start, end }: PlannedStep): boolean => start <= minute && minute < end;
  return {
    now: own.find((one) => hands.has(one.step) && isNow(one)) ?? null,
    beside: own.filter((one) => !hands.has(one.step) && isNow(one)),
    next: own.find((one) => hands.has(one.step) && one.start > minute) ?? null,
  };
}
