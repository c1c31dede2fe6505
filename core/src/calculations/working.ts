import type { HouseRules } from '../rules/house-rules.ts';
import { CLOCK_TO_THE_MINUTE, isOnClock, writtenUnit, zerosAreRead, type Unit } from '../units/unit.ts';
import { questionAbout, reasonFor } from './explain-step.ts';
import { partsOf, type Expression } from './expression/expression.ts';
import { withGuardDigits } from './guard-digits.ts';
import { figuresOf, type DigitRule, type Measured, type Step } from './measured.ts';
import { decimalOf } from '../numbers/decimal.ts';
import { Rational } from '../numbers/rational.ts';
import { unambiguousAtPlace, writtenAtPlace } from '../numbers/rounding.ts';
import { writtenTime } from '../numbers/clock-time.ts';
import { placeOnClock, writtenAsKnown } from './expression/time-of-day.ts';

/** A measured number with its unit, all digits kept. */
export interface QuantityValue extends Measured {
  readonly unit: Unit;
}

/** A number of a working, ready to be shown. */
export interface WorkedNumber {
  /** As it would be written if the calculation ended here. */
  readonly text: string;
  /** The digits that count, and up to three more that are carried. */
  readonly kept: string;
  readonly guard: string;
  readonly unit: string;
  readonly exact: boolean;
}

/** One step of a calculation: what was combined, what came out, and why it has the digits it has. */
export interface WorkedStep {
  readonly operation: Step['operation'];
  readonly operands: readonly WorkedNumber[];
  readonly result: WorkedNumber;
  readonly rule: DigitRule;
  /** Index of the operand that decided, or null when all are exact. */
  readonly ruledBy: number | null;
  /** Indices of all operands that decide alike: the one that ruled, and those known no further. */
  readonly deciding: readonly number[];
  /** “Why two decimals?”, and the answer. */
  readonly question: string;
  readonly answer: string;
}

const FULL_DIGITS = 15;
const LONGEST_FULL = 30;

/** All digits of a value, or fifteen of those that do not end. */
function fullText({ value }: Measured): string {
  const last = value.lastPlace(LONGEST_FULL);
  const rounded = last === null ? value.roundedTo(value.magnitude() - FULL_DIGITS + 1) : value;
  const decimals = Math.max(0, -(rounded.lastPlace(LONGEST_FULL) ?? 0));
  return decimals > LONGEST_FULL ? decimalOf(rounded).toExponential() : rounded.toFixed(decimals);
}

/** A time as far as it is known, whether it is counted in seconds or in minutes. */
function onClock({ value, place, unit }: QuantityValue, { rounding }: HouseRules): string {
  if (CLOCK_TO_THE_MINUTE in unit) {
    const known = placeOnClock(Rational.of(60).shifted(Math.max(0, place)), 0);
    return writtenAsKnown(value.times(Rational.of(60)), known, rounding);
  }
  return writtenAsKnown(value, place === -Infinity ? 0 : place, rounding);
}

/** How a quantity is written: rounded once, to its own place. */
export function writtenQuantity(quantity: QuantityValue, rules: HouseRules): string {
  const { value, unit } = quantity;
  if (isOnClock(unit)) return onClock(quantity, rules);
  if (zerosAreRead(unit) && quantity.place === 0) return writtenAtPlace(value, 0, rules.rounding);
  return quantity.place === -Infinity ? fullText(quantity) : unambiguousAtPlace(value, quantity.place, rules.rounding);
}

/** A unit as it is shown beside a number: a time shows none, a difference of temperatures its degrees. */
export function shownUnit(unit: Unit): string {
  return isOnClock(unit) ? '' : writtenUnit(unit).replace(/^Δ/, '');
}

function worked(number: Measured, unit: Unit, rules: HouseRules): WorkedNumber {
  const text = writtenQuantity({ ...number, unit }, rules);
  const digits = isOnClock(unit) ? { kept: text, guard: '' } : withGuardDigits(number);
  return { text, ...digits, unit: shownUnit(unit), exact: number.place === -Infinity };
}

/** Operands that would have ruled as well: as few figures, or the same last place. */
function decidingIn({ operands, rule, ruledBy }: Step, rules: HouseRules): number[] {
  const ruler = ruledBy === null ? undefined : operands[ruledBy];
  // A mean’s scatter comes of all its readings together.
  if (!ruler || rule === 'standard-error') return [];
  const asFar = (operand: Measured): boolean =>
    rule === 'figures'
      ? operand.place !== -Infinity && figuresOf(operand, rules.rounding) === figuresOf(ruler, rules.rounding)
      : operand.place === ruler.place;
  return operands.flatMap((operand, i) => (asFar(operand) ? [i] : []));
}

/** A step of an evaluation, ready to be shown and asked about. */
export function workedStep(step: Step, unitOf: (part: Expression) => Unit, rules: HouseRules): WorkedStep {
  const { operation, node, operands, result, rule, ruledBy } = step;
  const parts = partsOf(node);
  const shown = operands.map((operand, i) => worked(operand, parts[i] ? unitOf(parts[i]) : {}, rules));
  return {
    operation,
    operands: shown,
    result: worked(result, unitOf(node), rules),
    rule,
    ruledBy,
    deciding: decidingIn(step, rules),
    question: questionAbout(step, rules.rounding),
    answer: reasonFor(
      step,
      shown.map(({ text }) => text),
      rules.rounding,
    ),
  };
}

/**
 * The step that brings a quantity to another unit.
 * @param answer why its digits stay, from the quantity as written before.
 */
export function conversionStep(
  from: QuantityValue,
  to: QuantityValue,
  rule: DigitRule,
  answer: (text: string) => string,
  rules: HouseRules,
): WorkedStep {
  const before = worked(from, from.unit, rules);
  return {
    operation: 'convert',
    operands: [before],
    result: worked(to, to.unit, rules),
    rule,
    ruledBy: from.place === -Infinity ? null : 0,
    deciding: [],
    question: questionAbout({ result: to, rule }, rules.rounding),
    answer: answer(before.text),
  };
}

/** All digits of a quantity, a time as hours, minutes and seconds. */
export function fullQuantity(quantity: QuantityValue, rules: HouseRules): string {
  const { value, unit } = quantity;
  if (!isOnClock(unit)) return fullText(quantity);
  const seconds = CLOCK_TO_THE_MINUTE in unit ? value.times(Rational.of(60)) : value;
  return writtenTime(seconds, Math.min(0, seconds.lastPlace(LONGEST_FULL) ?? -FULL_DIGITS), rules.rounding);
}
