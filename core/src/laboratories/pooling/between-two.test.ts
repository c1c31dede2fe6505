import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../simulation/random.ts';
import { betweenTwo, pairsApart } from './between-two.ts';
import type { GroupResult } from './group-result.ts';

const result = (
  value: number,
  own: number,
  tools: Readonly<Record<string, number>> = {},
  given: Readonly<Record<string, number>> = {},
): GroupResult => ({ group: 'g', value, variance: { own: own ** 2, tools, given } });

describe('two results side by side', () => {
  it('by hand: own uncertainties add in quadrature', () => {
    const found = betweenTwo(result(8.7, 0.03), result(8.62, 0.04));
    expect(found.difference).toBeCloseTo(0.08, 12);
    expect(found.standard).toBeCloseTo(0.05, 12);
    expect(found.agree).toBe(true);
    expect(betweenTwo(result(8.7, 0.03), result(8.59, 0.04)).agree).toBe(false);
  });

  it('one balance for both cancels; two balances do not', () => {
    const same = betweenTwo(result(8.7, 0.03, { 'B-01': 0.01 }), result(8.5, 0.04, { 'B-01': 0.01 }));
    expect(same.standard).toBeCloseTo(0.05, 12);
    expect(same.agree).toBe(false);
    const two = betweenTwo(result(8.7, 0.03, { 'B-01': 0.01 }), result(8.5, 0.04, { 'B-02': 0.01 }));
    expect(two.standard).toBeCloseTo(Math.sqrt(0.0025 + 0.02), 12);
    expect(two.agree).toBe(true);
  });

  it('what a tool adds to one more than to the other stays as their difference', () => {
    const found = betweenTwo(result(9, 0, { 'Z-01': 0.09 }), result(8, 0, { 'Z-01': 0.04 }));
    expect(found.standard).toBeCloseTo(0.1, 12);
  });

  it('without an uncertainty nothing can be said; the difference is still there', () => {
    const unknown: GroupResult = { group: 'g', value: 8, variance: null };
    expect(betweenTwo(unknown, result(9, 0.1))).toEqual({ difference: -1, standard: null, agree: null });
  });

  it('parts below zero never make it no number', () => {
    const odd: GroupResult = { group: 'g', value: 8, variance: { own: -0.01, tools: { t: -1 }, given: {} } };
    expect(betweenTwo(odd, odd)).toEqual({ difference: 0, standard: 0, agree: true });
  });

  it('is as uncertain as groups that share a balance turn out to differ', () => {
    const random = seededRandom(515);
    const differences = Array.from({ length: 20_000 }, () => {
      const balance = 0.5 * random.normal();
      const measured = (own: number): number => 8 + balance + own * random.normal();
      return measured(0.03) - measured(0.04);
    });
    const spread = Math.sqrt(differences.reduce((sum, one) => sum + one ** 2, 0) / differences.length);
    const { standard } = betweenTwo(result(8, 0.03, { b: 0.25 }), result(8, 0.04, { b: 0.25 }));
    expect(spread / (standard ?? NaN)).toBeGreaterThan(0.97);
    expect(spread / (standard ?? NaN)).toBeLessThan(1.03);
  });
});

describe('groups in pairs', () => {
  const groups = (values: readonly number[]) =>
    values.map((value, i) => ({ group: String.fromCharCode(65 + i), value }));

  it('lie as far apart as they can all at once', () => {
    expect(pairsApart(groups([8.1, 8.9, 8.3, 8.7]))).toEqual([
      ['A', 'D'],
      ['C', 'B'],
    ]);
  });

  it('of an odd number leave the one in the middle over', () => {
    expect(pairsApart(groups([1, 2, 3, 4, 5]))).toEqual([
      ['A', 'D'],
      ['B', 'E'],
    ]);
  });

  it.each([[[]], [[1]]])('of %j there are none', (values) => {
    expect(pairsApart(groups(values))).toEqual([]);
  });
});
