import { describe, expect, it } from 'vitest';
import { byDifferences, errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { CYLINDER_CHECK } from './cylinder-check.ts';

describe('does the cylinder read what is in it?', () => {
  const run = workedSample(CYLINDER_CHECK);

  it('finds the volume between the marks from the inner radius', () => {
    const found = resultOf(run, 'byShape');
    const f = ([d = 0, h = 0]: readonly number[]): number => (Math.PI * (d / 20) ** 2 * h) / 10;
    const repeats = [
      [26.02, 25.98, 26.04],
      [112.8, 113.0, 112.9],
    ];
    expect(found.value).toBeCloseTo(f(repeats.map(meanOf)), 9);
    expect(standardOf(found) / byDifferences(f, repeats, [rectangle(0.01), rectangle(0.5)])).toBeCloseTo(1, 6);
    expect(run.comparisons[0]).toMatchObject({ pairs: [{ agree: true }] });
  });

  it('finds how far the scale rose, against what was added', () => {
    const found = resultOf(run, 'meanRise');
    const rises = [10.1, 9.9, 9.9];
    expect(found.value).toBeCloseTo(meanOf(rises), 10);
    expect(standardOf(found)).toBeCloseTo(Math.hypot(errorOfMean(rises), Math.SQRT2 * rectangle(0.5)), 10);
    expect(found.comparison).toMatchObject({ accepted: { middle: 10 }, agrees: true });
  });
});
