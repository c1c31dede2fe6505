import { expect, it } from 'vitest';
import { unitText } from './unit-text.ts';

it.each([
  ['cm^3', 'cm³'],
  ['g/cm^3', 'g/cm³'],
  ['s^-1', 's⁻¹'],
  ['m^12', 'm¹²'],
  ['mL', 'mL'],
  ['%', '%'],
  ['', ''],
])('%s is written %s', (unit, text) => {
  expect(unitText(unit)).toBe(text);
});
