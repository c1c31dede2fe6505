import { protocol, runOfEntries, sampleRun, workOut } from '@green-beam/core';
import Papa from 'papaparse';
import { describe, expect, it } from 'vitest';
import { runCsv, runFileName, runJson } from './run-file.ts';

const LAB = protocol('solid-by-displacement');

describe('a run as a file', () => {
  it('is a table that any program reads', () => {
    const { data, meta } = Papa.parse<Record<string, string>>(runCsv(workOut(LAB, sampleRun(LAB))), { header: true });
    expect(meta.fields).toContain('Dry mass (g)');
    expect(data.find(({ Trial }) => Trial === '2')).toMatchObject({
      'Water before (mL)': '17.6',
      'Volume (mL)': '6.1',
    });
  });

  it('runs no formula that was written as a reason', () => {
    const excluded = {
      address: { kind: 'excluded', dimension: 'trial', member: '2', within: {} },
      text: '=HYPERLINK("x")',
    } as const;
    const csv = runCsv(workOut(LAB, runOfEntries([...sampleRun(LAB).events, excluded])));
    expect(csv).toContain(`'=HYPERLINK`);
  });

  it('keeps its whole history as JSON', () => {
    const { events } = sampleRun(LAB);
    const page = { protocol: LAB, specimen: 'Bronze', events, people: { a: { label: 'Ada M.', initials: 'AM' } } };
    const file = JSON.parse(runJson(page as never)) as Record<string, unknown>;
    expect(file).toMatchObject({ format: 'green-beam-run', version: 1, specimen: 'Bronze', people: { a: 'Ada M.' } });
    expect(file['events']).toEqual(JSON.parse(JSON.stringify(events)));
    expect(file['protocol']).toEqual(JSON.parse(JSON.stringify(LAB)));
  });

  it.each([
    ['Slate tile, a chip', 'slate-tile-a-chip.csv'],
    ['../../etc/passwd', 'etc-passwd.csv'],
    ['Плитка № 2', 'плитка-2.csv'],
    ['?!', 'laboratory.csv'],
  ])('%s is called %s', (specimen, name) => expect(runFileName({ specimen }, 'csv')).toBe(name));
});
