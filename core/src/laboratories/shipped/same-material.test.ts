import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { SAME_MATERIAL } from './same-material.ts';

const MASS = { whole: [47.32, 47.32, 47.31], half: [23.21, 23.22, 23.21], other: [23.88, 23.87, 23.88] };
const VOLUME = { whole: [40.0, 39.9, 40.0], half: [19.6, 19.7, 19.6], other: [20.2, 20.1, 20.3] };
const PIECES = ['whole', 'half', 'other'] as const;

function byHand(piece: (typeof PIECES)[number]): { readonly density: number; readonly standard: number } {
  const densities = MASS[piece].map((m, i) => m / (VOLUME[piece][i] ?? NaN));
  const perMass = meanOf(VOLUME[piece].map((v) => 1 / v));
  const perVolume = meanOf(MASS[piece].map((m, i) => m / (VOLUME[piece][i] ?? NaN) ** 2));
  const standard = Math.hypot(
    errorOfMean(densities),
    perMass * rectangle(0.01),
    perVolume * Math.SQRT2 * rectangle(0.5),
  );
  return { density: meanOf(densities), standard };
}

describe('is the bigger piece denser?', () => {
  const run = workedSample(SAME_MATERIAL);

  it.each(PIECES)('finds the density of the %s', (piece) => {
    const found = resultOf(run, 'meanDensity', piece);
    expect(found.value).toBeCloseTo(byHand(piece).density, 12);
    expect(standardOf(found)).toBeCloseTo(byHand(piece).standard, 12);
  });

  it('compares all pairs; the pieces were read separately, so nothing cancels', () => {
    const [compared] = run.comparisons;
    if (compared?.kind !== 'agree') throw new Error('The densities are not compared.');
    const pairs = [
      ['whole', 'half'],
      ['whole', 'other'],
      ['half', 'other'],
    ] as const;
    pairs.forEach(([a, b], i) => {
      expect(compared.pairs[i]?.uncertainty).toBeCloseTo(Math.hypot(byHand(a).standard, byHand(b).standard), 12);
      expect(compared.pairs[i]?.agree).toBe(true);
    });
  });

  it('pools the spread of the pieces where each was measured only twice', () => {
    const twice = {
      ...SAME_MATERIAL,
      samples: [
        {
          entries: {
            mass: { whole: ['47.32', '47.32'], half: ['23.21', '23.22'], other: ['23.88', '23.87'] },
            before: { whole: ['50.0', '49.5'], half: ['50.0', '50.5'], other: ['50.5', '50.0'] },
            after: { whole: ['90.0', '89.4'], half: ['69.6', '70.2'], other: ['70.7', '70.1'] },
          },
        },
      ] as const,
    };
    const densities = PIECES.map((piece) => [0, 1].map((i) => (MASS[piece][i] ?? NaN) / (VOLUME[piece][i] ?? NaN)));
    const pooled = meanOf(densities.map(([a = NaN, b = NaN]) => (a - b) ** 2 / 2));
    const found = resultOf(workedSample(twice), 'meanDensity', 'whole');
    const instrument = Math.hypot(
      ((1 / 40 + 1 / 39.9) / 2) * rectangle(0.01),
      ((47.32 / 40 ** 2 + 47.32 / 39.9 ** 2) / 2) * Math.SQRT2 * rectangle(0.5),
    );
    expect(standardOf(found)).toBeCloseTo(Math.hypot(Math.sqrt(pooled / 2), instrument), 12);
    const own = found.methods[0]?.budget.find(({ label }) => label.kind === 'repeats');
    expect(own?.share).toBeCloseTo(pooled / 2 / standardOf(found) ** 2, 10);
  });
});
