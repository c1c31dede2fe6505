import type { BoardCell, BoardRow, Lately } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { byNeed, mostShared, quietFor, toVisit, weakest } from './need.ts';

const NOW = new Date(2026, 4, 12, 10, 30).getTime();

function ago(minutes: number): string {
  return new Date(NOW - minutes * 60_000).toISOString();
}

function cell(
  skill: string,
  sound: number,
  readings: number,
  slips: readonly [id: string, minutes: number][] = [],
): BoardCell {
  return {
    skill,
    readings,
    sound,
    lastSeen: ago(0),
    slips: slips.map(([id, minutes]) => ({ id, count: 2, lastSeen: ago(minutes) })),
  };
}

function row(label: string, skills: readonly BoardCell[], lately: Partial<Lately> = {}): BoardRow {
  return { id: label, label, skills, lately: { lastSeen: ago(0), stuckOn: null, underWay: true, ...lately } };
}

const names = (rows: readonly BoardRow[]): string[] => rows.map(({ label }) => label);

describe('who needs the teacher', () => {
  const rows = [
    row('Amara', [cell('burettes', 9, 10)]),
    row('Bao', [cell('burettes', 8, 10)], { stuckOn: { slip: 'dropped-digit', times: 3 } }),
    row('Chidi', [cell('burettes', 3, 10)]),
    row('Dilnoza', [cell('burettes', 0, 4)]),
    row('Emeka', [cell('burettes', 10, 10)], { lastSeen: ago(6) }),
  ];

  it('is first who makes the same slip again and again, then who has gone quiet, then who is wrong most often', () => {
    expect(names(byNeed(rows, NOW))).toEqual(['Bao', 'Emeka', 'Chidi', 'Amara', 'Dilnoza']);
    expect(names(toVisit(rows, NOW))).toEqual(['Bao', 'Emeka']);
  });

  it.each([
    ['after a moment', { lastSeen: ago(3) }, null],
    ['after some minutes', { lastSeen: ago(4) }, 4],
    ['with the round finished', { lastSeen: ago(9), underWay: false }, null],
    ['since the last lesson', { lastSeen: ago(45) }, null],
    ['who never began', { lastSeen: null, underWay: true }, null],
  ])('is quiet or not, %s', (_when, lately, minutes) => {
    expect(quietFor(row('Hana', [], lately), NOW)).toBe(minutes);
  });
});

describe('the skill that needs work most', () => {
  const often = (sound: number, skill = 'burettes'): BoardCell => ({
    ...cell(skill, sound, 10),
    slips: [{ id: 'upside-down', count: 3, lastSeen: ago(1) }],
  });

  it.each([
    ['nothing is weak', [often(6)], null],
    ['it is too early to say', [{ ...often(0), readings: 4 }], null],
    ['no slip is made often', [cell('burettes', 1, 10, [['upside-down', 1]])], null],
    ['two are weak', [often(5), often(3, 'rulers')], 'rulers'],
  ])('when %s', (_when, skills, skill) => {
    expect(weakest(row('Amara', skills))?.skill ?? null).toBe(skill);
  });
});

describe('what is said to everybody', () => {
  const week = 3 * 24 * 60;

  it('is what most students have done wrong today, and on which tools', () => {
    const shared = mostShared(
      [
        row('Amara', [cell('burettes', 5, 9, [['upside-down', 5]])]),
        row('Bao', [cell('burettes', 5, 9, [['upside-down', 8]]), cell('rulers', 5, 9, [['rounded-up', week]])]),
        row('Chidi', [cell('rulers', 5, 9, [['rounded-up', week]])]),
        row('Emeka', [cell('rulers', 5, 9, [['rounded-up', week]])]),
      ],
      NOW,
    );
    expect(shared).toEqual({ slip: 'upside-down', skill: 'burettes', students: 2, today: true });
  });

  it('is of this week when nothing is shared today, and nothing when nobody shares anything', () => {
    const two = ['Amara', 'Bao'].map((label) => row(label, [cell('rulers', 5, 9, [['rounded-up', week]])]));
    expect(mostShared(two, NOW)).toEqual({ slip: 'rounded-up', skill: 'rulers', students: 2, today: false });
    expect(mostShared(two.slice(1), NOW)).toBeNull();
    expect(mostShared([], NOW)).toBeNull();
  });

  it('counts a student once who makes a slip on two tools', () => {
    const [one] = [
      row('Amara', [cell('rulers', 5, 9, [['rounded-up', 1]]), cell('burettes', 5, 9, [['rounded-up', 1]])]),
    ];
    expect(mostShared([one], NOW)).toBeNull();
  });
});
