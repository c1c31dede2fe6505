import type { Decimal } from './decimal.ts';
import { Rational } from './rational.ts';
import type { RoundingRule } from './rounding-rule.ts';

/** The digits of a value rounded to a place, written out in full: (46, −1) → `46.0`. Minus zero is written `0`. */
export function writtenAtPlace(
  value: Rational | Decimal | number,
  place: number,
  rule: RoundingRule = 'half-up',
): string {
  return Rational.of(value).roundedTo(place, rule).toFixed(Math.max(0, -place));
}

/**
 * As `writtenAtPlace`, but with an exponent where trailing zeros of a whole number would leave the figures in doubt:
 * (400, 1) → `4.0e2`, (2500, 1) → `2.50e3`, (335, 0) → `335`. Very large and very small numbers have an exponent as well.
 */
export function unambiguousAtPlace(
  value: Rational | Decimal | number,
  place: number,
  rule: RoundingRule = 'half-up',
): string {
  const rounded = Rational.of(value).roundedTo(place, rule);
  const plain = rounded.toFixed(Math.max(0, -place));
  const exponent = rounded.magnitude();
  const inDoubt = place > 0 || (place === 0 && plain.endsWith('0'));
  if (rounded.isZero() || (!inDoubt && exponent >= SMALLEST_PLAIN && exponent <= LARGEST_PLAIN)) return plain;
  return `${rounded.shifted(-exponent).toFixed(exponent - place)}e${exponent}`;
}

/**
 * Numbers rounded to one place and written alike, as a value and its uncertainty are: `520` and `2` at the ones, where the second says
 * how far the first is known; `1.23e4` and `0.02e4` where an exponent is needed.
 */
export function alikeAtPlace(values: readonly Rational[], place: number, rule: RoundingRule = 'half-up'): string[] {
  if (place <= 0) return values.map((value) => writtenAtPlace(value, place, rule));
  const rounded = values.map((value) => value.roundedTo(place, rule));
  const exponent = Math.max(place, ...rounded.map((value) => value.magnitude()));
  return rounded.map((value) => `${value.shifted(-exponent).toFixed(exponent - place)}e${exponent}`);
}

/** Powers of ten of the first digit between which a number is written without an exponent. */
const SMALLEST_PLAIN = -6;
const LARGEST_PLAIN = 12;

const TWO = Rational.of(2);

export type UncertaintyFigures = 'one-two-after-leading-1' | 'one' | 'two';

/**
 * The place an uncertainty is written to. With `one-two-after-leading-1` it has two figures when, before rounding, it starts
 * with 1: 0.143 → −2 (0.14), 0.096 → −1 (0.1).
 * @throws RangeError when the uncertainty is not positive and finite.
 */
export function uncertaintyPlace(
  uncertainty: Rational | Decimal | number,
  figures: UncertaintyFigures = 'one-two-after-leading-1',
): number {
  const said = String(uncertainty instanceof Rational ? uncertainty.toNumber() : uncertainty);
  const size = /\d/.test(said) ? Rational.of(uncertainty) : null;
  if (size === null || size.sign() <= 0) throw new RangeError(`An uncertainty is a positive number, not ${said}.`);
  const first = size.magnitude();
  const startsWithOne = size.shifted(-first).compare(TWO) < 0;
  const two = figures === 'two' || (figures === 'one-two-after-leading-1' && startsWithOne);
  return two ? first - 1 : size.roundedTo(first).magnitude();
}

const POWERS = Array.from({ length: 16 }, (_, n) => 10 ** n);

/**
 * The double that stands for a number with so many decimals, 0 to 15, without the dust that sums and products of doubles leave beyond
 * them. For numbers that are known to have no more decimals: of a tie the dust would decide.
 */
export function withoutDustBeyond(value: number, decimals: number): number {
  const power = POWERS[decimals] ?? NaN;
  return Math.round(value * power) / power;
}
