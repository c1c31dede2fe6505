import { isExerciseKind, levelAfter, type Exercise } from '@green-beam/core';
import { QueryTypes } from 'sequelize';
import { databaseOf } from '../database.ts';
import { NOTHING_WORKED, tellOf, type Worked } from '../drawing/worked.ts';
import { Attempt, Task } from '../models/bench.ts';

/** So many exercises of each kind are looked back over. */
const REMEMBERED = 40;

/** What a student has worked of some kinds of exercises. */
export async function workedBy(classId: string, personId: string, subjectIds: readonly string[]): Promise<Worked> {
  const kinds = subjectIds.filter(isExerciseKind);
  if (kinds.length === 0) return NOTHING_WORKED;
  const sequelize = databaseOf(Attempt);
  const firsts = await sequelize.query<{ subject_id: string; sound: boolean }>(
    `select subject_id, sound from (
       select subject_id, verdict = 'sound' sound, server_order, row_number() over (partition by subject_id order by server_order desc) back
       from attempts where class_id = :classId and person_id = :personId and subject_id in (:kinds) and try_number = 1 and verdict <> 'unreadable'
     ) latest where back <= :remembered order by server_order`,
    { replacements: { classId, personId, kinds, remembered: REMEMBERED }, type: QueryTypes.SELECT },
  );
  const set = await Task.findAll({
    attributes: ['classId', 'id', 'situation'],
    where: { classId, personId, subjectId: kinds },
  });
  return {
    levels: new Map(
      kinds.map((kind) => [
        kind,
        levelAfter(firsts.filter(({ subject_id }) => subject_id === kind).map(({ sound }) => sound)),
      ]),
    ),
    seen: new Set(set.map(({ situation }) => tellOf(situation as Exercise))),
  };
}
