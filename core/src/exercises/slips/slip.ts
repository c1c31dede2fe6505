import type { Described, NumberSlip } from '../../worked-answers/slips/slip.ts';
import type { ExerciseTask } from '../exercise.ts';

/** The answer itself is another one: a count, a choice, what is marked in a table. */
export interface AnswerSlip extends Described<ExerciseTask> {
  readonly stage: 'answer';
  answers(task: ExerciseTask): string[];
}

export type ExerciseSlip = NumberSlip | AnswerSlip;
