import type { HouseRules } from '../rules/house-rules.ts';
import { parseUnit, UnitMismatchError, UnknownUnitError, type Unit } from '../units/unit.ts';
import { calculateTree, calculateWith, type Calculation } from './calculate.ts';
import { convertedTo, type Conversion } from './convert.ts';
import { ExpressionError, type Expression } from './expression/expression.ts';
import type { QuantityValue } from './working.ts';

/** What comes of a line of working, with all its digits beside it as written. */
export interface WorkedOut {
  readonly calculation: Calculation | Conversion;
  readonly quantity: QuantityValue;
}

const TO_UNIT = /^(.*?)(?:->|→|\sto\s)(.*)$/s;

/**
 * Works out one line: an expression, with the unit its result is to be written in behind an arrow, `m / V -> kg/m^3`.
 * @param names quantities that names in it stand for.
 * @throws ExpressionError or UnitMismatchError pointing at the character.
 */
export function workOut(
  text: string,
  rules: HouseRules,
  names: ReadonlyMap<string, QuantityValue> = new Map(),
): WorkedOut {
  const [, expression, unit] = TO_UNIT.exec(text) ?? [];
  if (expression === undefined || unit === undefined) return calculateWith(text, rules, names);
  try {
    return convertedTo(calculateWith(expression, rules, names), parseUnit(unit), rules);
  } catch (error) {
    const at = text.length - unit.trimStart().length;
    if (error instanceof UnknownUnitError) throw new ExpressionError(error.message, at);
    if (error instanceof UnitMismatchError && error.at === null)
      throw new UnitMismatchError(error.first, error.second, at);
    throw error;
  }
}

/**
 * Works out what was never typed, in the unit asked for.
 * @param to null where its own unit will do.
 * @throws ExpressionError or UnitMismatchError.
 */
export function workOutTree(
  tree: Expression,
  to: Unit | null,
  rules: HouseRules,
  names: ReadonlyMap<string, QuantityValue>,
): WorkedOut {
  const worked = calculateTree(tree, rules, names);
  return to === null ? worked : convertedTo(worked, to, rules);
}
