import { describe, expect, it } from 'vitest';
import { placesOf } from '../engine/setting.ts';
import { workOut } from '../engine/evaluate.ts';
import { runOfEntries, sampleRun } from '../run/run-from-rows.ts';
import { BURN_RATE } from '../shipped/burn-rate.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import { tidyTable } from './tidy-table.ts';

describe('a run as a tidy table', () => {
  it('has a row a trial, units in the headings, and one more row for what stands once', () => {
    const { headings, rows } = tidyTable(workOut(SOLID_BY_DISPLACEMENT, sampleRun(SOLID_BY_DISPLACEMENT)));
    expect(headings.slice(0, 6)).toEqual([
      'Trial',
      'Pieces together',
      'Dry mass (g)',
      'Water before (mL)',
      'Water after (mL)',
      'Volume (mL)',
    ]);
    const [first] = rows.filter(([trial]) => trial === '1');
    expect(first?.slice(2, 6)).toEqual(['54.31', '18.4', '24.6', '6.2']);
    expect(rows.filter(([trial]) => trial === '')).toHaveLength(1);
    expect(rows).toHaveLength(4);
  });

  it('says why a trial was excluded', () => {
    const { events } = sampleRun(SOLID_BY_DISPLACEMENT);
    const excluded = {
      address: { kind: 'excluded', dimension: 'trial', member: '2', within: {} },
      text: 'a bubble',
    } as const;
    const { rows } = tidyTable(workOut(SOLID_BY_DISPLACEMENT, runOfEntries([...events, excluded])));
    expect(rows.map((row) => [row[0], row.at(-1)])).toEqual(
      expect.arrayContaining([
        ['1', ''],
        ['2', 'a bubble'],
      ]),
    );
  });

  it('names cases, and keeps times of day as they were written', () => {
    const { headings, rows } = tidyTable(workOut(BURN_RATE, sampleRun(BURN_RATE)));
    const time = headings.findIndex((heading) => heading.startsWith('Time'));
    expect(rows.map((row) => row[time])).toContain('10:42:10');
    expect(rows.some(([moment]) => /[a-z]/i.test(moment ?? ''))).toBe(true);
  });

  it.each(SHIPPED)('$id: every reading is in it once, and each row is as long as the headings', (protocol) => {
    const run = workOut(protocol, sampleRun(protocol));
    const { headings, rows } = tidyTable(run);
    for (const row of rows) expect(row).toHaveLength(headings.length);
    const written = [...run.setting.layout.quantities.values()].flatMap(({ id, over, only }) =>
      placesOf(run.setting, over, only).filter((members) => {
        const cell = run.cellAt(id, members);
        return cell !== undefined && 'text' in cell;
      }),
    );
    const dimensions = [...run.setting.layout.dimensions.values()].filter(({ id }) =>
      [...run.setting.layout.quantities.values()].some(({ over }) => over.includes(id)),
    ).length;
    expect(rows.flatMap((row) => row.slice(dimensions, -1).filter((text) => text !== ''))).toHaveLength(written.length);
  });

  it('is empty where nothing was written', () =>
    expect(
      tidyTable(
        workOut(
          {
            ...SOLID_BY_DISPLACEMENT,
            quantities: SOLID_BY_DISPLACEMENT.quantities.filter(({ kind }) => kind === 'read'),
            results: [],
            comparisons: [],
            checks: [],
          },
          { events: [] },
        ),
      ).rows,
    ).toEqual([]));
});
