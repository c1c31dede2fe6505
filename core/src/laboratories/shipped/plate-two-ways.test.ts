import { describe, expect, it } from 'vitest';
import { covarianceOfMeans, errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { PLATE_TWO_WAYS } from './plate-two-ways.ts';

const LENGTH = { coarse: [12, 11, 12, 12, 11], fine: [11.53, 11.55, 11.54, 11.54, 11.53] };
const WIDTH = { coarse: [6.5, 6.4, 6.4, 6.5, 6.4], fine: [6.425, 6.43, 6.425, 6.435, 6.43] };
const THICKNESS = [0.4213, 0.4218, 0.4211, 0.4216, 0.4214];
/** Half a division of each tool, in cm. */
const HALF = { coarse: [5, 0.25], fine: [0.05, 0.0025], thickness: 0.0005 } as const;

/** Volume and standard uncertainty of a product: relative variances add; length and width were repeated together. */
function byHand(method: 'coarse' | 'fine'): {
  readonly volume: number;
  readonly standard: number;
  readonly plain: number;
} {
  const [l, w, t] = [meanOf(LENGTH[method]), meanOf(WIDTH[method]), meanOf(THICKNESS)];
  const [halfL, halfW] = HALF[method];
  const relative =
    (errorOfMean(LENGTH[method]) ** 2 + rectangle(halfL) ** 2) / l ** 2 +
    (errorOfMean(WIDTH[method]) ** 2 + rectangle(halfW) ** 2) / w ** 2 +
    (2 * covarianceOfMeans(LENGTH[method], WIDTH[method])) / (l * w) +
    (errorOfMean(THICKNESS) ** 2 + rectangle(HALF.thickness) ** 2) / t ** 2;
  const volume = l * w * t;
  const plain =
    (halfL + errorOfMean(LENGTH[method])) / l +
    (halfW + errorOfMean(WIDTH[method])) / w +
    (HALF.thickness + errorOfMean(THICKNESS)) / t;
  return { volume, standard: volume * Math.sqrt(relative), plain: volume * plain };
}

describe('one plate, measured twice', () => {
  const run = workedSample(PLATE_TWO_WAYS);

  it.each(['coarse', 'fine'] as const)('finds the volume with the %s tools', (method) => {
    const found = resultOf(run, 'volume', method);
    const hand = byHand(method);
    expect(found.value).toBeCloseTo(hand.volume, 10);
    expect(standardOf(found)).toBeCloseTo(hand.standard, 10);
    expect(found.methods.find((one) => one.method === 'plain-sum')?.uncertainty).toBeCloseTo(hand.plain, 10);
  });

  it('is quoted to the place of its uncertainty', () => {
    expect(resultOf(run, 'volume', 'coarse')).toMatchObject({ text: '31', quoted: '31 ± 8' });
    expect(resultOf(run, 'volume', 'fine')).toMatchObject({ text: '31.26', quoted: '31.26 ± 0.08' });
  });

  it('compares the two: the thickness is the same in both, and cancels', () => {
    const [compared] = run.comparisons;
    if (compared?.kind !== 'agree') throw new Error('The volumes are not compared.');
    const [coarse, fine] = [byHand('coarse'), byHand('fine')];
    const area = (method: 'coarse' | 'fine'): number => meanOf(LENGTH[method]) * meanOf(WIDTH[method]);
    const t = meanOf(THICKNESS);
    const thickness = errorOfMean(THICKNESS) ** 2 + rectangle(HALF.thickness) ** 2;
    const shared = area('coarse') * area('fine') * thickness;
    const standard = Math.sqrt(coarse.standard ** 2 + fine.standard ** 2 - 2 * shared);
    expect(compared.pairs[0]?.uncertainty).toBeCloseTo(standard, 10);
    expect(compared.pairs[0]?.difference).toBeCloseTo((area('coarse') - area('fine')) * t, 10);
    expect(compared.pairs[0]?.agree).toBe(true);
  });

  it('names the length as what limits the coarse volume', () => {
    const [largest] = resultOf(run, 'volume', 'coarse').methods[0]?.budget ?? [];
    expect(largest?.name).toBe('reading of the decimetre ruler, length (coarse)');
  });
});
