import type { Calculation } from '../calculations/calculate.ts';
import type { Conversion } from '../calculations/convert.ts';
import { partsOf, type Expression } from '../calculations/expression/expression.ts';
import { workOutTree } from '../calculations/work-out.ts';
import { shownUnit, writtenQuantity, type QuantityValue } from '../calculations/working.ts';
import { Rational } from '../numbers/rational.ts';
import { unambiguousAtPlace } from '../numbers/rounding.ts';
import { parseWrittenNumber, type WrittenNumber } from '../numbers/written-number.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { isOnClock, parseUnit, sameKind, sameUnit, type Unit } from '../units/unit.ts';
import type { CalculationTask, NumberTask, Reworking, RoundingTask } from './number-task.ts';

/** A number come to, with all its digits, and what decides how far it is written. */
export interface Result {
  readonly value: Rational;
  /** Power of ten of the last digit by the rules. */
  readonly place: number;
  /** As it is written by the rules; `4.0e2` where plain zeros would leave the figures in doubt. */
  readonly text: string;
  readonly unit: Unit;
  /** The unit as it is shown. */
  readonly unitText: string;
  /** Which rule decided the digits: the places of a sum, the figures of a product; null where the exercise says how far. */
  readonly rule: 'places' | 'figures' | null;
  /** The measured numbers that went into it, and the exact ones that are written as numbers. */
  readonly measured: readonly WrittenNumber[];
  readonly exact: readonly WrittenNumber[];
  readonly calculation: Calculation | Conversion | null;
}

/** The same rules with a decimal point: what is stored is written with one, whatever the class writes. */
export function pointed(rules: HouseRules): HouseRules {
  return rules.decimalMark === 'point' ? rules : { ...rules, decimalMark: 'point' };
}

/** The numbers that stand in a formula, measured or exact. */
function numbersIn({ formula, known, rules }: CalculationTask): Pick<Result, 'measured' | 'exact'> {
  const measured = new Map<string, WrittenNumber>();
  const exact = new Map<string, WrittenNumber>();
  const written = (quantity: QuantityValue): WrittenNumber[] =>
    isOnClock(quantity.unit) ? [] : [parseWrittenNumber(writtenQuantity(quantity, rules))];
  const visit = (node: Expression, isExact: boolean): void => {
    if (node.kind === 'name') {
      const quantity = known.get(node.name);
      const into = isExact || quantity?.place === -Infinity ? exact : measured;
      for (const number of quantity ? written(quantity) : []) into.set(node.name, number);
    } else if (node.kind === 'number' && isExact) exact.set(node.written.text, node.written);
    else partsOf(node).forEach((part) => visit(part, isExact || node.kind === 'exact'));
  };
  visit(formula, false);
  return { measured: [...measured.values()], exact: [...exact.values()] };
}

function hasProduct(node: Expression): boolean {
  return (node.kind === 'binary' && node.operator !== '+' && node.operator !== '-') || partsOf(node).some(hasProduct);
}

/**
 * What a formula comes to, written by the class’s rules.
 * @throws ExpressionError or UnitMismatchError where it comes to nothing.
 */
export function resultOf(task: CalculationTask, { formula, known, unit, asItIs }: Reworking): Result {
  const names = known ? new Map<string, QuantityValue>([...task.known, ...known]) : task.known;
  const rules = pointed(task.rules);
  const own = workOutTree(formula, null, rules, names);
  const moves = asItIs !== true && task.to !== null && sameKind(own.quantity.unit, task.to);
  const { calculation, quantity } = moves ? workOutTree(formula, task.to, rules, names) : own;
  return {
    value: quantity.value,
    place: quantity.place,
    text: calculation.text,
    unit: unit ?? quantity.unit,
    unitText: unit ? shownUnit(unit) : calculation.unit,
    // Sums and means go by places; everything with a product in it, or a conversion, by figures.
    rule:
      hasProduct(task.formula) || (task.to !== null && !sameUnit(own.quantity.unit, task.to)) ? 'figures' : 'places',
    ...numbersIn(task),
    calculation,
  };
}

function roundedResult({ number, unit, to, rules }: RoundingTask): Result {
  const { value } = parseWrittenNumber(number);
  const place = 'decimals' in to ? -to.decimals : placeOfFigures(value, to.figures, rules);
  return {
    value,
    place,
    text: unambiguousAtPlace(value, place, rules.rounding),
    unit: parseUnit(unit),
    unitText: unit,
    rule: null,
    measured: [],
    exact: [],
    calculation: null,
  };
}

/** The place of the last of so many figures, as they are written: 9.996 with three is 10.0. */
export function placeOfFigures(value: Rational, figures: number, { rounding }: HouseRules): number {
  const place = value.magnitude() - figures + 1;
  return value.roundedTo(place, rounding).magnitude() > value.magnitude() ? place + 1 : place;
}

/** The right result. */
export function rightResult(task: NumberTask): Result {
  return task.kind === 'calculation' ? resultOf(task, { formula: task.formula }) : roundedResult(task);
}
