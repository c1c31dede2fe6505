import { describe, expect, it } from 'vitest';
import { DEFAULT_RULES } from '../../rules/house-rules.ts';
import { workOut } from '../engine/evaluate.ts';
import { settingOf, type Setting } from '../engine/setting.ts';
import type { Protocol } from '../protocol/protocol.ts';
import { addressKey } from '../run/address.ts';
import { runOfEntries, sampleRun } from '../run/run-from-rows.ts';
import { BURN_RATE } from '../shipped/burn-rate.ts';
import { MASS_PER_ITEM } from '../shipped/mass-per-item.ts';
import { PLATE_TWO_WAYS } from '../shipped/plate-two-ways.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import { entriesFrom, usesFrom, type ColumnUse, type TableFault } from './from-table.ts';
import { tidyTable } from './tidy-table.ts';

const SAMPLES = SHIPPED.flatMap((protocol) =>
  protocol.samples.map((sample, i) => ({ protocol, sample, name: `${protocol.id}, sample ${i + 1}` })),
);

const emptyPage = (protocol: Protocol): Setting => settingOf(protocol, runOfEntries([]), DEFAULT_RULES);

/** A table with headings, taken into an empty page. */
function taken(
  protocol: Protocol,
  [headings = [], ...rows]: readonly (readonly string[])[],
  uses?: readonly ColumnUse[],
): { readonly texts: readonly string[]; readonly faults: readonly TableFault[] } {
  const setting = emptyPage(protocol);
  const { entries, faults } = entriesFrom(
    setting,
    { headings, rows, firstRow: 2 },
    uses ?? usesFrom(setting, headings),
  );
  return {
    texts: entries.map(
      ({ address, text }) => `${address.quantity} ${Object.values(address.members).join(',')} ${text}`,
    ),
    faults,
  };
}

describe('a table taken in', () => {
  it.each(SAMPLES)('$name: what was saved is taken in again, each reading at its place', ({ protocol, sample }) => {
    const run = sampleRun(protocol, sample);
    const { headings, rows } = tidyTable(workOut(protocol, run));
    const choices = run.events.filter(({ address }) => address.kind !== 'cell');
    const setting = settingOf(protocol, { events: choices }, DEFAULT_RULES);
    const { entries, faults } = entriesFrom(setting, { headings, rows, firstRow: 2 }, usesFrom(setting, headings));
    expect(faults).toEqual([]);
    const again = workOut(protocol, runOfEntries([...choices, ...entries]));
    const places = ({ events }: { readonly events: typeof run.events }): string[] =>
      events
        .filter(({ address }) => address.kind === 'cell')
        .map(({ address }) => addressKey(address))
        .sort();
    expect(places(runOfEntries(entries))).toEqual(places(run));
    expect(again.results.map(({ name, text, quoted }) => [name, text, quoted])).toEqual(
      workOut(protocol, run).results.map(({ name, text, quoted }) => [name, text, quoted]),
    );
  });

  it('knows headings as people write them, and units that are others', () => {
    const setting = emptyPage(SOLID_BY_DISPLACEMENT);
    const of = (heading: string): ColumnUse => usesFrom(setting, [heading])[0]!;
    for (const heading of ['Dry mass (g)', 'dry mass', 'Dry_mass [g]', 'Dry mass in g', 'Dry mass / g', 'mass'])
      expect(of(heading), heading).toMatchObject({ kind: 'quantity', quantity: 'mass', unit: null });
    expect(of('Dry mass (kg)')).toMatchObject({ quantity: 'mass', unit: 'kg' });
    expect(of('Dry mass (mL)')).toEqual({ kind: 'nothing' });
    expect(of('TRIAL')).toEqual({ kind: 'dimension', dimension: 'trial' });
    expect(of('Volume (mL)')).toEqual({ kind: 'nothing' });
    expect(usesFrom(setting, ['mass', 'Dry mass (g)']).map(({ kind }) => kind)).toEqual(['quantity', 'nothing']);
  });

  it('counts rows where no column does, and takes decimal commas and other units as they are', () => {
    const { texts, faults } = taken(SOLID_BY_DISPLACEMENT, [
      ['Dry mass (kg)', 'Water before (mL)', 'note'],
      ['0,05431', '18,4', 'first'],
      ['', '', ''],
      ['0,05432', '18,6', ''],
    ]);
    expect(faults).toEqual([]);
    expect(texts).toEqual(['mass 1 0,05431 kg', 'before 1 18,4', 'mass 2 0,05432 kg', 'before 2 18,6']);
  });

  it('counts within what the other columns say', () => {
    const { texts, faults } = taken(MASS_PER_ITEM, [
      ['Load', 'Mass with cup (g)'],
      ['1', '22.64'],
      ['1', '22.65'],
      ['2', '35.19'],
    ]);
    expect(faults).toEqual([]);
    expect(texts).toEqual(['mass 1,1 22.64', 'mass 1,2 22.65', 'mass 2,1 35.19']);
  });

  it('takes cases from a column, or from the heading itself', () => {
    const down = taken(PLATE_TWO_WAYS, [
      ['Tools', 'Trial', 'Width (cm)'],
      ['Coarse', '1', '7.5'],
      ['fine', '1', '7.46'],
    ]);
    expect(down.texts).toEqual(['width coarse,1 7.5', 'width fine,1 7.46']);
    const across = taken(PLATE_TWO_WAYS, [
      ['Trial', 'Width, coarse (cm)', 'Width, fine (cm)'],
      ['1', '7.5', '7.46'],
    ]);
    expect(across.texts).toEqual(down.texts);
    expect(
      taken(PLATE_TWO_WAYS, [
        ['Trial', 'Width (cm)'],
        ['1', '7.5'],
      ]).faults,
    ).toEqual([{ row: 2, column: 2, reason: 'Say which column has the tools.' }]);
  });

  it('keeps times of day', () => {
    const { headings } = tidyTable(workOut(BURN_RATE, sampleRun(BURN_RATE)));
    const time = headings.find((heading) => heading.startsWith('Time'))!;
    const { texts, faults } = taken(BURN_RATE, [
      [headings[0]!, time],
      ['before burning', '10:42:10'],
    ]);
    expect([texts.map((text) => text.split(' ').at(-1)), faults]).toEqual([['10:42:10'], []]);
  });

  it('tells every cell that cannot be taken in, by row and column, and takes the others', () => {
    const { texts, faults } = taken(SOLID_BY_DISPLACEMENT, [
      ['Trial', 'Dry mass (g)', 'Water before (mL)'],
      ['1', '=A1+1', '18.4'],
      ['2', 'heavy', '18,6 g'],
      ['ninth', '54.3', '18.4'],
      ['99', '54.3', '18.4'],
      ['3', "'=cmd|' /C calc'!A0", '1.234,5'],
      ['1', '', '18.5'],
    ]);
    expect(texts).toEqual(['before 1 18.4']);
    expect(faults.map(({ row, column }) => [row, column])).toEqual([
      [2, 2],
      [3, 2],
      [3, 3],
      [4, 1],
      [5, 1],
      [6, 2],
      [6, 3],
      [7, 3],
    ]);
    expect(faults[0]!.reason).toContain('is a formula');
    expect(faults.at(-1)!.reason).toBe('Water before is 18.4 in row 2, and 18.5 here: it has one place.');
  });

  it('takes nothing from a table without anything', () => {
    expect(taken(SOLID_BY_DISPLACEMENT, [['Trial', 'Dry mass (g)']])).toEqual({ texts: [], faults: [] });
    expect(taken(SOLID_BY_DISPLACEMENT, [])).toEqual({ texts: [], faults: [] });
  });
});
