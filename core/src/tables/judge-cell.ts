import { calculateWith } from '../calculations/calculate.ts';
import { ExpressionError, type Expression } from '../calculations/expression/expression.ts';

import { parseExpression } from '../calculations/expression/parse-expression.ts';
import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { parseUnit, sameKind, UnitMismatchError, writtenUnit, type Unit } from '../units/unit.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { parseWrittenNumber } from '../numbers/written-number.ts';
import { rightOf } from '../worked-answers/candidates.ts';
import { diagnoseNumber } from '../worked-answers/diagnose-number.ts';
import type { CalculationTask, Known } from '../worked-answers/number-task.ts';
import type { NumberCell } from './cell.ts';
import { nameOfInput, type Relation, type RelationKind } from './relations.ts';

/** A value that was worked out, looked at again. */
export interface Judged {
  readonly isRight: boolean;
  /** The slip that leads to it; null where none does. */
  readonly slip: string | null;
  /** Only its digits are wrong, not its value. */
  readonly isWritingOnly: boolean;
  /** As it should stand in the cell, with a point. */
  readonly right: string;
}

/** An input with its unit. */
export interface Given {
  readonly cell: NumberCell;
  readonly unit: Unit | null;
}

const POINTED = completeRules();
/** Where a unit is missing, the digits are still judged: by units that come to one. */
const ANY = parseUnit('g');
const PERCENT = parseUnit('%');
const NEUTRAL: Readonly<Partial<Record<RelationKind, readonly Unit[]>>> = {
  quotient: [ANY, parseUnit('mL')],
  product: [ANY, parseUnit('cm')],
};

/** A number with a point is known to its last digit; of a whole one the unit says whether its zeros are read. */
function known({ cell, unit }: Given, column: string): Known {
  const plain = unit && (cell.text.includes('.') || isInverse(unit)) ? parseWrittenNumber(cell.text) : null;
  if (unit && plain) return { value: plain.value, place: plain.place, unit, column };
  const written = unit ? `${cell.text} ${writtenUnit(unit)}` : cell.text;
  return { ...calculateWith(written, POINTED, new Map()).quantity, column };
}

/** A unit that begins with one over another, as 1/s, which nobody writes behind a number in a calculation. */
const isInverse = (unit: Unit): boolean => writtenUnit(unit).startsWith('1/');

const FORMULAS = new Map<string, Expression>();

/** Each formula is read once: a column has the same in every row. */
function formulaOf(text: string): Expression {
  const tree = FORMULAS.get(text) ?? parseExpression(text);
  FORMULAS.set(text, tree);
  return tree;
}

function taskFor(
  { formula, constant, inputs }: Relation,
  given: readonly Given[],
  unit: Unit | null,
  rules: HouseRules,
  nameOf: (index: number) => string,
): CalculationTask {
  const names = new Map(given.map((one, i) => [nameOf(i), known(one, `column ${inputs[i] ?? i}`)]));
  const [first] = given;
  if (constant) names.set('k', known({ cell: constant, unit: first?.unit ?? null }, 'accepted'));
  return {
    kind: 'calculation',
    about: 'result',
    formula: formulaOf(formula),
    known: names,
    to: unit,
    otherwise: new Map(),
    rules,
  };
}

/** The units with which a relation is worked out: none at all where one is not known, or where they do not come to that of the result. */
function withUnits(task: CalculationTask, unit: Unit | null): boolean {
  try {
    return unit === null || sameKind(rightOf(task).unit, unit);
  } catch (error) {
    if (error instanceof ExpressionError || error instanceof UnitMismatchError) return false;
    throw error;
  }
}

/**
 * Works a value out again from what stands in its row.
 * @param rules of the class, with a decimal point.
 * @param nameOf what an input is called in the formula, by its place.
 * @returns null where nothing can be worked out, as by dividing by zero.
 */
export function judgeCell(
  relation: Relation,
  given: readonly Given[],
  written: NumberCell,
  unit: Unit | null,
  rules: HouseRules,
  nameOf: (index: number) => string = nameOfInput,
): Judged | null {
  const isUnited = given.every((one) => one.unit !== null) && unit !== null;
  const united = isUnited ? taskFor(relation, given, unit, rules, nameOf) : null;
  const neutral = NEUTRAL[relation.kind] ?? [];
  const task =
    united && withUnits(united, unit)
      ? united
      : taskFor(
          relation,
          given.map(({ cell }, i) => ({ cell, unit: neutral[i] ?? ANY })),
          relation.kind === 'percent-error' ? PERCENT : null,
          rules,
          nameOf,
        );
  try {
    const { value, place, unitText } = rightOf(task);
    // In a table nobody writes powers of ten: zeros before the mark stand for what they are.
    const right = Number.isFinite(place) ? writtenAtPlace(value, place, rules.rounding) : value.toNumber().toString();
    if (written.text === right) return { isRight: true, slip: null, isWritingOnly: false, right };
    const { verdict, slips } = diagnoseNumber(task, `${written.text} ${unitText}`.trim());
    return {
      isRight: verdict === 'sound',
      slip: slips[0]?.ids[0] ?? null,
      isWritingOnly: verdict === 'record',
      right,
    };
  } catch (error) {
    if (error instanceof ExpressionError || error instanceof UnitMismatchError) return null;
    throw error;
  }
}
