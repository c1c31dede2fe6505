import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { line, predictedBy } from './line.ts';

/** Points as y x pairs, as they are published. */
function points(text: string): { x: number[]; y: number[] } {
  const numbers = text.trim().split(/\s+/).map(Number);
  return { y: numbers.filter((_, i) => i % 2 === 0), x: numbers.filter((_, i) => i % 2 === 1) };
}

describe('a line of least squares', () => {
  it('has the certified figures of the Norris data (NIST Statistical Reference Datasets, linear regression)', () => {
    const { x, y } = points(`
      0.1 0.2 338.8 337.4 118.1 118.2 888.0 884.6 9.2 10.1 228.1 226.5 668.5 666.3 998.5 996.3 449.1 448.6
      778.9 777.0 559.2 558.2 0.3 0.4 0.1 0.6 778.1 775.5 668.8 666.9 339.3 338.0 448.9 447.5 10.8 11.6
      557.7 556.0 228.3 228.1 998.0 995.8 888.8 887.6 119.6 120.2 0.3 0.3 0.6 0.3 557.6 556.8 339.3 339.1
      888.0 887.2 998.5 999.0 778.9 779.0 10.2 11.1 117.6 118.3 228.9 229.2 668.4 669.1 449.2 448.9 0.2 0.5`);
    const fitted = line(x, y);
    expect(fitted.slope).toBeCloseTo(1.00211681802045, 12);
    expect(fitted.intercept).toBeCloseTo(-0.262323073774029, 11);
    expect(fitted.uSlope).toBeCloseTo(0.429796848199937e-3, 14);
    expect(fitted.uIntercept).toBeCloseTo(0.232818234301152, 12);
    expect(fitted.residual).toBeCloseTo(0.884796396144373, 12);
    expect(fitted.degreesOfFreedom).toBe(34);
  });

  it('has the figures of the thermometer that the Guide calibrates (JCGM 100:2008, H.3)', () => {
    const read = [21.521, 22.012, 22.512, 23.003, 23.507, 23.999, 24.513, 25.002, 25.503, 26.01, 26.511];
    const corrections = [-0.171, -0.169, -0.166, -0.159, -0.164, -0.165, -0.156, -0.157, -0.159, -0.161, -0.16];
    const fitted = line(
      read.map((t) => t - 20),
      corrections,
    );
    expect(fitted.intercept).toBeCloseTo(-0.1712, 4);
    expect(fitted.uIntercept).toBeCloseTo(0.0029, 4);
    expect(fitted.slope).toBeCloseTo(0.00218, 5);
    expect(fitted.uSlope).toBeCloseTo(0.00067, 5);
    expect(fitted.correlation).toBeCloseTo(-0.93, 3);
    expect(fitted.residual).toBeCloseTo(0.0035, 4);
    const at30 = predictedBy(fitted, 10);
    expect(at30.value).toBeCloseTo(-0.1494, 4);
    expect(at30.standard).toBeCloseTo(0.0041, 4);
  });

  it('through two points has no scatter, and says so', () => {
    const fitted = line([1, 3], [2, 8]);
    expect(fitted).toMatchObject({ slope: 3, intercept: -1, uSlope: null, uIntercept: null, residual: null });
    expect(predictedBy(fitted, 5)).toEqual({ value: 14, standard: null, standardOfOne: null });
  });

  it('predicts one more point with its own scatter', () => {
    const fitted = line([0, 1, 2, 3], [0, 1, 2, 4]);
    const { standard, standardOfOne } = predictedBy(fitted, 1.5);
    // At the middle the line is known as a mean of four is.
    expect(standard).toBeCloseTo((fitted.residual ?? NaN) / 2, 12);
    expect(standardOfOne).toBeCloseTo((fitted.residual ?? NaN) * Math.sqrt(1.25), 12);
  });

  it.each([
    ['fewer y', [1, 2], [1], /^y: 1 values for 2/],
    ['one point', [1], [1], /^x: at least two points/],
    ['one x', [2, 2, 2], [1, 2, 3], /^x: all values are the same/],
    ['no number', [1, NaN], [1, 2], /^x\[1\]: NaN/],
    ['an infinite y', [1, 2], [1, Infinity], /^y\[1\]: Infinity/],
  ])('refuses %s by name', (_, x, y, message) => {
    expect(() => line(x, y)).toThrow(message);
  });

  it('goes with its points when they are moved, however far', () => {
    const coordinate = fc.integer({ min: -1000, max: 1000 });
    fc.assert(
      fc.property(
        fc.uniqueArray(coordinate, { minLength: 3, maxLength: 12 }),
        fc.array(coordinate, { minLength: 12, maxLength: 12 }),
        fc.integer({ min: -1e6, max: 1e6 }),
        (x, all, by) => {
          const y = all.slice(0, x.length);
          const [here, there] = [
            line(x, y),
            line(
              x.map((value) => value + by),
              y,
            ),
          ];
          expect(there.slope).toBeCloseTo(here.slope, 9);
          expect(there.residual).toBeCloseTo(here.residual ?? NaN, 6);
          expect(there.uSlope).toBeCloseTo(here.uSlope ?? NaN, 9);
        },
      ),
    );
  });
});
