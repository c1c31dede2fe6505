import type { GroupAtWork } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { boardInWords, standingInWords, standingOf } from './standing.ts';

const NOW = Date.parse('2026-11-30T09:00:00.000Z');

const group = (more: Partial<GroupAtWork>): GroupAtWork => ({
  runId: 'run',
  specimen: 'Bronze deck nail',
  members: [],
  given: null,
  readings: { done: 0, of: 9 },
  lastAt: null,
  handedInAt: null,
  alike: [],
  tooEven: [],
  ...more,
});

const GROUPS = [
  group({}),
  group({ readings: { done: 2, of: 9 }, lastAt: '2026-11-30T08:58:00.000Z' }),
  group({ readings: { done: 3, of: 9 }, lastAt: '2026-11-30T08:43:30.000Z' }),
  group({ readings: { done: 9, of: 9 }, lastAt: '2026-11-30T08:30:00.000Z' }),
  group({ readings: { done: 9, of: 9 }, lastAt: '2026-11-30T08:58:00.000Z', handedInAt: '2026-11-30T08:59:00.000Z' }),
];

describe('where a group is', () => {
  it('goes from nothing yet to handed in', () =>
    expect(GROUPS.map((one) => standingOf(one, NOW))).toEqual(['nothing', 'writing', 'quiet', 'read', 'handed-in']));

  it('is said in words, with how long nothing was written', () =>
    expect(GROUPS.map((one) => standingInWords(one, NOW))).toEqual([
      'nothing yet',
      'writing',
      'nothing for 16 min',
      'readings complete',
      'handed in',
    ]));

  it('says the day of another lesson', () =>
    expect(standingInWords(group({ readings: { done: 3, of: 9 }, lastAt: '2026-11-26T08:43:30.000Z' }), NOW)).toMatch(
      /^since 26 Nov, \d\d:43$/,
    ));

  it('whose readings were given has not read them', () => {
    const given = group({ given: 'drawn', readings: { done: 9, of: 9 } });
    expect(standingOf(given, NOW)).toBe('nothing');
    expect(standingOf({ ...given, lastAt: '2026-11-30T08:58:00.000Z' }, NOW)).toBe('writing');
  });

  it('is counted over the class', () =>
    expect(boardInWords([...GROUPS, group({})], NOW)).toBe(
      '2 nothing yet, 1 writing, 1 quiet, 1 readings complete, 1 handed in',
    ));
});
