import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation/random.ts';
import { contrast } from './contrast.ts';

const firstOf = (n: number, k: number): boolean[] => Array.from({ length: n }, (_, i) => i < k);

describe('results with something against those without', () => {
  it('three lowest of twelve: two of 220 ways part them so far, to either side', () => {
    const values = [1, 2, 3, 11, 12, 13, 14, 15, 16, 17, 18, 19];
    const { difference, chance, ways } = contrast(values, firstOf(12, 3));
    expect(ways).toBe(220);
    // Only the three lowest lie so far below; the three highest lie less far above.
    expect(chance).toBeCloseTo(1 / 220, 12);
    expect(difference).toBeCloseTo(2 - 15, 12);
  });

  it('takes as far to the other side for as far', () => {
    const { chance, ways } = contrast([-3, -2, -1, 1, 2, 3], firstOf(6, 3));
    expect([ways, chance]).toEqual([20, 2 / 20]);
  });

  it('has the interval of Welch, worked by hand', () => {
    // Means 2 and 5, each with the variance 1 ÷ 3: t with 4 is 2.776.
    const { interval } = contrast([1, 2, 3, 4, 5, 6], firstOf(6, 3));
    const half = 2.7764451 * Math.sqrt(2 / 3);
    expect(interval?.[0]).toBeCloseTo(-3 - half, 6);
    expect(interval?.[1]).toBeCloseTo(-3 + half, 6);
  });

  it('of equal results is chance itself, and has no interval', () => {
    expect(contrast([5, 5, 5, 5], firstOf(4, 2))).toEqual({ difference: 0, interval: null, chance: 1, ways: 6 });
    expect(contrast([1, 5, 6], firstOf(3, 1)).interval).toBeNull();
  });

  it('deals by chance where there are too many ways, and comes to the same', () => {
    const random = seededRandom(35);
    const values = Array.from({ length: 30 }, (_, i) => random.normal() + (i < 15 ? 0.6 : 0));
    const dealt = contrast(values, firstOf(30, 15));
    expect(dealt.ways).toBe(100_000);
    expect(dealt).toEqual(contrast(values, firstOf(30, 15)));
    // The normal distribution that so many ways come near.
    const mean = values.reduce((sum, value) => sum + value) / 30;
    const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / 29;
    const z = Math.abs(dealt.difference) / Math.sqrt(variance * (2 / 15));
    const tail = Math.exp(-(z ** 2) / 2) / (z * Math.sqrt(2 * Math.PI));
    expect(dealt.chance).toBeGreaterThan(0.5 * tail);
    expect(dealt.chance).toBeLessThan(2.5 * tail);
  });

  it('is below 5 % in at most five of a hundred classes where nothing is the matter', () => {
    const random = seededRandom(12);
    const CLASSES = 3000;
    const found = Array.from({ length: CLASSES }, () =>
      contrast(
        Array.from({ length: 10 }, () => random.normal() ** 3),
        firstOf(10, 4),
      ),
    ).filter(({ chance }) => chance <= 0.05).length;
    expect(found / CLASSES).toBeLessThan(0.05 + 4 * Math.sqrt((0.05 * 0.95) / CLASSES));
  });

  it('needs some with and some without', () => {
    expect(() => contrast([1, 2], [true, true])).toThrow(/^has: 2 of 2/);
    expect(() => contrast([1, 2], [false, false])).toThrow(/^has: 0 of 2/);
    expect(() => contrast([1, NaN], [true, false])).toThrow(/values\[1\]: NaN/);
  });
});
