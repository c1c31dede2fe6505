import { describe, expect, it } from 'vitest';
import { readTable, type TableRead } from './read-table.ts';

const refusal = (read: TableRead): string => ('refused' in read ? read.refused : '');
const tableOf = (read: TableRead): unknown => ('table' in read ? [read.parted, read.table] : read.refused);

describe('a table from text', () => {
  it.each([
    ['commas', 'Trial,Mass (g)\n1,54.31\n2,54.32'],
    ['semicolons', 'Trial;Mass (g)\r\n1;54.31\r\n2;54.32\r\n'],
    ['tabs', '\uFEFFTrial\tMass (g)\n1\t54.31\n2\t54.32'],
    ['commas', '"Trial","Mass (g)"\n"1","54.31"\n"2","54.32"'],
  ])('is parted by %s, whatever else its lines end with', (parted, text) => {
    const [found, table] = tableOf(readTable(text)) as [
      string,
      { headings: string[]; rows: string[][]; firstRow: number },
    ];
    expect(found).toBe(parted);
    expect(table.headings).toEqual(['Trial', 'Mass (g)']);
    expect(table.rows.filter((row) => row.length > 1)).toEqual([
      ['1', '54.31'],
      ['2', '54.32'],
    ]);
    expect(table.firstRow).toBe(2);
  });

  it('keeps decimal commas', () => {
    expect(tableOf(readTable('Trial;Mass\n1;54,31'))).toMatchObject(['semicolons', { rows: [['1', '54,31']] }]);
  });

  it('has no headings where its first row is all numbers, or where it is said', () => {
    expect(tableOf(readTable('1;54,31\n2;54,32'))).toMatchObject([
      'semicolons',
      { headings: ['', ''], firstRow: 1, rows: { length: 2 } },
    ]);
    expect(tableOf(readTable('a;b\n1;2', false))).toMatchObject(['semicolons', { rows: { length: 2 } }]);
  });

  it('counts rows as the file does, with those that are empty before it', () => {
    expect(tableOf(readTable('\n\nTrial,Mass\n1,5'))).toMatchObject(['commas', { firstRow: 4 }]);
  });

  it.each([
    ['', /nothing/],
    [' \n\n  \n', /nothing/],
    ['x'.repeat(2_000_001), /at most 2 million/],
    [`a\n${'1,'.repeat(10_000)}`, /Row 2 has 10001 columns/],
    ['1,2\n'.repeat(6000), /6001 rows/],
    ['Trial,Mass\n1,"5', /not closed in row 2/],
  ])('is refused where it cannot be one: %#', (text, reason) => expect(refusal(readTable(text))).toMatch(reason));
});
