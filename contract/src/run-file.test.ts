import { describe, expect, it } from 'vitest';
import { event, ID } from '../test/entry.ts';
import { refused } from '../test/refused.ts';
import { readRunFile, RUN_FILE, runImport } from './run-file.ts';

const file = {
  format: RUN_FILE,
  version: 1,
  specimen: 'Bronze deck nail',
  startedAt: '2026-03-01T09:58:00.000Z',
  protocol: { id: 'solid-by-displacement' },
  arrangement: { byStudent: [], ownWork: 'group', reveals: 'from-the-start', sums: 'page' },
  rules: { name: 'Estimate one digit', rules: {} },
  people: { [ID]: 'Ines V.' },
  events: [event],
};

const pathsOf = (json: unknown): string[] => {
  const read = readRunFile(json);
  return 'faults' in read ? read.faults.map(({ path }) => path).sort() : [];
};

describe('a saved laboratory', () => {
  it('is read with its entries, and how far their clock was ahead', () => {
    const read = readRunFile({ ...file, events: [{ ...event, clockAhead: 86_400 }] });
    expect(read).toMatchObject({ specimen: 'Bronze deck nail', events: [{ text: '54.31', clockAhead: 86_400 }] });
  });

  it.each([
    ['something else', { format: 'shopping-list' }, ['format']],
    ['a version of later', { version: 2 }, ['version']],
    ['no entries', { events: undefined }, ['events']],
    ['an entry without a place', { events: [{ ...event, address: {} }] }, ['events[0].address.kind']],
    ['an entry of no person', { events: [event, { ...event, person: 'Ines' }] }, ['events[1].person']],
    ['an entry at no time', { events: [{ ...event, deviceTime: 'noon' }] }, ['events[0].deviceTime']],
    ['a protocol that is a list', { protocol: [] }, ['protocol']],
    ['rules without their name', { rules: { name: ' ', rules: {} } }, ['rules.name']],
    ['a name that is a number', { people: { [ID]: 7 } }, ['people']],
    ['a name without an end', { people: { [ID]: 'x'.repeat(201) } }, ['people']],
    ['more entries than there can be', { events: Array.from({ length: 5001 }, () => event) }, ['events']],
  ])('is refused as %s, with the place', (_, change, paths) => {
    expect(pathsOf({ ...file, ...change })).toEqual(paths);
  });

  it('says everything at once', () => {
    expect(pathsOf({ ...file, specimen: '', startedAt: 'then', events: [{ ...event, id: '1' }] })).toEqual([
      'events[0].id',
      'specimen',
      'startedAt',
    ]);
  });

  it.each([null, undefined, 'text', 7, []])('is no %s', (json) => {
    expect(readRunFile(json)).toHaveProperty('faults');
  });

  it('is taken in under an id of its own', () => {
    expect(refused(runImport, { id: ID, file })).toEqual([]);
    expect(refused(runImport, { id: 'one', file })).toEqual(['id']);
    expect(refused(runImport, { id: ID, file: { ...file, format: 'other' } })).toEqual(['file.format']);
  });
});
