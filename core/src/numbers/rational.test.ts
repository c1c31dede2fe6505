import fc from 'fast-check';
import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { Rational } from './rational.ts';

const decimal = fc
  .tuple(fc.bigInt({ min: -(10n ** 30n), max: 10n ** 30n }), fc.integer({ min: 0, max: 25 }))
  .map(([digits, decimals]) => {
    const size = (digits < 0n ? -digits : digits).toString().padStart(decimals + 1, '0');
    return (digits < 0n ? '-' : '') + (decimals === 0 ? size : `${size.slice(0, -decimals)}.${size.slice(-decimals)}`);
  });

const same = (mine: Rational, theirs: Fraction): boolean => {
  const [above = '0', below = '1'] = theirs.toFraction().split('/');
  return mine.times(Rational.of(below)).equals(Rational.of(above));
};

describe('exact numbers', () => {
  it('add, multiply and divide as fractions do, however long they are', () => {
    fc.assert(
      fc.property(decimal, decimal, decimal, (a, b, c) => {
        const [x, y, z] = [a, b, c].map((text) => Rational.of(text)) as [Rational, Rational, Rational];
        const [p, q, r] = [a, b, c].map((text) => new Fraction(text)) as [Fraction, Fraction, Fraction];
        expect(same(x.plus(y).minus(z), p.add(q).sub(r))).toBe(true);
        expect(same(x.times(y).times(z), p.mul(q).mul(r))).toBe(true);
        if (!y.isZero() && !z.isZero())
          expect(same(x.dividedBy(y).dividedBy(z).plus(x), p.div(q).div(r).add(p))).toBe(true);
        expect(x.compare(y)).toBe(p.compare(q));
      }),
      { numRuns: 2000 },
    );
  });

  it('know the power of ten of their first digit', () => {
    fc.assert(
      fc.property(decimal, decimal, (a, b) => {
        const [x, y] = [Rational.of(a), Rational.of(b)];
        fc.pre(!x.isZero() && !y.isZero());
        const value = x.dividedBy(y);
        const size = value.abs();
        const power = value.magnitude();
        expect(size.compare(Rational.of(1).shifted(power))).toBeGreaterThanOrEqual(0);
        expect(size.compare(Rational.of(1).shifted(power + 1))).toBe(-1);
      }),
    );
  });

  it.each([
    ['2.5', 0, '3', '2', '2'],
    ['3.5', 0, '4', '4', '3'],
    ['-2.5', 0, '-3', '-2', '-2'],
    ['0.125', -2, '0.13', '0.12', '0.12'],
    ['1250', 2, '1300', '1200', '1200'],
    ['0.04', -1, '0.0', '0.0', '0.0'],
  ])('%s to the place %i: %s, to even %s, cut %s', (text, place, up, even, cut) => {
    const written = (rule: 'half-up' | 'half-even' | 'down'): string =>
      Rational.of(text).roundedTo(place, rule).toFixed(Math.max(0, -place));
    expect([written('half-up'), written('half-even'), written('down')]).toEqual([up, even, cut]);
  });

  it('say where their digits end, or that they do not', () => {
    expect(Rational.of('12.500').lastPlace(20)).toBe(-1);
    expect(Rational.of('1200').lastPlace(20)).toBe(2);
    expect(Rational.of(1).dividedBy(Rational.of(8)).lastPlace(20)).toBe(-3);
    expect(Rational.of(1).dividedBy(Rational.of(7)).lastPlace(20)).toBeNull();
    expect(Rational.ZERO.lastPlace(20)).toBe(0);
  });

  it('are raised to whole powers, and not to enormous ones', () => {
    expect(Rational.of('1.5').toThe(3)?.toFixed(3)).toBe('3.375');
    expect(Rational.of('0.5').toThe(-2)?.toFixed(0)).toBe('4');
    expect(Rational.of('3').toThe(0)?.toFixed(0)).toBe('1');
    expect(Rational.of('12345').toThe(5000)).toBeNull();
  });

  it('take numbers as the decimals they are written as, and refuse a division by zero', () => {
    expect(Rational.of(0.1).plus(Rational.of(0.2)).toFixed(1)).toBe('0.3');
    expect(Rational.of(1e-7).toNumber()).toBe(1e-7);
    expect(() => Rational.ONE.dividedBy(Rational.ZERO)).toThrow(RangeError);
  });
});
