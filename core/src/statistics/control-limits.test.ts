import { describe, expect, it } from 'vitest';
import { checkError, checkZeroError, hasZeroError } from './check-mass.ts';
import { controlLimits, judgeCheck } from './control-limits.ts';

describe('limits of a control chart', () => {
  it('come from the tolerance while there are few checks', () => {
    expect(controlLimits([0.01, -0.01], 0.03, 0.01)).toEqual({
      centre: 0,
      warning: 0.02,
      action: 0.03,
      from: 'tolerance',
    });
    expect(controlLimits([], 0.03, 0.01).from).toBe('tolerance');
  });

  it('are two and three standard deviations about the mean of many', () => {
    // Mean 0.02; squares of deviations sum to 0.0072, so s = sqrt(0.0072 ÷ 7).
    const errors = [0.05, -0.01, 0.05, -0.01, 0.05, -0.01, 0.05, -0.01];
    const { centre, warning, action, from } = controlLimits(errors, 0.03, 0.01);
    expect([centre, from]).toEqual([expect.closeTo(0.02, 12), 'checks']);
    expect(warning).toBeCloseTo(2 * Math.sqrt(0.0072 / 7), 12);
    expect(action).toBeCloseTo(3 * Math.sqrt(0.0072 / 7), 12);
  });

  it('stay where the first eight put them, so that a drift shows', () => {
    const first = [0.01, -0.01, 0, 0.01, -0.01, 0, 0, 0];
    const drifting = [...first, 0.02, 0.03, 0.05];
    expect(controlLimits(drifting, 0.03, 0.01)).toEqual(controlLimits(first, 0.03, 0.01));
    expect(judgeCheck(0.05, controlLimits(drifting, 0.03, 0.01))).toBe('action');
  });

  it('are no narrower than the last digit allows', () => {
    expect(controlLimits(Array<number>(10).fill(0), 0.01, 0.01).warning).toBeCloseTo(0.02 / Math.sqrt(12), 12);
  });

  it('judge an error by the limit it is beyond; on a limit is inside', () => {
    const limits = controlLimits([], 0.03, 0.01);
    expect([0, 0.02, -0.02, 0.021, -0.03, 0.031].map((error) => judgeCheck(error, limits))).toEqual([
      'inside',
      'inside',
      'inside',
      'warning',
      'warning',
      'action',
    ]);
  });
});

describe('a check with a standard mass', () => {
  it('gives what was read less what should have been', () => {
    expect(checkError('digital-balance-hundredth', { nominal: 100, reading: 100.03 })).toBe(0.03);
    expect(checkError('beam-balance-tenth', { nominal: 500, reading: 499.8 })).toBe(-0.2);
  });

  it.each([
    ['nominal', 'digital-balance-hundredth', 500, 500],
    ['nominal', 'digital-balance-hundredth', 0, 0],
    ['nominal', 'cylinder-50', 10, 10],
    ['reading', 'digital-balance-hundredth', 100, 10],
    ['reading', 'digital-balance-hundredth', 100, Number.NaN],
  ])('names the %s that cannot be: %s, %d, %d', (field, id, nominal, reading) => {
    expect(() => checkError(id, { nominal, reading })).toThrow(new RegExp(`^${field}: `));
  });

  it('a zero error is a few divisions at most, on tools that can have one', () => {
    expect(checkZeroError('micrometer-hundredth', -0.03)).toBe(-0.03);
    expect(() => checkZeroError('micrometer-hundredth', 3)).toThrow(/^zeroError: /);
    expect([hasZeroError('caliper-tenth'), hasZeroError('digital-balance-gram'), hasZeroError('burette-50')]).toEqual([
      true,
      true,
      false,
    ]);
  });
});
