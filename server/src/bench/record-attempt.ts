import type { AttemptResult } from '@green-beam/contract';
import { subjectById, type SlipHistory } from '@green-beam/core';
import type { Transaction } from 'sequelize';
import { Attempt, Task } from '../models/bench.ts';
import { notFound, Refusal } from '../refusal.ts';
import { rulesOf } from '../rules.ts';
import { judgeAttempt, type Entered } from './attempt-row.ts';
import { attemptResult } from './show.ts';

/** The priors look back over this many attempts, so that an old habit fades. */
const REMEMBERED = 60;

/** What this student's recent attempts on the same skill showed. */
async function historyOf(task: Task, transaction: Transaction): Promise<SlipHistory> {
  const { classId, personId, subjectId } = task;
  const { skill } = subjectById(subjectId);
  const recent = await Attempt.findAll({
    attributes: ['slips'],
    where: { classId, personId, skill },
    order: [['serverOrder', 'DESC']],
    limit: REMEMBERED,
    transaction,
    raw: true,
  });
  const slips: Record<string, number> = {};
  for (const attempt of recent) for (const id of attempt.slips) slips[id] = (slips[id] ?? 0) + 1;
  return { readings: recent.length, slips };
}

/** Whose task it is. */
interface TaskOf {
  readonly classId: string;
  readonly personId: string;
  readonly taskId: string;
}

/**
 * Judges an entry by the situation at Enter and stores it. The same attempt sent twice is stored once; an attempt on a task that
 * was closed meanwhile (in another tab) is refused and says so.
 */
export async function recordAttempt({ classId, personId, taskId }: TaskOf, body: Entered): Promise<AttemptResult> {
  const sequelize = Attempt.sequelize;
  if (!sequelize) throw new Error('The database is not open.');
  return sequelize.transaction(async (transaction) => {
    const task = await Task.findOne({
      where: { classId, id: taskId, personId },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    if (!task) throw notFound();
    const rules = await rulesOf(classId, task.rulesVersion);
    // Pictures are many times larger than the rest, and nothing here looks at them.
    const before = await Attempt.findAll({
      attributes: { exclude: ['picture'] },
      where: { classId, taskId: task.id },
      order: [['serverOrder', 'ASC']],
      transaction,
    });
    const known = before.find((attempt) => attempt.id === body.id);
    if (known) return attemptResult(known, rules, Boolean(task.closedAt), before);
    if (task.closedAt)
      throw new Refusal(
        409,
        'This item is already finished, perhaps in another tab. Go on to the next one. This entry did not count.',
      );
    const tryNumber = before.filter((attempt) => attempt.verdict !== 'unreadable').length + 1;
    const { row, closes } = judgeAttempt(task, body, tryNumber, rules, await historyOf(task, transaction));
    const attempt = await Attempt.build(row).save({ transaction, returning: false });
    if (closes) await task.update({ closedAt: new Date() }, { transaction });
    return attemptResult(attempt, rules, closes, [...before, attempt]);
  });
}
