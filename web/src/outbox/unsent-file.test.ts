import { describe, expect, it } from 'vitest';
import { readUnsentFile, unsentFile } from './unsent-file.ts';

const INES = { id: 'a3f1c2d4-0000-4000-8000-000000000001', name: 'Ines V.' };
const TOMASZ = { id: 'a3f1c2d4-0000-4000-8000-000000000002', name: 'Tomasz B.' };
const CLASS = '5a17a4b0-0000-4000-8000-000000000010';
const entry = {
  id: 'a3f1c2d4-0000-4000-8000-000000000003',
  personId: INES.id,
  path: `/classes/${CLASS}/attempts`,
  body: { entry: '46.2 mL' },
  written: '46.2 mL',
};
const saved = unsentFile(INES, [entry]);

/** The file with something in it changed. */
function changed(change: (file: { entries: Record<string, unknown>[]; [field: string]: unknown }) => void): string {
  const file = JSON.parse(saved.text);
  change(file);
  return JSON.stringify(file);
}

describe('a file of unsent entries', () => {
  it('gives back what was saved, to its owner', async () => {
    expect(saved.name).toMatch(/^unsent-[\d-]+\.json$/);
    expect(await readUnsentFile(saved.text, INES)).toEqual([entry]);
  });

  it('tells anybody else whose it is', async () => {
    await expect(readUnsentFile(saved.text, TOMASZ)).rejects.toThrow('These entries belong to Ines V.');
  });

  it.each([
    ['nothing', ''],
    ['no JSON', 'entries'],
    ['another file', '{"a": 1}'],
    [
      'an address that is none of the two',
      changed((file) => (file.entries[0]!['path'] = `/classes/${CLASS}/students`)),
    ],
    [
      'an address that leads out',
      changed((file) => (file.entries[0]!['path'] = `/classes/${CLASS}/attempts/../students`)),
    ],
    ['an entry without a body', changed((file) => (file.entries[0]!['body'] = undefined))],
    ['no entries', changed((file) => (file['entries'] = 'none' as never))],
  ])('is refused with %s', async (_, text) => {
    await expect(readUnsentFile(text, INES)).rejects.toThrow('This is no file of unsent entries');
  });
});
