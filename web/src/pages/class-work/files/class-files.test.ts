import type { RunPage } from '@green-beam/contract';
import { DEFAULT_RULES, protocol, sampleRun, usualArrangement } from '@green-beam/core';
import { strFromU8, unzipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { runJson } from '../../notebook/files/run-file.ts';
import { readRunText } from './read-run-file.ts';
import { ZipOfClass } from './zip-of-class.ts';

const ID = '5a17a4b0-0000-4000-8000-000000000001';

function pageOf(id: string, specimen: string): RunPage {
  const lab = protocol(id);
  return {
    title: lab.title,
    specimen,
    protocol: lab,
    arrangement: usualArrangement(lab),
    rules: DEFAULT_RULES,
    rulesName: 'Ours',
    startedAt: '2026-03-01T10:00:00.000Z',
    handedInAt: null,
    members: ['Ada M.', 'Ben R.'],
    people: { [ID]: { label: 'Ada M.', initials: 'AM' } },
    events: sampleRun(lab).events.map((event, i) => ({
      ...event,
      id: `5a17a4b0-0000-4000-8000-${String(i).padStart(12, '0')}`,
      person: ID,
    })),
  } as Partial<RunPage> as RunPage;
}

describe('the pages of a class in one file', () => {
  it('are each a table and a history, and a list says which is which', () => {
    const zip = new ZipOfClass();
    zip.add(pageOf('solid-by-displacement', 'Bronze deck nail'));
    zip.add(pageOf('burn-rate', '../../=HYPERLINK("x")'));
    const files = unzipSync(zip.bytes());
    expect(Object.keys(files).sort()).toEqual([
      '001-bronze-deck-nail.csv',
      '001-bronze-deck-nail.json',
      '002-hyperlink-x.csv',
      '002-hyperlink-x.json',
      'list.csv',
    ]);
    const text = (name: string): string => strFromU8(files[name]!);
    expect(text('001-bronze-deck-nail.csv')).toContain('54.31');
    expect(text('list.csv')).toContain('"Ada M., Ben R."');
    expect(readRunText(text('002-hyperlink-x.json'))).toMatchObject({ title: protocol('burn-rate').title });
  });

  it('are none where there are none', () => {
    expect(Object.keys(unzipSync(new ZipOfClass().bytes()))).toEqual(['list.csv']);
  });
});

describe('a saved page', () => {
  const saved = runJson(pageOf('mass-per-item', 'Nickel washers'));

  it('is read as what it is, its entries in the order of the server', () => {
    const file = JSON.parse(saved) as { events: { order: number }[] };
    file.events.reverse();
    const read = readRunText(JSON.stringify(file));
    expect(read).toMatchObject({ specimen: 'Nickel washers', people: { [ID]: 'Ada M.' } });
    const { events } = ('file' in read ? read.file : {}) as typeof file;
    expect(events.map(({ order }) => order)).toEqual(events.map((_, i) => i + 1));
  });

  it.each<[string, (file: Record<string, any>) => void, string]>([
    ['specimen', (file) => (file['specimen'] = ''), 'specimen'],
    ['an entry', (file) => (file['events'][1].text = 'x'.repeat(5000)), 'events[1].text'],
    ['two entries', (file) => (file['events'][2].person = 'somebody'), 'events[2].person'],
    ['rules', (file) => Reflect.deleteProperty(file, 'rules'), 'rules.name'],
  ])('is answered with the path of what is wrong: %s', (_, spoil, path) => {
    const file = JSON.parse(saved) as Record<string, any>;
    spoil(file);
    const read = readRunText(JSON.stringify(file));
    expect('faults' in read ? read.faults.map((fault) => fault.path) : []).toContain(path);
  });

  it.each([['{'], ['[]'], ['{"format":"other"}'], ['null'], [' '.repeat(2_000_001)]])('is not this: %.20s', (text) => {
    expect(readRunText(text)).toMatchObject({ faults: [{ path: '' }] });
  });
});
