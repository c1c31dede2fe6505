import { needsOf, type PlannedStep, type PlanProblem } from './plan.ts';

/** A step and all that begin with its end, and whatever it begins with the end of. */
function together(steps: PlanProblem['steps'], id: string): ReadonlySet<string> {
  const found = new Set([id]);
  for (let before = 0; before < found.size;) {
    before = found.size;
    for (const step of steps)
      if (step.follows !== undefined && (found.has(step.id) || found.has(step.follows)))
        found.add(step.id).add(step.follows);
  }
  return found;
}

/**
 * A plan in which a group does a step at another time, with what must not be parted from it. What then cannot be so is told by
 * `planConflicts`; nothing else is moved.
 * @param start in minutes from the beginning; nothing begins before that.
 */
export function moved(
  { steps }: Pick<PlanProblem, 'steps'>,
  plan: readonly PlannedStep[],
  { group, step, start }: Pick<PlannedStep, 'group' | 'step' | 'start'>,
): PlannedStep[] {
  const ids = together(steps, step);
  const isMoved = (one: PlannedStep): boolean => one.group === group && ids.has(one.step);
  const at = plan.find((one) => one.group === group && one.step === step)?.start ?? start;
  const earliest = Math.min(...plan.filter(isMoved).map((one) => one.start));
  const by = Math.max(Math.round(start) - at, -earliest);
  return plan.map((one) => (isMoved(one) ? { ...one, start: one.start + by, end: one.end + by } : one));
}

/** A plan in which a group does everything at another tool of a kind. */
export function withTool(plan: readonly PlannedStep[], group: number, kind: string, tool: number): PlannedStep[] {
  return plan.map((one) =>
    one.group === group && one.tools[kind] !== undefined ? { ...one, tools: { ...one.tools, [kind]: tool } } : one,
  );
}

/** Whether a kept plan has every step of every group once, for as long as it lasts: otherwise it is of another lesson, and made anew. */
export function fits({ groups, steps, tools }: PlanProblem, plan: readonly PlannedStep[]): boolean {
  if (plan.length !== groups * steps.length) return false;
  const known = new Map(steps.map((step) => [step.id, step]));
  const seen = new Set<string>();
  return (
    plan.every(({ group, step: id, start, end, tools: used }) => {
      const step = known.get(id);
      seen.add(`${group} ${id}`);
      return (
        step !== undefined &&
        end - start === step.minutes &&
        group < groups &&
        step.tools.every((kind) => (used[kind] ?? Infinity) < (tools[kind] ?? 0)) &&
        Object.keys(used).length === step.tools.length &&
        needsOf(step).every((other) => known.has(other))
      );
    }) && seen.size === plan.length
  );
}
