import { accuracyAndPrecision } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { AT_FIRST, BOUNDS, readingsOf, TRUTH, within } from './readings.ts';
import { verdictInWords } from './verdict-in-words.ts';

const titleOf = (readings: readonly number[], tolerance = 0.1): string =>
  verdictInWords(accuracyAndPrecision(readings, TRUTH, tolerance)).title;

describe('readings of a tool that is dragged', () => {
  it('move with it and keep their luck', () => {
    const [before, after] = [readingsOf(AT_FIRST, 3), readingsOf({ ...AT_FIRST, bias: AT_FIRST.bias + 0.1 }, 3)];
    before.forEach((value, i) => expect(after[i]! - value).toBeCloseTo(0.1, 1));
    expect(readingsOf(AT_FIRST, 3)).toEqual(before);
    expect(readingsOf(AT_FIRST, 4)).not.toEqual(before);
  });
  it('are as many as asked for, to a hundredth', () => {
    for (const count of [1, 2, 60]) expect(readingsOf({ ...AT_FIRST, count }, 1)).toHaveLength(count);
    expect(readingsOf(AT_FIRST, 1).every((value) => Math.abs(value * 100 - Math.round(value * 100)) < 1e-9)).toBe(true);
  });
  it('stay on the picture, wherever the mark is dragged', () => {
    const all = [BOUNDS.bias.least, BOUNDS.bias.most].flatMap((bias) =>
      readingsOf({ bias, scatter: BOUNDS.scatter.most, count: 60, tolerance: 0.1 }, 9),
    );
    expect(all.every(Number.isFinite)).toBe(true);
    expect(within(9, BOUNDS.bias)).toBe(0.5);
    expect(within(-9, BOUNDS.tolerance)).toBe(0.02);
    expect(within(0.123, BOUNDS.scatter)).toBe(0.125);
  });
});

describe('what is said of them', () => {
  it('keeps accurate and precise apart', () => {
    expect(titleOf([10.01, 9.99, 10, 10.01, 9.99])).toBe('Accurate and precise');
    expect(titleOf([10.31, 10.29, 10.3, 10.31])).toBe('Precise, and wrong every time');
    expect(titleOf([10.2, 9.8, 10.1, 9.9, 10.15, 9.85, 10.18, 9.82, 10.02, 9.98, 10.1, 9.9])).toBe(
      'Accurate on average, and not precise',
    );
    expect(titleOf([10.9, 10.5, 10.7, 10.4])).toBe('Neither accurate nor precise');
  });
  it('says when it is too early to say', () => {
    expect(titleOf([10.2, 9.9])).toBe('Not precise. Accurate is still open');
    expect(titleOf([10.07, 10.1, 10.12])).toBe('Precise. Accurate is still open');
    expect(titleOf([10.02])).toBe('One reading tells neither');
  });
  it('names the error and what helps: more readings never mend a bias', () => {
    const said = verdictInWords(accuracyAndPrecision([10.31, 10.29, 10.3, 10.31], TRUTH, 0.1)).sentences.join(' ');
    expect(said).toContain('0.30 mL too high');
    expect(said).toContain('systematic error. More readings do not mend it.');
  });
});
