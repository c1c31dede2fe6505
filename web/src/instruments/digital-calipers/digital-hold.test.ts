import { expect, it } from 'vitest';
import { shownByJaws } from './digital-hold.ts';

it('a digital caliper counts from where it was zeroed, in mm or in half thousandths of an inch', () => {
  const hold = { zeroed: 0, inches: false };
  expect(shownByJaws(hold, 25.26)).toBe('25.26 mm');
  expect(shownByJaws({ ...hold, zeroed: -0.04 }, 25.26)).toBe('25.30 mm');
  expect(shownByJaws({ ...hold, inches: true }, 25.4)).toBe('1.0000 in');
  expect(shownByJaws({ ...hold, inches: true }, 10)).toBe('0.3935 in');
});
