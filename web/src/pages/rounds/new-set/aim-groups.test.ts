import type { BoardRow } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { aimGroups, commonSlips } from './aim-groups.ts';

function student(id: string, slips: Readonly<Record<string, number>>): BoardRow {
  const lastSeen = '2026-03-20T10:00:00Z';
  return {
    id,
    label: id,
    lately: { lastSeen, stuckOn: null, underWay: false },
    skills: [
      {
        skill: 'burettes',
        readings: 9,
        sound: 5,
        lastSeen,
        slips: Object.entries(slips).map(([slip, count]) => ({ id: slip, count, lastSeen })),
      },
    ],
  };
}

const ROWS = [
  student('a', { 'upside-down': 4, 'eye-high': 2, 'unit-missing': 1 }),
  student('b', { 'upside-down': 2, 'eye-high': 1 }),
];

describe('slips to aim at', () => {
  it('counts a student who makes a slip again and again, and no slip that was made once', () => {
    expect([...commonSlips(ROWS)]).toEqual([
      ['upside-down', 2],
      ['eye-high', 1],
    ]);
  });

  it('stand in the order of reading, with what the class makes most on top, and each once', () => {
    const ids = ['zero-ignored', 'label-above', 'eye-high', 'eye-low', 'upside-down', 'decimals-in-product'];
    expect(aimGroups(ids, commonSlips(ROWS)).map(({ name, slips }) => [name, slips.map(({ id }) => id)])).toEqual([
      ['Most made in your class', ['upside-down', 'eye-high']],
      ['Looking', ['eye-low']],
      ['Counting the scale', ['label-above']],
      ['Zero and differences', ['zero-ignored']],
      ['With numbers', ['decimals-in-product']],
    ]);
  });

  it('leave out what cannot happen on the tools chosen, however common', () => {
    expect(aimGroups(['eye-low'], commonSlips(ROWS)).map(({ name }) => name)).toEqual(['Looking']);
  });
});
