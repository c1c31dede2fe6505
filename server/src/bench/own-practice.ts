import type { RoundAside } from '@green-beam/contract';
import { literal, Op } from 'sequelize';
import { Round, Task } from '../models/bench.ts';
import type { RoundFor } from '../drawing/draw-round.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { createRound, withTasks, type RoundOfTasks } from './create-round.ts';

type Person = Pick<RoundFor, 'classId' | 'personId'>;

/** Rounds of one’s own practice that are not finished, the one worked at last first. */
async function unfinished({ classId, personId }: Person, subjectIds?: readonly string[]): Promise<Round[]> {
  return Round.findAll({
    where: {
      classId,
      personId,
      setRoundId: null,
      sheetCode: null,
      place: 'bench',
      ...(subjectIds && { subjectIds: { [Op.contains]: [...subjectIds], [Op.contained]: [...subjectIds] } }),
      [Op.and]: literal(
        'exists (select 1 from tasks where tasks.class_id = "Round".class_id and tasks.round_id = "Round".id and tasks.closed_at is null)',
      ),
    },
    order: [['takenUpAt', 'DESC']],
  });
}

/** A round of one’s own practice: the one on the same tools that was put aside, or a new one. */
export async function ownPractice(round: Omit<RoundFor, 'set'>, drawing: Drawing): Promise<RoundOfTasks> {
  const [aside] = await unfinished(round, round.subjectIds);
  if (!aside) return createRound({ ...round, set: null }, drawing);
  return withTasks(await aside.update({ takenUpAt: new Date() }));
}

/** What somebody has put aside on the bench, and how far each round has come. */
export async function roundsAside(person: Person): Promise<RoundAside[]> {
  const rounds = await unfinished(person);
  const tasks = await Task.findAll({
    attributes: ['roundId', 'closedAt'],
    where: { classId: person.classId, roundId: rounds.map(({ id }) => id) },
  });
  return rounds.map(({ id, subjectIds }) => {
    const own = tasks.filter(({ roundId }) => roundId === id);
    return { subjectIds, done: own.filter(({ closedAt }) => closedAt).length, of: own.length };
  });
}
