import { describe, expect, it } from 'vitest';
import { summarise } from '../statistics/summarise.ts';
import { seededRandom } from './random.ts';

const sample = (seed: number, count: number): number[] => {
  const random = seededRandom(seed);
  return Array.from({ length: count }, () => random.uniform());
};

describe('a seeded source', () => {
  it('repeats itself from the same seed and not from the next', () => {
    expect(sample(7, 20)).toEqual(sample(7, 20));
    expect(sample(7, 20)).not.toEqual(sample(8, 20));
    expect(sample(7, 20)).not.toEqual(sample(7 + 2 ** 32, 20));
  });

  it('is uniform in [0, 1): chi-squared over a hundred bins stays within its 99.9 % limits', () => {
    const bins = new Array<number>(100).fill(0);
    for (const value of sample(1, 100_000)) bins[Math.floor(value * 100)]! += 1;
    const chi = bins.reduce((sum, count) => sum + (count - 1000) ** 2 / 1000, 0);
    expect(chi).toBeGreaterThan(60);
    expect(chi).toBeLessThan(149);
  });

  it('has no memory from one draw to the next', () => {
    const values = sample(3, 50_000);
    const products = values.slice(1).map((value, i) => (value - 0.5) * (values[i]! - 0.5));
    expect(Math.abs(summarise(products).mean) * 12).toBeLessThan(4 / Math.sqrt(50_000));
  });

  it('gives standard normals: mean, spread, and the share within one and two', () => {
    const random = seededRandom(11);
    const values = Array.from({ length: 100_000 }, () => random.normal());
    const { mean, sampleStandardDeviation } = summarise(values);
    const within = (limit: number): number => values.filter((value) => Math.abs(value) < limit).length / values.length;
    expect(Math.abs(mean)).toBeLessThan(0.013);
    expect(sampleStandardDeviation).toBeCloseTo(1, 1);
    expect(within(1)).toBeCloseTo(0.6827, 2);
    expect(within(2)).toBeCloseTo(0.9545, 2);
  });

  it('picks and counts within bounds, and reaches every one', () => {
    const random = seededRandom(5);
    const counts = new Set(Array.from({ length: 300 }, () => random.below(6)));
    expect([...counts].sort()).toEqual([0, 1, 2, 3, 4, 5]);
    expect(new Set(Array.from({ length: 100 }, () => random.pick(['a', 'b', 'c'])))).toEqual(new Set(['a', 'b', 'c']));
  });

  it.each([-1, 0.5, NaN, Infinity, 2 ** 53])('refuses the seed %d by name', (seed) => {
    expect(() => seededRandom(seed)).toThrow(/^seed: /);
  });
});
