import { doneIn, type NewAttempt } from '@green-beam/contract';
import {
  asOperated,
  closesTask,
  CORE_VERSION,
  diagnoseItem,
  isExerciseTask,
  remarksOn,
  shownItem,
  subjectById,
  type HouseRules,
  type PracticeTask,
  type SlipHistory,
} from '@green-beam/core';
import type { CreationAttributes } from 'sequelize';
import type { Attempt, Task } from '../models/bench.ts';
import { taskOf, type JudgedEntry } from './show.ts';

type TaskRow = Pick<Task, 'classId' | 'id' | 'schoolId' | 'personId' | 'subjectId' | 'situation' | 'rulesVersion'> & {
  readonly tries?: number | undefined;
};

/** What was entered: on the bench, or typed in from paper by somebody. */
export type Entered = Omit<NewAttempt, 'taskId' | 'timeTaken'> & {
  readonly timeTaken: number | null;
  readonly enteredBy?: string | null;
};

/** An entry judged by the situation at Enter, as it will be stored, and whether it closes the task. */
export interface JudgedAttempt {
  readonly row: CreationAttributes<Attempt> & JudgedEntry;
  /** The task as it was set, and as it stood at Enter. */
  readonly drawn: PracticeTask;
  readonly read: PracticeTask;
  readonly closes: boolean;
}

/** Judges an attempt; `tryNumber` counts readable entries on the task, from 1. */
export function judgeAttempt(
  task: TaskRow,
  body: Entered,
  tryNumber: number,
  rules: HouseRules,
  history: SlipHistory,
): JudgedAttempt {
  const drawn = taskOf(task, rules);
  // An exercise is as it was set, whatever is done; a tool is as it stood at Enter.
  const read = isExerciseTask(drawn)
    ? drawn
    : asOperated(drawn, { eyeHeight: body.eyeHeight, done: doneIn(body.actions), at: body.timeTaken ?? 0 });
  const diagnosis = body.kind === 'shown' ? null : diagnoseItem(read, body.entry, history);
  const verdict = diagnosis?.verdict ?? 'shown';
  const row: JudgedAttempt['row'] = {
    classId: task.classId,
    id: body.id,
    schoolId: task.schoolId,
    taskId: task.id,
    personId: task.personId,
    subjectId: task.subjectId,
    skill: subjectById(task.subjectId).skill,
    entry: body.entry,
    situation: isExerciseTask(read) ? read.exercise : read.situation,
    picture: shownItem(read),
    actions: body.actions,
    remarks: isExerciseTask(drawn) ? [] : remarksOn(drawn, doneIn(body.actions)),
    hints: body.hints,
    timeTaken: body.timeTaken,
    enteredBy: body.enteredBy ?? null,
    tryNumber,
    verdict,
    slips: [...(diagnosis?.slips[0]?.ids ?? [])],
    diagnosis,
    rulesVersion: task.rulesVersion,
    coreVersion: CORE_VERSION,
  };
  return { row, drawn, read, closes: closesTask(verdict, tryNumber, task.tries) };
}
