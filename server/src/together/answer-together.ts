import type { TogetherAnswer, TogetherTaken } from '@green-beam/contract';
import { CORE_VERSION, readTogether, type HouseRules } from '@green-beam/core';
import { askPrepared, databaseOf } from '../database.ts';
import { TogetherAnswerRow, type TogetherRow } from '../models/together.ts';
import { Refusal } from '../refusal.ts';
import { judged, taskOfRoom } from './task-of-room.ts';

/**
 * Notes what a student has read. Until the teacher stops it the last entry counts; one that comes later is kept beside it. Whether it came
 * in time is decided where both are stored, so that no answer is counted after the dots have fallen.
 * @throws Refusal (400) for what is no reading.
 */
export async function answerTogether(
  row: TogetherRow,
  rules: HouseRules,
  answer: TogetherAnswer,
): Promise<TogetherTaken> {
  const { personId, entry, eyeHeight } = answer;
  const read = readTogether(entry, row.unit);
  if (typeof read === 'string') throw new Refusal(400, read, 'entry');
  const task = taskOfRoom(row, rules);
  const diagnosis = task ? judged(task, row, entry, eyeHeight) : null;
  const [taken] = await askPrepared<{ counts: boolean }>(
    databaseOf(TogetherAnswerRow),
    `with open as (
       select class_id, id, stopped_at is null as counts from together_rounds where class_id = $1 and id = $2 for share
     )
     insert into together_answers as kept
       (class_id, round_id, person_id, first_entry, entry, late, eye_height, diagnosis, core_version)
     select class_id, id, $3, $4, case when counts then $4::text end, case when counts then null else $4::text end, $5,
       case when counts then $6::jsonb end, $7
     from open
     on conflict (class_id, round_id, person_id) do update set
       entry = coalesce(excluded.entry, kept.entry), late = coalesce(excluded.late, kept.late),
       eye_height = case when excluded.entry is null then kept.eye_height else excluded.eye_height end,
       diagnosis = case when excluded.entry is null then kept.diagnosis else excluded.diagnosis end,
       core_version = excluded.core_version, answered_at = now()
     returning (select counts from open)`,
    [
      row.classId,
      row.id,
      personId,
      entry,
      eyeHeight,
      diagnosis === null ? null : JSON.stringify(diagnosis),
      CORE_VERSION,
    ],
  );
  return { counts: taken?.counts ?? false };
}

/**
 * Writes down what a tool at the front shows, and judges every answer by it. Both are there at once: who hears that it is shown asks once,
 * and finds what is behind the own answer.
 */
export async function tellTruth(
  row: TogetherRow,
  truth: { readonly instrumentId: string | null; readonly value: number },
  rules: HouseRules,
): Promise<void> {
  row.set({ ...truth, shownAt: new Date() });
  const task = taskOfRoom(row, rules);
  await databaseOf(TogetherAnswerRow).transaction(async (transaction) => {
    const where = { classId: row.classId, roundId: row.id };
    for (const answer of await TogetherAnswerRow.findAll({ where, transaction }))
      await answer.update(
        {
          diagnosis: task && answer.entry !== null ? judged(task, row, answer.entry, answer.eyeHeight) : null,
          coreVersion: CORE_VERSION,
        },
        { transaction },
      );
    await row.save({ transaction });
  });
}
