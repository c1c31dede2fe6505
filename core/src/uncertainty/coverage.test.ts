import { describe, expect, it } from 'vitest';
import { DEFAULT_RULES } from '../rules/house-rules.ts';
import { studentT95 } from '../statistics/student-t.ts';
import { coverageFactor, effectiveDegreesOfFreedom } from './coverage.ts';

describe('studentT95', () => {
  // Two-sided 95 % column of the usual table (Fisher & Yates, 1938; JCGM 100:2008, table G.2).
  it.each([
    [1, 12.706],
    [2, 4.303],
    [3, 3.182],
    [4, 2.776],
    [5, 2.571],
    [6, 2.447],
    [7, 2.365],
    [8, 2.306],
    [9, 2.262],
    [10, 2.228],
    [15, 2.131],
    [20, 2.086],
    [30, 2.042],
    [40, 2.021],
    [60, 2.0],
    [120, 1.98],
    [Infinity, 1.96],
  ])('has the table’s value for %d degrees of freedom', (degrees, tabled) => {
    expect(studentT95(degrees)).toBeCloseTo(tabled, 3);
  });

  it('agrees with the closed forms for one and two degrees of freedom', () => {
    expect(studentT95(1)).toBeCloseTo(Math.tan(0.475 * Math.PI), 12);
    expect(studentT95(2)).toBeCloseTo((0.95 * Math.SQRT2) / Math.sqrt(1 - 0.95 ** 2), 12);
  });

  it('falls steadily towards the normal distribution', () => {
    const factors = [0.7, 1, 1.5, 3.2, 8, 50, 1e4, 1e6, 1e9].map(studentT95);
    expect(factors).toEqual([...factors].sort((a, b) => b - a));
    expect(factors.at(-1)).toBeCloseTo(1.959964, 6);
  });

  it('agrees with integrating the density', () => {
    const degrees = 4;
    const density = (t: number): number => (3 / 8) * (1 + (t * t) / degrees) ** -2.5;
    const limit = studentT95(degrees);
    const steps = 4000;
    let area = 0;
    for (let i = 0; i <= steps; i += 1)
      area += (i === 0 || i === steps ? 1 : i % 2 === 1 ? 4 : 2) * density(-limit + (2 * limit * i) / steps);
    expect((area * 2 * limit) / steps / 3).toBeCloseTo(0.95, 8);
  });

  it.each([0, -1, NaN])('refuses %d degrees of freedom', (degrees) => {
    expect(() => studentT95(degrees)).toThrow(/degreesOfFreedom/);
  });
});

describe('effective degrees of freedom', () => {
  it('is n − 1 when the repeats are all there is, more when the tool has a share, and endless without repeats', () => {
    expect(effectiveDegreesOfFreedom(5, 1)).toBe(4);
    expect(effectiveDegreesOfFreedom(5, 0.5)).toBe(16);
    expect(effectiveDegreesOfFreedom(1, 0)).toBe(Infinity);
  });

  it('agrees with the formula for two contributions', () => {
    const [type_a, type_b, n] = [0.03, 0.04, 6];
    const u = Math.hypot(type_a, type_b);
    expect(effectiveDegreesOfFreedom(n, (type_a / u) ** 2)).toBeCloseTo(u ** 4 / (type_a ** 4 / (n - 1)), 9);
  });
});

describe('coverageFactor', () => {
  it('follows the rule', () => {
    expect(coverageFactor(DEFAULT_RULES, 3)).toBe(1);
    expect(coverageFactor({ ...DEFAULT_RULES, coverage: 'expanded-k-2' }, 3)).toBe(2);
    expect(coverageFactor({ ...DEFAULT_RULES, coverage: 'students-t-95' }, 3)).toBeCloseTo(3.182, 3);
  });
});
