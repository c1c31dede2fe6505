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

/** Lists by a key, in the order of the first of each. */
function listsBy(plan: readonly PlannedStep[], keysOf: (one: PlannedStep) => readonly string[]): PlannedStep[][] {
  const lists = new Map<string, PlannedStep[]>();
  for (const one of plan)
    for (const key of keysOf(one)) {
      const list = lists.get(key) ?? [];
      list.push(one);
      lists.set(key, list);
    }
  return [...lists.values()];
}

/** What one step of a group has against another of the same group. */
function withinGroup(
  steps: ReadonlyMap<string, PlanStep>,
  one: PlannedStep,
  other: PlannedStep,
): PlanConflict['kind'][] {
  const [own, theirs] = [steps.get(one.step), steps.get(other.step)];
  const kinds: PlanConflict['kind'][] = [];
  if (own?.attention === 'hands' && theirs?.attention === 'hands' && overlap(one, other)) kinds.push('hands');
  for (const [kind, tool] of Object.entries(one.tools)) {
    const used = other.tools[kind];
    if (used === undefined) continue;
    if (used !== tool) kinds.push('other-tool');
    else if (overlap(one, other)) kinds.push('tool');
  }
  return kinds;
}

/** What a step has against one that it comes after. */
function afterStep({ follows }: PlanStep, one: PlannedStep, before: PlannedStep): PlanConflict['kind'] | null {
  if (one.start < before.end) return 'too-early';
  return follows === before.step && one.start > before.end ? 'too-late' : null;
}

/** Everything in a plan that cannot be so, each pair of steps once. */
export function planConflicts(
  { steps: known }: Pick<PlanProblem, 'steps'>,
  plan: readonly PlannedStep[],
): PlanConflict[] {
  const steps = new Map(known.map((step) => [step.id, step]));
  const found: PlanConflict[] = [];
  const say = (kind: PlanConflict['kind'], one: PlannedStep, other: PlannedStep): void => {
    found.push({ kind, group: one.group, step: one.step, against: { group: other.group, step: other.step } });
  };
  for (const own of listsBy(plan, ({ group }) => [String(group)]))
    own.forEach((one, i) => {
      const step = steps.get(one.step);
      for (const before of own) {
        const kind = step && needsOf(step).includes(before.step) ? afterStep(step, one, before) : null;
        if (kind) say(kind, one, before);
      }
      for (const other of own.slice(i + 1)) for (const kind of withinGroup(steps, one, other)) say(kind, one, other);
    });
  for (const users of listsBy(plan, ({ tools }) => Object.entries(tools).map(([kind, tool]) => `${tool} ${kind}`)))
    users.forEach((one, i) => {
      for (const other of users.slice(i + 1))
        if (other.group !== one.group && overlap(one, other)) say('tool', one, other);
    });
  return found;
}
