import type { WrittenNumber } from '../../numbers/written-number.ts';
import type { CalculationTask, NumberTask, Reworking } from '../number-task.ts';
import type { Result } from '../result.ts';

/** @typeParam Task what it can be made on. */
export interface Described<Task> {
  readonly id: string;
  readonly name: string;
  /** How often it is made, where it can be made, before anything is known of the student. */
  readonly baseRate: number;
  /** One sentence on why it gives a wrong answer. */
  why(task: Task): string;
  /** What to look at. */
  lookAt(task: Task): string;
}

/** Another calculation is made than the one that answers the question. */
export interface WorkingSlip extends Described<NumberTask> {
  readonly stage: 'working';
  /** Empty where the slip cannot be made. */
  reworked(task: CalculationTask): readonly Reworking[];
}

/** The calculation is right, and the number is written with other digits than it should have. */
export interface WritingSlip extends Described<NumberTask> {
  readonly stage: 'writing';
  /** Whether the answer is of another value, and not only written too far or not far enough. */
  readonly changesValue: boolean;
  /** What comes to be written; the likeliest first, and nothing where the slip cannot be made. */
  written(result: Result, task: NumberTask): string[];
  /** Whether these digits may be written with this slip, where there are more ways than can be listed. */
  meant?(result: Result, entered: WrittenNumber): boolean;
}

/** The number is right, and its unit is left out or another one. */
export interface UnitSlip extends Described<NumberTask> {
  readonly stage: 'unit';
  mistaken(number: string, unit: string): string;
}

export type NumberSlip = WorkingSlip | WritingSlip | UnitSlip;

/** What a slip has in common with the same slip in a reading: reasons are given anew. */
export function sharedWith({
  id,
  name,
  baseRate,
}: Pick<Described<never>, 'id' | 'name' | 'baseRate'>): Pick<Described<never>, 'id' | 'name' | 'baseRate'> {
  return { id, name, baseRate };
}
