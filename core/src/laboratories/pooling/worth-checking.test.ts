import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../simulation/random.ts';
import { worthChecking, type ResultMadeWith } from './worth-checking.ts';

const made = (
  group: number,
  value: number,
  tools: readonly string[],
  choices: Readonly<Record<string, string>> = {},
): ResultMadeWith => ({ group: `g${group}`, value, tools, choices });

describe('what is worth checking', () => {
  it('a balance that three of twelve groups used, and all three lie low', () => {
    const values = [8.1, 8.15, 8.2, 8.61, 8.72, 8.66, 8.7, 8.69, 8.64, 8.74, 8.68, 8.71];
    const results = values.map((value, i) => made(i, value, [i < 3 ? 'B-02' : 'B-01', 'C-01']));
    const [first, ...others] = worthChecking(results);
    // Who has not the one has the other: that is said once, and which of them is at fault is not.
    expect(first).toMatchObject({
      had: [{ kind: 'tool', name: 'B-02' }],
      against: [{ kind: 'tool', name: 'B-01' }],
      with: ['g0', 'g1', 'g2'],
      isWorthChecking: true,
      ways: 220,
      chance: 1 / 220,
    });
    // The cylinder was everybody’s: nothing can be said of it.
    expect(others).toEqual([]);
  });

  it('what always went together is told together', () => {
    const values = [8.1, 8.15, 8.2, 8.61, 8.72, 8.66, 8.7, 8.69];
    const tools = values.map((_, i) => (i < 3 ? ['B-02', 'C-02'] : i < 6 ? ['B-01'] : ['B-03']));
    const [first, second] = worthChecking(values.map((value, i) => made(i, value, tools[i] ?? [])));
    expect(first).toMatchObject({ had: [{ name: 'B-02' }, { name: 'C-02' }], against: [] });
    expect(second).toMatchObject({ had: [{ name: 'B-01' }], isWorthChecking: false });
  });

  it('nothing that fewer than three had, or had not', () => {
    const results = [1, 2, 3, 4, 5, 6].map((value, i) =>
      made(i, value, [i < 2 ? 'B-02' : 'B-01', i < 4 ? 'C-01' : 'C-02']),
    );
    expect(worthChecking(results)).toEqual([]);
    expect(worthChecking([])).toEqual([]);
  });

  it('a choice of the laboratory, told once where there are two', () => {
    const results = Array.from({ length: 8 }, (_, i) =>
      made(i, i < 4 ? 10 + i / 100 : 11 + i / 100, [], { vessel: i < 4 ? 'fresh' : 'onTop' }),
    );
    const factors = worthChecking(results);
    expect(factors).toHaveLength(1);
    expect(factors[0]).toMatchObject({
      had: [{ kind: 'choice', name: 'vessel', choice: 'fresh' }],
      against: [{ kind: 'choice', name: 'vessel', choice: 'onTop' }],
      isWorthChecking: true,
    });
    expect(factors[0]?.with).toEqual(['g0', 'g1', 'g2', 'g3']);
  });

  it('is wrongly sent to check something in at most one class of twenty, though six tools are looked at', () => {
    const random = seededRandom(20);
    const CLASSES = 1500;
    let sent = 0;
    for (let i = 0; i < CLASSES; i += 1) {
      const results = Array.from({ length: 12 }, (_, group) =>
        made(group, random.normal(), [`B-0${random.below(3)}`, `C-0${random.below(3)}`]),
      );
      if (worthChecking(results).some(({ isWorthChecking }) => isWorthChecking)) sent += 1;
    }
    expect(sent / CLASSES).toBeLessThan(0.05 + 4 * Math.sqrt((0.05 * 0.95) / CLASSES));
  });

  it('finds a balance that is five spreads off in nearly every class', () => {
    const random = seededRandom(21);
    const CLASSES = 300;
    let found = 0;
    for (let i = 0; i < CLASSES; i += 1) {
      const results = Array.from({ length: 12 }, (_, group) =>
        made(group, random.normal() - (group < 4 ? 5 : 0), [group < 4 ? 'B-02' : group < 8 ? 'B-01' : 'B-03']),
      );
      const factor = worthChecking(results)[0];
      if (factor?.isWorthChecking && factor.had[0]?.name === 'B-02') found += 1;
    }
    expect(found / CLASSES).toBeGreaterThan(0.98);
  });
});
