import { describe, expect, it } from 'vitest';
import { ID } from '../test/entry.ts';
import { refused } from '../test/refused.ts';
import { groupChange, moreGroups, newOpening, openingChange } from './openings.ts';

const group = { runId: ID, memberIds: [ID] };
const opening = { id: ID, protocolId: 'solid-by-displacement', specimen: 'Larch cone', groups: [group] };

describe('opening a laboratory', () => {
  it('takes a group as it is formed, and fills in what was not said', () => {
    expect(newOpening.validateSync(opening)).toEqual({
      ...opening,
      dueAt: null,
      groups: [{ ...group, given: null, from: null, sample: 0 }],
    });
  });

  it('takes readings that are drawn or copied, and a time until which it is due', () => {
    const groups = [
      { ...group, given: 'drawn', sample: 1 },
      { ...group, given: 'copied', from: ID },
    ];
    expect(refused(newOpening, { ...opening, groups, dueAt: '2026-12-01T12:00:00.000Z' })).toEqual([]);
    expect(refused(moreGroups, { groups })).toEqual([]);
  });

  it.each([
    ['no name of the piece', { specimen: '   ' }, ['specimen']],
    ['a name that is too long', { specimen: 'x'.repeat(81) }, ['specimen']],
    ['no laboratory', { protocolId: undefined }, ['protocolId']],
    ['a date in words', { dueAt: 'tomorrow' }, ['dueAt']],
    ['no group', { groups: [] }, ['groups']],
    ['more groups than a class can have', { groups: Array.from({ length: 61 }, () => group) }, ['groups']],
    ['a group of nobody', { groups: [{ ...group, memberIds: [] }] }, ['groups[0].memberIds']],
    ['a group of nine', { groups: [{ ...group, memberIds: Array(9).fill(ID) }] }, ['groups[0].memberIds']],
    ['a member who is no id', { groups: [group, { ...group, memberIds: ['Ines'] }] }, ['groups[1].memberIds[0]']],
    ['readings from nowhere', { groups: [{ ...group, given: 'dreamt' }] }, ['groups[0].given']],
    ['half an example', { groups: [{ ...group, sample: 0.5 }] }, ['groups[0].sample']],
    ['an example before the first', { groups: [{ ...group, sample: -1 }] }, ['groups[0].sample']],
  ])('refuses %s', (_, change, paths) => {
    expect(refused(newOpening, { ...opening, ...change })).toEqual(paths);
  });

  it('changes when it is due and who is excused, each by itself', () => {
    expect(refused(openingChange, { dueAt: null })).toEqual([]);
    expect(refused(openingChange, { dueAt: null, excused: [ID] })).toEqual([]);
    expect(refused(openingChange, { dueAt: null, excused: ['Ines'] })).toEqual(['excused[0]']);
    expect(refused(groupChange, { memberIds: [] })).toEqual([]);
    expect(refused(groupChange, {})).toEqual(['memberIds']);
  });
});
