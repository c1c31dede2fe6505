import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, ofIndependent, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { SHEET_THICKNESS } from './sheet-thickness.ts';

const LONG = [
  [10.02, 10.03],
  [9.98, 10.0],
  [10.05, 10.04],
];
const SHORT = [
  [5.01, 5.02],
  [5.0, 4.99],
  [4.98, 4.99],
];
const MASS = [4.53, 4.47, 4.5];

describe('too thin for a caliper', () => {
  const found = resultOf(workedSample(SHEET_THICKNESS), 'meanThickness');

  /** Mean thickness in mm of: three long sides, three short ones, three masses, standard, what it shows, density. */
  function mean(values: readonly number[]): number {
    const [standard = 0, shown = 0, density = 0] = values.slice(9);
    return meanOf(
      [0, 1, 2].map(
        (i) =>
          (10 * ((values[6 + i] ?? NaN) * standard)) / shown / ((values[i] ?? NaN) * (values[3 + i] ?? NaN) * density),
      ),
    );
  }

  it('finds the mean thickness; sheets are read separately, their density and the balance are the same', () => {
    const at = [...LONG.map(meanOf), ...SHORT.map(meanOf), ...MASS, 5, 5, 8.96];
    expect(found.value).toBeCloseTo(mean(at), 12);
    const [side, digit] = [rectangle(0.05), rectangle(0.01)];
    const standards = [
      side,
      side,
      side,
      side,
      side,
      side,
      digit,
      digit,
      digit,
      rectangle(0.001),
      digit,
      rectangle(0.01),
    ];
    const sheets = MASS.map((mass, i) => (10 * mass) / (meanOf(LONG[i] ?? []) * meanOf(SHORT[i] ?? []) * 8.96));
    // What two observers differ by is in the scatter of the sheets already.
    expect(standardOf(found)).toBeCloseTo(Math.hypot(ofIndependent(mean, at, standards), errorOfMean(sheets)), 9);
  });

  it('is good below 10 %, by the laboratory’s own rule', () => {
    expect(found.comparison).toMatchObject({ good: true, agrees: true });
  });
});
