import fc from 'fast-check';
import Fraction from 'fraction.js';
import { describe, expect, it } from 'vitest';
import type { HouseRules } from '../rules/house-rules.ts';
import { UnitMismatchError } from '../units/unit.ts';
import { calculate, type Calculation } from './calculate.ts';
import { ExpressionError } from './expression/expression.ts';

const refused = (expression: string, rules?: Partial<HouseRules>): ExpressionError | UnitMismatchError => {
  try {
    calculate(expression, rules);
  } catch (error) {
    if (error instanceof ExpressionError || error instanceof UnitMismatchError) return error;
    throw error;
  }
  throw new Error(`${expression} was not refused.`);
};

describe('digits of a result', () => {
  it.each([
    ['14.2 cm * 23.6 cm', '335', 'cm^2', '335.12', 3, 0],
    ['24.31 g / (18.6 mL - 9.2 mL)', '2.6', 'g/mL', '2.58617021276596', 2, -1],
    ['12.11 + 18.0 + 1.013', '31.1', '', '31.123', 3, -1],
    ['20 * 20', '4e2', '', '400', 1, 2],
    ['20. * 20.', '4.0e2', '', '400', 2, 1],
    ['50.0 * 50.0', '2.50e3', '', '2500', 3, 1],
    ['1500 + 2', '1.5e3', '', '1502', 2, 2],
    // Nine and a bit with two figures is ten, with two figures.
    ['3.33 * 3.0', '1.0e1', '', '9.99', 2, 0],
    ['9.6 + 0.38', '10.0', '', '9.98', 3, -1],
    ['(27 - 25.48) / 25.48 * 100 %', '6', '%', '5.96546310832025', 1, 0],
    ['exact(2) * 3.14', '6.28', '', '6.28', 3, -2],
    ['pi * (1.20 cm)^2', '4.52', 'cm^2', '4.5238934211693', 3, -2],
    ['exact(4) / exact(3) * pi * (0.85 cm)^3', '2.6', 'cm^3', '2.57244078451444', 2, -1],
    ['sqrt(16.0 cm^2)', '4.00', 'cm', '4', 3, -2],
    ['2.0^3', '8.0', '', '8', 2, -1],
    ['1.2e-9 * 3.0', '3.6e-9', '', '0.0000000036', 2, -10],
    ['4.5 / 10^3', '0.0045', '', '0.0045', 2, -4],
    ['1.50 × 10³ mL / 2.0', '7.5e2', 'mL', '750', 2, 1],
    ['12 500 g / 5.000', '2.50e3', 'g', '2500', 3, 1],
    ['0.00', '0.00', '', '0', 0, -2],
    ['-3.4 + 1.25', '-2.2', '', '-2.15', 2, -1],
  ] as const)('%s = %s %s', (expression, text, unit, full, significantFigures, place) => {
    expect(calculate(expression)).toMatchObject({ text, unit, full, significantFigures, place });
  });

  it.each([
    ['ln(2.00)', '0.693', -3],
    ['log10(2.00e3)', '3.301', -3],
    ['exp(0.69)', '2.0', -1],
    ['10^2.35', '2.2e2', 1],
    ['sin(0.52)', '0.497', -3],
    ['cos(0.52)', '0.868', -3],
    ['tan(0.785)', '0.999', -3],
  ] as const)('%s = %s', (expression, text, place) => {
    expect(calculate(expression)).toMatchObject({ text, place });
  });

  it('an exact result has no last place', () => {
    expect(calculate('exact(2) * exact(3.5)')).toMatchObject({
      text: '7',
      significantFigures: Infinity,
      place: -Infinity,
    });
    expect(calculate('exact(1) / exact(3)').text).toBe('0.333333333333333');
  });

  it('a difference without a figure says so, and gives none to what follows', () => {
    const nothing = calculate('11 - 10.6');
    expect(nothing).toMatchObject({ text: '0', significantFigures: 0, full: '0.4' });
    expect(nothing.notes.join()).toContain('No certain figure is left');
    expect(calculate('(11 - 10.6) * 3.21')).toMatchObject({ text: '0', significantFigures: 0 });
    expect(calculate('(11 - 10.4) * 3.21').text).toBe('2');
  });

  it('rounds halves as the class does, exactly where they are halves', () => {
    const half = (rounding: HouseRules['rounding'], expression: string): string =>
      calculate(expression, { rounding }).text;
    expect([half('half-up', '0.25 * exact(1) + 0.0'), half('half-even', '0.25 * exact(1) + 0.0')]).toEqual([
      '0.3',
      '0.2',
    ]);
    expect([half('half-up', '25 / 3 * 3'), half('half-even', '25 / 3 * 3')]).toEqual(['3e1', '2e1']);
    expect([half('half-up', '-2.5 + 0'), half('half-even', '-2.5 + 0')]).toEqual(['-3', '-2']);
    expect(half('half-up', '1.005 + 0.00')).toBe('1.01');
  });

  it('writes a mean to the place of the readings, or of its standard error', () => {
    const readings = 'mean(4.70 g, 4.72 g, 4.69 g, 4.73 g)';
    expect(calculate(readings)).toMatchObject({ text: '4.71', unit: 'g' });
    // s = 0.01826, s/√4 = 0.0091: one figure, in the third decimal.
    expect(calculate(readings, { meanPlace: 'by-uncertainty' }).text).toBe('4.710');
    expect(calculate('mean(4.70, 4.70)', { meanPlace: 'by-uncertainty' }).text).toBe('4.70');
  });

  it('reads a decimal comma where the class writes one', () => {
    const comma = { decimalMark: 'comma' } as const;
    expect(calculate('4,70 + 1,2', comma).text).toBe('5.9');
    expect(calculate('mean(4,70; 4,72)', comma).text).toBe('4.71');
    expect(refused('4,70 + 1,2').message).toContain('comma');
  });
});

describe('units', () => {
  it.each([
    ['2.70 g/cm³ * 10.0 mL', '27.0', 'g'],
    ['3.0 cm * 4.0 mm', '1.2', 'cm^2'],
    ['24 g / 12 mg', '2.0e3', ''],
    ['2.50 cm + 3 mm', '2.8', 'cm'],
    ['18.6 cm-9.2 cm', '9.4', 'cm'],
    ['5.0 g cm^-3 * 2.0 cm3', '1.0e1', 'g'],
    ['7.0 g cm-3', '7.0', 'g/cm^3'],
    ['20.0 g * 5.0 %', '1.0', 'g'],
    ['50.0 % + 0.25', '75', '%'],
    ['12.0 fl oz / 2.00', '6.00', 'fl oz'],
    ['4.18 J/g/°C * 100.0 g * 5.0 Δ°C', '2.1e3', 'J'],
    ['60.0 mi/h * 30.0 min', '30.0', 'mi'],
  ])('%s = %s %s', (expression, text, unit) => {
    expect(calculate(expression)).toMatchObject({ text, unit });
  });

  it.each([
    ['25.3 °C - 21.1 °C', '4.2', '°C'],
    ['25.3 °C + 4.0 Δ°C', '29.3', '°C'],
    ['77.0 °F - 20.0 °C', '9.0', '°F'],
    ['mean(20.1 °C, 20.3 °C)', '20.2', '°C'],
    ['(20.1 °C + 20.3 °C) / exact(2)', '20.2', '°C'],
    ['298.15 K - 25.00 °C', '0.00', 'K'],
  ])('temperatures: %s = %s %s', (expression, text, unit) => {
    expect(calculate(expression)).toMatchObject({ text, unit });
  });

  it.each([
    ['12:41:20 − 12:09:47', '0:31:33'],
    ['12:09:47 + 0:31:33', '12:41:20'],
    ['0:59:59.5 + 0.7 s', '1:00:00.2'],
    ['45 s + 0:00:30', '0:01:15'],
    ['0:05:00 - 0:07:30', '-0:02:30'],
    ['mean(0:00:31, 0:00:33)', '0:00:32'],
  ])('times of day: %s = %s', (expression, text) => {
    expect(calculate(expression)).toMatchObject({ text, unit: '' });
  });

  it('a duration divides as so many seconds', () => {
    expect(calculate('18.93 mL / 0:31:33')).toMatchObject({ text: '0.01000', unit: 'mL/s' });
  });
});

describe('the working', () => {
  const shown = ({ steps }: Calculation): string[] =>
    steps.map(
      ({ operands, operation, result }) =>
        `${operands.map(({ kept, guard, unit }) => `${kept}[${guard}] ${unit}`.trim()).join(` ${operation} `)} = ${result.kept}[${result.guard}] ${result.unit}`,
    );

  it('keeps guard digits at every step and rounds none of them', () => {
    expect(shown(calculate('(27.42 g - 3.1 g) / 1.73 mL * 2.00 mL'))).toEqual([
      '27.42[] g - 3.1[] g = 24.3[2] g',
      '24.3[2] g / 1.73[] mL = 14.0[578] g/mL',
      '14.0[578] g/mL * 2.00[] mL = 28.1[156] g',
    ]);
  });

  it('asks why, and answers with the number that ruled', () => {
    const [difference, quotient] = calculate('24.31 g / (18.6 mL - 9.25 mL)').steps;
    expect(difference).toMatchObject({
      rule: 'places',
      ruledBy: 0,
      question: 'Why one decimal?',
      answer: 'A sum or difference ends at the place of its least certain term: 18.6 ends at the tenths.',
    });
    expect(quotient).toMatchObject({
      rule: 'figures',
      ruledBy: 1,
      question: 'Why two figures?',
      answer: 'A product or quotient has as many figures as the factor with the fewest: 9.4 has 2.',
    });
  });

  it('names ambiguous zeros and numbers that may be counts', () => {
    expect(calculate('1500 g / 3').notes).toEqual([
      '3 is taken as exact. A measured one has a point: 3.',
      '1500 has 2 to 4 figures: its zeros are not counted, because they may not be measured. Write a point or a power of ten to make it clear.',
    ]);
    expect(calculate('4.5 / 3').notes).toEqual([
      '3 counts as measured, with one figure. If it is a count or a definition, write exact(3).',
    ]);
    expect(calculate('2.0^3 * 10^4 * exact(1500)').notes).toEqual([]);
    expect(calculate('1500 g + 0 g', { bareTrailingZeros: 'want-point' }).notes[0]).toContain('a point after');
  });

  it('takes no step for what is exact', () => {
    expect(
      calculate('4.5 / 10^3 / exact(2 * 3)').steps.map(({ operation, operands }) => [operation, operands[1]?.text]),
    ).toEqual([
      ['/', '1000'],
      ['/', '6'],
    ]);
  });

  it('is typeset as it was typed', () => {
    expect(calculate('1.50e3 g / 12:00:00').latex).toBe('\\dfrac{1.50 \\times 10^{3}\\,\\mathrm{g}}{12{:}00{:}00}');
  });

  it('is plain data: it survives being sent to another thread', () => {
    const calculation = calculate('2.0 g + 3.05 g');
    expect(calculation).toMatchObject({ text: '5.1', steps: [{ operation: '+' }] });
    expect(JSON.parse(JSON.stringify(calculation))).toEqual(calculation);
  });
});

describe('what cannot be calculated', () => {
  it.each([
    ['2 * 3 +', 7, 'ends too early'],
    ['  2 * (3 + 4', 12, 'not closed'],
    ['sqrt(30.0 foo)', 10, '“foo” is not a unit known here'],
    ['(2 mass)', 3, '“mass” is not a unit known here'],
    ['2 + 5 foo', 6, 'not a unit'],
    ['2 g + 3 mL', 4, 'g and mL'],
    ['7.1 / (2.0 - 2.0)', 4, 'zero'],
    ['1 + ln(-1.0)', 4, 'positive'],
    ['sqrt(-4.0)', 0, 'negative'],
    ['2 * 1e400', 4, 'exponent'],
    ['<script>alert(1)</script>', 0, '“<”'],
    ['5 cm³ + x', 8, 'no value'],
    ['6.0 g / 2.0 × 10³ mL', 8, 'one number'],
    ['12:71:00 - 1:00:00', 0, '71 minutes'],
    ['12:41', 0, 'hours and minutes'],
    ['2.0 * 12:41', 6, 'hours and minutes'],
    ['31:33 - 0:12', 0, '0:31:33'],
    ['20 °C + 290 K', 6, 'ΔK'],
    ['5 Δ°C - 20 °C', 6, 'difference'],
    ['2.0 ^ (3 cm)', 4, 'cm'],
    ['sqrt(2 cm)', 0, 'square root'],
    ['exp(5000.0)', 0, 'too large'],
    ['10.0^5000', 4, 'too large'],
    ['1e300 * 1e300', 6, 'too large'],
    ['0.0^-1', 3, 'Zero'],
  ])('%s: at %i, “%s”', (expression, at, says) => {
    const error = refused(expression);
    expect(error.message).toContain(says);
    expect(error.at).toBe(at);
    expect(error.message).toContain(`(at character ${at + 1})`);
  });

  it('points into the text as typed, spaces and superscripts counted', () => {
    expect(refused('   2.0 cm³ + 3.0 g').at).toBe(11);
  });

  it('refuses five thousand parentheses at once', () => {
    expect(refused('('.repeat(5000)).message).toContain('5000 characters');
    expect(refused('('.repeat(3000)).message).toContain('levels of parentheses');
  }, 2000);

  it('no text makes it fail in another way', () => {
    const part = fc.constantFrom(
      '1',
      '2.50',
      '.',
      ',',
      '(',
      ')',
      '+',
      '-',
      '*',
      '/',
      '^',
      ' ',
      'e',
      'g',
      'mL',
      '°C',
      'Δ',
      '%',
      'exact(',
      'mean(',
      'ln(',
      ':',
      '12:00:00',
      'π',
      '²',
      '×',
      '10',
      'x',
      '💧',
    );
    fc.assert(
      fc.property(
        fc.array(part, { maxLength: 12 }).map((parts) => parts.join('')),
        (text) => {
          try {
            expect(calculate(text).text).toMatch(/^-?[\d:.]+(e-?\d+)?( h)?$/);
          } catch (error) {
            if (!(error instanceof ExpressionError) && !(error instanceof UnitMismatchError)) throw error;
            if (error.at !== null) expect(error.at).toBeLessThanOrEqual(text.length);
          }
        },
      ),
      { numRuns: 20_000 },
    );
  });
});

/** A second reckoning, in fractions and by the rules as a book states them; it shares no code with the first. */
interface Reckoned {
  readonly text: string;
  readonly value: Fraction;
  readonly place: number;
}

const ten = (power: number): Fraction => new Fraction(10).pow(power);

function magnitudeOf(value: Fraction): number {
  const size = value.abs();
  let power = Math.floor(Math.log10(size.valueOf()));
  while (size.compare(ten(power)) < 0) power -= 1;
  while (size.compare(ten(power + 1)) >= 0) power += 1;
  return power;
}

function roundedAt(value: Fraction, place: number): Fraction {
  const scaled = value.abs().div(ten(place));
  const whole = scaled.floor();
  const up = scaled.sub(whole).compare(new Fraction(1, 2)) >= 0;
  return whole
    .add(up ? 1 : 0)
    .mul(ten(place))
    .mul(value.s < 0n ? -1 : 1);
}

function figuresIn({ value, place }: Reckoned): number {
  const written = roundedAt(value, place);
  return written.equals(0) ? 0 : magnitudeOf(written) - place + 1;
}

function combined(left: Reckoned, operator: string, right: Reckoned): Reckoned | null {
  const text = `(${left.text} ${operator} ${right.text})`;
  if (operator === '+' || operator === '-')
    return {
      text,
      value: operator === '+' ? left.value.add(right.value) : left.value.sub(right.value),
      place: Math.max(left.place, right.place),
    };
  if (operator === '/' && right.value.equals(0)) return null;
  const value = operator === '*' ? left.value.mul(right.value) : left.value.div(right.value);
  const figures = Math.min(figuresIn(left), figuresIn(right));
  if (figures === 0 || value.equals(0)) return null;
  const place = magnitudeOf(value) - figures + 1;
  return { text, value, place: magnitudeOf(roundedAt(value, place)) > magnitudeOf(value) ? place + 1 : place };
}

function fractionIn(text: string): Fraction {
  const [mantissa = '0', exponent = '0'] = text.split('e');
  return new Fraction(mantissa).mul(ten(Number(exponent)));
}

const reckoned = fc.letrec<{ tree: Reckoned | null }>((tie) => ({
  tree: fc.oneof(
    { maxDepth: 4, withCrossShrink: true },
    fc.tuple(fc.integer({ min: 1, max: 99_999 }), fc.integer({ min: 1, max: 4 })).map(([digits, decimals]) => {
      const text = (digits / 10 ** decimals).toFixed(decimals);
      return { text, value: new Fraction(text), place: -decimals };
    }),
    fc
      .tuple(tie('tree'), fc.constantFrom('+', '-', '*', '/'), tie('tree'))
      .map(([left, operator, right]) => (left && right ? combined(left, operator, right) : null)),
  ),
})).tree;

describe('ten thousand random expressions', () => {
  it('have the value of exact fractions, the place of the rules, and are rounded once', () => {
    let compared = 0;
    fc.assert(
      fc.property(reckoned, (expected) => {
        if (!expected) return;
        compared += 1;
        const { text, place, full } = calculate(expected.text);
        expect(place, expected.text).toBe(expected.place);
        expect(fractionIn(text).equals(roundedAt(expected.value, expected.place)), `${expected.text} = ${text}`).toBe(
          true,
        );
        if (!expected.value.equals(0))
          expect(Math.abs(fractionIn(full).div(expected.value).sub(1).valueOf()), expected.text).toBeLessThan(1e-13);
      }),
      { numRuns: 14_000 },
    );
    expect(compared).toBeGreaterThan(10_000);
  });
});
