import { expect, it } from 'vitest';
import { spokenNumber, spokenUnit } from './spoken.ts';

it.each([
  ['18.4', 'mL', false, '18.4, doubtful digit 4, millilitres'],
  ['-3.0', '°C', false, 'minus 3.0, doubtful digit 0, degrees Celsius'],
  ['4.0e2', '', false, '4.0 times ten to the power 2, doubtful digit 0'],
  ['3.6e-9', 'm', false, '3.6 times ten to the power minus 9, doubtful digit 6, metres'],
  ['0:31:33', '', false, '0:31:33, doubtful digit 3'],
  ['2.54', 'cm', true, '2.54, exact, centimetres'],
])('%s %s is said as “%s”', (text, unit, exact, spoken) => {
  expect(spokenNumber(text, unit, exact)).toBe(spoken);
});

it.each([
  ['mL', 'millilitres'],
  ['cm³', 'cubic centimetres'],
  ['g/cm^3', 'grams per cubic centimetre'],
  ['kg/m^3', 'kilograms per cubic metre'],
  ['mi/h', 'miles per hour'],
  ['lb/gal', 'pounds per gallon'],
  ['in^2', 'square inches'],
  ['J/g/°C', 'joules per gram per degree Celsius'],
  ['N*m', 'newton metres'],
  ['1/s', 'per second'],
  ['hPa', 'hectopascals'],
  ['min', 'minutes'],
  ['fl oz', 'fluid ounces'],
  ['cm^4', 'centimetres to the power 4'],
  ['', ''],
])('%s is said as “%s”', (unit, words) => {
  expect(spokenUnit(unit)).toBe(words);
});
