import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { DROPS_PER_MILLILITRE } from './drops-per-millilitre.ts';

const DROPS = [201, 200, 203];
const VOLUME = [9.9, 9.9, 10.0];
const HALF = rectangle(0.25);

describe('how big is a drop?', () => {
  const run = workedSample(DROPS_PER_MILLILITRE);
  const rates = DROPS.map((drops, i) => drops / (VOLUME[i] ?? NaN));

  it('finds the drops in a millilitre', () => {
    const found = resultOf(run, 'meanDrops', 'second');
    const perDrop = meanOf(VOLUME.map((volume) => 1 / volume));
    const perVolume = meanOf(DROPS.map((drops, i) => drops / (VOLUME[i] ?? NaN) ** 2));
    expect(found.value).toBeCloseTo(meanOf(rates), 10);
    expect(standardOf(found)).toBeCloseTo(
      Math.hypot(perDrop * rectangle(1), perVolume * Math.SQRT2 * HALF, errorOfMean(rates)),
      10,
    );
  });

  it('finds the volume of a drop by both ways, which agree', () => {
    const [counted, weighed] = [resultOf(run, 'dropVolume'), resultOf(run, 'weighedVolume')];
    expect(counted.value).toBeCloseTo(1 / meanOf(rates), 12);
    expect(standardOf(counted) / counted.value).toBeCloseTo(
      standardOf(resultOf(run, 'meanDrops', 'second')) / meanOf(rates),
      10,
    );
    const volume = 4.95 / 0.997995 / 100;
    expect(weighed.value / volume).toBeCloseTo(1, 5);
    expect(standardOf(weighed) / volume).toBeCloseTo(
      Math.hypot(rectangle(1) / 100, (Math.SQRT2 * rectangle(0.01)) / 4.95),
      4,
    );
    expect(run.comparisons[1]).toMatchObject({ id: 'ways', pairs: [{ agree: true }] });
  });

  it('finds what the dropper holds', () => {
    expect(resultOf(run, 'dropper').value).toBeCloseTo(42 / meanOf(rates), 10);
  });
});
