import { Decimal, decimalOf } from '../numbers/decimal.ts';
import {
  ExpressionError,
  isTen,
  isWrittenWithDecimals,
  wholeNumberIn,
  type BinaryNode,
  type BinaryOperator,
  type CallNode,
  type Expression,
  type FunctionName,
} from './expression/expression.ts';
import { Rational } from '../numbers/rational.ts';
import type { RoundingRule } from '../numbers/rounding-rule.ts';
import { uncertaintyPlace, type UncertaintyFigures } from '../numbers/rounding.ts';

/**
 * A number on its way through a calculation: every digit is kept, and the place says how far they can be trusted. An exact number
 * has place −Infinity and limits nothing.
 */
export interface Measured {
  readonly value: Rational;
  readonly place: number;
}

/** How the class rounds, and how it writes a mean. */
export interface DigitRules {
  readonly rounding: RoundingRule;
  readonly meanPlace: 'by-readings' | 'by-uncertainty';
  readonly uncertaintyFigures: UncertaintyFigures;
}

/** Which rule decided the digits of a step: places for sums, figures for products and roots, and what logarithms and sines have of their own. */
export type DigitRule = 'places' | 'figures' | 'logarithm' | 'antilogarithm' | 'derivative' | 'standard-error';

/** One step of a working: what was combined, what came out, and which operand ruled the digits. */
export interface Step {
  readonly operation: BinaryOperator | FunctionName | 'convert';
  /** The part of the resolved tree that was worked out. */
  readonly node: Expression;
  readonly operands: readonly Measured[];
  readonly result: Measured;
  readonly rule: DigitRule;
  /** Index of the operand that limits the result, or null when every operand is exact. */
  readonly ruledBy: number | null;
}

/** Results beyond these powers of ten are refused: no laboratory needs them, and their digits would fill the memory. */
const LARGEST = 320;

/** A number that limits nothing. */
export function exactly(value: Rational): Measured {
  return { value, place: -Infinity };
}

/**
 * Significant figures of a measured number, as it would be written: a difference of 0.6 known to the ones is written 1 and has one
 * figure, one of 0.4 is written 0 and has none. Infinity when exact.
 */
export function figuresOf({ value, place }: Measured, rule: RoundingRule = 'half-up'): number {
  if (place === -Infinity) return Infinity;
  return Math.max(0, value.roundedTo(place, rule).magnitude() - place + 1);
}

/**
 * The place of the last of so many figures: 335.12 with three → 0, and 9.99 with two → 0 too, since it is written 10. A number without
 * figures gets a place at which nothing of it is left.
 */
function placeForFigures(value: Rational, figures: number, operands: readonly Measured[], rule: RoundingRule): number {
  if (figures === Infinity) return -Infinity;
  if (value.isZero()) return Math.max(...operands.filter((o) => o.place !== -Infinity).map((o) => o.place));
  if (figures === 0) return value.magnitude() + 2;
  const place = value.magnitude() - figures + 1;
  return value.roundedTo(place, rule).magnitude() > value.magnitude() ? place + 1 : place;
}

/**
 * Where the last place of a measured number comes to lie when it is only scaled by exact ones: an exact factor never adds a figure, as to
 * 9.98 known to the tenths, which is written 10.0. −Infinity where more than one factor is measured.
 */
function scaledPlace(operands: readonly Measured[], value: Rational): number {
  const [measured, ...others] = operands.filter(({ place }) => place !== -Infinity);
  if (!measured || others.length > 0 || measured.value.isZero()) return -Infinity;
  return value.isZero() ? -Infinity : measured.place + value.dividedBy(measured.value).magnitude();
}

/** A product, or whatever else of its factors is `value`, with the fewest figures among them. */
export function productOf(
  factors: readonly Measured[],
  rule: RoundingRule,
  value = factors.reduce((product, factor) => product.times(factor.value), Rational.ONE),
): Measured {
  const fewest = Math.min(...factors.map((factor) => figuresOf(factor, rule)));
  return { value, place: Math.max(placeForFigures(value, fewest, factors, rule), scaledPlace(factors, value)) };
}

function limiting(numbers: readonly number[], limit: number, exact: number): number | null {
  return limit === exact ? null : numbers.indexOf(limit);
}

type Outcome = Pick<Step, 'result' | 'rule' | 'ruledBy'>;

function byPlaces(operands: readonly Measured[], value: Rational): Outcome {
  const places = operands.map((o) => o.place);
  const place = Math.max(...places);
  return { result: { value, place }, rule: 'places', ruledBy: limiting(places, place, -Infinity) };
}

function inOrder(operands: readonly Measured[]): Measured[] {
  return [...operands].sort((a, b) => a.value.compare(b.value));
}

/** One of several readings: it keeps its own place. */
function chosen(operands: readonly Measured[], one: Measured | undefined): Outcome {
  const result = one ?? exactly(Rational.ZERO);
  return { result, rule: 'places', ruledBy: result.place === -Infinity ? null : operands.indexOf(result) };
}

/** The reading in the middle, or the mean of the two there. */
function median(operands: readonly Measured[]): Outcome {
  const ordered = inOrder(operands);
  const middle = ordered.slice(Math.ceil(ordered.length / 2) - 1, Math.floor(ordered.length / 2) + 1);
  const [first, second] = middle;
  if (!first || !second) return chosen(operands, first);
  const { result, rule } = byPlaces(middle, first.value.plus(second.value).dividedBy(Rational.of(2)));
  const ruler = second.place > first.place ? second : first;
  return { result, rule, ruledBy: ruler.place === -Infinity ? null : operands.indexOf(ruler) };
}

/** 60 digits of what has no exact value: a root, a logarithm, a sine. */
function approximately(value: Decimal, { at }: Expression, complaint: string): Rational {
  if (!value.isFinite()) throw new ExpressionError(complaint, at);
  return Rational.of(value);
}

/** Evaluates the steps of one expression. */
class Evaluation {
  readonly steps: Step[] = [];

  constructor(
    private readonly numberOf: (name: string) => Measured | undefined,
    private readonly rules: DigitRules,
  ) {}

  visit(node: Expression): Measured {
    switch (node.kind) {
      case 'number':
        return { value: node.written.value, place: node.written.place };
      case 'pi':
        return exactly(PI);
      case 'exact':
        // What is exact decides no digits: how it is worked out is no step of the working.
        return exactly(new Evaluation(this.numberOf, this.rules).visit(node.operand).value);
      case 'negate': {
        const { value, place } = this.visit(node.operand);
        return { value: value.negated(), place };
      }
      case 'name': {
        const number = this.numberOf(node.name);
        if (!number) throw new ExpressionError(`${node.name} has no value.`, node.at);
        return number;
      }
      case 'convert': {
        const operand = this.visit(node.operand);
        return this.keep(node, 'convert', [operand], this.converted(node, operand));
      }
      case 'call': {
        const operands = node.arguments.map((argument) => this.visit(argument));
        return this.keep(node, node.name, operands, this.call(node, operands));
      }
      case 'binary': {
        const left = this.visit(node.left);
        const right = node.operator === '^' ? this.exponent(node) : this.visit(node.right);
        return this.keep(node, node.operator, [left, right], this.combine(node, left, right));
      }
    }
  }

  /** A logarithm, as the exponent of ten with decimals, was measured; every other exponent is exact, and how it is worked out is no step. */
  private exponent({ left, right }: BinaryNode): Measured {
    if (isTen(left) && isWrittenWithDecimals(right)) return this.visit(right);
    return exactly(new Evaluation(this.numberOf, this.rules).visit(right).value);
  }

  private keep(
    node: Expression,
    operation: Step['operation'],
    operands: readonly Measured[],
    outcome: Outcome,
  ): Measured {
    const size = outcome.result.value.magnitude();
    if (size > LARGEST)
      throw new ExpressionError(`A result is beyond 10^${LARGEST}; that is too large to be worked with here.`, node.at);
    if (size < -LARGEST && size !== -Infinity)
      throw new ExpressionError(`A result is below 10^−${LARGEST}; that is too small to be worked with here.`, node.at);
    this.steps.push({ operation, node, operands, ...outcome });
    return outcome.result;
  }

  private byFigures(operands: readonly Measured[], value: Rational): Outcome {
    const figures = operands.map((operand) => figuresOf(operand, this.rules.rounding));
    return {
      result: productOf(operands, this.rules.rounding, value),
      rule: 'figures',
      ruledBy: limiting(figures, Math.min(...figures), Infinity),
    };
  }

  private converted(node: Extract<Expression, { kind: 'convert' }>, operand: Measured): Outcome {
    return node.operations.reduce<Outcome>(
      ({ result }, operation) =>
        'times' in operation
          ? this.scaled(result, operation.times)
          : byPlaces([result, exactly(operation.plus)], result.value.plus(operation.plus)),
      { result: operand, rule: 'figures', ruledBy: operand.place === -Infinity ? null : 0 },
    );
  }

  /** A quantity in another unit: a measured zero keeps its place beside the others. */
  private scaled(operand: Measured, factor: Rational): Outcome {
    const outcome = this.byFigures([operand, exactly(factor)], operand.value.times(factor));
    const { value } = operand;
    return value.isZero() && operand.place !== -Infinity
      ? { ...outcome, result: { value, place: operand.place + factor.magnitude() } }
      : outcome;
  }

  private combine(node: BinaryNode, left: Measured, right: Measured): Outcome {
    const operands = [left, right];
    switch (node.operator) {
      case '+':
        return byPlaces(operands, left.value.plus(right.value));
      case '-':
        return byPlaces(operands, left.value.minus(right.value));
      case '*':
        return this.byFigures(operands, left.value.times(right.value));
      case '/':
        if (right.value.isZero()) throw new ExpressionError(`A division by zero has no result.`, node.at);
        return this.byFigures(operands, left.value.dividedBy(right.value));
      case '^':
        return this.power(node, left, right);
    }
  }

  private power(node: BinaryNode, left: Measured, right: Measured): Outcome {
    const whole = wholeNumberIn(node.right);
    if (left.value.isZero() && right.value.sign() < 0)
      throw new ExpressionError(`Zero to a negative power has no result.`, node.at);
    if (!left.value.isZero() && Math.abs(left.value.magnitude() * right.value.toNumber()) > 10 * LARGEST)
      throw new ExpressionError(`The power is too large to be worked with here.`, node.at);
    const exact = whole === null ? null : left.value.toThe(whole);
    const value =
      exact ?? approximately(decimalOf(left.value).pow(decimalOf(right.value)), node, `The power has no result.`);
    if (isTen(node.left) && right.place !== -Infinity) return this.antilogarithm(right, value, 1);
    return this.byFigures([left, right], value);
  }

  /** As many figures as the logarithm has decimals. */
  private antilogarithm(logarithm: Measured, value: Rational, index: number): Outcome {
    const figures = logarithm.place === -Infinity ? Infinity : Math.max(0, -logarithm.place);
    return {
      result: { value, place: placeForFigures(value, figures, [logarithm], this.rules.rounding) },
      rule: 'antilogarithm',
      ruledBy: figures === Infinity ? null : index,
    };
  }

  /** As many decimals as the argument has figures. */
  private logarithm(argument: Measured, value: Rational): Outcome {
    const figures = figuresOf(argument, this.rules.rounding);
    return {
      result: { value, place: figures === Infinity ? -Infinity : -figures },
      rule: 'logarithm',
      ruledBy: figures === Infinity ? null : 0,
    };
  }

  /** The doubt of the angle times the slope there decides the place. An angle in degrees is doubtful by so many of them. */
  private derivative({ arguments: [angle] }: CallNode, { place }: Measured, value: Rational, slope: Decimal): Outcome {
    const inDegrees = this.steps.findLast(({ operation, node }) => operation === 'convert' && node === angle);
    const [before] = inDegrees?.operands ?? [];
    const perUnit =
      inDegrees && before && !before.value.isZero() ? inDegrees.result.value.dividedBy(before.value) : Rational.ONE;
    const doubt = slope.abs().times(decimalOf(perUnit));
    const doubtful = place === -Infinity || slope.isZero() ? place : (before?.place ?? place) + doubt.e;
    return { result: { value, place: doubtful }, rule: 'derivative', ruledBy: place === -Infinity ? null : 0 };
  }

  private mean(operands: readonly Measured[]): Outcome {
    const total = operands.reduce((sum, { value }) => sum.plus(value), Rational.ZERO);
    const mean = total.dividedBy(Rational.of(operands.length));
    const outcome = byPlaces(operands, mean);
    if (this.rules.meanPlace === 'by-readings' || operands.length < 2 || outcome.ruledBy === null) return outcome;
    const squares = operands.reduce(
      (sum, { value }) => sum.plus(value.minus(mean).times(value.minus(mean))),
      Rational.ZERO,
    );
    if (squares.isZero()) return outcome;
    const standardError = decimalOf(squares)
      .div(operands.length * (operands.length - 1))
      .sqrt();
    return {
      ...outcome,
      result: { value: mean, place: uncertaintyPlace(standardError, this.rules.uncertaintyFigures) },
      rule: 'standard-error',
    };
  }

  private call(node: CallNode, operands: readonly Measured[]): Outcome {
    const [first] = operands;
    if (!first) throw new ExpressionError(`${node.name} needs an argument.`, node.at);
    const { value } = first;
    const of = (result: Decimal): Rational => approximately(result, node, `${node.name} has no result.`);
    switch (node.name) {
      case 'sqrt':
        if (value.sign() < 0)
          throw new ExpressionError(`The square root of a negative number has no result here.`, node.at);
        return this.byFigures(operands, of(decimalOf(value).sqrt()));
      case 'ln':
      case 'log10':
        if (value.sign() <= 0)
          throw new ExpressionError(
            `${node.name} needs a positive number, not ${decimalOf(value).toSignificantDigits(6).toString()}.`,
            node.at,
          );
        return this.logarithm(first, of(node.name === 'ln' ? decimalOf(value).ln() : decimalOf(value).log(10)));
      case 'exp':
        if (value.compare(Rational.of(LARGEST * 3)) > 0)
          throw new ExpressionError(`exp is too large to be worked with here.`, node.at);
        return this.antilogarithm(first, of(decimalOf(value).exp()), 0);
      case 'sin':
        return this.derivative(node, first, of(decimalOf(value).sin()), decimalOf(value).cos());
      case 'cos':
        return this.derivative(node, first, of(decimalOf(value).cos()), decimalOf(value).sin());
      case 'tan':
        return this.derivative(
          node,
          first,
          of(decimalOf(value).tan()),
          new Decimal(1).div(decimalOf(value).cos().pow(2)),
        );
      case 'abs':
        return byPlaces(operands, value.abs());
      case 'min':
        return chosen(operands, inOrder(operands).at(0));
      case 'max':
        return chosen(operands, inOrder(operands).at(-1));
      case 'mean':
        return this.mean(operands);
      case 'median':
        return median(operands);
      case 'sum':
        return byPlaces(
          operands,
          operands.reduce((sum, operand) => sum.plus(operand.value), Rational.ZERO),
        );
    }
  }
}

const PI = Rational.of(Decimal.acos(-1));

/** The result of a calculation on written numbers, with every step in the order in which they were taken. */
export interface MeasuredResult extends Measured {
  readonly steps: readonly Step[];
}

const USUAL: DigitRules = {
  rounding: 'half-up',
  meanPlace: 'by-readings',
  uncertaintyFigures: 'one-two-after-leading-1',
};

/**
 * Evaluates an expression whose units have been resolved: all digits are kept at every step and nothing is rounded; the place of each
 * step follows the rules of significant figures (sums by places, products by figures).
 * @throws ExpressionError pointing at the character when a step has no result or a name has no number.
 */
export function evaluateMeasured(
  tree: Expression,
  numberOf: (name: string) => Measured | undefined,
  rules: DigitRules = USUAL,
): MeasuredResult {
  const evaluation = new Evaluation(numberOf, rules);
  const { value, place } = evaluation.visit(tree);
  return { value, place, steps: evaluation.steps };
}
