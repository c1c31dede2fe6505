import fc from 'fast-check';
import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { ExpressionError } from './expression/expression.ts';
import { placeInTyped, plainText } from '../numbers/plain-text.ts';
import { Rational } from '../numbers/rational.ts';
import { shiftedByPowers } from '../numbers/shift-digits.ts';
import { writtenTime } from '../numbers/clock-time.ts';
import { parseTime } from './expression/time-of-day.ts';

describe('what a keyboard of any language produces', () => {
  it.each([
    ['  18.6 mL ', '18.6 mL'],
    ['12:41:20 − 12:09:47', '12:41:20 - 12:09:47'],
    ['3 – 2', '3 - 2'],
    ['cm³', 'cm^3'],
    ['g cm⁻³', 'g cm^-3'],
    ['14.2 × 23.6', '14.2 * 23.6'],
    ['24.31 ÷ 9.4', '24.31 / 9.4'],
    ['2·3', '2*3'],
    ['１８．６', '18.6'],
    ['٤٫٧', '4.7'],
    ['۴٫۷', '4.7'],
    ['४.७', '4.7'],
    ['5 µm', '5 μm'],
    ['18.6\u00a0mL', '18.6 mL'],
  ])('%s becomes %s', (typed, plain) => {
    expect(plainText(typed)).toBe(plain);
  });

  it('is not changed by being brought to plain characters twice', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...Array.from('0123456789.,+-−×÷·()²³⁻ mLgcµ٤۷')), maxLength: 30 }),
        (typed) => {
          expect(plainText(plainText(typed))).toBe(plainText(typed));
        },
      ),
    );
  });

  it('a place in the plain text is found again in what was typed', () => {
    fc.assert(
      fc.property(
        fc.string({ unit: fc.constantFrom(...Array.from('0123456789.+−×÷()²³ mLg')), minLength: 1, maxLength: 30 }),
        fc.nat(29),
        (typed, seed) => {
          const plain = plainText(typed);
          fc.pre(plain.length > 0);
          const at = seed % plain.length;
          const place = placeInTyped(typed, at);
          // Up to there, and with that character, the plain text is as long as it has to be.
          expect(plainText(`${typed.slice(0, place)}x`).length - 1).toBeLessThanOrEqual(at);
          expect(plainText(`${typed.slice(0, place + 1)}x`).length - 1).toBeGreaterThan(at);
        },
      ),
    );
  });
});

describe('a time of day', () => {
  it('is so many seconds, and written as hours, minutes and seconds again', () => {
    fc.assert(
      fc.property(fc.integer({ min: -360_000, max: 360_000 }), (seconds) => {
        const size = Math.abs(seconds);
        const [h, m, s] = [Math.floor(size / 3600), Math.floor((size % 3600) / 60), size % 60];
        const text = `${seconds < 0 ? '-' : ''}${h}:${String(m).padStart(2, '0')}:${String(s).padStart(2, '0')}`;
        expect(writtenTime(Rational.of(seconds), 0)).toBe(text);
        if (seconds >= 0) expect(parseTime(text, 0).written.value.toFixed(0)).toBe(String(size));
      }),
    );
  });

  it.each([
    ['1893', 0, '0:31:33'],
    ['59.96', -1, '0:01:00.0'],
    ['3599.5', 0, '1:00:00'],
    ['0.4', -1, '0:00:00.4'],
    ['-90', 0, '-0:01:30'],
  ])('%s s to the place %d is %s', (seconds, place, text) => {
    expect(writtenTime(Rational.of(seconds), place)).toBe(text);
  });

  it.each([
    ['12:61:00', '“12:61:00” has 61 minutes. An hour has 60 minutes, and a minute has 60 seconds.'],
    ['0:00:75', '“0:00:75” has 75 seconds. An hour has 60 minutes, and a minute has 60 seconds.'],
  ])('%s is refused in words', (text, reason) => {
    expect(() => parseTime(text, 4)).toThrow(expect.objectContaining({ name: ExpressionError.name, reason, at: 4 }));
  });

  it('keeps the decimals of its seconds', () => {
    expect(parseTime('0:01:02.50', 0)).toMatchObject({
      written: { place: -2, atLeast: 4, atMost: 4 },
      unit: 'h:min:s',
    });
  });
});

describe('a decimal point moved by powers of ten', () => {
  it.each([
    ['52.6', 1, '526'],
    ['52.6', -2, '0.526'],
    ['52', 2, '5200'],
    ['-4.70', -1, '-0.470'],
    ['0.0450', 3, '45.0'],
    ['7', 0, '7'],
  ])('%s by %d is %s', (text, power, moved) => {
    expect(shiftedByPowers(text, power)).toBe(moved);
  });

  it('keeps the value and all digits', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 999_999 }),
        fc.integer({ min: 0, max: 5 }),
        fc.integer({ min: -8, max: 8 }),
        (digits, decimals, power) => {
          const text =
            decimals === 0
              ? String(digits)
              : String(digits)
                  .padStart(decimals + 1, '0')
                  .replace(new RegExp(`(\\d{${decimals}})$`), '.$1');
          const moved = shiftedByPowers(text, power);
          expect(new Fraction(moved).equals(new Fraction(text).mul(new Fraction(10).pow(power)))).toBe(true);
          expect(moved.replace('.', '').replace(/^0+/, '').startsWith(String(digits))).toBe(true);
        },
      ),
    );
  });
});
