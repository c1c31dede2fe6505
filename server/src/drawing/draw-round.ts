import { randomUUID } from 'node:crypto';
import type { ToolChoice } from '@green-beam/contract';
import {
  CORE_VERSION,
  drawItem,
  hasZeroError,
  isExerciseKind,
  isExerciseTask,
  needsWholeWidth,
  planForAims,
  planForBelief,
  planRound,
  seededRandom,
  shownItem,
  shownOnPaper,
  subjectsNamed,
  TRIES,
  type Domain,
  type Exercise,
  type HouseRules,
  type PlannedItem,
  type PracticeTask,
  type Subject,
} from '@green-beam/core';
import type { CreationAttributes } from 'sequelize';
import type { SetRound, Task } from '../models/bench.ts';
import { toRevisit, type Knowledge } from './knowledge.ts';
import { tellOf, type Worked } from './worked.ts';

const ROUND_LENGTH = 10;

/** Whose round it is, and what it is drawn from. */
export interface RoundFor {
  readonly classId: string;
  readonly schoolId: string;
  readonly personId: string;
  /** Tools and kinds of exercises; none named means a mix. */
  readonly subjectIds: readonly string[];
  /** The tools of a mix; every tool when there are none. */
  readonly mixed?: readonly string[];
  readonly rules: HouseRules;
  readonly rulesVersion: number;
  /** The round set by a teacher that this one answers; null for one’s own practice. */
  readonly set: Pick<SetRound, 'id' | 'length' | 'aims' | 'tries' | 'hints' | 'onPaper' | 'given'> | null;
  /** Tools of the cabinet to be used; none means any of the kinds named. */
  readonly tools?: readonly ToolChoice[];
}

/** Slips over a zero error, which a tool without one leaves no room for. */
const OVER_THE_ZERO = ['zero-ignored', 'zero-sign', 'zero-negative-misread', 'not-zeroed'];

/** The very tool an item is drawn for, and what can be aimed at on it. */
function onTool(
  { subjectId, seed, aim }: PlannedItem,
  tools: readonly ToolChoice[],
): { readonly tool: ToolChoice | null; readonly aim: readonly string[] } {
  const fitting = tools.filter((tool) => tool.instrumentId === subjectId);
  const tool = fitting[seed % Math.max(1, fitting.length)] ?? null;
  return { tool, aim: tool === null ? aim : aim.filter((id) => !OVER_THE_ZERO.includes(id)) };
}

/** Items by what is known of the student: readings by habits at the tools, exercises by those on paper, in turn where there are both. */
function byKnowledge(
  subjects: readonly Subject[],
  count: number,
  knowledge: Knowledge,
  { rules }: RoundFor,
  seed: number,
): PlannedItem[] {
  const plan = (domain: Domain, many: number): PlannedItem[] => {
    const own = subjects.filter((subject) => subject.domain === domain);
    const known = knowledge[domain];
    return own.length === 0 || many === 0
      ? []
      : planForBelief(known.belief, { subjects: own, count: many, seed, rules, revisit: toRevisit(known) });
  };
  const mixed = new Set(subjects.map(({ domain }) => domain)).size > 1;
  const [readings, exercises] = [
    plan('reading', mixed ? Math.ceil(count / 2) : count),
    plan('calculating', mixed ? Math.floor(count / 2) : count),
  ];
  return mixed
    ? readings.flatMap((reading, i) => [reading, ...exercises.slice(i, i + 1)])
    : [...readings, ...exercises];
}

function planned(round: RoundFor, knowledge: Knowledge | null, seed: number): PlannedItem[] {
  const { rules, set } = round;
  const subjects = subjectsNamed(round.subjectIds.length > 0 ? round.subjectIds : (round.mixed ?? []));
  const count = set?.length ?? ROUND_LENGTH;
  if (set && set.aims.length > 0) return planForAims(subjects, set.aims, count, seed, rules);
  // A sheet of paper has something of everything: what is known of a student may have to do with an eye that it cannot show.
  if (set?.onPaper) return planRound(subjects, count, seed, rules, shownOnPaper);
  if (knowledge === null) return planRound(subjects, count, seed, rules);
  return byKnowledge(subjects, count, knowledge, round, seed);
}

/** How often an exercise that was set before is drawn again. */
const AGAIN = 12;

/** An item that is new to the student: what has been set before is drawn anew, as long as there is anything new. */
function drawnNew(
  { seed, subjectId }: PlannedItem,
  draw: (seed: number) => PracticeTask,
  seen: Set<string>,
): PracticeTask {
  if (!isExerciseKind(subjectId)) return draw(seed);
  const random = seededRandom(seed);
  let task = draw(seed);
  for (let chance = 0; chance < AGAIN && isExerciseTask(task) && seen.has(tellOf(task.exercise)); chance += 1)
    task = draw(random.below(2 ** 48));
  if (isExerciseTask(task)) seen.add(tellOf(task.exercise));
  return task;
}

/** What is drawn for: what is known of the student’s habits, and what was worked before. */
export interface DrawnFor {
  /** Null where a round has something of everything, whatever is known. */
  readonly knowledge: Knowledge | null;
  readonly worked: Worked;
}

function takesWholeWidth(task: PracticeTask): boolean {
  const picture = shownItem(task);
  return picture.kind === 'exercise' || needsWholeWidth(picture);
}

/** The items of a round that are the same for everybody. */
function givenItems(round: RoundFor, given: readonly Exercise[], roundId: string): CreationAttributes<Task>[] {
  return given.map((exercise, position) => ({
    ...rowFor(round, roundId),
    id: randomUUID(),
    subjectId: exercise.kind,
    seed: position,
    situation: exercise,
    position,
    toolCode: null,
  }));
}

/** What every item of a round has. */
function rowFor(
  { classId, schoolId, personId, rulesVersion, set }: RoundFor,
  roundId: string,
): Pick<
  CreationAttributes<Task>,
  'classId' | 'schoolId' | 'personId' | 'roundId' | 'rulesVersion' | 'coreVersion' | 'tries' | 'hints'
> {
  return {
    classId,
    schoolId,
    personId,
    roundId,
    rulesVersion,
    coreVersion: CORE_VERSION,
    tries: set?.tries ?? TRIES,
    hints: set?.hints ?? true,
  };
}

/** The rows of one round, drawn but not stored. */
export function drawRound(
  round: RoundFor,
  { knowledge, worked }: DrawnFor,
  seed: number,
  roundId: string,
): CreationAttributes<Task>[] {
  if (round.set?.given) return givenItems(round, round.set.given, roundId);
  const onPaper = round.set?.onPaper ?? false;
  const seen = new Set(worked.seen);
  const drawn = planned(round, knowledge, seed).map((item) => {
    const { tool, aim } = onTool(item, round.tools ?? []);
    const zero = tool !== null && hasZeroError(item.subjectId) ? { zeroError: tool.zeroError ?? 0 } : {};
    const level = worked.levels.get(item.subjectId) ?? 1;
    const task = drawnNew(
      item,
      (one) => drawItem(item.subjectId, { seed: one, aim, rules: round.rules, onPaper, level, ...zero }),
      seen,
    );
    const row: Omit<CreationAttributes<Task>, 'position'> = {
      ...rowFor(round, roundId),
      id: randomUUID(),
      subjectId: item.subjectId,
      seed: item.seed,
      situation: isExerciseTask(task) ? task.exercise : task.situation,
      toolCode: tool?.code ?? null,
    };
    return { row, isWide: onPaper && takesWholeWidth(task) };
  });
  // On a sheet what takes its whole width comes last, so that the other pictures stand in pairs.
  const ordered = drawn.toSorted((a, b) => Number(a.isWide) - Number(b.isWide));
  return ordered.map(({ row }, position) => ({ ...row, position }));
}
