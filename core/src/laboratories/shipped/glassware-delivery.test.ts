import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { GLASSWARE_DELIVERY } from './glassware-delivery.ts';

/** One last digit of the balance; half a division of the thermometer. */
const [DIGIT, DEGREE] = [0.01, 0.5];
const AT_21 = 0.997995;

/** How much a gram’s volume changes by a degree at 21 °C, by a difference of the tables’ densities: 20 °C 0.998207, 22 °C 0.997773. */
const PER_DEGREE = (1 / 0.997773 - 1 / 0.998207) / 2;

describe('which glass delivers best, into a fresh vessel', () => {
  const run = workedSample(GLASSWARE_DELIVERY);
  const masses = {
    beaker: [48.62, 51.16, 47.75, 49.38],
    cylinder: [19.7, 19.8, 19.63, 19.75],
    burette: [19.95, 19.98, 19.95, 19.96],
  };

  it.each(Object.entries(masses))('finds the mean volume of the %s', (tool, mass) => {
    const found = resultOf(run, 'meanVolume', tool);
    const volume = meanOf(mass) / AT_21;
    expect(found.value / volume).toBeCloseTo(1, 6);
    // Both masses are read on one balance, and the temperature is the same for all.
    const standard = Math.hypot(
      errorOfMean(mass) / AT_21,
      (Math.SQRT2 * rectangle(DIGIT)) / AT_21,
      meanOf(mass) * PER_DEGREE * rectangle(DEGREE),
    );
    expect(standardOf(found) / standard).toBeCloseTo(1, 4);
  });

  it('judges and ranks them', () => {
    expect(run.cellAt('error', { tool: 'cylinder' })).toMatchObject({ text: '-0.2' });
    expect(run.cellAt('spread', { tool: 'beaker' })).toMatchObject({ text: '1.5' });
    expect(run.comparisons.map((one) => (one.kind === 'rank' ? one.ranked.map(({ member }) => member) : []))).toEqual([
      ['burette', 'cylinder', 'beaker'],
      ['burette', 'cylinder', 'beaker'],
    ]);
  });
});

describe('which glass delivers best, added on top', () => {
  const run = workedSample(GLASSWARE_DELIVERY, 1);
  const totals = {
    beaker: [61.24, 85.62, 110.24, 133.98, 158.66],
    cylinder: [61.23, 80.93, 100.72, 120.37, 140.14],
    burette: [61.24, 81.19, 101.17, 121.11, 141.08],
  };

  it.each(Object.entries(totals))(
    'finds the mean volume of the %s from the last total and the first',
    (tool, total) => {
      const n = total.length - 1;
      const portions = total.slice(1).map((mass, i) => mass - (total[i] ?? NaN));
      const found = resultOf(run, 'meanVolume', tool);
      const overall = ((total.at(-1) ?? NaN) - (total[0] ?? NaN)) / n;
      expect(found.value / (overall / AT_21)).toBeCloseTo(1, 6);
      const reading = rectangle(DIGIT);
      const scatter = Math.max(0, errorOfMean(portions) ** 2 * n - (2 * reading ** 2 * (n + 1)) / n) / n;
      const standard = Math.hypot(
        Math.sqrt(scatter) / AT_21,
        (Math.SQRT2 * reading) / n / AT_21,
        overall * PER_DEGREE * rectangle(DEGREE),
      );
      expect(standardOf(found) / standard).toBeCloseTo(1, 4);
    },
  );
});

describe('which glass delivers best, the scale against the weighed volume', () => {
  const run = workedSample(GLASSWARE_DELIVERY, 2);

  it('takes air and glass into account (ISO 4787)', () => {
    const perGram = ((1 - 0.0012 / 8) / (AT_21 - 0.0012)) * (1 - 9.9e-6);
    expect(run.cellAt('volumePerMass', { tool: 'cylinder' })).toMatchObject({ text: perGram.toFixed(5) });
    const each = [19.79, 19.48, 19.7].map((mass, i) => ([20.1, 19.8, 20.0][i] ?? NaN) - mass * perGram);
    const found = resultOf(run, 'error', 'cylinder');
    expect(found.value).toBeCloseTo(meanOf(each), 4);
    const standard = Math.hypot(rectangle(0.5), errorOfMean(each), Math.SQRT2 * rectangle(DIGIT) * 1.003);
    expect(standardOf(found)).toBeCloseTo(standard, 4);
  });
});
