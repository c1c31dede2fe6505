import { randomInt, randomUUID } from 'node:crypto';
import type { ToolChoice } from '@green-beam/contract';
import { CORE_VERSION, drawTask, hasZeroError, needsWholeWidth, pictureOf, planForAims, planForBelief, planRound, shownOnPaper, TRIES, type HouseRules, type PlannedItem } from '@green-beam/core';
import type { CreationAttributes } from 'sequelize';
import { newSheetCode } from '../classes/codes.ts';
import { Round, Task, type SetRound } from '../models/bench.ts';
import { knownOf, toRevisit, type Known } from './tutor.ts';

export const ROUND_LENGTH = 10;

/** Whose round it is, and what it is drawn from. */
export interface RoundFor {
  readonly classId: string;
  readonly schoolId: string;
  readonly personId: string;
  /** None named means all tools. */
  readonly instrumentIds: readonly string[];
  readonly rules: HouseRules;
  readonly rulesVersion: number;
  /** The round set by a teacher that this one answers; null for one’s own practice. */
  readonly set: Pick<SetRound, 'id' | 'length' | 'aims' | 'tries' | 'hints' | 'onPaper'> | null;
  /** Tools of the cabinet to be used; none means any of the kinds named. */
  readonly tools?: readonly ToolChoice[];
}

/** Slips over a zero error, which a tool without one leaves no room for. */
const OVER_THE_ZERO = ['zero-ignored', 'zero-sign', 'zero-negative-misread', 'not-zeroed'];

/** The very tool an item is drawn for, and what can be aimed at on it. */
function onTool({ instrumentId, seed, aim }: PlannedItem, tools: readonly ToolChoice[]): { readonly tool: ToolChoice | null; readonly aim: readonly string[] } {
  const fitting = tools.filter((tool) => tool.instrumentId === instrumentId);
  const tool = fitting[seed % Math.max(1, fitting.length)] ?? null;
  return { tool, aim: tool === null ? aim : aim.filter((id) => !OVER_THE_ZERO.includes(id)) };
}

function planned({ instrumentIds, rules, set }: RoundFor, known: Known, seed: number): PlannedItem[] {
  const count = set?.length ?? ROUND_LENGTH;
  if (set && set.aims.length > 0) return planForAims(instrumentIds, set.aims, count, seed, rules);
  // A sheet of paper has something of everything: what is known of a student may have to do with an eye that it cannot show.
  if (set?.onPaper) return planRound(instrumentIds, count, seed, rules, shownOnPaper);
  return planForBelief(known.belief, { tools: instrumentIds, count, seed, rules, revisit: toRevisit(known) });
}

/** The rows of one round, drawn but not stored. */
export function drawRound(round: RoundFor, known: Known, seed: number, roundId: string): CreationAttributes<Task>[] {
  const onPaper = round.set?.onPaper ?? false;
  const tasks = planned(round, known, seed).map((item) => {
    const { tool, aim } = onTool(item, round.tools ?? []);
    const zero = tool !== null && hasZeroError(item.instrumentId) ? { zeroError: tool.zeroError ?? 0 } : {};
    const task = drawTask(item.instrumentId, { seed: item.seed, aim, rules: round.rules, onPaper, ...zero });
    return {
      classId: round.classId,
      schoolId: round.schoolId,
      personId: round.personId,
      roundId,
      id: randomUUID(),
      instrumentId: item.instrumentId,
      seed: item.seed,
      situation: task.situation,
      picture: pictureOf(task),
      rulesVersion: round.rulesVersion,
      coreVersion: CORE_VERSION,
      tries: round.set?.tries ?? TRIES,
      hints: round.set?.hints ?? true,
      toolCode: tool?.code ?? null,
    };
  });
  // On a sheet the pictures that take its whole width come last, so that the others stand in pairs.
  const ordered = onPaper ? tasks.toSorted((a, b) => Number(needsWholeWidth(a.picture)) - Number(needsWholeWidth(b.picture))) : tasks;
  return ordered.map((task, position) => ({ ...task, position }));
}

/** Draws and stores a round: chosen by what is known of the student, or by what the teacher aims at. */
export async function createRound(round: RoundFor): Promise<Round> {
  const { classId, schoolId, personId, instrumentIds, set } = round;
  const id = randomUUID();
  const tasks = drawRound(round, await knownOf(classId, personId), randomInt(2 ** 47), id);
  const sequelize = Round.sequelize;
  if (!sequelize) throw new Error('The database is not open.');
  return sequelize.transaction(async (transaction) => {
    const stored = await Round.create({ classId, schoolId, personId, instrumentIds: [...instrumentIds], setRoundId: set?.id ?? null, sheetCode: set?.onPaper ? newSheetCode() : null, id }, { transaction });
    await Task.bulkCreate(tasks, { transaction });
    return stored;
  });
}
