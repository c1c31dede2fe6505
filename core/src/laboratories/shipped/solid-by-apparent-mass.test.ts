import { describe, expect, it } from 'vitest';
import { covarianceOfMeans, errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { SOLID_BY_APPARENT_MASS } from './solid-by-apparent-mass.ts';

/** One last digit of the balance, half a division of the hydrometer. */
const [G, RHO] = [rectangle(0.01), rectangle(0.0005)];

describe('weighed in a liquid: a body that sinks', () => {
  const run = workedSample(SOLID_BY_APPARENT_MASS);
  const mass = 61.48;
  const apparent = { water: [54.28, 54.26, 54.29], brine: [53.75, 53.73, 53.74] };
  const liquid = { water: 0.998, brine: 1.072 };

  it.each(['water', 'brine'] as const)('finds its density from %s', (name) => {
    const found = resultOf(run, 'density', name);
    const lift = mass - meanOf(apparent[name]);
    const density = (mass * liquid[name]) / lift;
    const standard = Math.hypot(
      (liquid[name] / lift - density / lift) * G,
      (density / lift) * Math.hypot(G, errorOfMean(apparent[name])),
      (mass / lift) * RHO,
    );
    expect(found.value).toBeCloseTo(density, 12);
    expect(standardOf(found)).toBeCloseTo(standard, 12);
    expect(found.comparison).toMatchObject({ agrees: true });
  });

  it('has both liquids agree, and the prediction with the weighing', () => {
    expect(run.comparisons.map((one) => (one.kind === 'agree' ? one.pairs[0]?.agree : null))).toEqual([true, true]);
    expect(run.cellAt('expected', {})).toMatchObject({ text: '53.74' });
  });
});

describe('weighed in a liquid: a body that floats, with a sinker', () => {
  const run = workedSample(SOLID_BY_APPARENT_MASS, 1);
  const [mass, sinker, both] = [6.12, [53.75, 53.73, 53.74], [53.04, 53.06, 53.03]];

  it('finds its density from brine; sinker and pair were weighed in turn', () => {
    const found = resultOf(run, 'density', 'brine');
    const lift = mass + meanOf(sinker) - meanOf(both);
    const density = (mass * 1.072) / lift;
    const repeats = errorOfMean(sinker) ** 2 + errorOfMean(both) ** 2 - 2 * covarianceOfMeans(sinker, both);
    const standard = Math.hypot(
      (1.072 / lift - density / lift) * G,
      (density / lift) * Math.sqrt(2 * G ** 2 + repeats),
      (mass / lift) * RHO,
    );
    expect(found.value).toBeCloseTo(density, 12);
    expect(standardOf(found)).toBeCloseTo(standard, 12);
  });
});
