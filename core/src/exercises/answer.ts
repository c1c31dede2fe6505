import { isChoice, type ExerciseTask } from './exercise.ts';
import { writtenMarks } from './faults.ts';
import { rightOf } from '../worked-answers/candidates.ts';
import { letterOf } from './letters.ts';
import { numberTaskOf } from './number-task-of.ts';
import { rightCount } from './slips/counting.ts';
import { rightMarks } from './slips/tables.ts';

/** The right answer of an exercise, as it is entered. */
export interface Answer {
  readonly text: string;
  /** Empty for a count, a choice and marks. */
  readonly unit: string;
}

/** The right answer: a number with its unit, a count, the letter of an option, or what is to be marked. */
export function rightAnswer(task: ExerciseTask): Answer {
  const { exercise } = task;
  const number = numberTaskOf(task);
  if (number) {
    const { text, unitText } = rightOf(number);
    return { text, unit: unitText };
  }
  if (exercise.kind === 'count-figures') return { text: String(rightCount(exercise.number)), unit: '' };
  if (isChoice(exercise)) return { text: letterOf(exercise.options.findIndex(({ slip }) => slip === null)), unit: '' };
  return { text: exercise.kind === 'spot-the-error' ? writtenMarks(rightMarks(exercise)) : '', unit: '' };
}
