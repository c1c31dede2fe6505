import { namesIn } from '../calculations/expression/expression.ts';
import type { CalculationTask } from './number-task.ts';
import { WORKING_SLIPS } from './slips/registry.ts';

/** The names of a formula that somebody who makes these slips leaves out. */
export function missedBy(task: CalculationTask, ids: readonly string[]): ReadonlySet<string> {
  const slip = WORKING_SLIPS.find(({ id }) => ids.includes(id));
  const [reworking] = slip?.reworked(task) ?? [];
  if (!reworking) return new Set();
  const used = new Set(namesIn(reworking.formula));
  return new Set(namesIn(task.formula).filter((name) => !used.has(name)));
}
