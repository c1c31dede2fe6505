import type { WrittenNumber } from '../../numbers/written-number.ts';
import type { ExerciseTask, WorkingExercise } from '../exercise.ts';
import type { Result } from '../result.ts';

interface Described {
  readonly id: string;
  readonly name: string;
  /** How often it is made, among exercises on which it can be made, before anything is known of the student. */
  readonly baseRate: number;
  /** One sentence on why it gives a wrong answer. */
  why(task: ExerciseTask): string;
  /** What to look at in the exercise. */
  lookAt(task: ExerciseTask): string;
}

/** A line of working put in the place of the right one; `unit` where its result is taken to be in another unit than it has. */
export interface Line {
  readonly line: string;
  readonly unit?: string;
}

/** Another calculation is made than the one that answers the question. */
export interface WorkingSlip extends Described {
  readonly stage: 'working';
  /** Empty where the slip cannot be made. */
  reworked(task: ExerciseTask<WorkingExercise>): Line[];
}

/** The calculation is right, and the number is written with other digits than it should have. */
export interface WritingSlip extends Described {
  readonly stage: 'writing';
  /** Whether the answer is of another value, and not only written too far or not far enough. */
  readonly changesValue: boolean;
  /** What comes to be written; the likeliest first, and nothing where the slip cannot be made. */
  written(result: Result, task: ExerciseTask): string[];
  /** Whether these digits may be written with this slip, where there are more ways than can be listed. */
  meant?(result: Result, entered: WrittenNumber): boolean;
}

/** The number is right, and its unit is left out or another one. */
export interface UnitSlip extends Described {
  readonly stage: 'unit';
  mistaken(number: string, unit: string): string;
}

/** The answer itself is another one: a count, a choice, what is marked in a table. */
export interface AnswerSlip extends Described {
  readonly stage: 'answer';
  answers(task: ExerciseTask): string[];
}

export type ExerciseSlip = WorkingSlip | WritingSlip | UnitSlip | AnswerSlip;

/** What a slip has in common with the same slip in a reading: reasons are given anew. */
export function sharedWith({
  id,
  name,
  baseRate,
}: Pick<Described, 'id' | 'name' | 'baseRate'>): Pick<Described, 'id' | 'name' | 'baseRate'> {
  return { id, name, baseRate };
}
