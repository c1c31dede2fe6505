import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../simulation/random.ts';
import type { GroupResult } from './group-result.ts';
import { pool } from './pool.ts';

const result = (
  group: string,
  value: number,
  own: number,
  tools: Readonly<Record<string, number>> = {},
  given: Readonly<Record<string, number>> = {},
): GroupResult => ({ group, value, variance: { own, tools, given } });

describe('results of groups put together', () => {
  it('by hand: the own parts shrink with their number, what one balance adds does not', () => {
    // Four groups, own 0.2 each, one balance with 0.1 for all.
    const { summary, together } = pool(
      [8.6, 8.7, 8.8, 8.7].map((value, i) => result(`g${i}`, value, 0.04, { 'B-02': 0.01 })),
    );
    expect(summary.mean).toBeCloseTo(8.7, 12);
    expect(together?.value).toBeCloseTo(8.7, 12);
    expect(together?.own).toBeCloseTo(0.1, 12);
    expect(together?.shared).toEqual([
      { kind: 'tool', name: 'B-02', standard: expect.closeTo(0.1, 12) as number, groups: 4 },
    ]);
    expect(together?.standard).toBeCloseTo(Math.hypot(0.1, 0.1), 12);
    expect(together?.betweenGroups).toBe(0);
  });

  it('a tool counts by the weight of those who used it; a given value that all share counts whole', () => {
    const { together } = pool([
      result('a', 5, 0.01, { 'B-01': 0.09 }, { water: 0.04 }),
      result('b', 5.05, 0.01, { 'B-02': 0.09 }, { water: 0.04 }),
    ]);
    expect(together?.shared).toEqual([
      { kind: 'given', name: 'water', standard: expect.closeTo(0.2, 12) as number, groups: 2 },
      { kind: 'tool', name: 'B-01', standard: expect.closeTo(0.15, 12) as number, groups: 1 },
      { kind: 'tool', name: 'B-02', standard: expect.closeTo(0.15, 12) as number, groups: 1 },
    ]);
  });

  it('is as far off as it says: groups that share a balance, simulated', () => {
    const random = seededRandom(2026);
    const RUNS = 4000;
    let inside = 0;
    for (let i = 0; i < RUNS; i += 1) {
      const balance = 0.15 * random.normal();
      const { together } = pool(
        Array.from({ length: 6 }, (_, group) =>
          result(String(group), 8.7 + balance + 0.2 * random.normal(), 0.04, { 'B-02': 0.0225 }),
        ),
      );
      if (together && Math.abs(together.value - 8.7) < 1.96 * together.standard) inside += 1;
    }
    // A little more than 95 %: what lies between groups is never found below 0.
    expect(inside / RUNS).toBeGreaterThan(0.94);
    expect(inside / RUNS).toBeLessThan(0.98);
  });

  it('names who lies off', () => {
    const values = [8.62, 8.71, 8.66, 8.7, 7.2, 8.69];
    const { together } = pool(values.map((value, i) => result(`g${i}`, value, 0.0025)));
    expect(together?.disagreeing).toEqual(['g4']);
    expect(together?.betweenGroups).toBeGreaterThan(0.4);
  });

  it('sees groups without an uncertainty, and counts them in nothing but the mean', () => {
    const without: GroupResult = { group: 'c', value: 12, variance: null };
    const { summary, together } = pool([result('a', 8.6, 0.01), result('b', 8.8, 0.01), without]);
    expect(summary.n).toBe(3);
    expect(together?.value).toBeCloseTo(8.7, 12);
    expect(together?.left).toEqual(['c']);
    expect(pool([without]).together).toBeNull();
  });

  it('of one group is its own result: no spread, no NaN', () => {
    const { summary, together } = pool([result('a', 8.7, 0.04, { 'B-02': 0.01 })]);
    expect(summary.sampleStandardDeviation).toBeNull();
    expect(together).toMatchObject({ value: 8.7, betweenGroups: 0, disagreeing: [] });
    expect(together?.standard).toBeCloseTo(Math.sqrt(0.05), 12);
  });

  it('takes a part below 0 for nothing', () => {
    const { together } = pool([result('a', 8.7, -0.01), result('b', 8.7, 0, { 'B-02': -0.5 })]);
    expect(together).toMatchObject({ value: 8.7, own: 0, shared: [], standard: 0 });
  });

  it('needs a result', () => {
    expect(() => pool([])).toThrow(/^values: at least one/);
    expect(() => pool([result('a', NaN, 1)])).toThrow(/^values\[0\]: NaN/);
  });
});
