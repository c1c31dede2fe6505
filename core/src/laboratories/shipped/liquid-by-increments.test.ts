import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { LIQUID_BY_INCREMENTS } from './liquid-by-increments.ts';

const EMPTY = [38.52, 38.51, 38.52];
const VOLUME = [5.2, 10.1, 15.3, 19.8, 24.6];
const MASS = [44.17, 49.5, 55.12, 60.08, 65.28];
const [DIGIT, HALF] = [rectangle(0.01), rectangle(0.25)];

describe('density of a liquid, fill by fill', () => {
  const run = workedSample(LIQUID_BY_INCREMENTS);
  const empty = meanOf(EMPTY);
  const densities = MASS.map((mass, i) => (mass - empty) / (VOLUME[i] ?? NaN));
  const n = MASS.length;

  it('finds the mean of the fills: each volume and each mass is read by itself, the empty mass is the same in all', () => {
    const found = resultOf(run, 'meanDensity');
    expect(found.value).toBeCloseTo(meanOf(densities), 12);
    const own = VOLUME.map((volume, i) => {
      const rho = densities[i] ?? NaN;
      return (rho / volume / n) ** 2 * HALF ** 2 + (1 / volume / n) ** 2 * DIGIT ** 2;
    }).reduce((a, b) => a + b);
    const perEmpty = VOLUME.reduce((sum, volume) => sum + 1 / volume / n, 0);
    const shared = perEmpty ** 2 * (DIGIT ** 2 + errorOfMean(EMPTY) ** 2);
    // The fills scatter less than their readings let expect: nothing is left for the repeats.
    expect(standardOf(found)).toBeCloseTo(Math.sqrt(own + shared), 10);
  });

  it('finds the slope of the line, which needs no empty mass', () => {
    const found = resultOf(run, 'slopeDensity');
    const [x, y] = [meanOf(VOLUME), meanOf(MASS)];
    const dx = VOLUME.map((one) => one - x);
    const dy = MASS.map((one) => one - y);
    const sxx = dx.reduce((sum, one) => sum + one ** 2, 0);
    const slope = dx.reduce((sum, one, i) => sum + one * (dy[i] ?? NaN), 0) / sxx;
    const residuals = dy.map((one, i) => one - slope * (dx[i] ?? NaN));
    const about = residuals.reduce((sum, one) => sum + one ** 2, 0) / (n - 2) / sxx;
    const byMass = DIGIT ** 2 / sxx;
    const byVolume = dx.reduce((sum, one, i) => sum + (((dy[i] ?? NaN) - 2 * slope * one) / sxx) ** 2, 0) * HALF ** 2;
    expect(found.value).toBeCloseTo(slope, 12);
    expect(standardOf(found)).toBeCloseTo(Math.sqrt(about + byMass + byVolume), 10);
  });

  it('compares mean and slope, and finds brine the likeliest liquid', () => {
    const [ways, empties, which] = run.comparisons;
    expect(ways).toMatchObject({ kind: 'agree', pairs: [{ agree: true }] });
    expect(empties).toMatchObject({ kind: 'agree', pairs: [{ agree: true }] });
    expect(which?.kind === 'identify' ? which.candidates[0] : null).toMatchObject({ name: 'Brine', possible: true });
  });
});
