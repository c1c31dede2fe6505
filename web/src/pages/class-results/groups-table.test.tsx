import type { GroupToPool } from '@green-beam/contract';
import { pool } from '@green-beam/core';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { rendered, textsOf } from '../../../test/rendered.ts';
import { GroupsTable } from './groups-table.tsx';
import { comparedResults } from './result-rows.ts';

const group = (letter: string, value: number, more: Partial<GroupToPool> = {}): GroupToPool => ({
  letter,
  names: [`Somebody ${letter}.`],
  runId: `run-${letter}`,
  isOwn: false,
  isHandedIn: true,
  tools: [],
  choices: {},
  compared: [],
  results: [
    {
      quantity: 'meanDensity',
      members: {},
      name: 'Mean density',
      unit: 'g/mL',
      value,
      place: -2,
      variance: { own: 0.0025, tools: {}, given: {} },
      accepted: null,
    },
  ],
  ...more,
});

function shown(groups: readonly GroupToPool[]): ReturnType<typeof rendered>['root'] {
  const [compared] = comparedResults({ title: '', specimen: '', groups, pairs: [], without: 0, options: [] });
  if (!compared) throw new Error('There is nothing to compare.');
  const { together } = pool(
    compared.rows.map(({ group: { letter }, result: { value, variance } }) => ({ group: letter, value, variance })),
  );
  return rendered(
    <MemoryRouter>
      <GroupsTable compared={compared} together={together} />
    </MemoryRouter>,
  ).root;
}

describe('the table of all groups', () => {
  const values = [8.62, 8.71, 8.66, 8.7, 10.9, 8.69];
  const groups = values.map((value, i) => group(String.fromCharCode(65 + i), value));

  it('stands from the lowest to the highest, each with its digits and twice its uncertainty', () => {
    const table = shown(groups);
    expect(textsOf(table, 'th[scope=row]')).toEqual(['A', 'C', 'F', 'D', 'B', 'E']);
    expect(table.textContent).toContain('10.90');
    expect(table.textContent).toContain('0.10');
    expect(table.textContent).not.toContain('NaN');
  });

  it('says in words and by a shape who lies apart', () => {
    const rows = textsOf(shown(groups), 'tbody tr');
    expect(rows.filter((row) => row.includes('■ lies apart'))).toHaveLength(1);
    expect(rows.at(-1)).toContain('■ lies apart');
  });

  it('has names that lead to the pages', () => {
    expect(textsOf(shown(groups), 'a')).toHaveLength(6);
  });

  it('marks one’s own, and leads nobody to a page they may not read', () => {
    const [own, other] = [group('A', 8.6, { isOwn: true, names: null }), group('B', 8.7, { names: null, runId: null })];
    const table = shown([own, other]);
    expect(textsOf(table, 'th[scope=row]')).toEqual(['A (yours)', 'B']);
    expect(textsOf(table, 'a')).toEqual([]);
  });

  it('has a column of tools where there are any', () => {
    const headings = (all: readonly GroupToPool[]): string[] => textsOf(shown(all), 'thead th');
    expect(headings(groups)).not.toContain('Tools');
    expect(headings([group('A', 8.6, { tools: ['B-02', 'Z-07'] })])).toContain('Tools');
    expect(textsOf(shown([group('A', 8.6, { tools: ['B-02', 'Z-07'] })]), 'td')).toContain('B-02, Z-07');
  });
});
