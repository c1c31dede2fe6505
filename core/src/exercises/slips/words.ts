import { numberTaskOf } from '../number-task-of.ts';
import type { ExerciseTask } from '../exercise.ts';
import type { ExerciseSlip } from './slip.ts';

/** Why a slip gives a wrong answer to an exercise, and what to look at; null where it cannot be made. */
export function wordsOn(
  task: ExerciseTask,
  slip: ExerciseSlip,
): { readonly why: string; readonly lookAt: string } | null {
  if (slip.stage === 'answer') return { why: slip.why(task), lookAt: slip.lookAt(task) };
  const number = numberTaskOf(task);
  return number && { why: slip.why(number), lookAt: slip.lookAt(number) };
}
