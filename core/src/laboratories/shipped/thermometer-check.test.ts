import { describe, expect, it } from 'vitest';
import { byDifferences, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { THERMOMETER_CHECK } from './thermometer-check.ts';

const ICE = [0.6, 0.5, 0.6];
const BOILING = [99.2, 99.3, 99.2];
const ROOM = [21.8, 21.8, 21.7];
const DEGREE = rectangle(0.5);

/** Boiling point at 120 m: 1013.25 hPa fall by 14.3 hPa, and 1 hPa moves it by 0.0277 °C there. */
const AT_120_M = 100 - 14.3 * 0.0277;

/** The true scale laid through the two points. */
function corrected([ice = 0, boiling = 0, room = 0]: readonly number[], reference: number): number {
  return (reference * (room - ice)) / (boiling - ice);
}

describe('can the thermometer be believed?', () => {
  const run = workedSample(THERMOMETER_CHECK);
  const means = [ICE, BOILING, ROOM].map(meanOf);

  it('looks up the boiling point for the altitude', () => {
    expect(Number((run.cellAt('boilingReference', {}) as { text: string }).text)).toBeCloseTo(AT_120_M, 1);
  });

  it('corrects the room by a line through both points', () => {
    const found = resultOf(run, 'room');
    expect(found.value).toBeCloseTo(corrected(means, AT_120_M), 2);
    // Repeats of different baths were not taken together.
    const reading = byDifferences(
      (values) => corrected(values, AT_120_M),
      [
        [means[0] ?? NaN, means[0] ?? NaN],
        [means[1] ?? NaN, means[1] ?? NaN],
        [means[2] ?? NaN, means[2] ?? NaN],
      ],
      [ICE, BOILING, ROOM].map((readings) => {
        const mean = meanOf(readings);
        const repeats = readings.reduce((sum, one) => sum + (one - mean) ** 2, 0) / 6;
        return Math.sqrt(DEGREE ** 2 + repeats);
      }),
    );
    const perBoiling = ((means[2] ?? NaN) - (means[0] ?? NaN)) / ((means[1] ?? NaN) - (means[0] ?? NaN));
    const weather = perBoiling * rectangle(0.8);
    const altitude = perBoiling * rectangle(10) * 0.0033;
    expect(standardOf(found)).toBeCloseTo(Math.hypot(reading, weather, altitude), 4);
  });

  it('says the same in kelvin', () => {
    expect(run.cellAt('kelvin', {})).toMatchObject({ text: '294.6' });
  });
});
