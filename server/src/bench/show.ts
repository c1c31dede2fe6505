import { doneIn, type AttemptResult, type AttemptShown, type BenchTask, type StripMark } from '@green-beam/contract';
import {
  answerTo,
  cautionsAbout,
  explainFinding,
  feedbackOn,
  hintsAbout,
  isExerciseTask,
  practiceTask,
  questionOn,
  shownItem,
  startingEye,
  remarksOn,
  unitAsked,
  type HouseRules,
  type PracticeTask,
  type Remark,
} from '@green-beam/core';
import type { Attempt, Task } from '../models/bench.ts';

/** The item a stored row is about, under the rules it is judged by. */
export function taskOf(row: Pick<Task, 'subjectId' | 'situation'>, rules: HouseRules): PracticeTask {
  return practiceTask(row.subjectId, row.situation, rules);
}

/** A task as the browser may see it before the answer. */
export function benchTask(row: Task, rules: HouseRules, attempts: readonly Attempt[]): BenchTask {
  const task = taskOf(row, rules);
  return {
    id: row.id,
    position: row.position,
    question: questionOn(task),
    picture: shownItem(task),
    cautions: cautionsAbout(task),
    hints: row.hints ? hintsAbout(task) : [],
    tries: row.tries,
    unit: unitAsked(task),
    toolCode: row.toolCode ?? null,
    state: row.closedAt
      ? 'closed'
      : attempts.some((attempt) => attempt.taskId === row.id && attempt.verdict !== 'unreadable')
        ? 'tried'
        : 'open',
    rightAtFirst: row.closedAt
      ? attempts.some((attempt) => attempt.taskId === row.id && attempt.tryNumber === 1 && attempt.verdict === 'sound')
      : false,
  };
}

/** An entry as far as it is told about. */
export type JudgedEntry = Pick<
  Attempt,
  'id' | 'taskId' | 'subjectId' | 'situation' | 'actions' | 'remarks' | 'tryNumber' | 'verdict' | 'diagnosis'
>;

/** Ticks of the record strip; only for closed tasks, since a distance from the true value gives it away. */
export function stripMarks(attempts: readonly JudgedEntry[]): StripMark[] {
  return attempts.flatMap((attempt) => {
    const offBy = attempt.diagnosis?.offBy;
    return offBy === null || offBy === undefined
      ? []
      : [{ taskId: attempt.taskId, tryNumber: attempt.tryNumber, offBy, sound: attempt.verdict === 'sound' }];
  });
}

/** What was remarked on how the tool was handled; what was stored before remarks were kept is remarked on anew. */
function remarksFor(attempt: JudgedEntry, rules: HouseRules): Remark[] {
  const task = taskOf(attempt, rules);
  return attempt.remarks ?? (isExerciseTask(task) ? [] : remarksOn(task, doneIn(attempt.actions)));
}

/** What the student is told about an attempt; the answer only when the task is closed. */
export function attemptResult(
  attempt: JudgedEntry,
  rules: HouseRules,
  closed: boolean,
  onTask: readonly JudgedEntry[],
): AttemptResult {
  const feedback = feedbackOn(taskOf(attempt, rules), attempt.diagnosis, closed, remarksFor(attempt, rules));
  return {
    ...feedback,
    attemptId: attempt.id,
    verdict: attempt.verdict,
    tryNumber: attempt.tryNumber,
    closed,
    strip: closed ? stripMarks(onTask) : [],
  };
}

/** An attempt in a list; the right reading is left out while its owner may still try. */
export function attemptShown(attempt: Attempt, rules: HouseRules, mayKnow: boolean): AttemptShown {
  const task = taskOf(attempt, rules);
  const [first] = attempt.diagnosis?.slips ?? [];
  const expected = answerTo(task);
  return {
    id: attempt.id,
    taskId: attempt.taskId,
    subjectId: attempt.subjectId,
    skill: attempt.skill,
    question: questionOn(task),
    entry: attempt.entry,
    verdict: attempt.verdict,
    slips: first ? explainFinding(task, first) : [],
    remarks: attempt.verdict === 'unreadable' ? [] : remarksFor(attempt, rules),
    expected: mayKnow ? { text: expected.text, unit: expected.unit } : null,
    offBy: mayKnow ? (attempt.diagnosis?.offBy ?? null) : null,
    tryNumber: attempt.tryNumber,
    hints: attempt.hints,
    timeTaken: attempt.timeTaken,
    eyeHeight: isExerciseTask(task) ? 0 : startingEye(task),
    picture: attempt.picture,
    at: attempt.createdAt.toISOString(),
  };
}
