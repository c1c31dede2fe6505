import { describe, expect, it } from 'vitest';
import { byDifferences, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { LENGTH_TWO_UNITS } from './length-two-units.ts';

const CM = [
  [15.23, 15.24, 15.22],
  [10.14, 10.16, 10.15],
];
const INCH = [
  [6.0, 6.01, 5.99],
  [4.0, 3.99, 4.01],
];
const area = ([l = 0, w = 0]: readonly number[]): number => l * w;

describe('one tile, two rulers', () => {
  const run = workedSample(LENGTH_TWO_UNITS);

  it('finds both areas', () => {
    const [first, second] = [resultOf(run, 'area'), resultOf(run, 'otherArea')];
    expect(first.value).toBeCloseTo(area(CM.map(meanOf)), 10);
    expect(standardOf(first) / byDifferences(area, CM, [rectangle(0.05), rectangle(0.05)])).toBeCloseTo(1, 6);
    expect(second.value).toBeCloseTo(area(INCH.map(meanOf)), 10);
    // Half of a sixteenth of an inch.
    expect(standardOf(second) / byDifferences(area, INCH, [rectangle(1 / 32), rectangle(1 / 32)])).toBeCloseTo(1, 6);
  });

  it('squares the factor', () => {
    const converted = resultOf(run, 'converted');
    expect(converted.value).toBeCloseTo(area(CM.map(meanOf)) / 2.54 / 2.54, 10);
    expect(standardOf(converted)).toBeCloseTo(standardOf(resultOf(run, 'area')) / 6.4516, 10);
    expect(converted.text).toBe('23.96');
    expect(run.comparisons[0]).toMatchObject({ pairs: [{ agree: true }] });
  });

  it('does the same with millimetres and whole centimetres', () => {
    expect(resultOf(workedSample(LENGTH_TWO_UNITS, 1), 'converted').value).toBeCloseTo((152.3 * 101.5) / 100, 10);
  });
});
