import { randomInt, randomUUID } from 'node:crypto';
import type { CreationAttributes } from 'sequelize';
import { newSheetCode } from '../classes/codes.ts';
import { askPrepared, databaseOf } from '../database.ts';
import type { RoundFor } from '../drawing/draw-round.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { Round, Task } from '../models/bench.ts';
import { workedBy } from './levels.ts';
import { placeOf } from './place.ts';
import { knownOf } from './tutor.ts';

/** A round with its items, in their order. */
export interface RoundOfTasks {
  readonly round: Round;
  readonly tasks: readonly Task[];
  /** Nobody can have entered anything yet. */
  readonly isNew: boolean;
}

/** A round is stored with its items or not at all. */
async function store(round: Round, tasks: readonly CreationAttributes<Task>[]): Promise<void> {
  const { classId, id, schoolId, personId, subjectIds, place, setRoundId, sheetCode } = round;
  await askPrepared(
    databaseOf(Round),
    `with round as (
       insert into rounds (class_id, id, school_id, person_id, subject_ids, place, set_round_id, sheet_code)
       values ($1, $2, $3, $4, $5, $6, $7, $8))
     insert into tasks (class_id, round_id, school_id, person_id, id, subject_id, seed, situation, rules_version,
       core_version, tries, hints, tool_code, position)
     select $1, $2, $3, $4, id, "subjectId", seed, situation, "rulesVersion", "coreVersion", tries, hints,
       "toolCode", position
     from json_to_recordset($9) as drawn (id uuid, "subjectId" text, seed bigint, situation jsonb,
       "rulesVersion" integer, "coreVersion" text, tries integer, hints boolean, "toolCode" text, position integer)`,
    [classId, id, schoolId, personId, subjectIds, place, setRoundId, sheetCode, JSON.stringify(tasks)],
  );
}

/** Draws and stores a round: chosen by what is known of the student, or by what the teacher aims at. */
export async function createRound(round: RoundFor, drawing: Drawing): Promise<RoundOfTasks> {
  const { classId, schoolId, personId, subjectIds, set } = round;
  const id = randomUUID();
  const [knowledge, worked] = await Promise.all([knownOf(round, drawing), workedBy(classId, personId, subjectIds)]);
  const drawn = await drawing.round(round, { knowledge, worked }, randomInt(2 ** 47), id);
  const stored = Round.build({
    classId,
    schoolId,
    personId,
    subjectIds: [...subjectIds],
    place: placeOf(subjectIds),
    setRoundId: set?.id ?? null,
    sheetCode: set?.onPaper ? newSheetCode() : null,
    id,
  });
  await store(stored, drawn);
  stored.isNewRecord = false;
  return { round: stored, tasks: drawn.map((task) => Task.build(task, { isNewRecord: false })), isNew: true };
}

/** A round that was stored before, with its items. */
export async function withTasks(round: Round): Promise<RoundOfTasks> {
  const { classId, id: roundId } = round;
  const tasks = await Task.findAll({ where: { classId, roundId }, order: [['position', 'ASC']] });
  return { round, tasks, isNew: false };
}
