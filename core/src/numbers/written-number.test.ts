import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { decimalOf } from './decimal.ts';
import { parseWrittenNumber, significantFigures, UnreadableNumberError } from './written-number.ts';

describe('counting significant figures', () => {
  it.each([
    ['1500', 2, 4, 2],
    ['1500.', 4, 4, 0],
    ['0.0450', 3, 3, -4],
    ['1.50e3', 3, 3, 1],
    ['1.50 × 10³', 3, 3, 1],
    ['4.70', 3, 3, -2],
    ['46', 2, 2, 0],
    ['0.00', 0, 0, -2],
    ['100', 1, 3, 2],
    ['007', 1, 1, 0],
    ['-20.05', 4, 4, -2],
    ['3e8', 1, 1, 8],
    ['10.0', 3, 3, -1],
  ])('%s has at least %i, at most %i figures and place %i', (text, atLeast, atMost, place) => {
    expect(significantFigures(text)).toEqual({ atLeast, atMost, place });
  });
});

describe('reading written numbers', () => {
  it.each([
    ['52,6', '52.6'],
    ['５２．６', '52.6'],
    ['−3.4', '-3.4'],
    ['–3.4', '-3.4'],
    ['－3.4', '-3.4'],
    ['5.26e1', '52.6'],
    ['5.26×10^1', '52.6'],
    ['٥٢٫٦', '52.6'],
    ['12 345.5', '12345.5'],
    ['.5', '0.5'],
  ])('takes %s for %s', (typed, value) => {
    expect(decimalOf(parseWrittenNumber(typed).value).toString()).toBe(value);
  });

  it.each(['', 'abc', '1.2.3', '1,2.3', '--1', '1e999', 'NaN', 'Infinity', '1 2', '0x10', '1'.repeat(10_000)])(
    'refuses %s and names it',
    (typed) => {
      expect(() => parseWrittenNumber(typed)).toThrow(UnreadableNumberError);
      expect(() => parseWrittenNumber(typed)).toThrow(`“${typed.slice(0, 30)}`);
    },
  );

  it('keeps every digit of what was written, and its place', () => {
    fc.assert(
      fc.property(fc.bigInt({ min: 0n, max: 10n ** 30n }), fc.integer({ min: 1, max: 25 }), (digits, decimals) => {
        const padded = digits.toString().padStart(decimals + 1, '0');
        const text = `${padded.slice(0, -decimals)}.${padded.slice(-decimals)}`;
        const number = parseWrittenNumber(text);
        expect(number.value.toFixed(decimals)).toBe(text.replace(/^0+(?=\d)/, ''));
        expect(number.place).toBe(-decimals);
      }),
    );
  });
});
