import { Decimal, magnitude } from './decimal.ts';
import { ExpressionError, type BinaryOperator, type Expression, type FunctionName } from './expression.ts';
import { writtenAtPlace } from './rounding.ts';

/**
 * A number on its way through a calculation: every digit is kept, and the place says how far they can be trusted. An exact number
 * has place −Infinity and limits nothing.
 */
export interface Measured {
  readonly value: Decimal;
  readonly place: number;
}

/** One step of a working: what was combined, what came out, and which operand ruled the digits. */
export interface Step {
  readonly operation: BinaryOperator | FunctionName;
  readonly operands: readonly Measured[];
  readonly result: Measured;
  /** Places rule sums and differences, figures rule products, quotients, powers and roots. */
  readonly rule: 'places' | 'figures' | 'decimals' | 'derivative';
  /** Index of the operand that limits the result, or null when every operand is exact. */
  readonly ruledBy: number | null;
}

/** Significant figures of a measured number; Infinity when exact, at least 0. */
export function figuresOf({ value, place }: Measured): number {
  if (place === -Infinity) return Infinity;
  return Math.max(0, magnitude(value) - place + 1);
}

function placeForFigures(value: Decimal, figures: number, operands: readonly Measured[]): number {
  if (figures === Infinity) return -Infinity;
  if (!value.isZero()) return magnitude(value) - figures + 1;
  const places = operands.filter((o) => o.place !== -Infinity).map((o) => o.place);
  return Math.max(...places);
}

function limiting(numbers: readonly number[], pick: (...all: number[]) => number, exact: number): number | null {
  const limit = pick(...numbers);
  return limit === exact ? null : numbers.indexOf(limit);
}

function byPlaces(operation: Step['operation'], operands: readonly Measured[], value: Decimal): Step {
  const places = operands.map((o) => o.place);
  return { operation, operands, result: { value, place: Math.max(...places) }, rule: 'places', ruledBy: limiting(places, Math.max, -Infinity) };
}

function byFigures(operation: Step['operation'], operands: readonly Measured[], value: Decimal): Step {
  const figures = operands.map(figuresOf);
  const place = placeForFigures(value, Math.min(...figures), operands);
  return { operation, operands, result: { value, place }, rule: 'figures', ruledBy: limiting(figures, Math.min, Infinity) };
}

function finite(value: Decimal, complaint: string): Decimal {
  if (!value.isFinite()) throw new ExpressionError(complaint);
  return value;
}

function combine(operator: BinaryOperator, left: Measured, right: Measured): Step {
  const operands = [left, right];
  switch (operator) {
    case '+':
      return byPlaces(operator, operands, left.value.plus(right.value));
    case '-':
      return byPlaces(operator, operands, left.value.minus(right.value));
    case '*':
      return byFigures(operator, operands, left.value.times(right.value));
    case '/':
      if (right.value.isZero()) throw new ExpressionError('Division by zero has no result.');
      return byFigures(operator, operands, left.value.div(right.value));
    case '^':
      return byFigures(operator, operands, finite(left.value.pow(right.value), `${left.value.toString()} to the power ${right.value.toString()} has no result.`));
  }
}

/** Logarithms have as many decimals as the argument has figures; antilogarithms the reverse; sine and the like go by the derivative. */
function apply(name: FunctionName, operands: readonly Measured[]): Step {
  const [first] = operands;
  if (!first) throw new ExpressionError(`${name} needs an argument.`);
  const decimals = (value: Decimal): Step => {
    const place = figuresOf(first) === Infinity ? -Infinity : -figuresOf(first);
    return { operation: name, operands, result: { value, place }, rule: 'decimals', ruledBy: place === -Infinity ? null : 0 };
  };
  const derivative = (value: Decimal, slope: Decimal): Step => {
    const place = first.place === -Infinity || slope.isZero() ? first.place : first.place + Math.floor(slope.abs().log(10).toNumber());
    return { operation: name, operands, result: { value, place }, rule: 'derivative', ruledBy: place === -Infinity ? null : 0 };
  };
  const { value } = first;
  switch (name) {
    case 'sqrt':
      if (value.isNegative() && !value.isZero()) throw new ExpressionError('The square root of a negative number has no result here.');
      return byFigures(name, operands, value.sqrt());
    case 'ln':
    case 'log10':
      if (!value.greaterThan(0)) throw new ExpressionError(`${name} needs a positive number, not ${value.toString()}.`);
      return decimals(name === 'ln' ? value.ln() : value.log(10));
    case 'exp': {
      const power = finite(value.exp(), `exp of ${value.toString()} is too large.`);
      const figures = first.place === -Infinity ? Infinity : Math.max(0, -first.place);
      return { operation: name, operands, result: { value: power, place: placeForFigures(power, figures, operands) }, rule: 'decimals', ruledBy: figures === Infinity ? null : 0 };
    }
    case 'sin':
      return derivative(value.sin(), value.cos());
    case 'cos':
      return derivative(value.cos(), value.sin());
    case 'tan':
      return derivative(value.tan(), new Decimal(1).div(value.cos().pow(2)));
    case 'abs':
      return byPlaces(name, operands, value.abs());
    case 'min':
      return byPlaces(name, operands, Decimal.min(...operands.map((o) => o.value)));
    case 'max':
      return byPlaces(name, operands, Decimal.max(...operands.map((o) => o.value)));
    case 'mean':
      return byPlaces(name, operands, operands.reduce((sum, o) => sum.plus(o.value), new Decimal(0)).div(operands.length));
  }
}

/** The result of a calculation on written numbers, with every step in the order in which they were taken. */
export interface MeasuredResult extends Measured {
  readonly steps: readonly Step[];
}

/**
 * Evaluates a unit-free expression on written numbers: all digits are kept at every step and nothing is rounded; the place of each
 * step follows the rules of significant figures (sums by places, products by figures).
 * @throws ExpressionError when a step has no result or a name has no number.
 */
export function evaluateMeasured(tree: Expression, numberOf: (name: string) => Measured | undefined): MeasuredResult {
  const steps: Step[] = [];
  const visit = (node: Expression): Measured => {
    switch (node.kind) {
      case 'number':
        return { value: node.written.value, place: node.written.place };
      case 'pi':
        return { value: Decimal.acos(-1), place: -Infinity };
      case 'exact':
        return { value: visit(node.operand).value, place: -Infinity };
      case 'negate': {
        const inner = visit(node.operand);
        return { value: inner.value.neg(), place: inner.place };
      }
      case 'name': {
        const number = numberOf(node.name);
        if (!number) throw new ExpressionError(`${node.name} has no value.`);
        return number;
      }
      case 'binary':
      case 'call': {
        const exponentOf = (operand: Expression): Measured => (operand.kind === 'number' && operand.written.value.isInteger() ? { value: operand.written.value, place: -Infinity } : visit(operand));
        const step =
          node.kind === 'call'
            ? apply(node.name, node.arguments.map(visit))
            : combine(node.operator, visit(node.left), node.operator === '^' ? exponentOf(node.right) : visit(node.right));
        steps.push(step);
        return step.result;
      }
    }
  };
  return { ...visit(tree), steps };
}

/** A measured number with its guard digits: the digits that count, and up to three more. */
export function withGuardDigits(measured: Measured): { kept: string; guard: string } {
  if (measured.place === -Infinity) return { kept: measured.value.toSignificantDigits(12).toString(), guard: '' };
  const long = measured.value.toFixed(Math.max(0, -measured.place) + 3, Decimal.ROUND_DOWN);
  const keptLength = writtenAtPlace(measured.value.trunc(), 0).length + (measured.place < 0 ? 1 - measured.place : 0);
  const sign = measured.value.isNegative() && measured.value.trunc().isZero() ? 1 : 0;
  return { kept: long.slice(0, keptLength + sign), guard: long.slice(keptLength + sign) };
}
