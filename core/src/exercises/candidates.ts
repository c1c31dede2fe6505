import { ExpressionError } from '../numbers/expression.ts';
import { UnitMismatchError } from '../units/unit.ts';
import { isWorking, type ExerciseTask, type WorkingExercise } from './exercise.ts';
import { resultOf, rightResult, type NumberTask, type Result } from './result.ts';
import { WORKING_SLIPS } from './slips/registry.ts';
import type { WorkingSlip } from './slips/slip.ts';

/** The right result of an exercise, and those that slips of working come to. */
export interface Candidates {
  readonly right: Result;
  readonly wrong: ReadonlyMap<string, readonly Result[]>;
}

/** The results a slip comes to; one that comes to none, as by dividing by nothing, is not made. */
function resultsOf(task: ExerciseTask<WorkingExercise>, slip: WorkingSlip): Result[] {
  return slip.reworked(task).flatMap(({ line, unit }) => {
    try {
      return [resultOf(task, line, unit)];
    } catch (error) {
      if (error instanceof ExpressionError || error instanceof UnitMismatchError) return [];
      throw error;
    }
  });
}

function worked(task: NumberTask): Candidates {
  const { exercise, rules } = task;
  const wrong = isWorking(exercise) ? WORKING_SLIPS.map((slip): [string, Result[]] => [slip.id, resultsOf({ exercise, rules }, slip)]) : [];
  return { right: rightResult(task), wrong: new Map(wrong) };
}

/** Kept for as long as their task is in use: most of the time of a diagnosis goes into them. */
const KNOWN = new WeakMap<ExerciseTask, Candidates>();

/** Every result that somebody may come to on an exercise, by one slip of working or without. */
export function candidatesOn(task: NumberTask): Candidates {
  const known = KNOWN.get(task) ?? worked(task);
  KNOWN.set(task, known);
  return known;
}
