import { describe, expect, it } from 'vitest';
import { byDifferences, meanOf, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { HOLLOW_BODY } from './hollow-body.ts';

const OUTER = [20.02, 20.0, 20.02, 20.04, 20.02];
const BORE = [16.04, 16.02, 16.06, 16.04, 16.02];
const LENGTH = [30.1, 30.08, 30.1, 30.12, 30.1];
const DEPTH = [26.02, 25.98, 26.04, 26.0, 26.02];
const MASS = [36.06, 36.06, 36.07, 36.06, 36.06];
const [MM, G] = [rectangle(0.01), rectangle(0.01)];

const cylinder = (d: number, h: number): number => (Math.PI * (d / 20) ** 2 * h) / 10;
const metal = ([o = 0, b = 0, l = 0, t = 0]: readonly number[]): number => cylinder(o, l) - cylinder(b, t);

describe('how much metal is in it?', () => {
  const run = workedSample(HOLLOW_BODY);
  const repeats = [OUTER, BORE, LENGTH, DEPTH];

  it('finds the metal, less well known than the outer volume and the hollow', () => {
    const found = resultOf(run, 'metal');
    expect(found.value).toBeCloseTo(metal(repeats.map(meanOf)), 9);
    expect(standardOf(found) / byDifferences(metal, repeats, [MM, MM, MM, MM])).toBeCloseTo(1, 5);
    expect(standardOf(found)).toBeGreaterThan(standardOf(resultOf(run, 'outerVolume')));
    expect(standardOf(found)).toBeGreaterThan(standardOf(resultOf(run, 'hollow')));
  });

  it('finds a density that agrees with brass', () => {
    const found = resultOf(run, 'density');
    const f = (values: readonly number[]): number => (values[4] ?? NaN) / metal(values);
    expect(found.value).toBeCloseTo(f([...repeats, MASS].map(meanOf)), 9);
    expect(standardOf(found) / byDifferences(f, [...repeats, MASS], [MM, MM, MM, MM, G])).toBeCloseTo(1, 5);
    expect(found.comparison).toMatchObject({ agrees: true });
  });
});
