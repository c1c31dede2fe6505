import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  decimalsOf,
  labelPassed,
  leadingDigit,
  lastMarkPassed,
  marksOf,
  multipleOf,
  type LinearScale,
} from './linear-scale.ts';

const FINE: LinearScale = { from: 0, to: 10, division: 0.1, labelEvery: 1, mediumEvery: 0.5, direction: 'up' };
const COARSE: LinearScale = { from: 0, to: 50, division: 1, labelEvery: 10, mediumEvery: 5, direction: 'up' };

describe('decimals of a division', () => {
  it.each([
    [1, 0],
    [2, 0],
    [10, 0],
    [0.1, 1],
    [0.5, 1],
    [0.05, 2],
    [0.001, 3],
    [1e-7, 7],
    [2.5e-8, 9],
  ])('%d is written with %d', (division, decimals) => {
    expect(decimalsOf(division)).toBe(decimals);
    expect(Number(division.toFixed(decimals))).toBe(division);
  });
});

describe('the first digit of a division', () => {
  it.each([
    [1, 1],
    [0.1, 1],
    [0.001, 1],
    [10, 1],
    [2, 2],
    [0.02, 2],
    [5, 5],
    [0.5, 5],
    [50, 5],
  ])('%d starts with %d', (division, digit) => {
    expect(leadingDigit(division)).toBe(digit);
  });

  it.each([3, 0.25, 0])('%d is no division of a decimal scale', (division) => {
    expect(() => leadingDigit(division)).toThrow(/^division: /);
  });
});

describe('marks', () => {
  it('stand at every division, with no dust of repeated addition', () => {
    const marks = marksOf(FINE);
    expect(marks).toHaveLength(101);
    expect(marks.map((mark) => String(mark.at)).every((text) => text.length <= 4)).toBe(true);
    expect(marks[3]).toEqual({ at: 0.3, rank: 'short', label: null });
    expect(marks[7]!.at).toBe(0.7);
  });

  it('come in three lengths, and only the long ones are numbered', () => {
    const ranks = marksOf(COARSE)
      .slice(0, 11)
      .map(({ rank }) => rank);
    expect(ranks).toEqual([
      'long',
      'short',
      'short',
      'short',
      'short',
      'medium',
      'short',
      'short',
      'short',
      'short',
      'long',
    ]);
    expect(marksOf(COARSE).flatMap(({ label }) => label ?? [])).toEqual(['0', '10', '20', '30', '40', '50']);
  });

  it('begin and end where the scale does, also when that is not zero', () => {
    const marks = marksOf({ from: 10, to: 40, division: 10, labelEvery: 10, mediumEvery: 10, direction: 'up' });
    expect(marks.map(({ label }) => label)).toEqual(['10', '20', '30', '40']);
  });
});

describe('where a value stands among the marks', () => {
  it.each([
    [FINE, 0.3, 0.3],
    [FINE, 0.69999999999, 0.7],
    [FINE, 4.26, 4.2],
    [COARSE, 36.9, 36],
    [COARSE, 50, 50],
    [COARSE, 0.4, 0],
  ])('the last mark passed: %#', (scale, value, mark) => {
    expect(lastMarkPassed(scale, value)).toBe(mark);
  });

  it.each([
    [COARSE, 36.9, 30],
    [COARSE, 40, 40],
    [COARSE, 9.99, 0],
    [FINE, 4.26, 4],
  ])('the label below: %#', (scale, value, label) => {
    expect(labelPassed(scale, value)).toBe(label);
  });

  it('the last mark passed is never above the value and less than a division below it', () => {
    fc.assert(
      fc.property(fc.constantFrom(FINE, COARSE), fc.double({ min: 0, max: 10, noNaN: true }), (scale, value) => {
        const mark = lastMarkPassed(scale, value);
        expect(mark).toBeLessThanOrEqual(value + 1e-6);
        expect(value - mark).toBeLessThan(scale.division + 1e-6);
        expect(labelPassed(scale, value)).toBeLessThanOrEqual(mark);
      }),
    );
  });

  it('every mark is the last mark passed at itself', () => {
    for (const { at } of marksOf(FINE)) expect(lastMarkPassed(FINE, at)).toBe(at);
  });

  it('multiples are the doubles nearest to their decimals', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 5000 }), (count) => {
        expect(multipleOf(0.1, count)).toBe(Number(`${Math.floor(count / 10)}.${count % 10}`));
      }),
    );
  });
});
