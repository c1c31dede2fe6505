import type { Expression } from '../calculations/expression/expression.ts';
import type { QuantityValue } from '../calculations/working.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { Unit } from '../units/unit.ts';

/** What a name in a formula stands for. */
export interface Known extends QuantityValue {
  /**
   * The part it plays where slips go by it: the mass of an empty container, what a tool shows at zero, or one of two readings whose
   * difference is meant.
   */
  readonly part?: 'container' | 'zero' | 'reading';
  /** What it is one of several values of. */
  readonly column?: string;
  /** As it was read, where the tool’s error at zero has been taken off. */
  readonly uncorrected?: QuantityValue;
}

/** A formula in the place of the right one, or other quantities in it. */
export interface Reworking {
  readonly formula: Expression;
  readonly known?: ReadonlyMap<string, QuantityValue>;
  /** The unit its result is taken to be in, where that is another one than it has. */
  readonly unit?: Unit;
  /** True where nothing is converted to the unit asked for. */
  readonly asItIs?: boolean;
}

/** A result to be worked out by a formula from known quantities. */
export interface CalculationTask {
  readonly kind: 'calculation';
  /** A quantity given in one unit and asked for in another, or a result of any other kind. */
  readonly about: 'conversion' | 'result';
  readonly formula: Expression;
  readonly known: ReadonlyMap<string, Known>;
  /** The unit it is asked for in; null where its own will do. */
  readonly to: Unit | null;
  /** What else is come to by a slip that the formula does not show, by the slip’s id. */
  readonly otherwise: ReadonlyMap<string, readonly Reworking[]>;
  readonly rules: HouseRules;
}

/** A number to be rounded to so many significant figures, or so many decimals. */
export interface RoundingTask {
  readonly kind: 'rounding';
  readonly number: string;
  readonly unit: string;
  readonly to: { readonly figures: number } | { readonly decimals: number };
  readonly rules: HouseRules;
}

/** Something whose answer is a number with its unit. */
export type NumberTask = CalculationTask | RoundingTask;

export function isConversion(task: NumberTask): boolean {
  return task.kind === 'calculation' && task.about === 'conversion';
}
