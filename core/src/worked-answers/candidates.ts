import { ExpressionError } from '../calculations/expression/expression.ts';
import { UnitMismatchError } from '../units/unit.ts';
import type { CalculationTask, NumberTask } from './number-task.ts';
import { resultOf, rightResult, type Result } from './result.ts';
import type { WorkingSlip } from './slips/slip.ts';

/** The results a slip comes to; one that comes to none, as by dividing by nothing, is not made. */
function resultsOf(task: CalculationTask, slip: WorkingSlip): Result[] {
  return slip.reworked(task).flatMap((reworking) => {
    try {
      return [resultOf(task, reworking)];
    } catch (error) {
      if (error instanceof ExpressionError || error instanceof UnitMismatchError) return [];
      throw error;
    }
  });
}

/** Results kept for as long as their task is in use: most of the time of a diagnosis goes into them. */
interface Kept {
  right: Result | null;
  readonly wrong: Map<string, readonly Result[]>;
}

const KEPT = new WeakMap<NumberTask, Kept>();

function keptOf(task: NumberTask): Kept {
  const kept = KEPT.get(task) ?? { right: null, wrong: new Map<string, readonly Result[]>() };
  KEPT.set(task, kept);
  return kept;
}

/** The right result of what asks for a number. */
export function rightOf(task: NumberTask): Result {
  return (keptOf(task).right ??= rightResult(task));
}

/** What somebody comes to who makes a slip of working; nothing where it cannot be made. */
export function wrongBy(task: NumberTask, slip: WorkingSlip): readonly Result[] {
  if (task.kind !== 'calculation') return [];
  const { wrong } = keptOf(task);
  const results = wrong.get(slip.id) ?? resultsOf(task, slip);
  wrong.set(slip.id, results);
  return results;
}
