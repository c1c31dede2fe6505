import type { Decimal } from 'decimal.js';
import type { RoundingRule } from './rounding-rule.ts';

const POWERS: bigint[] = [1n];

/** 10 to a power of zero or more. */
function tenTo(power: number): bigint {
  for (let next = POWERS.length; next <= power && next < 400; next += 1) POWERS.push((POWERS[next - 1] ?? 1n) * 10n);
  return POWERS[power] ?? 10n ** BigInt(power);
}

function digitsOf(value: bigint): number {
  return value.toString().length;
}

function greatestCommonDivisor(a: bigint, b: bigint): bigint {
  let [larger, smaller] = [a, b];
  while (smaller !== 0n) [larger, smaller] = [smaller, larger % smaller];
  return larger;
}

/** From so many digits on, a denominator is worth the search for a common divisor. */
const WORTH_REDUCING = tenTo(40);
const SMALL_POWER = 4000;
/** So many digits of a fraction decide which double is nearest to it. */
const GUARDED = 60;

/**
 * An exact number, n ÷ d × 10^e: sums, products, quotients and whole powers of written numbers lose nothing, so that a result that
 * lies halfway between two roundings is known to lie there. Roots, logarithms and the like come in as decimals of 60 digits.
 */
export class Rational {
  static readonly ZERO = new Rational(0n, 1n, 0);
  static readonly ONE = new Rational(1n, 1n, 0);

  /** @param denominator greater than zero. */
  private constructor(
    private readonly numerator: bigint,
    private readonly denominator: bigint,
    private readonly exponent: number,
  ) {}

  /** @param value finite; a number stands for the shortest decimal that is written like it. */
  static of(value: Decimal | number | string | Rational): Rational {
    if (value instanceof Rational) return value;
    const text = String(value);
    const power = text.search(/e/i);
    const mantissa = power < 0 ? text : text.slice(0, power);
    const point = mantissa.indexOf('.');
    const exponent = power < 0 ? 0 : Number(text.slice(power + 1));
    if (point < 0) return new Rational(BigInt(mantissa), 1n, exponent);
    return new Rational(
      BigInt(mantissa.slice(0, point) + mantissa.slice(point + 1)),
      1n,
      exponent - (mantissa.length - point - 1),
    );
  }

  private static reduced(numerator: bigint, denominator: bigint, exponent: number): Rational {
    if (numerator === 0n) return Rational.ZERO;
    if (denominator < WORTH_REDUCING) return new Rational(numerator, denominator, exponent);
    const divisor = greatestCommonDivisor(numerator < 0n ? -numerator : numerator, denominator);
    return new Rational(numerator / divisor, denominator / divisor, exponent);
  }

  plus(other: Rational): Rational {
    const exponent = Math.min(this.exponent, other.exponent);
    const mine = this.numerator * tenTo(this.exponent - exponent);
    const theirs = other.numerator * tenTo(other.exponent - exponent);
    if (this.denominator === other.denominator) return Rational.reduced(mine + theirs, this.denominator, exponent);
    return Rational.reduced(
      mine * other.denominator + theirs * this.denominator,
      this.denominator * other.denominator,
      exponent,
    );
  }

  negated(): Rational {
    return new Rational(-this.numerator, this.denominator, this.exponent);
  }

  minus(other: Rational): Rational {
    return this.plus(other.negated());
  }

  times(other: Rational): Rational {
    return Rational.reduced(
      this.numerator * other.numerator,
      this.denominator * other.denominator,
      this.exponent + other.exponent,
    );
  }

  /** @throws RangeError when the divisor is zero. */
  dividedBy(other: Rational): Rational {
    if (other.numerator === 0n) throw new RangeError('Division by zero has no result.');
    const sign = other.numerator < 0n ? -1n : 1n;
    return Rational.reduced(
      sign * this.numerator * other.denominator,
      sign * this.denominator * other.numerator,
      this.exponent - other.exponent,
    );
  }

  /** A whole power, or null where the exact result would be thousands of digits long. */
  toThe(power: number): Rational | null {
    if (power < 0) return Rational.ONE.dividedBy(this).toThe(-power);
    if (power * (digitsOf(this.numerator) + digitsOf(this.denominator)) > SMALL_POWER) return null;
    return Rational.reduced(this.numerator ** BigInt(power), this.denominator ** BigInt(power), this.exponent * power);
  }

  /** Times 10 to a power. */
  shifted(power: number): Rational {
    return this.numerator === 0n ? this : new Rational(this.numerator, this.denominator, this.exponent + power);
  }

  abs(): Rational {
    return this.numerator < 0n ? this.negated() : this;
  }

  sign(): -1 | 0 | 1 {
    return this.numerator === 0n ? 0 : this.numerator < 0n ? -1 : 1;
  }

  isZero(): boolean {
    return this.numerator === 0n;
  }

  isInteger(): boolean {
    if (this.denominator === 1n && this.exponent >= 0) return true;
    return this.roundedTo(0).equals(this);
  }

  compare(other: Rational): -1 | 0 | 1 {
    return this.minus(other).sign();
  }

  equals(other: Rational): boolean {
    return this.compare(other) === 0;
  }

  /** Power of ten of the first significant digit: 46.3 → 1, 0.045 → −2. Zero has none: −Infinity. */
  magnitude(): number {
    if (this.numerator === 0n) return -Infinity;
    const size = this.numerator < 0n ? -this.numerator : this.numerator;
    if (this.denominator === 1n) return digitsOf(size) - 1 + this.exponent;
    const guess = digitsOf(size) - digitsOf(this.denominator);
    const [above, below] =
      guess >= 0 ? [size, this.denominator * tenTo(guess)] : [size * tenTo(-guess), this.denominator];
    return this.exponent + guess - (above < below ? 1 : 0);
  }

  /** Rounded once to the given power of ten. `down` cuts. */
  roundedTo(place: number, rule: RoundingRule | 'down' = 'half-up'): Rational {
    const shift = this.exponent - place;
    if (this.denominator === 1n && shift >= 0) return this;
    const size = (this.numerator < 0n ? -this.numerator : this.numerator) * (shift > 0 ? tenTo(shift) : 1n);
    const part = this.denominator * (shift < 0 ? tenTo(-shift) : 1n);
    const whole = size / part;
    const twice = (size % part) * 2n;
    const up = rule !== 'down' && (twice > part || (twice === part && (rule === 'half-up' || whole % 2n === 1n)));
    const rounded = up ? whole + 1n : whole;
    return rounded === 0n ? Rational.ZERO : new Rational(this.numerator < 0n ? -rounded : rounded, 1n, place);
  }

  /** Written out without an exponent, cut or filled up to so many decimals. */
  toFixed(decimals: number): string {
    const { numerator, exponent } = this.roundedTo(-decimals, 'down');
    const size = (numerator < 0n ? -numerator : numerator) * tenTo(Math.max(0, exponent + decimals));
    const digits = size.toString().padStart(decimals + 1, '0');
    const sign = numerator < 0n ? '-' : '';
    return decimals === 0 ? sign + digits : `${sign}${digits.slice(0, -decimals)}.${digits.slice(-decimals)}`;
  }

  /** The power of ten of the last digit of its decimal expansion, or null where that does not end within so many digits. */
  lastPlace(most: number): number | null {
    const first = this.magnitude();
    if (first === -Infinity) return 0;
    const cut = this.roundedTo(first - most + 1, 'down');
    if (!cut.equals(this)) return null;
    const trailing = /0*$/.exec(cut.numerator.toString())?.[0].length ?? 0;
    return cut.exponent + trailing;
  }

  /** Rounded to so many significant digits. */
  toFigures(figures: number): Rational {
    return this.numerator === 0n ? this : this.roundedTo(this.magnitude() - figures + 1);
  }

  /** Both whole parts as they are written, the first with its power of ten: `25e-2` and `3`. */
  parts(): readonly [above: string, below: string] {
    return [`${this.numerator}e${this.exponent}`, this.denominator.toString()];
  }

  toNumber(): number {
    if (this.denominator !== 1n) return this.toFigures(GUARDED).toNumber();
    return Number(`${this.numerator}e${this.exponent}`);
  }
}
