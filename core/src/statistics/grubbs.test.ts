import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation/random.ts';
import { grubbs } from './grubbs.ts';

describe('Grubbs’ test', () => {
  it.each([
    [4, 1.481],
    [5, 1.715],
    [6, 1.887],
    [7, 2.02],
    [8, 2.126],
    [9, 2.215],
    [10, 2.29],
    [15, 2.549],
    [20, 2.709],
  ])('has for %i values the critical value %f of the tables (ISO 5725-2:1994, table 5, at 5 %)', (n, critical) => {
    const values = Array.from({ length: n }, (_, i) => i);
    // The tables were worked out with fewer digits: they are off by one in the last at 8, 15 and 20.
    expect(Math.abs(grubbs(values).critical - critical)).toBeLessThan(0.001);
  });

  it('points to the value that lies furthest out', () => {
    const { suspect, G, critical } = grubbs([8.7, 8.8, 8.6, 8.7, 11.9, 8.8]);
    expect(suspect).toBe(4);
    expect(G).toBeGreaterThan(critical);
  });

  it('finds nothing where all values are the same', () => {
    const { G, critical } = grubbs([4.2, 4.2, 4.2, 4.2]);
    expect(G).toBe(0);
    expect(critical).toBeGreaterThan(1);
  });

  it('suspects five in a hundred sets that have no outlier', () => {
    const random = seededRandom(1969);
    const SETS = 20_000;
    const suspected = Array.from({ length: SETS }, () =>
      grubbs(Array.from({ length: 6 }, () => random.normal())),
    ).filter(({ G, critical }) => G > critical).length;
    // Four standard deviations of so many draws either way.
    expect(Math.abs(suspected / SETS - 0.05)).toBeLessThan(4 * Math.sqrt((0.05 * 0.95) / SETS));
  });

  it('needs four values, and names one that is none', () => {
    expect(() => grubbs([1, 2, 2])).toThrow(/^values: 3 are too few/);
    expect(() => grubbs([1, 2, 3, NaN])).toThrow(/^values\[3\]: NaN/);
  });
});
