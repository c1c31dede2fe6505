import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { VESSEL_CAPACITY } from './vessel-capacity.ts';

const ZERO = [0.02, 0.02, 0.04];
const BORE = [
  [52.08, 52.14],
  [52.02, 52.1],
  [51.96, 52.04],
];
const DEPTH = [61.24, 61.3, 61.18, 61.26];
const [MM, ML] = [rectangle(0.01), rectangle(0.5)];

describe('how much does it hold?', () => {
  const run = workedSample(VESSEL_CAPACITY);
  const zero = meanOf(ZERO);
  const bore = meanOf(BORE.map(meanOf)) - zero;
  const depth = meanOf(DEPTH) - zero;

  it('finds the capacity by its shape; the zero is in bore and depth alike', () => {
    const found = resultOf(run, 'byShape');
    const volume = (Math.PI * (bore / 20) ** 2 * depth) / 10;
    const zeros = Math.hypot(errorOfMean(ZERO), MM);
    const bores = Math.hypot(MM / Math.sqrt(3), ...BORE.map((pair) => errorOfMean(pair) / 3));
    const depths = Math.hypot(MM, errorOfMean(DEPTH));
    const relative = Math.hypot((2 * bores) / bore, depths / depth, zeros * (2 / bore + 1 / depth));
    expect(found.value).toBeCloseTo(volume, 9);
    expect(standardOf(found)).toBeCloseTo(volume * relative, 9);
  });

  it('finds the capacity by pouring: two readings for every filling', () => {
    const found = resultOf(run, 'byPouring');
    expect(found.value).toBeCloseTo(94.5 + 36, 10);
    expect(standardOf(found)).toBeCloseTo(2 * ML, 10);
    expect(run.comparisons[0]).toMatchObject({ pairs: [{ agree: true }] });
    expect(run.cellAt('apart', {})).toMatchObject({ text: '-0.3' });
  });
});
