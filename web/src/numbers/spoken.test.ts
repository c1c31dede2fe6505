import { expect, it } from 'vitest';
import { spokenNumber } from './spoken.ts';

it.each([
  ['18.4', 'mL', false, '18.4, doubtful digit 4, millilitres'],
  ['-3.0', '°C', false, 'minus 3.0, doubtful digit 0, degrees Celsius'],
  ['4.0e2', '', false, '4.0 times ten to the power 2, doubtful digit 0'],
  ['2.54', 'cm', true, '2.54, exact, centimetres'],
])('%s %s is said as “%s”', (text, unit, exact, spoken) => {
  expect(spokenNumber(text, unit, exact)).toBe(spoken);
});
