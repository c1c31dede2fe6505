import { describe, expect, it } from 'vitest';
import { refused } from '../test/refused.ts';
import { labSheetChange, labSheetDraft, labSheetUse, LARGEST_LAB_SHEET, newLabSheet } from './lab-sheets.ts';

const ID = 'own-5a17a4b0-0000-4000-8000-000000000001';

describe('a lab sheet that is sent', () => {
  it('may lack anything, while it is written', () => {
    expect(refused(newLabSheet, { id: ID, draft: {} })).toEqual([]);
    expect(refused(labSheetDraft, { draft: { title: 7 }, revision: 3 })).toEqual([]);
  });

  it.each([
    ['an id of a laboratory that comes with the program', { id: 'solid-by-displacement' }, ['id']],
    ['an id in capitals', { id: ID.toUpperCase() }, ['id']],
    ['a draft that is a list', { draft: [] }, ['draft']],
    ['a draft in words', { draft: 'title: Corks' }, ['draft']],
    ['no draft', { draft: null }, ['draft']],
    ['more than can be kept', { draft: { title: 'x'.repeat(LARGEST_LAB_SHEET) } }, ['draft']],
  ])('is refused with %s', (_, change, paths) => {
    expect(refused(newLabSheet, { id: ID, draft: {}, ...change })).toEqual(paths);
  });

  it('just fits', () => {
    const frame = JSON.stringify({ title: '' }).length;
    expect(refused(newLabSheet, { id: ID, draft: { title: 'x'.repeat(LARGEST_LAB_SHEET - frame) } })).toEqual([]);
  });

  it('is saved and put in use only as it was seen', () => {
    expect(refused(labSheetUse, { revision: 1 })).toEqual([]);
    for (const revision of [undefined, 0, 1.5, 'latest'])
      expect(refused(labSheetUse, { revision })).toEqual(['revision']);
    expect(refused(labSheetDraft, { draft: {} })).toEqual(['revision']);
  });

  it('is shared or retired, or neither', () => {
    expect(refused(labSheetChange, {})).toEqual([]);
    expect(refused(labSheetChange, { isShared: true, isRetired: false })).toEqual([]);
    expect(refused(labSheetChange, { isShared: 'school' })).toEqual(['isShared']);
  });
});
