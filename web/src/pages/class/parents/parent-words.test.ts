import type { BoardCell } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { skillsForParents } from './parent-words.ts';

const skill = (id: string, sound: number, readings: number, slips: BoardCell['slips'] = []): BoardCell => ({
  skill: id,
  sound,
  readings,
  slips,
  lastSeen: '2026-11-30T09:00:00.000Z',
});

describe('what parents are told of a student', () => {
  it('is what they can do, and what they work on, the weakest first, with the slip behind it', () => {
    const slips = [{ id: 'zero-lost', count: 4, lastSeen: '2026-11-30T09:00:00.000Z' }];
    expect(
      skillsForParents([
        skill('rulers', 9, 10),
        skill('burettes', 7, 10),
        skill('calipers', 2, 10, slips),
        skill('thermometers', 1, 2),
      ]),
    ).toEqual({
      can: ['Read rulers'],
      workingOn: [
        'Read vernier calipers: 2 of 10 right at the first try; most often: a zero lost',
        'Read burettes: 7 of 10 right at the first try',
      ],
    });
  });

  it('names three things to work on at most, and no slip that happened once', () => {
    const once = [{ id: 'zero-lost', count: 1, lastSeen: '2026-11-30T09:00:00.000Z' }];
    const { can, workingOn } = skillsForParents(
      ['rulers', 'burettes', 'calipers', 'thermometers'].map((id, i) => skill(id, i, 10, once)),
    );
    expect(can).toEqual([]);
    expect(workingOn).toHaveLength(3);
    expect(workingOn.join()).not.toContain('most often');
  });

  it('is nothing while nothing was practised', () => expect(skillsForParents([])).toEqual({ can: [], workingOn: [] }));
});
