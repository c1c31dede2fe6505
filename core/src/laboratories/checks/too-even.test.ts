import fCdf from '@stdlib/stats-base-dists-f-cdf';
import { describe, expect, it } from 'vitest';
import { completeRules } from '../../rules/house-rules.ts';
import { seededRandom } from '../../simulation/random.ts';
import { settingOf, type Setting } from '../engine/setting.ts';
import { runFromRows } from '../run/run-from-rows.ts';
import { SOLID_BY_DIMENSIONS } from '../shipped/solid-by-dimensions.ts';
import { tooEven } from './too-even.ts';

const RULES = completeRules();

/** A run in which one length was read at several trials. */
function read(values: readonly string[]): Setting {
  const rows = values.map((text, i) => ({ quantity: 'length', members: { position: String(i + 1) }, text }));
  return settingOf(LENGTHS, runFromRows(LENGTHS, rows), RULES);
}

const LENGTHS = {
  ...SOLID_BY_DIMENSIONS,
  options: [],
  dimensions: [{ kind: 'repeat', id: 'position', name: 'Trial', least: 2, most: 20 }],
  quantities: [
    {
      kind: 'read',
      id: 'length',
      name: 'Length',
      symbol: 'l',
      unit: 'mm',
      over: ['position'],
      tools: { kinds: ['ruler-millimetre'] },
    },
  ],
  results: [],
  comparisons: [],
  checks: [],
} as const;

const drawn = (random: ReturnType<typeof seededRandom>, count: number, scatter: number): Setting =>
  read(Array.from({ length: count }, () => (42 + scatter * random.normal()).toFixed(1)));

describe('repeats that are too even', () => {
  it('reckons with Fisher’s F: the upper 1 % point for 10 and 10 degrees of freedom is 4.849 (Abramowitz & Stegun 1964, Table 26.9)', () => {
    expect(fCdf(4.849, 10, 10)).toBeCloseTo(0.99, 4);
    expect(fCdf(1 / 4.849, 10, 10)).toBeCloseTo(0.01, 4);
  });

  it('names the group whose repeats are all the same, and says by how much', () => {
    const random = seededRandom(4);
    const groups = [
      ...Array.from({ length: 5 }, () => drawn(random, 6, 0.3)),
      read(['42.0', '42.0', '42.0', '42.0', '42.0', '42.0']),
    ];
    const found = tooEven(groups);
    expect(found.slice(0, 5)).toEqual([[], [], [], [], []]);
    expect(found[5]).toMatchObject([{ quantity: 'length', name: 'Length', unit: 'mm', own: 0 }]);
    expect(found[5]?.[0]?.others).toBeGreaterThan(0.2);
  });

  it('names a group by chance in at most two classes of a hundred', () => {
    const random = seededRandom(99);
    let named = 0;
    for (let i = 0; i < 400; i += 1)
      if (tooEven(Array.from({ length: 8 }, () => drawn(random, 5, 0.3))).some((one) => one.length > 0)) named += 1;
    expect(named / 400).toBeLessThanOrEqual(0.02);
  });

  it('says nothing of three repeats, of two groups, or where nobody’s repeats scatter', () => {
    const random = seededRandom(1);
    const same = (count: number): Setting => read(Array.from({ length: count }, () => '42.0'));
    expect(tooEven([drawn(random, 3, 0.5), drawn(random, 3, 0.5), same(3)])).toEqual([[], [], []]);
    expect(tooEven([drawn(random, 8, 0.5), same(8)])).toEqual([[], []]);
    expect(tooEven([same(8), same(8), same(8)])).toEqual([[], [], []]);
    expect(tooEven([])).toEqual([]);
  });

  it('leaves out what nobody can read', () => {
    const random = seededRandom(2);
    const groups = [drawn(random, 6, 0.3), drawn(random, 6, 0.3), read(['42', '?', 'x', '42.1', '42.0', ''])];
    expect(tooEven(groups)).toEqual([[], [], []]);
  });
});
