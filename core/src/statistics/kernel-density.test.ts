import { describe, expect, it } from 'vitest';
import { bandwidth, kernelDensity } from './kernel-density.ts';

/** Area under a curve, by Simpson’s rule. */
function area(curve: (at: number) => number, from: number, to: number, parts = 2000): number {
  const h = (to - from) / parts;
  const inner = Array.from({ length: parts - 1 }, (_, i) => (i % 2 === 0 ? 4 : 2) * curve(from + (i + 1) * h));
  return (h / 3) * (curve(from) + curve(to) + inner.reduce((sum, one) => sum + one, 0));
}

describe('a density as a smooth curve', () => {
  it('of one value is the normal curve over it', () => {
    const curve = kernelDensity([3], 2);
    // 1 ÷ (2·√(2π)), and e^(−1/2) of it one width beside.
    expect(curve(3)).toBeCloseTo(0.19947114020071635, 15);
    expect(curve(5)).toBeCloseTo(0.12098536225957168, 15);
  });
  it('has an area of one, and the mean of the values', () => {
    const values = [27.4, 27.52, 27.53, 27.61, 27.9];
    const curve = kernelDensity(values, 0.05);
    expect(area(curve, 26.5, 29)).toBeCloseTo(1, 9);
    expect(area((at) => at * curve(at), 26.5, 29)).toBeCloseTo(27.592, 7);
  });
  it('refuses nothing, what is not finite, and no width', () => {
    expect(() => kernelDensity([], 1)).toThrow(/values/);
    expect(() => kernelDensity([1, Infinity], 1)).toThrow(RangeError);
    expect(() => kernelDensity([1], 0)).toThrow(/width/);
  });
});

describe('how wide each value is smeared', () => {
  it('is Silverman’s rule', () => {
    // 1 to 8: s = √6, quartiles 2.75 and 6.25, so 3.5 ÷ 1.34 = 2.6119 is the larger; 0.9·2.449490·8^(−0.2) = 1.454452.
    expect(bandwidth([1, 2, 3, 4, 5, 6, 7, 8], 0)).toBeCloseTo(0.9 * Math.sqrt(6) * 8 ** -0.2, 12);
    expect(bandwidth([1, 2, 3, 4, 5, 6, 7, 8], 0)).toBeCloseTo(1.45445, 4);
  });
  it('goes by the quartiles where a few lie far out, and by s where half are the same', () => {
    expect(bandwidth([1, 2, 3, 4, 5, 6, 7, 100], 0)).toBeCloseTo((0.9 * 3.5 * 8 ** -0.2) / 1.34, 12);
    expect(bandwidth([5, 5, 5, 5, 5, 5, 5, 6], 0)).toBeGreaterThan(0);
  });
  it('is never below what is asked: equal values, or one, have none', () => {
    expect(bandwidth([5, 5, 5], 0.01)).toBe(0.01);
    expect(bandwidth([5], 0.01)).toBe(0.01);
  });
});
