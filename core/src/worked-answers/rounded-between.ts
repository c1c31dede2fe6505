import { partsOf, type Expression } from '../calculations/expression/expression.ts';
import { withParts } from '../calculations/expression/rewrite.ts';
import { workOutTree } from '../calculations/work-out.ts';
import type { QuantityValue } from '../calculations/working.ts';
import type { CalculationTask, Reworking } from './number-task.ts';
import { pointed } from './result.ts';

function isStep({ kind }: Expression): boolean {
  return kind === 'binary' || kind === 'call';
}

/** What stands beside the given quantities once steps have been written down: names that no formula can have. */
class WrittenSteps {
  readonly quantities = new Map<string, QuantityValue>();

  constructor(private readonly task: CalculationTask) {}

  /** The parts of a node, each worked out and written down where it is a step of its own. */
  within(node: Expression): Expression {
    // An exponent is a whole number that stands for itself.
    return withParts(
      node,
      partsOf(node).map((part, i) =>
        node.kind === 'exact' || (node.kind === 'binary' && node.operator === '^' && i === 1) ? part : this.down(part),
      ),
    );
  }

  private down(node: Expression): Expression {
    const stepped = this.within(node);
    if (!isStep(node)) return stepped;
    const rules = pointed(this.task.rules);
    const names = new Map<string, QuantityValue>([...this.task.known, ...this.quantities]);
    const { quantity } = workOutTree(stepped, null, rules, names);
    const name = `(step ${this.quantities.size + 1})`;
    const { value, place, unit } = quantity;
    this.quantities.set(name, {
      value: place === -Infinity ? value : value.roundedTo(place, rules.rounding),
      place,
      unit,
    });
    return { kind: 'name', name, at: node.at };
  }
}

/**
 * The last step of a working whose steps before it were each rounded as if they were results: `8.5 g / (3 mL)` for
 * `8.53 g / (24.2 mL - 21 mL)`. Null where there is only one step, or one of them comes to nothing.
 */
export function withRoundedSteps(task: CalculationTask): Reworking | null {
  if (!partsOf(task.formula).some(isStep)) return null;
  const steps = new WrittenSteps(task);
  const formula = steps.within(task.formula);
  return { formula, known: steps.quantities };
}
