import { describe, expect, it } from 'vitest';
import { parseEntry } from '../reading/judging/parse-entry.ts';
import { inSymbols } from './spelled-unit.ts';
import { parseUnit } from './unit.ts';

describe('a unit said in words', () => {
  it.each([
    ['gram', 'g'],
    ['grams', 'g'],
    ['Grams', 'g'],
    ['kilograms', 'kg'],
    ['lbs', 'lb'],
    ['ounces', 'oz'],
    ['millilitres', 'mL'],
    ['milliliters', 'mL'],
    ['liters', 'L'],
    ['fluid ounces', 'fl oz'],
    ['gallons', 'gal'],
    ['centimeters', 'cm'],
    ['metres', 'm'],
    ['feet', 'ft'],
    ['inches', 'in'],
    ['miles', 'mi'],
    ['cubic centimetres', 'cm^3'],
    ['square inches', 'in^2'],
    ['sq cm', 'cm^2'],
    ['sq. ft', 'ft^2'],
    ['cu in', 'in^3'],
    ['grams per cubic centimetre', 'g/cm^3'],
    ['g per mL', 'g/mL'],
    ['kilograms/cubic meter', 'kg/m^3'],
    ['degrees Celsius', '°C'],
    ['degree Fahrenheit', '°F'],
    ['kelvins', 'K'],
    ['percent', '%'],
    ['seconds', 's'],
    ['minutes', 'min'],
    ['hours', 'h'],
  ])('%s is %s', (said, symbols) => {
    expect(inSymbols(said)).toBe(symbols);
    expect(() => parseUnit(symbols)).not.toThrow();
  });

  it.each(['mL', 'cm³', 'furlong', 'sq', 'per', '', 'constructor', 'G', 'g·cm⁻³'])('“%s” is no name of one', (said) => {
    expect(inSymbols(said)).toBe(said);
  });

  it.each([
    ['24.6 millilitres', 'mL', 24.6, 'fits'],
    ['24.6 cubic centimetres', 'mL', 24.6, 'fits'],
    ['24.6 grams', 'mL', 24.6, 'wrong'],
    ['0.0246 litres', 'mL', 24.6, 'fits'],
    ['2.75 grams per cubic centimeter', 'g/cm^3', 2.75, 'fits'],
  ] as const)('an entry of %s where %s is wanted', (typed, wanted, value, unit) => {
    expect(parseEntry(typed, parseUnit(wanted))).toMatchObject({ value, unit });
  });
});
