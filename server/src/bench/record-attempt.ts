import type { AttemptResult } from '@green-beam/contract';
import type { SlipHistory } from '@green-beam/core';
import { notFound, Refusal } from '../refusal.ts';
import { rulesOf } from '../rules.ts';
import { judgeAttempt, type Entered } from './attempt-row.ts';
import { store, taskInWork, type TaskInWork, type TaskOf } from './attempt-store.ts';
import { attemptResult } from './show.ts';

/** What this student's recent attempts on the same skill showed. */
function historyOf({ latestSlips }: TaskInWork): SlipHistory {
  const slips: Record<string, number> = {};
  for (const id of latestSlips.flat()) slips[id] = (slips[id] ?? 0) + 1;
  return { readings: latestSlips.length, slips };
}

/** So often an entry is judged anew that was overtaken by another one on its task. */
const OVERTAKEN = 5;

/**
 * Judges an entry by the situation at Enter and stores it. The same attempt sent twice is stored once; an attempt on a task that
 * was closed meanwhile (in another tab) is refused and says so.
 */
export async function recordAttempt(where: TaskOf, body: Entered): Promise<AttemptResult> {
  for (let again = 0; again < OVERTAKEN; again += 1) {
    const task = await taskInWork(where);
    if (!task) throw notFound();
    const { before, closedAt } = task;
    const rules = await rulesOf(where.classId, task.rulesVersion);
    const known = before.find(({ id }) => id === body.id);
    if (known) return attemptResult(known, rules, closedAt !== null, before);
    if (closedAt)
      throw new Refusal(
        409,
        'This item is already finished, perhaps in another tab. Go on to the next one. This entry did not count.',
      );
    const tryNumber = before.filter(({ verdict }) => verdict !== 'unreadable').length + 1;
    const { row, closes } = judgeAttempt(task, body, tryNumber, rules, historyOf(task));
    if (await store(row, closes)) return attemptResult(row, rules, closes, [...before, row]);
  }
  throw new Refusal(
    409,
    'Another entry has the same number already. Load the page again and enter your reading once more.',
    'id',
  );
}
