import { describe, expect, it } from 'vitest';
import { unambiguousAtPlace, uncertaintyPlace, writtenAtPlace } from './rounding.ts';
import { shiftedByPowers } from './shift-digits.ts';

describe('rounding to a place', () => {
  it.each([
    [2.5, 0, 'half-up', '3'],
    [2.5, 0, 'half-even', '2'],
    [-2.5, 0, 'half-up', '-3'],
    [46, -1, 'half-up', '46.0'],
    [1.005, -2, 'half-up', '1.01'],
    [-0.04, -1, 'half-up', '0.0'],
  ] as const)('writes %s to place %s, %s, as %s', (value, place, rule, text) => {
    expect(writtenAtPlace(value, place, rule)).toBe(text);
  });

  it.each([
    [400, 1, '4.0e2'],
    [2500, 1, '2.50e3'],
    [335, 0, '335'],
    [400, 2, '4e2'],
    [400, 0, '4.00e2'],
    [9.96, 0, '1.0e1'],
    [0, 0, '0'],
  ])('leaves no zero of %s at place %s in doubt: %s', (value, place, text) => {
    expect(unambiguousAtPlace(value, place)).toBe(text);
  });

  it.each([
    [0.143, 'one-two-after-leading-1', -2],
    [0.096, 'one-two-after-leading-1', -1],
    [0.58, 'one-two-after-leading-1', -1],
    [0.143, 'one', -1],
    [0.58, 'two', -2],
    [23, 'one', 1],
    [0.96, 'one', 0],
  ] as const)('an uncertainty of %s with %s has place %s', (uncertainty, figures, place) => {
    expect(uncertaintyPlace(uncertainty, figures)).toBe(place);
  });

  it('refuses an uncertainty that is none', () => {
    expect(() => uncertaintyPlace(0)).toThrow(RangeError);
    expect(() => uncertaintyPlace(NaN)).toThrow(RangeError);
  });
});

it.each([
  ['52.6', 1, '526'],
  ['52.6', -2, '0.526'],
  ['52', 2, '5200'],
  ['0.45', 1, '4.5'],
  ['46.0', -1, '4.60'],
  ['-3.4', -1, '-0.34'],
])('moves the point of %s by %i: %s', (text, power, moved) => {
  expect(shiftedByPowers(text, power)).toBe(moved);
});
