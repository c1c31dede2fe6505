/** A step of a laboratory as it is planned: every group does it once. */
export interface PlanStep {
  readonly id: string;
  /** Whole minutes, at least one. */
  readonly minutes: number;
  /** A group has its hands on one step at a time; what waits, as water that heats, goes on beside it. */
  readonly attention: 'hands' | 'waiting';
  /** Steps that a group must have done before. */
  readonly after: readonly string[];
  /** The step it begins with the end of, keeping its tools: what boils is read at once, on the same hot plate. */
  readonly follows?: string;
  /** Kinds of tools that it needs while it lasts. A group keeps to one tool of each kind. */
  readonly tools: readonly string[];
}

/** What is to be planned. */
export interface PlanProblem {
  readonly groups: number;
  readonly steps: readonly PlanStep[];
  /** How many there are of each kind of tool that groups share. */
  readonly tools: Readonly<Record<string, number>>;
}

/** One step of one group in a plan. */
export interface PlannedStep {
  /** From 0. */
  readonly group: number;
  readonly step: string;
  /** Whole minutes from the beginning. */
  readonly start: number;
  readonly end: number;
  /** Which tool of each kind, from 0. */
  readonly tools: Readonly<Record<string, number>>;
}

export interface LessonPlan {
  readonly steps: readonly PlannedStep[];
  /** When the last group is done. */
  readonly minutes: number;
  /** No plan can be shorter than this. */
  readonly bound: number;
}

/** A plan cannot be made of what was asked. */
export class PlanError extends Error {
  override readonly name = 'PlanError';
}

const MOST_GROUPS = 40;
const MOST_STEPS = 60;

/** What a step comes after. */
export function needsOf({ after, follows }: PlanStep): readonly string[] {
  return follows === undefined ? after : [...after, follows];
}

/** The steps in an order in which each comes after what it needs. @throws PlanError naming a step. */
export function inOrder(steps: readonly PlanStep[]): PlanStep[] {
  const left = new Map(steps.map((step) => [step.id, step]));
  const done: PlanStep[] = [];
  while (left.size > 0) {
    const next = [...left.values()].find((step) => needsOf(step).every((id) => !left.has(id)));
    if (!next) throw new PlanError(`after: ${[...left.keys()].join(', ')} wait for each other.`);
    left.delete(next.id);
    done.push(next);
  }
  return done;
}

/** @throws PlanError naming the field. */
export function checkProblem({ groups, steps, tools }: PlanProblem): void {
  if (!Number.isInteger(groups) || groups < 1 || groups > MOST_GROUPS)
    throw new PlanError(`groups: ${groups} is not a number of groups from 1 to ${MOST_GROUPS}.`);
  if (steps.length === 0 || steps.length > MOST_STEPS)
    throw new PlanError(
      `steps: ${steps.length} are too ${steps.length === 0 ? 'few' : 'many'}; from 1 to ${MOST_STEPS} can be planned.`,
    );
  const ids = new Set(steps.map(({ id }) => id));
  if (ids.size < steps.length) throw new PlanError('steps: two of them have the same name.');
  for (const { id, minutes, after, follows, tools: needed } of steps) {
    if (!Number.isInteger(minutes) || minutes < 1)
      throw new PlanError(`minutes: ${id} lasts ${minutes}; it must be whole minutes, at least one.`);
    const unknown = after.find((other) => !ids.has(other));
    if (unknown !== undefined) throw new PlanError(`after: ${id} comes after ${unknown}, which is no step.`);
    if (follows !== undefined && !ids.has(follows))
      throw new PlanError(`follows: ${id} follows ${follows}, which is no step.`);
    if (follows !== undefined && steps.some((other) => other.id !== id && other.follows === follows))
      throw new PlanError(`follows: more than one step follows ${follows}.`);
    const missing = needed.find((kind) => !((tools[kind] ?? 0) >= 1));
    if (missing !== undefined) throw new PlanError(`tools: ${id} needs a ${missing}, and there is none.`);
  }
  inOrder(steps);
}

/** Something in a plan that cannot be so, as after a step was dragged. */
export interface PlanConflict {
  readonly kind: 'hands' | 'tool' | 'too-early' | 'too-late' | 'other-tool';
  readonly group: number;
  readonly step: string;
  /** The step it stands against; for a tool it may be another group’s. */
  readonly against: { readonly group: number; readonly step: string };
}

const overlap = (a: PlannedStep, b: PlannedStep): boolean => a.start < b.end && b.start < a.end;

/** Everything in a plan that cannot be so, each pair of steps once. */
export function planConflicts(
  { steps: known }: Pick<PlanProblem, 'steps'>,
  plan: readonly PlannedStep[],
): PlanConflict[] {
  const stepOf = new Map(known.map((step) => [step.id, step]));
  const found: PlanConflict[] = [];
  const say = (kind: PlanConflict['kind'], one: PlannedStep, other: PlannedStep): void => {
    found.push({ kind, group: one.group, step: one.step, against: { group: other.group, step: other.step } });
  };
  plan.forEach((one, i) => {
    const own = stepOf.get(one.step);
    for (const other of plan) {
      if (other.group !== one.group || !own || !needsOf(own).includes(other.step)) continue;
      if (one.start < other.end) say('too-early', one, other);
      else if (own.follows === other.step && one.start > other.end) say('too-late', one, other);
    }
    for (const other of plan.slice(i + 1)) {
      const isSame = one.group === other.group;
      const theirs = stepOf.get(other.step);
      if (isSame && own?.attention === 'hands' && theirs?.attention === 'hands' && overlap(one, other))
        say('hands', one, other);
      for (const [kind, tool] of Object.entries(one.tools)) {
        const used = other.tools[kind];
        if (used === undefined) continue;
        if (isSame && used !== tool) say('other-tool', one, other);
        else if (used === tool && overlap(one, other)) say('tool', one, other);
      }
    }
  });
  return found;
}
