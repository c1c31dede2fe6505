import type { Diagnosis } from '../reading/judging/diagnose.ts';

/** Readable entries a task usually takes before the answer is shown. */
export const TRIES = 2;

/** A verdict, or that the student asked to be shown. */
export type Outcome = Diagnosis['verdict'] | 'shown';

/** Whether an outcome ends the work on a task that takes so many tries. */
export function closesTask(outcome: Outcome, tryNumber: number, tries = TRIES): boolean {
  if (outcome === 'sound' || outcome === 'shown') return true;
  return outcome !== 'unreadable' && tryNumber >= tries;
}
