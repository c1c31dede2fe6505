import { describe, expect, it } from 'vitest';
import { HouseRuleError, type HouseRules } from '../rules/house-rules.ts';
import { conversionChain, factorOf } from '../units/chain.ts';
import { conversionFactor, parseUnit, UnitMismatchError, UnknownUnitError } from '../units/unit.ts';
import { convert } from './convert.ts';
import { Rational } from '../numbers/rational.ts';

const fractions = (quantity: string, unit: string, rules?: Parameters<typeof convert>[2]): string[] =>
  convert(quantity, unit, rules).chain.map(
    ({ above, below, power }) =>
      `${above.count} ${above.unit} / ${below.count} ${below.unit}${power === 1 ? '' : ` ^${power}`}`,
  );

describe('conversions', () => {
  // Values from the definitions: 1 in = 2.54 cm, 1 gal = 231 in³, 1 atm = 101 325 Pa = 760 Torr.
  it.each([
    ['335 cm^2', 'in^2', '51.9', 'in^2'],
    ['5.00 mi', 'km', '8.05', 'km'],
    ['26.2 mi', 'm', '4.22e4', 'm'],
    ['1.00 gal', 'L', '3.79', 'L'],
    ['12.0 fl oz', 'mL', '355', 'mL'],
    ['2.5 lb', 'g', '1.1e3', 'g'],
    ['16.0 oz', 'lb', '1.00', 'lb'],
    ['2.70 g/mL', 'kg/m^3', '2.70e3', 'kg/m^3'],
    ['1.00 g/cm³', 'lb/gal', '8.35', 'lb/gal'],
    ['55.0 mi/h', 'm/s', '24.6', 'm/s'],
    ['1.000 atm', 'kPa', '101.3', 'kPa'],
    ['1.013e5 Pa', 'Torr', '759.8', 'Torr'],
    ['250. mL', 'cm3', '2.50e2', 'cm^3'],
    ['0.0596', '%', '5.96', '%'],
    ['31.0 cm * 22.5 cm', 'm^2', '0.0698', 'm^2'],
    ['3.20 J', 'N*m', '3.20', 'N*m'],
  ])('%s is %s: %s', (quantity, unit, text, shown) => {
    const found = convert(quantity, unit);
    expect(found.text).toBe(text);
    expect(found.unit).toBe(shown);
  });

  it.each([
    ['25.0 °C', '°F', '77.0'],
    ['98.6 °F', '°C', '37.0'],
    ['-40.0 °C', '°F', '-40.0'],
    ['25 °C', 'K', '298'],
    ['0.0 °C', 'K', '273.2'],
    ['310.15 K', '°F', '98.60'],
    ['25.3 °C - 21.1 °C', '°F', '7.6'],
    ['4.2 Δ°C', 'K', '4.2'],
  ])('temperatures: %s is %s %s', (quantity, unit, text) => {
    expect(convert(quantity, unit).text).toBe(text);
  });

  it('shows the formula of a temperature, and none for a difference', () => {
    expect(convert('25.0 °C', '°F').formula).toBe('\\overline{1.8} \\times 25.0 + \\overline{32}');
    expect(convert('-40.0 °F', '°C').formula).toContain('\\left(-40.0\\right) - \\overline{32}');
    expect(convert('4.2 Δ°C', '°F')).toMatchObject({ formula: null, chain: [{ above: { count: '1.8' } }] });
  });

  it('goes to and from hours, minutes and seconds', () => {
    expect(convert('0:31:33', 'min')).toMatchObject({ text: '31.55', unit: 'min' });
    expect(convert('31.55 min', 'h:min:s')).toMatchObject({ text: '0:31:33', unit: '' });
  });
});

describe('the chain of fractions', () => {
  it('goes by the relations that define the units', () => {
    expect(fractions('335 cm^2', 'in^2')).toEqual(['1 in / 2.54 cm ^2']);
    expect(fractions('5.00 mi', 'km')).toEqual([
      '5280 ft / 1 mi',
      '12 in / 1 ft',
      '2.54 cm / 1 in',
      '1 m / 100 cm',
      '1 km / 1000 m',
    ]);
    expect(fractions('2.70 g/mL', 'kg/m^3')).toEqual(['1 kg / 1000 g', '1 mL / 1 cm^3', '100 cm / 1 m ^3']);
    expect(fractions('3.20 J', 'N*m')).toEqual(['1 N*m / 1 J']);
    expect(fractions('4.0 g', 'g')).toEqual([]);
  });

  it('each chain multiplies to the factor of the sizes', () => {
    const units = [
      'mm',
      'cm',
      'm',
      'km',
      'in',
      'ft',
      'mi',
      'mL',
      'L',
      'cm^3',
      'm^3',
      'in^3',
      'gal',
      'qt',
      'cup',
      'fl oz',
      'mg',
      'g',
      'kg',
      'lb',
      'oz',
      'Pa',
      'hPa',
      'kPa',
      'atm',
      'Torr',
      's',
      'min',
      'h',
      'g/mL',
      'kg/m^3',
      'lb/gal',
      'mg/L',
      'cm^2',
      'in^2',
      'm/s',
      'mi/h',
    ].map(parseUnit);
    let chains = 0;
    for (const from of units) {
      for (const to of units) {
        try {
          const product = conversionChain(from, to).reduce(
            (factor, link) => factor.times(factorOf(link)),
            Rational.ONE,
          );
          expect(product.equals(conversionFactor(from, to)), JSON.stringify([from, to])).toBe(true);
          chains += 1;
        } catch (error) {
          expect(error).toBeInstanceOf(UnitMismatchError);
        }
      }
    }
    expect(chains).toBeGreaterThan(200);
  });

  it('uses the rounded factor a class quotes, with its own figures', () => {
    const quoting = { quotedFactors: ['1 lb = 454 g'] };
    expect(convert('2.5000 lb', 'g').text).toBe('1134.0');
    expect(convert('2.5000 lb', 'g', quoting)).toMatchObject({
      text: '1.14e3',
      full: '1135',
      chain: [{ exact: false }],
    });
    expect(fractions('1.000 lb', 'kg', quoting)).toEqual(['454 g / 1 lb', '1 kg / 1000 g']);
  });

  it.each([
    ['1 lb = 545 g', '5 %'],
    ['1 lb = 454 mL', 'different kinds'],
    ['a pound is 454 g', 'form'],
    ['1 lb = 454 quux', 'not a unit'],
    ['1 °C = 1.8 °F', 'temperatures'],
    ['1 g/mL = 1 kg/L', 'single units'],
  ])('does not take “%s” for a relation: %s', (text, says) => {
    expect(() => convert('2.5 lb', 'g', { quotedFactors: [text] })).toThrow(HouseRuleError);
    expect(() => convert('2.5 lb', 'g', { quotedFactors: [text] })).toThrow(says);
  });
});

describe('what cannot be converted', () => {
  it.each([
    ['3 g', 'mL', UnitMismatchError, 'g and mL'],
    ['3 g', 'grams', UnknownUnitError, 'grams'],
    ['3', 'g', UnitMismatchError, 'a pure number and g'],
  ])('%s to %s', (quantity, unit, kind, says) => {
    expect(() => convert(quantity, unit)).toThrow(kind);
    expect(() => convert(quantity, unit)).toThrow(says);
  });
});

describe('the step of a conversion', () => {
  it.each<[string, string, Partial<HouseRules>, string, string, string]>([
    [
      '4.67 lb',
      'g',
      {},
      '211|8.276',
      'Why three figures?',
      'The factor is exact, so the result has the same certain digits as 4.67.',
    ],
    [
      '335 cm^2',
      'in^2',
      {},
      '51.9|251',
      'Why three figures?',
      'The factor is exact, so the result has the same certain digits as 335.',
    ],
    [
      '25.0 degC',
      'K',
      {},
      '298.1|5',
      'Why one decimal?',
      'What the scales are defined by is exact, so the result has the same certain digits as 25.0.',
    ],
    [
      '2.5000 lb',
      'g',
      { quotedFactors: ['1 lb = 454 g'] },
      '113|5',
      'Why three figures?',
      'A product or quotient has as many figures as the factor with the fewest: the 454 this class quotes has 3.',
    ],
    [
      '2.5 lb',
      'g',
      { quotedFactors: ['1 lb = 454 g'] },
      '11|35',
      'Why two figures?',
      'A product or quotient has as many figures as the factor with the fewest: 2.5 has 2.',
    ],
    [
      'exact(12 in)',
      'cm',
      {},
      '30.48|',
      'Why are all digits kept?',
      'Every number in it is exact. Exact numbers do not limit the result.',
    ],
  ])('%s in %s', (quantity, unit, rules, carried, question, answer) => {
    const step = convert(quantity, unit, rules).steps.at(-1)!;
    expect(step).toMatchObject({ operation: 'convert', question, answer });
    expect(`${step.result.kept || step.result.text}|${step.result.guard}`).toBe(carried);
  });

  it('follows those of the calculation, and is none where the unit stays', () => {
    expect(convert('24.31 g / 9.4 mL', 'kg/m^3').steps.map(({ operation }) => operation)).toEqual(['/', 'convert']);
    expect(convert('24.31 g', 'g').steps).toEqual([]);
  });
});
