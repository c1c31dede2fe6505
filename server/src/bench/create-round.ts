import { randomInt, randomUUID } from 'node:crypto';
import { newSheetCode } from '../classes/codes.ts';
import { databaseOf } from '../database.ts';
import type { RoundFor } from '../drawing/draw-round.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { Round, Task } from '../models/bench.ts';
import { workedBy } from './levels.ts';
import { placeOf } from './place.ts';
import { knownOf } from './tutor.ts';

/** Draws and stores a round: chosen by what is known of the student, or by what the teacher aims at. */
export async function createRound(round: RoundFor, drawing: Drawing): Promise<Round> {
  const { classId, schoolId, personId, subjectIds, set } = round;
  const id = randomUUID();
  const [knowledge, worked] = await Promise.all([knownOf(round, drawing), workedBy(classId, personId, subjectIds)]);
  const tasks = await drawing.round(round, { knowledge, worked }, randomInt(2 ** 47), id);
  const sequelize = databaseOf(Round);
  return sequelize.transaction(async (transaction) => {
    const stored = await Round.create(
      {
        classId,
        schoolId,
        personId,
        subjectIds: [...subjectIds],
        place: placeOf(subjectIds),
        setRoundId: set?.id ?? null,
        sheetCode: set?.onPaper ? newSheetCode() : null,
        id,
      },
      { transaction },
    );
    await Task.bulkCreate(tasks, { transaction });
    return stored;
  });
}
