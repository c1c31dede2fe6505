import { describe, expect, it } from 'vitest';
import { calculate } from './calculate.ts';
import { calculateTape } from './tape.ts';

const results = (...lines: string[]): (string | null)[] =>
  calculateTape(lines).map(({ calculation }) => calculation && `${calculation.text} ${calculation.unit}`.trim());

describe('a tape', () => {
  it('works out a density over several lines, rounding only what is shown', () => {
    expect(results('m = 24.31 g', 'V = 18.6 mL - 9.25 mL', 'm / V')).toEqual(['24.31 g', '9.4 mL', '2.6 g/mL']);
    // 9.35 is carried, not 9.4: 18.70 and not 18.80.
    expect(calculateTape(['V = 18.6 mL - 9.25 mL', 'V * 2.000'])[1]?.calculation?.full).toBe('18.7');
  });

  it('takes the result of the line before as last, and lets a name be given anew', () => {
    expect(results('2.0 cm * 3.0 cm', 'last * 4.0 cm', 'a = 1.0 g', 'a = a + 2.0 g', 'a')).toEqual([
      '6.0 cm^2',
      '24 cm^3',
      '1.0 g',
      '3.0 g',
      '3.0 g',
    ]);
  });

  it('shows the working of a line as it was, whatever its names come to stand for later', () => {
    const lines = calculateTape(['a = 2.0 g', 'a + 1.00 g', 'a = 5 mL']);
    expect(lines[1]?.calculation?.steps[0]?.operands.map(({ text, unit }) => `${text} ${unit}`)).toEqual([
      '2.0 g',
      '1.00 g',
    ]);
  });

  it('converts at the end of a line', () => {
    const [line] = calculateTape(['31.0 cm * 22.5 cm -> m^2']);
    expect(line?.calculation).toMatchObject({
      text: '0.0698',
      unit: 'm^2',
      chain: [{ power: 2 }],
      from: { text: '698', unit: 'cm^2' },
    });
    expect(results('T = 25.0 °C', 'T → °F', '2.0 in to cm', '5 g to mL')).toEqual([
      '25.0 °C',
      '77.0 °F',
      '5.1 cm',
      null,
    ]);
  });

  it('points at a mistake within the line, and goes on after it', () => {
    const lines = calculateTape([
      'm = 24.31 g',
      'V = 18.6 mL - 9.2 g',
      '',
      'm / V',
      '2.0 + 2.0',
      'pi = 3.0',
      'x = ',
      '3.0 g -> quux',
    ]);
    expect(lines.map(({ mistake }) => mistake?.at ?? null)).toEqual([null, 12, null, 4, null, 0, 4, 9]);
    expect(lines[1]?.mistake?.message).toBe('mL and g are units of different kinds.');
    expect(lines[3]?.mistake?.message).toContain('“V” has no value');
    expect(lines[5]?.mistake?.message).toContain('already has a meaning');
  });
});

describe('a stated uncertainty', () => {
  it.each([
    ['18.623 mL ± 0.24 mL', '18.6', '0.2'],
    ['18.623 mL ± 0.143 mL', '18.62', '0.14'],
    ['18.623 mL ± 0.096 mL', '18.6', '0.1'],
    ['1.23456 g +/- 2.1 mg', '1.235', '0.002'],
    ['20.06 °C ± 0.3 Δ°C', '20.1', '0.3'],
    ['1500 g / 3 + 20.0 g ± 2.1 g', '520', '2'],
    ['12345 m ± 210 m', '1.23e4', '0.02e4'],
  ])('%s is written %s ± %s', (expression, text, uncertainty) => {
    expect(calculate(expression)).toMatchObject({ text, uncertainty });
  });

  it('is typeset beside what it belongs to', () => {
    expect(calculate('18.623 mL ± 0.24 mL').latex).toBe('18.623\\,\\mathrm{mL} \\pm 0.24\\,\\mathrm{mL}');
  });

  it('follows the class’s rule, and is none of zero or of another kind', () => {
    expect(calculate('18.623 ± 0.24', { uncertaintyFigures: 'two' })).toMatchObject({
      text: '18.62',
      uncertainty: '0.24',
    });
    expect(() => calculate('18.6 mL ± 0 mL')).toThrow('zero says nothing');
    expect(() => calculate('18.6 mL ± 0.2 g')).toThrow('mL and g');
  });
});
