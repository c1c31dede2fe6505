import { protocol } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { readSheetFile, readSheetText } from './read-sheet-file.ts';
import { sheetFile } from './sheet-file.ts';

const LAB = protocol('plate-two-ways');

describe('a lab sheet from a file', () => {
  it('is what was saved, with a mark of its encoding or without', () => {
    const { text, name } = sheetFile({ ...LAB });
    expect(name).toBe('one-plate-measured-twice.json');
    for (const written of [text, `\uFEFF${text}`])
      expect(readSheetText(written)).toEqual({ sheet: JSON.parse(text) as unknown });
  });

  it('that is wrong is answered with every path', () => {
    const faulty = JSON.stringify({ ...LAB, purpose: 7, steps: LAB.steps.map((step) => ({ ...step, minutes: -1 })) });
    const read = readSheetText(faulty);
    expect('faults' in read && read.faults.map(({ path }) => path)).toEqual([
      'purpose',
      ...LAB.steps.map((_, i) => `steps[${i}].minutes`),
    ]);
  });

  it.each([
    ['{"title": "a",\n "kit": [}', /not JSON: it stops in line 2, column 10/],
    ['', /not JSON/],
    ['<!doctype html>', /not JSON/],
    ['[]', /not an object/],
    [`"${'x'.repeat(300_000)}"`, /at most 250000/],
  ])('is refused: %j', (text, reason) => {
    const read = readSheetText(text);
    expect('faults' in read && read.faults[0]?.reason).toMatch(reason);
  });

  it('of 50 MB is not even read', async () => {
    const large = { size: 50_000_000, text: () => Promise.reject(new Error('It was read.')) } as unknown as Blob;
    const read = await readSheetFile(large);
    expect('faults' in read && read.faults[0]?.reason).toMatch(/50 MB/);
  });
});
