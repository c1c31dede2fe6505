import fc from 'fast-check';
import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import { multiplyUnits, parseUnit, UnitMismatchError, writtenUnit } from '../../units/unit.ts';
import { ExpressionError, namesIn, type Expression } from './expression.ts';
import { latexOf } from './latex.ts';
import { withGuardDigits } from '../guard-digits.ts';
import { evaluateMeasured, figuresOf } from '../measured.ts';
import { parseExpression } from './parse-expression.ts';
import { Rational } from '../../numbers/rational.ts';
import { resolveUnits } from '../resolve-units.ts';
import { unambiguousAtPlace } from '../../numbers/rounding.ts';

function calculated(text: string): { text: string; unit: string; figures: number } {
  const { tree, unit } = resolveUnits(parseExpression(text), () => ({}));
  const result = evaluateMeasured(tree, () => undefined);
  return { text: unambiguousAtPlace(result.value, result.place), unit: writtenUnit(unit), figures: figuresOf(result) };
}

describe('value, place and unit of an expression', () => {
  it.each([
    ['14.2 cm * 23.6 cm', '335', 'cm^2'],
    ['24.31 g / (18.6 mL - 9.2 mL)', '2.6', 'g/mL'],
    ['12.11 + 18.0 + 1.013', '31.1', ''],
    ['(27 - 25.48) / 25.48', '0.06', ''],
    ['exact(2.54) * 4.7', '12', ''],
    ['2.50 cm + 3 mm', '2.8', 'cm'],
    ['sqrt(16.0 cm^2)', '4.00', 'cm'],
    ['ln(2.00)', '0.693', ''],
    ['log10(2.00e3)', '3.301', ''],
    ['mean(6.4, 6.0, 6.3, 6.2)', '6.2', ''],
    ['pi * (1.20 cm)^2', '4.52', 'cm^2'],
    ['-2.0^2', '-4.0', ''],
    ['2.0^3', '8.0', ''],
    ['abs(3.1 - 4.25)', '1.2', ''],
    ['max(3.1, 4.25)', '4.25', ''],
  ])('%s = %s %s', (typed, text, unit) => {
    expect(calculated(typed)).toMatchObject({ text, unit });
  });

  it('leaves no figure when a difference is smaller than its last place', () => {
    expect(calculated('11 - 10.6').figures).toBe(0);
  });

  it('shows guard digits apart from the digits that count', () => {
    const { tree } = resolveUnits(parseExpression('54.30 / 6.0'), () => ({}));
    expect(withGuardDigits(evaluateMeasured(tree, () => undefined))).toEqual({ kept: '9.0', guard: '5' });
    const small = resolveUnits(parseExpression('-0.0450 / 7'), () => ({})).tree;
    expect(withGuardDigits(evaluateMeasured(small, () => undefined))).toEqual({ kept: '-0.006', guard: '428' });
  });

  it.each([
    ['2 g + 3 mL', UnitMismatchError],
    ['1 / 0', ExpressionError],
    ['ln(-1)', ExpressionError],
    ['sqrt(2 cm)', ExpressionError],
    ['2 ^ (1 cm)', UnitMismatchError],
  ])('%s is refused', (typed, error) => {
    expect(() => calculated(typed)).toThrow(error);
  });

  it.each([
    ['3 +', 3],
    ['(2 + 3', 6],
    ['2 3', 2],
    ['foo(2)', 0],
    ['2 # 3', 2],
    ['sqrt(1, 2)', 0],
    ['('.repeat(3000), 120],
  ])('%s is refused at its character', (typed, at) => {
    const error = ((): unknown => {
      try {
        return parseExpression(typed);
      } catch (thrown) {
        return thrown;
      }
    })();
    expect(error).toBeInstanceOf(ExpressionError);
    expect((error as ExpressionError).at).toBe(at);
  });

  it('agrees with exact rationals, digit for digit, on random sums, differences and products', () => {
    const number = fc
      .tuple(fc.integer({ min: 1, max: 99999 }), fc.integer({ min: 0, max: 4 }))
      .map(([digits, decimals]) => (digits / 10 ** decimals).toFixed(decimals));
    const expression = fc.letrec<{ tree: { text: string; exact: Fraction } }>((tie) => ({
      tree: fc.oneof(
        { maxDepth: 4 },
        number.map((text) => ({ text, exact: new Fraction(text) })),
        fc.tuple(tie('tree'), fc.constantFrom('+', '-', '*'), tie('tree')).map(([left, operator, right]) => ({
          text: `(${left.text} ${operator} ${right.text})`,
          exact:
            operator === '+'
              ? left.exact.add(right.exact)
              : operator === '-'
                ? left.exact.sub(right.exact)
                : left.exact.mul(right.exact),
        })),
      ),
    })).tree;
    fc.assert(
      fc.property(expression, ({ text, exact }) => {
        const result = evaluateMeasured(parseExpression(text), () => undefined);
        const [numerator, denominator = '1'] = exact.toFraction().split('/');
        expect(result.value.equals(Rational.of(numerator ?? '').dividedBy(Rational.of(denominator)))).toBe(true);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('typesetting', () => {
  it.each([
    ['m / (V2 - V1)', '\\dfrac{m}{V2 - V1}'],
    ['a - (b - c)', 'a - \\left(b - c\\right)'],
    ['(a + b) * c', '\\left(a + b\\right) \\times c'],
    ['exact(2) * r', '\\overline{2} \\times r'],
    ['24.31 g / 9.4 mL', '\\dfrac{24.31\\,\\mathrm{g}}{9.4\\,\\mathrm{mL}}'],
  ])('%s', (typed, latex) => {
    expect(latexOf(parseExpression(typed), (name) => name)).toBe(latex);
  });

  it('lists each name once', () => {
    expect(namesIn(parseExpression('m / (b - a) + m'))).toEqual(['m', 'b', 'a']);
  });
});

describe('units', () => {
  it.each([
    ['mL', 'cm³'],
    ['ml', 'cm3'],
    ['cc', 'mL'],
    ['g/cm3', 'g cm⁻³'],
    ['µm', 'um'],
  ])('%s and %s are one size', (first, second) => {
    const text = `1 ${first} - 1 ${second}`;
    const tree: Expression = {
      kind: 'binary',
      operator: '-',
      left: { kind: 'name', name: 'a', at: 0 },
      right: { kind: 'name', name: 'b', at: 4 },
      at: 2,
    };
    const resolved = resolveUnits(tree, (name) => parseUnit(name === 'a' ? first : second));
    const one = { value: parseExpressionValue('1'), place: 0 };
    expect(evaluateMeasured(resolved.tree, () => one).value.toNumber(), text).toBe(0);
  });

  it('multiplies and divides', () => {
    expect(writtenUnit(multiplyUnits(parseUnit('g'), parseUnit('mL'), -1))).toBe('g/mL');
    expect(writtenUnit(multiplyUnits(parseUnit('cm'), parseUnit('cm')))).toBe('cm^2');
  });

  it.each(['furlong', 'g/mL/x', '3', '/'])('does not know %s', (text) => {
    expect(() => parseUnit(text)).toThrow(text);
  });
});

function parseExpressionValue(text: string): ReturnType<typeof evaluateMeasured>['value'] {
  return evaluateMeasured(parseExpression(text), () => undefined).value;
}
