import { describe, expect, it } from 'vitest';
import { waterDensity } from './water-density.ts';

describe('density of water', () => {
  it.each([
    [20, 0.998207],
    [25, 0.997047],
    [60, 0.983199],
    [4, 0.999975],
    [100, 0.958365],
  ])('at %i °C is %f g/mL', (celsius, density) => {
    expect(waterDensity(celsius)).toBeCloseTo(density, 5);
  });

  it('does not jump where one formula follows the other', () => {
    expect(Math.abs(waterDensity(40) - waterDensity(40.000001))).toBeLessThan(1e-5);
  });

  it.each([-0.1, 100.1, NaN, Infinity])('is not known at %f °C', (celsius) => {
    expect(() => waterDensity(celsius)).toThrow(RangeError);
  });
});
