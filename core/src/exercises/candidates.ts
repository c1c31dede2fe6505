import { ExpressionError } from '../calculations/expression/expression.ts';
import { UnitMismatchError } from '../units/unit.ts';
import { isWorking, type ExerciseTask, type WorkingExercise } from './exercise.ts';
import { resultOf, rightResult, type NumberTask, type Result } from './result.ts';
import type { WorkingSlip } from './slips/slip.ts';

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

/** Results kept for as long as their task is in use: most of the time of a diagnosis goes into them. */
interface Known {
  right: Result | null;
  readonly wrong: Map<string, readonly Result[]>;
}

const KNOWN = new WeakMap<ExerciseTask, Known>();

function knownOf(task: ExerciseTask): Known {
  const known = KNOWN.get(task) ?? { right: null, wrong: new Map<string, readonly Result[]>() };
  KNOWN.set(task, known);
  return known;
}

/** The right result of an exercise that asks for a number. */
export function rightOf(task: NumberTask): Result {
  return (knownOf(task).right ??= rightResult(task));
}

/** What somebody comes to who makes a slip of working; nothing where it cannot be made. */
export function wrongBy(task: NumberTask, slip: WorkingSlip): readonly Result[] {
  const { exercise, rules } = task;
  if (!isWorking(exercise)) return [];
  const { wrong } = knownOf(task);
  const results = wrong.get(slip.id) ?? resultsOf({ exercise, rules }, slip);
  wrong.set(slip.id, results);
  return results;
}
