import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { SOLID_BY_DISPLACEMENT } from './solid-by-displacement.ts';

describe('density by displacement', () => {
  const run = workedSample(SOLID_BY_DISPLACEMENT);
  const [mass, volume] = [
    [54.31, 54.3, 54.31],
    [6.2, 6.1, 6.2],
  ];
  const densities = mass.map((m, i) => m / (volume[i] ?? NaN));

  it('finds the mean density: one reading error of the cylinder before, one after, shared by all trials', () => {
    const found = resultOf(run, 'meanDensity');
    const perMass = meanOf(volume.map((v) => 1 / v));
    const perVolume = meanOf(mass.map((m, i) => m / (volume[i] ?? NaN) ** 2));
    const standard = Math.hypot(
      errorOfMean(densities),
      perMass * rectangle(0.01),
      perVolume * Math.SQRT2 * rectangle(0.5),
    );
    expect(found.value).toBeCloseTo(meanOf(densities), 12);
    expect(standardOf(found)).toBeCloseTo(standard, 12);
    expect(found).toMatchObject({ text: '8.8', quoted: '8.8 ± 0.6', comparison: { percentError: '0', agrees: true } });
  });

  it('finds the volume of one of six pieces', () => {
    expect(run.cellAt('onePiece', {})).toMatchObject({ text: '1.0' });
  });
});
