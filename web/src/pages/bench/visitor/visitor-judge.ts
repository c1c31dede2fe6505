import { doneIn, type NewAttempt } from '@green-beam/contract';
import {
  asOperated,
  closesTask,
  diagnoseItem,
  feedbackOn,
  isExerciseTask,
  remarksOn,
  type Diagnosis,
  type Feedback,
  type Outcome,
  type PracticeTask,
} from '@green-beam/core';

/** What came of an entry that is judged in the browser. */
export interface JudgedHere {
  readonly diagnosis: Diagnosis | null;
  readonly verdict: Outcome;
  readonly closes: boolean;
  readonly feedback: Feedback;
}

/** Judges an entry by the situation at Enter, as the server does for those who are signed in. */
export function judged(drawn: PracticeTask, attempt: NewAttempt, tryNumber: number): JudgedHere {
  const done = doneIn(attempt.actions);
  const task = isExerciseTask(drawn)
    ? drawn
    : asOperated(drawn, { eyeHeight: attempt.eyeHeight, done, at: attempt.timeTaken });
  const diagnosis = attempt.kind === 'shown' ? null : diagnoseItem(task, attempt.entry);
  const verdict = diagnosis?.verdict ?? 'shown';
  const closes = closesTask(verdict, tryNumber);
  return {
    diagnosis,
    verdict,
    closes,
    feedback: feedbackOn(task, diagnosis, closes, isExerciseTask(drawn) ? [] : remarksOn(drawn, done)),
  };
}
