import type { HouseRules } from '../rules/house-rules.ts';
import { isOnClock, isPure, type Unit } from '../units/unit.ts';
import { ExpressionError, type Expression } from './expression/expression.ts';
import type { QuantityValue } from './working.ts';
import { writtenQuantity } from './working.ts';
import { Rational } from '../numbers/rational.ts';
import { alikeAtPlace, uncertaintyPlace, writtenAtPlace } from '../numbers/rounding.ts';

/** An expression parted at its ±. */
export interface Parted {
  readonly main: string;
  readonly doubt: string;
  /** The characters at which the sign stands and at which the uncertainty begins. */
  readonly signAt: number;
  readonly doubtAt: number;
}

const PLUS_MINUS = /±|\+\/-/;
const IN_PARENTHESES = /^\s*\(([^()]*?)(?:±|\+\/-)([^()]*)\)([^()]*)$/s;

/** Parts an expression at its ±; `(10.0 ± 0.1) cm` has its unit on both sides. Null without one. */
export function partedAtSign(expression: string): Parted | null {
  const sign = PLUS_MINUS.exec(expression);
  if (!sign) return null;
  const [signAt, doubtAt] = [sign.index, sign.index + sign[0].length];
  const [, value, size, unit] = IN_PARENTHESES.exec(expression) ?? [];
  if (value !== undefined && size !== undefined && unit !== undefined)
    return { main: `(${value})${unit}`, doubt: `(${size})${unit}`, signAt, doubtAt };
  return { main: expression.slice(0, signAt), doubt: expression.slice(doubtAt), signAt, doubtAt };
}

/** How many zeros at the end of a number that stands alone are not counted, which an uncertainty beside it shows to be read; null for what was calculated. */
export function zerosTyped(tree: Expression): number | null {
  switch (tree.kind) {
    case 'number':
      return tree.written.atMost - tree.written.atLeast;
    case 'negate':
      return zerosTyped(tree.operand);
    case 'binary':
      return tree.operator === '*' && isUnit(tree.right) ? zerosTyped(tree.left) : null;
    case 'name':
    case 'pi':
    case 'exact':
    case 'call':
    case 'convert':
      return null;
  }
}

/** A unit behind a parenthesis. */
function isUnit(node: Expression): boolean {
  return node.kind === 'exact' && node.operand.kind === 'number' && node.operand.unit !== null;
}

/** A quantity with the last place it was typed with. */
export interface Typed {
  readonly quantity: QuantityValue;
  readonly lastPlace: number | null;
}

/** Whether an uncertainty is a part of the value: it is in percent, and the value is not. */
export function isRelative(value: Unit, doubt: Unit): boolean {
  return '%' in doubt && !('%' in value);
}

/** Whether a value takes the unit of its uncertainty: `10.0 ± 0.1 cm`. */
export function takesUnit({ quantity, lastPlace }: Typed, doubt: Unit): boolean {
  return lastPlace !== null && isPure(quantity.unit) && !isPure(doubt) && !('%' in doubt);
}

/** So many percent of a value, known to as many figures. */
export function partOf(value: QuantityValue, percent: Typed): Typed {
  const size = value.value.times(percent.quantity.value).dividedBy(Rational.of(100)).abs();
  const { value: number, place } = percent.quantity;
  const last = percent.lastPlace ?? place;
  const lastPlace = size.isZero() || number.isZero() ? null : size.magnitude() - (number.magnitude() - last);
  return { quantity: { value: size, place: lastPlace ?? place, unit: value.unit }, lastPlace };
}

/** What is written: a typed value keeps its digits, and nothing gets more than were stated. */
export interface Stated {
  readonly quantity: QuantityValue;
  readonly text: string;
  readonly uncertainty: string;
}

/** Writes a value with its uncertainty by the class’s rule. @throws ExpressionError for an uncertainty of zero. */
export function stated(main: Typed, doubt: Typed, rules: HouseRules): Stated {
  const size = doubt.quantity.value.abs();
  if (size.isZero()) throw new ExpressionError('An uncertainty of zero says nothing. Leave it out.', 0);
  const byRule = uncertaintyPlace(size, rules.uncertaintyFigures);
  const ofDoubt = Math.max(byRule, doubt.lastPlace ?? doubt.quantity.place);
  const place = Math.max(ofDoubt, main.lastPlace ?? -Infinity);
  const known = { ...main.quantity, place };
  if (isOnClock(known.unit)) {
    const time = (value: Rational): string => writtenQuantity({ ...known, value }, rules);
    return { quantity: known, text: time(known.value), uncertainty: time(size) };
  }
  if (size.roundedTo(place, rules.rounding).isZero())
    return {
      quantity: known,
      text: writtenAtPlace(known.value, place, rules.rounding),
      uncertainty: writtenAtPlace(size, ofDoubt, rules.rounding),
    };
  const [text = '', uncertainty = ''] = alikeAtPlace([known.value, size], place, rules.rounding);
  return { quantity: known, text, uncertainty };
}
