import { describe, expect, it } from 'vitest';
import { asLastTime, byChance, eachAlone, leftOver, moved } from './groups.ts';

const CLASS = Array.from({ length: 23 }, (_, i) => `s${i}`);

describe('groups', () => {
  it.each([1, 2, 3, 4])(
    'by chance, of at most %i: everybody is in one, and none is smaller by more than one',
    (size) => {
      for (let round = 0; round < 50; round += 1) {
        const groups = byChance(CLASS, size, Math.random);
        expect([...groups.flat()].sort()).toEqual([...CLASS].sort());
        const sizes = groups.map((group) => group.length);
        expect(Math.max(...sizes)).toBeLessThanOrEqual(size);
        expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1);
      }
    },
  );

  it('by chance are others every time, and each student is with every other as often', () => {
    const together = new Map<string, number>();
    const rounds = 3000;
    for (let round = 0; round < rounds; round += 1)
      for (const group of byChance(['a', 'b', 'c', 'd'], 2, Math.random)) {
        const pair = [...group].sort().join('');
        together.set(pair, (together.get(pair) ?? 0) + 1);
      }
    // Each of three pairings of four: 1000 ± 6 standard deviations of 26.
    for (const pair of ['ab', 'ac', 'ad']) expect(Math.abs((together.get(pair) ?? 0) - rounds / 3)).toBeLessThan(156);
  });

  it('nobody makes no group', () => expect(byChance([], 3, Math.random)).toEqual([]));

  it('as last time: who has left is not in them, who is new is left over', () => {
    const groups = asLastTime([['a', 'b'], ['c'], ['d', 'e']], ['a', 'd', 'e', 'f']);
    expect(groups).toEqual([['a'], ['d', 'e']]);
    expect(leftOver(groups, ['a', 'd', 'e', 'f'])).toEqual(['f']);
  });

  it('a student is moved to a group, to a new one, and out of all', () => {
    const groups = [['a', 'b'], ['c']];
    expect(moved(groups, 'c', 0)).toEqual([['a', 'b', 'c']]);
    expect(moved(groups, 'a', 2)).toEqual([['b'], ['c'], ['a']]);
    expect(moved(groups, 'c', null)).toEqual([['a', 'b']]);
    expect(moved(groups, 'new', 1)).toEqual([
      ['a', 'b'],
      ['c', 'new'],
    ]);
    expect(moved(groups, 'a', 0)).toEqual([['b', 'a'], ['c']]);
    expect(moved(groups, 'c', 1)).toEqual(groups);
  });

  it('each alone', () => expect(eachAlone(['a', 'b'])).toEqual([['a'], ['b']]));
});
