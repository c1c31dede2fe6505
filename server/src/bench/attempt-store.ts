import { subjectById, subjectIds } from '@green-beam/core';
import type { CreationAttributes } from 'sequelize';
import { askPrepared, databaseOf, isTaken } from '../database.ts';
import { Attempt, type Task } from '../models/bench.ts';
import type { JudgedEntry } from './show.ts';

/** Whose task it is. */
export interface TaskOf {
  readonly classId: string;
  readonly personId: string;
  readonly taskId: string;
}

/** A task as an entry on it is judged, with what was entered on it before, the oldest first. */
export interface TaskInWork extends Pick<
  Task,
  'classId' | 'id' | 'schoolId' | 'personId' | 'subjectId' | 'situation' | 'rulesVersion' | 'tries' | 'closedAt'
> {
  readonly before: readonly JudgedEntry[];
  /** The slips in this student’s latest entries on the same skill, the newest first. */
  readonly latestSlips: readonly (readonly string[])[];
}

/** So many entries are looked back over, so that an old habit fades. */
const REMEMBERED = 60;

/** The skill of each tool and kind of exercise, for the database. */
const SKILLS = JSON.stringify(Object.fromEntries(subjectIds().map((id) => [id, subjectById(id).skill])));

/** @returns null where this student has no such task. */
export async function taskInWork({ classId, personId, taskId }: TaskOf): Promise<TaskInWork | null> {
  const [task] = await ask<TaskInWork>(
    `select class_id "classId", id, school_id "schoolId", person_id "personId", subject_id "subjectId", situation,
       rules_version "rulesVersion", tries, closed_at "closedAt",
       coalesce((select json_agg(json_build_object('id', a.id, 'taskId', a.task_id, 'subjectId', a.subject_id,
           'situation', a.situation, 'actions', a.actions, 'remarks', a.remarks, 'tryNumber', a.try_number,
           'verdict', a.verdict, 'diagnosis', a.diagnosis) order by a.server_order)
         from attempts a where a.class_id = t.class_id and a.task_id = t.id), '[]') before,
       coalesce((select json_agg(slips order by server_order desc) from (
           select slips, server_order from attempts
           where class_id = $1 and person_id = $3 and skill = $4::jsonb ->> t.subject_id
           order by server_order desc limit ${REMEMBERED}) latest), '[]') "latestSlips"
     from tasks t where class_id = $1 and id = $2 and person_id = $3`,
    [classId, taskId, personId, SKILLS],
  );
  return task ?? null;
}

/**
 * Stores an entry, and closes its task where it does so, in one statement.
 * @returns false where the task was closed, or something was entered on it, since it was looked at; then nothing is stored.
 */
export async function store(row: CreationAttributes<Attempt>, closes: boolean): Promise<boolean> {
  const json = (value: unknown): string | null =>
    value === null || value === undefined ? null : JSON.stringify(value);
  try {
    const stored = await ask(
      `with open as (select id from tasks where class_id = $1 and id = $2 and closed_at is null for update),
         closed as (update tasks set closed_at = now() from open
           where $3 and tasks.class_id = $1 and tasks.id = open.id)
       insert into attempts (class_id, task_id, id, school_id, person_id, subject_id, skill, entry, situation, picture,
         actions, remarks, hints, time_taken, entered_by, try_number, verdict, slips, diagnosis, rules_version, core_version)
       select $1, open.id, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, $16, $17, $18, $19, $20, $21, $22 from open
       returning id`,
      [
        row.classId,
        row.taskId,
        closes,
        row.id,
        row.schoolId,
        row.personId,
        row.subjectId,
        row.skill,
        row.entry,
        json(row.situation),
        json(row.picture),
        json(row.actions),
        json(row.remarks),
        row.hints,
        row.timeTaken,
        row.enteredBy ?? null,
        row.tryNumber,
        row.verdict,
        row.slips,
        json(row.diagnosis),
        row.rulesVersion,
        row.coreVersion,
      ],
    );
    return stored.length > 0;
  } catch (error) {
    if (isTaken(error)) return false;
    throw error;
  }
}

function ask<Row extends object>(statement: string, values: readonly unknown[]): Promise<Row[]> {
  return askPrepared<Row>(databaseOf(Attempt), statement, values);
}
