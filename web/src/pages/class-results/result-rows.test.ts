import type { ClassResults, GroupToPool, ResultToPool } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { acceptedByAll, comparedResults, standardOf } from './result-rows.ts';

const result = (value: number, more: Partial<ResultToPool> = {}): ResultToPool => ({
  quantity: 'meanDensity',
  members: {},
  name: 'Mean density',
  unit: 'g/mL',
  value,
  place: -1,
  variance: { own: 0.09, tools: { 'B-02': 0.16 }, given: {} },
  accepted: { least: 8.7, most: 8.9 },
  ...more,
});
const group = (letter: string, results: readonly ResultToPool[]): GroupToPool => ({
  letter,
  names: null,
  runId: null,
  isOwn: false,
  isHandedIn: true,
  tools: [],
  choices: {},
  compared: [],
  results,
});
const found = (groups: readonly GroupToPool[]): ClassResults => ({
  title: 'Density by displacement',
  specimen: 'Nickel washers',
  groups,
  pairs: [],
  without: 0,
  options: [],
});

describe('what can be compared', () => {
  it('has the groups from the lowest to the highest', () => {
    const [density] = comparedResults(found([group('A', [result(8.9)]), group('B', [result(8.6)])]));
    expect(density?.rows.map((row) => row.group.letter)).toEqual(['B', 'A']);
    expect(density?.name).toBe('Mean density');
  });

  it('keeps apart what is another quantity, another member, or in another unit', () => {
    const results = [
      result(8.9),
      result(1, { quantity: 'volume' }),
      result(2, { members: { method: 'fine' } }),
      result(8900, { unit: 'kg/m^3' }),
    ];
    const compared = comparedResults(found([group('A', results), group('B', [result(8.6)])]));
    expect(compared.map(({ rows }) => rows.length)).toEqual([2, 1, 1, 1]);
  });

  it('leaves out what is no number', () => {
    expect(comparedResults(found([group('A', [result(NaN), result(Infinity)])]))).toEqual([]);
  });

  it('knows an uncertainty from all its parts, and none where there is none', () => {
    expect(standardOf(result(8.9))).toBeCloseTo(0.5, 12);
    expect(standardOf(result(8.9, { variance: null }))).toBeNull();
    expect(standardOf(result(8.9, { variance: { own: -1, tools: {}, given: { water: 0.5 } } }))).toBe(0);
  });

  it('has an accepted value where all compared with the same', () => {
    const of = (...accepted: ResultToPool['accepted'][]): ReturnType<typeof acceptedByAll> => {
      const groups = accepted.map((one, i) => group(String(i), [result(8 + i, { accepted: one })]));
      const [compared] = comparedResults(found(groups));
      return compared ? acceptedByAll(compared) : null;
    };
    const nickel = { least: 8.7, most: 8.9 };
    expect(of(nickel, { ...nickel })).toEqual(nickel);
    expect(of(nickel, { least: 7, most: 7 })).toBeNull();
    expect(of(nickel, null)).toBeNull();
    expect(of(null, nickel)).toBeNull();
  });
});
