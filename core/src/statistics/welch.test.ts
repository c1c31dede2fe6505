import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation/random.ts';
import { welch } from './welch.ts';

/** Hours of sleep gained (Student, Biometrika 6 (1908) 1). */
const FIRST = [0.7, -1.6, -0.2, -1.2, -0.1, 3.4, 3.7, 0.8, 0, 2];
const SECOND = [1.9, 0.8, 1.1, 0.1, -0.1, 4.4, 5.5, 1.6, 4.6, 3.4];

describe('Welch’s test', () => {
  it('gives for Student’s data what the manual of R gives for them', () => {
    const { t, df, p } = welch(FIRST, SECOND);
    expect(t).toBeCloseTo(-1.8608, 4);
    expect(df).toBeCloseTo(17.776, 3);
    expect(p).toBeCloseTo(0.07939, 5);
  });

  it('of two sets of as many values and one scatter has the degrees of freedom of both together', () => {
    // By hand: means 2 and 5, variances 1 and 1, so t = −3 ÷ √(2 ÷ 3) with 4.
    const { t, df, p } = welch([1, 2, 3], [4, 5, 6]);
    expect(t).toBeCloseTo(-3 / Math.sqrt(2 / 3), 12);
    expect(df).toBeCloseTo(4, 12);
    // Student’s t with 4 in closed form: P(T > t) = ½ − ½·t(t² + 6) ÷ (t² + 4)^(3/2).
    const far = 3 / Math.sqrt(2 / 3);
    expect(p).toBeCloseTo(1 - (far * (far ** 2 + 6)) / (far ** 2 + 4) ** 1.5, 10);
  });

  it('turns its sign with the sets, and nothing else', () => {
    const [one, other] = [welch(FIRST, SECOND), welch(SECOND, FIRST)];
    expect(other).toEqual({ t: -one.t, df: one.df, p: one.p });
  });

  it('keeps the digits of a chance that is very small', () => {
    const { p } = welch([1, 1.001, 0.999, 1.0005], [2, 2.001, 1.999, 2.0005]);
    expect(p).toBeGreaterThan(0);
    expect(p).toBeLessThan(1e-14);
  });

  it('finds a difference in five of a hundred pairs that have none, however their scatters differ', () => {
    const random = seededRandom(1947);
    const PAIRS = 20_000;
    let found = 0;
    for (let i = 0; i < PAIRS; i += 1) {
      const a = Array.from({ length: 5 }, () => random.normal());
      const b = Array.from({ length: 12 }, () => 4 * random.normal());
      if (welch(a, b).p < 0.05) found += 1;
    }
    // The test itself is good to about half a percent with so few values.
    expect(Math.abs(found / PAIRS - 0.05)).toBeLessThan(0.008);
  });

  it('says what it lacks', () => {
    expect(() => welch([1], [1, 2])).toThrow(/^a: 1 is too few/);
    expect(() => welch([1, 2], [])).toThrow(/^b: 0 is too few/);
    expect(() => welch([3, 3], [4, 4])).toThrow(/no scatter to compare with/);
    expect(() => welch([1, NaN], [1, 2])).toThrow(/values\[1\]: NaN/);
  });
});
