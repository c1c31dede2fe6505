import { protocol, protocolIds, sampleRun, settingOf, completeRules, placesOf, type Setting } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { growing, placeOf, planOf, standsIn, stepOf } from './table-plan.ts';

function settingOfSample(id: string, index = 0): Setting {
  const lab = protocol(id);
  return settingOf(lab, sampleRun(lab, lab.samples[index]), completeRules());
}

const headings = (id: string, index = 0): string[][] =>
  planOf(settingOfSample(id, index)).tables.map(({ columns }) =>
    columns.map(({ quantity, group }) => (group === '' ? quantity.name : `${group}: ${quantity.name}`)),
  );

describe('the tables of a laboratory', () => {
  it('put what is repeated together into one, a case beside the other, and what they share at the end', () => {
    expect(headings('plate-two-ways')).toEqual([
      ['Read by', 'coarse: Length', 'coarse: Width', 'fine: Length', 'fine: Width', 'Thickness'],
      ['Mean length', 'Mean width', 'Volume'],
    ]);
  });

  it('are exchanged where many cases would not fit beside each other', () => {
    const { tables } = planOf(settingOfSample('glassware-delivery', 1));
    expect(tables.map(({ dimensions, isWide }) => [dimensions.join(), isWide])).toContainEqual(['trial', true]);
  });

  it('grow by the members that are asked for, up to the most', () => {
    const setting = settingOfSample('solid-by-displacement');
    const rows = (more: number): string[] => planOf(setting, { trial: more }).tables[0]!.rows.map(({ name }) => name);
    expect(rows(1)).toEqual(['trial 1', 'trial 2', 'trial 3', 'trial 4']);
    expect(rows(50)).toHaveLength(8);
    expect(growing(setting, planOf(setting).tables[0]!).map(({ id }) => id)).toEqual(['trial']);
  });

  it.each(protocolIds())('of %s have every cell of every sample exactly once', (id) => {
    for (const [index] of protocol(id).samples.entries()) {
      const setting = settingOfSample(id, index);
      const { single, tables } = planOf(setting);
      const planned = [
        ...single.map((quantity) => `${quantity.id} {}`),
        ...tables.flatMap(({ rows, columns }) =>
          columns.flatMap((column) =>
            rows
              .filter((row) => standsIn(column, row))
              .map((row) => `${column.quantity.id} ${JSON.stringify(placeOf(column, row))}`),
          ),
        ),
      ].sort();
      const there = [...setting.layout.quantities.values()]
        .flatMap((quantity) =>
          placesOf(setting, quantity.over, quantity.only).map((place) => `${quantity.id} ${JSON.stringify(place)}`),
        )
        .sort();
      expect(planned).toEqual(there);
      expect(tables.every(({ rows }) => rows.every(({ name }) => name !== ''))).toBe(true);
    }
  });

  it('know in which step a cell is entered', () => {
    const { quantities } = settingOfSample('plate-two-ways').layout;
    expect(stepOf(quantities.get('length')!, { method: 'fine', trial: '1' })).toBe('fine');
    expect(stepOf(quantities.get('thickness')!, {})).toBe('thickness');
    expect(stepOf(quantities.get('volume')!, {})).toBeNull();
  });
});
