import { describe, expect, it } from 'vitest';
import { covarianceOfMeans, errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { SOLID_TWO_WAYS } from './solid-two-ways.ts';

const DIAMETER = [1.602, 1.6, 1.602, 1.604];
const HEIGHT = [3.006, 3.008, 3.006, 3.006];
const DIRECT = [51.72, 51.72, 51.73, 51.72];
const DIFFERENCE = [51.72, 51.73, 51.72, 51.73];
const WATER = [6.1, 6.0, 6.0, 6.1];
const [CM, G, ML] = [rectangle(0.001), rectangle(0.01), rectangle(0.5)];

describe('one body, two ways', () => {
  const run = workedSample(SOLID_TWO_WAYS);
  const shape = DIAMETER.map((d, i) => (Math.PI / 4) * d ** 2 * (HEIGHT[i] ?? NaN));

  it('finds the density by its shape', () => {
    const found = resultOf(run, 'shapeDensity');
    const [m, v] = [meanOf(DIRECT), meanOf(shape)];
    const perDiameter = meanOf(DIAMETER.map((d, i) => (Math.PI / 2) * d * (HEIGHT[i] ?? NaN)));
    const perHeight = meanOf(DIAMETER.map((d) => (Math.PI / 4) * d ** 2));
    const relative =
      (errorOfMean(DIRECT) ** 2 + G ** 2) / m ** 2 +
      (errorOfMean(shape) ** 2 + (perDiameter * CM) ** 2 + (perHeight * CM) ** 2) / v ** 2 -
      (2 * covarianceOfMeans(DIRECT, shape)) / (m * v);
    expect(found.value).toBeCloseTo(m / v, 10);
    expect(standardOf(found)).toBeCloseTo((m / v) * Math.sqrt(relative), 10);
  });

  it('finds the density by displacement and mass by difference', () => {
    const found = resultOf(run, 'waterDensity');
    const [m, v] = [meanOf(DIFFERENCE), meanOf(WATER)];
    const relative =
      (errorOfMean(DIFFERENCE) ** 2 + 2 * G ** 2) / m ** 2 +
      (errorOfMean(WATER) ** 2 + 2 * ML ** 2) / v ** 2 -
      (2 * covarianceOfMeans(DIFFERENCE, WATER)) / (m * v);
    expect(found.value).toBeCloseTo(m / v, 10);
    expect(standardOf(found)).toBeCloseTo((m / v) * Math.sqrt(relative), 10);
  });

  it('finds that all three pairs agree', () => {
    for (const compared of run.comparisons) expect(compared).toMatchObject({ pairs: [{ agree: true }] });
  });
});
