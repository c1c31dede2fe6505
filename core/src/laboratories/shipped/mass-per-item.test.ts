import { describe, expect, it } from 'vitest';
import { errorOfMean, meanOf, ofIndependent, rectangle, resultOf, standardOf, workedSample } from './by-hand.ts';
import { MASS_PER_ITEM } from './mass-per-item.ts';

const COUNT = [5, 10, 20, 30];
const MASS = [
  [22.64, 22.65],
  [35.19, 35.18],
  [60.21, 60.22],
  [85.3, 85.29],
];
const G = rectangle(0.01);

/** The line at a count, by the normal equations. */
function lineAt(masses: readonly number[], count: number): number {
  const n = COUNT.length;
  const [sx, sy] = [COUNT, masses].map((list) => list.reduce((a, b) => a + b)) as [number, number];
  const sxx = COUNT.reduce((sum, one) => sum + one * one, 0);
  const sxy = COUNT.reduce((sum, one, i) => sum + one * (masses[i] ?? NaN), 0);
  const slope = (n * sxy - sx * sy) / (n * sxx - sx * sx);
  return (sy - slope * sx) / n + slope * count;
}

describe('what does one weigh?', () => {
  const run = workedSample(MASS_PER_ITEM);
  const masses = MASS.map(meanOf);
  const own = MASS.map((pair) => Math.hypot(errorOfMean(pair), G));
  const residuals = masses.map((mass, i) => mass - lineAt(masses, COUNT[i] ?? NaN));
  const about = residuals.reduce((sum, one) => sum + one * one, 0) / (COUNT.length - 2);
  const centre = meanOf(COUNT);
  const sxx = COUNT.reduce((sum, one) => sum + (one - centre) ** 2, 0);

  it('finds the mass of one washer', () => {
    const found = resultOf(run, 'each');
    const slope = (list: readonly number[]): number => lineAt(list, 1) - lineAt(list, 0);
    expect(found.value).toBeCloseTo(slope(masses), 10);
    expect(standardOf(found)).toBeCloseTo(Math.hypot(Math.sqrt(about / sxx), ofIndependent(slope, masses, own)), 8);
  });

  it('predicts what forty weigh, by the line’s own uncertainty there', () => {
    const found = resultOf(run, 'expected');
    const at40 = (list: readonly number[]): number => lineAt(list, 40);
    const scatter = about * (1 / COUNT.length + (40 - centre) ** 2 / sxx);
    expect(found.value).toBeCloseTo(at40(masses), 9);
    expect(standardOf(found)).toBeCloseTo(Math.hypot(Math.sqrt(scatter), ofIndependent(at40, masses, own)), 8);
    expect(run.comparisons[0]).toMatchObject({ pairs: [{ agree: true }] });
  });

  it('tells the scatter about the line once, although slope and intercept both have it', () => {
    const budget = resultOf(run, 'expected').methods[0]?.budget ?? [];
    expect(budget.filter(({ label }) => label.kind === 'line')).toHaveLength(1);
    expect(budget.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 12);
  });
});
