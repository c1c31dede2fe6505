import { describe, expect, it } from 'vitest';
import { seededRandom } from '../simulation/random.ts';
import { correlation, neighbourCorrelation } from './correlation.ts';
import { line } from './line.ts';

/** Four sets with the same correlation to three digits (Anscombe, Am. Stat. 27 (1973) 17). */
const X = [10, 8, 13, 9, 11, 14, 6, 4, 12, 7, 5];
const FOURTH_X = [8, 8, 8, 8, 8, 8, 8, 19, 8, 8, 8];
const ANSCOMBE = [
  [X, [8.04, 6.95, 7.58, 8.81, 8.33, 9.96, 7.24, 4.26, 10.84, 4.82, 5.68]],
  [X, [9.14, 8.14, 8.74, 8.77, 9.26, 8.1, 6.13, 3.1, 9.13, 7.26, 4.74]],
  [X, [7.46, 6.77, 12.74, 7.11, 7.81, 8.84, 6.08, 5.39, 8.15, 6.42, 5.73]],
  [FOURTH_X, [6.58, 5.76, 7.71, 8.84, 8.47, 7.04, 5.25, 12.5, 5.56, 7.91, 6.89]],
] as const;

describe('a correlation', () => {
  it.each(ANSCOMBE)('of Anscombe’s sets is 0.816', (x, y) => {
    expect(correlation(x, y)).toBeCloseTo(0.8165, 3);
  });

  it('is that of the line: the slope times the scatter of x over that of y', () => {
    const [x, y] = ANSCOMBE[0];
    const spread = (values: readonly number[]): number => {
      const mean = values.reduce((sum, value) => sum + value) / values.length;
      return Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0));
    };
    expect(correlation(x, y)).toBeCloseTo((line(x, y).slope * spread(x)) / spread(y), 12);
  });

  it('is never beyond ±1, and none where nothing varies', () => {
    expect(correlation([0.1, 0.2, 0.3], [1.1, 1.2, 1.3])).toBeLessThanOrEqual(1);
    expect(correlation([1, 2], [5, 3])).toBeCloseTo(-1, 12);
    expect(correlation([1, 1, 1], [1, 2, 3])).toBeNull();
  });

  it('of neighbours that share a reading is −½', () => {
    const random = seededRandom(77);
    // The scale read again and again, and what went in between two readings.
    const readings = Array.from({ length: 40_001 }, (_, i) => 10 * i + random.normal());
    const deliveries = readings.slice(1).map((reading, i) => reading - (readings[i] ?? 0));
    expect(neighbourCorrelation(deliveries)).toBeCloseTo(-0.5, 1);
    const fresh = Array.from({ length: 40_000 }, () => 10 + random.normal());
    expect(Math.abs(neighbourCorrelation(fresh) ?? 1)).toBeLessThan(0.02);
  });

  it('needs two pairs, and neighbours three values', () => {
    expect(() => correlation([1, 2], [1])).toThrow(/^y: 1 values for 2 values of x/);
    expect(() => correlation([1], [1])).toThrow(/^x: 1 is too few/);
    expect(() => correlation([1, 2], [1, Infinity])).toThrow(/^y\[1\]/);
    expect(neighbourCorrelation([1, 2])).toBeNull();
    expect(neighbourCorrelation([2, 2, 2, 2])).toBeNull();
  });
});
