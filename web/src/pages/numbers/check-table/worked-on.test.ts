import { describe, expect, it } from 'vitest';
import { cellName, mended, upright } from './worked-on.ts';

describe('a table that is mended', () => {
  it('keeps what came, and has the last that was written into a cell', () => {
    const table = [['Mass', 'Volume'], ['24.3']] as const;
    const work = {
      table,
      repairs: [
        { row: 0, column: 0, text: 'Mass / g' },
        { row: 1, column: 0, text: '24.30' },
        { row: 1, column: 0, text: '24.31' },
        { row: 1, column: 2, text: '8.7' },
        { row: 9, column: 0, text: 'nowhere' },
      ],
    };
    expect(mended(work)).toEqual([
      ['Mass / g', 'Volume'],
      ['24.31', '', '8.7'],
    ]);
    expect(table[1]).toEqual(['24.3']);
  });

  it('is put upright, without the title above it', () => {
    const table = [['Group 4'], ['Mass', '1', '2'], ['Volume', '3']];
    expect(upright(table, { isTurned: true, skipped: 1 })).toEqual([
      ['Mass', 'Volume'],
      ['1', '3'],
      ['2', ''],
    ]);
    expect(upright(table, { isTurned: false, skipped: 1 })).toEqual([
      ['Mass', '1', '2'],
      ['Volume', '3'],
    ]);
  });

  it.each([
    [0, 0, 'A1'],
    [3, 4, 'E4'],
    [0, 25, 'Z1'],
    [0, 26, 'AA1'],
    [0, 53, 'BB1'],
  ])('calls row %i, column %i %s, as a spreadsheet does', (row, column, name) => {
    expect(cellName({ row, column })).toBe(name);
  });
});
