import { describe, expect, it } from 'vitest';
import { accuracyAndPrecision } from './accuracy-and-precision.ts';

const judged = (readings: readonly number[], tolerance = 0.1): [string, boolean | null] => {
  const { accurate, precise } = accuracyAndPrecision(readings, 10, tolerance);
  return [accurate, precise];
};

describe('accurate and precise', () => {
  it('are two things: each of the four comes', () => {
    expect(judged([10.01, 9.99, 10, 10.01, 9.99])).toEqual(['within', true]);
    expect(judged([10.31, 10.29, 10.3, 10.31, 10.29])).toEqual(['beyond', true]);
    expect(judged([10.2, 9.8, 10.1, 9.9, 10.15, 9.85, 10.18, 9.82, 10.02, 9.98, 10.1, 9.9])).toEqual(['within', false]);
    expect(judged([10.9, 10.5, 10.7, 10.4])).toEqual(['beyond', false]);
  });
  it('of few readings that scatter it stays open whether the mean is off', () => {
    expect(judged([10.2, 9.9])).toEqual(['open', false]);
    expect(judged([10])).toEqual(['open', null]);
  });
  it('have the interval of Student’s t', () => {
    // s = 0.1, n = 3, t(2) = 4.302653.
    const { half, summary } = accuracyAndPrecision([9.9, 10, 10.1], 10, 0.1);
    expect(half).toBeCloseTo((4.302652729911275 * 0.1) / Math.sqrt(3), 10);
    expect(summary.mean).toBeCloseTo(0, 12);
  });
  it('of readings that are all the same are told by the mean alone', () => {
    expect(judged([10.05, 10.05, 10.05])).toEqual(['within', true]);
    expect(judged([10.15, 10.15])).toEqual(['beyond', true]);
  });
  it('refuse what is not a number or no tolerance', () => {
    expect(() => accuracyAndPrecision([10], 10, 0)).toThrow(/tolerance/);
    expect(() => accuracyAndPrecision([10], NaN, 1)).toThrow(/truth/);
    expect(() => accuracyAndPrecision([], 10, 1)).toThrow(/values/);
  });
});
