import { describe, expect, it } from 'vitest';
import { propagate } from './propagate.ts';
import { simulate } from './simulate.ts';

const DRAWS = 1_000_000;

/** Three sampling errors of a standard deviation from so many draws, for a distribution not heavier than the normal. */
const threeErrors = (standard: number): number => (3 * standard) / Math.sqrt(2 * DRAWS);

/** Three sampling errors of a 97.5 % quantile, by the density there. */
const threeOfQuantile = (density: number): number => (3 * Math.sqrt((0.025 * 0.975) / DRAWS)) / density;

function four(shape: 'normal' | 'rectangular', last = 1): Parameters<typeof simulate>[1] {
  const input = (standard: number): { value: number; standard: number; shape: 'normal' | 'rectangular' } => ({
    value: 0,
    standard,
    shape,
  });
  return { a: input(1), b: input(1), c: input(1), d: input(last) };
}

describe('propagation of distributions', () => {
  it('has the figures of the Supplement for four normal inputs (JCGM 101:2008, 9.2.2)', () => {
    const { mean, standard, symmetric, shortest } = simulate('a + b + c + d', four('normal'), {
      draws: DRAWS,
      seed: 11,
    });
    expect(Math.abs(mean)).toBeLessThan((3 * 2) / Math.sqrt(DRAWS));
    expect(Math.abs((standard ?? NaN) - 2)).toBeLessThan(threeErrors(2));
    // The density of N(0, 2) at 3.92.
    const within = threeOfQuantile(0.0292);
    expect(Math.abs(symmetric[1] - 3.92)).toBeLessThan(within);
    expect(Math.abs(symmetric[0] + 3.92)).toBeLessThan(within);
    expect(Math.abs(shortest[1] - shortest[0] - 2 * 3.92)).toBeLessThan(2 * within);
  });

  it('has the figures of the Supplement for four equal rectangles (9.2.3)', () => {
    const { standard, symmetric } = simulate('a + b + c + d', four('rectangular'), { draws: DRAWS, seed: 12 });
    expect(Math.abs((standard ?? NaN) - 2)).toBeLessThan(threeErrors(2));
    // 2√3·(2 − (3/5)^¼) = 3.8793 (the Supplement’s footnote to 9.2.3.3); the density there is about 0.03.
    expect(Math.abs(symmetric[1] - 2 * Math.sqrt(3) * (2 - 0.6 ** 0.25))).toBeLessThan(threeOfQuantile(0.03));
  });

  it('has the figures of the Supplement where one rectangle is ten times as wide (9.2.4)', () => {
    const { standard, symmetric, shortest } = simulate('a + b + c + d', four('rectangular', 10), {
      draws: DRAWS,
      seed: 13,
    });
    expect(Math.abs((standard ?? NaN) - Math.sqrt(103))).toBeLessThan(threeErrors(10.1));
    expect(symmetric[1]).toBeCloseTo(17.0, 0);
    expect(Math.abs(symmetric[1] - 17.0)).toBeLessThan(0.05);
    expect(shortest[1] - shortest[0]).toBeLessThanOrEqual(symmetric[1] - symmetric[0]);
  });

  it('has the figures of the Supplement for the calibration of a mass (9.3, tables 5 and 6)', () => {
    const inputs = {
      m: { value: 100_000, standard: 0.05 },
      d: { value: 1.234, standard: 0.02 },
      a: { value: 1.2, halfWidth: 0.1 },
      w: { value: 8000, halfWidth: 1000 },
      r: { value: 8000, halfWidth: 50 },
    };
    const formula = '(m + d) * (1 + (a - 1.2) * (1 / w - 1 / r)) - 100000';
    const { mean, standard, shortest } = simulate(formula, inputs, { draws: DRAWS, seed: 14 });
    expect(mean).toBeCloseTo(1.2341, 3);
    expect(Math.abs((standard ?? NaN) - 0.0754)).toBeLessThan(0.0003);
    expect(Math.abs(shortest[0] - 1.0834)).toBeLessThan(0.002);
    expect(Math.abs(shortest[1] - 1.3825)).toBeLessThan(0.002);
    const linear = propagate(formula, inputs);
    expect(linear.value).toBeCloseTo(1.234, 4);
    expect(linear.uncertainty).toBeCloseTo(0.0539, 4);
  });

  it('draws triangles as narrow as they are said to be', () => {
    const { standard, symmetric } = simulate(
      'x',
      { x: { value: 5, halfWidth: 1, shape: 'triangular' } },
      {
        draws: DRAWS,
        seed: 15,
      },
    );
    expect(Math.abs((standard ?? NaN) - 1 / Math.sqrt(6))).toBeLessThan(threeErrors(0.41));
    // Of a triangle 2.5 % lie beyond 1 − √0.05 from the middle.
    expect(symmetric[1]).toBeCloseTo(6 - Math.sqrt(0.05), 2);
  });

  it.each([
    [1, 12.706],
    [2, 4.303],
    [4, 2.776],
    [9.5, 2.2445],
  ])('draws Student’s t with %f degrees of freedom: 95 %% within ± %f', (degreesOfFreedom, t) => {
    const { standard, symmetric } = simulate(
      'x',
      { x: { value: 0, standard: 1, shape: 't', degreesOfFreedom } },
      { draws: DRAWS, seed: 16 },
    );
    expect(Math.abs(symmetric[1] / t - 1)).toBeLessThan(0.02);
    if (degreesOfFreedom <= 2) expect(standard).toBeNull();
    else expect(standard).toBeGreaterThan(1);
  });

  it('draws one seed alike, and another otherwise', () => {
    const once = simulate('a * b', four('normal'), { draws: 1000, seed: 1 });
    expect(simulate('a * b', four('normal'), { draws: 1000, seed: 1 })).toEqual(once);
    expect(simulate('a * b', four('normal'), { draws: 1000, seed: 2 })).not.toEqual(once);
  });

  it.each([
    ['draws', { draws: 99, seed: 1 }],
    ['draws', { draws: 1000.5, seed: 1 }],
    ['coverage', { draws: 1000, seed: 1, coverage: 1 }],
    ['seed', { draws: 1000, seed: -1 }],
  ])('says that %s cannot be that', (field, options) => {
    expect(() => simulate('a', four('normal'), options)).toThrow(field);
  });

  it('says where a formula has no value for some draws', () => {
    expect(() => simulate('sqrt(x)', { x: { value: 0, standard: 1 } }, { draws: 1000, seed: 1 })).toThrow('formula');
  });
});
