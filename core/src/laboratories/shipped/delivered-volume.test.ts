import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { DELIVERED_VOLUME } from './delivered-volume.ts';

const HALF = rectangle(0.05);

describe('delivered until it repeats', () => {
  it('finds the mean; each start and end was read by itself, and the scatter is what that lets expect', () => {
    const found = resultOf(workedSample(DELIVERED_VOLUME), 'meanVolume');
    const volumes = [24.55, 24.52, 24.57, 24.53];
    expect(found.value).toBeCloseTo(meanOf(volumes), 10);
    // s² of the deliveries is below the 2u² that their readings bring: nothing is left of it.
    expect(errorOfMean(volumes) * 2).toBeLessThan(Math.SQRT2 * HALF);
    expect(standardOf(found)).toBeCloseTo((Math.SQRT2 * HALF) / Math.sqrt(4), 10);
    expect(found.quoted).toBe('24.54 ± 0.02');
  });

  it('agrees with the mass of the water', () => {
    const run = workedSample(DELIVERED_VOLUME, 1);
    const masses = [24.49, 24.46, 24.51];
    // 21.5 °C: half-way between the tables’ 0.997995 (21 °C) and 0.997773 (22 °C), to 1 in a million.
    const density = 0.997885;
    const found = resultOf(run, 'weighedVolume');
    expect(found.value / (meanOf(masses) / density)).toBeCloseTo(1, 5);
    const digit = rectangle(0.01);
    const scatter = Math.max(0, errorOfMean(masses) ** 2 * 3 - 2 * digit ** 2) / 3;
    const temperature = meanOf(masses) * (1 / 0.997773 - 1 / 0.997995) * rectangle(0.5);
    expect(standardOf(found)).toBeCloseTo(
      Math.hypot(Math.sqrt(scatter + (2 * digit ** 2) / 3) / density, temperature),
      6,
    );
    expect(run.comparisons[0]).toMatchObject({ pairs: [{ agree: true }] });
  });
});
