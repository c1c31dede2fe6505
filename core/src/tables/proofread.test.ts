import { describe, expect, it } from 'vitest';
import { PRESETS } from '../rules/house-rules.ts';
import { proofread, TableError } from './proofread.ts';
import { toolQuestion } from './tool-of-column.ts';

/** A table as it would be pasted: cells by bars. */
const cells = (text: string): string[][] =>
  text
    .trim()
    .split('\n')
    .map((line) => line.split('|').map((cell) => cell.trim()));

const said = (text: string, answers?: Record<string, string>): string[] =>
  proofread(cells(text), answers ? { answers } : {}).findings.map(
    ({ row, column, kind, repair }) => `${row},${column} ${kind}${repair === null ? '' : ` → ${repair}`}`,
  );

const SOUND = `
Trial | Mass / g | Before / mL | After / mL | Volume / mL | Density / g/mL
1 | 24.31 | 18.6 | 21.4 | 2.8 | 8.7
2 | 24.29 | 19.0 | 21.8 | 2.8 | 8.7
3 | 24.33 | 20.2 | 22.9 | 2.7 | 9.0
4 | 24.30 | 18.8 | 21.6 | 2.8 | 8.7`;

describe('a table of measurements', () => {
  it('without a fault has nothing to be said of it, and its columns are understood', () => {
    const { findings, columns, asks } = proofread(cells(SOUND));
    expect(findings).toEqual([]);
    expect(asks).toEqual([]);
    expect(columns.map(({ by }) => by)).toEqual([null, null, null, null, 'After − Before', 'Mass ÷ Volume']);
  });

  it.each([
    ['a wrong difference', '2.7 | 9.0', '2.5 | 9.7', ['3,4 wrong-difference → 2.7']],
    ['a density turned over', '2.7 | 9.0', '2.7 | 0.11', ['3,5 wrong-quotient → 9.0']],
    ['a zero lost', '2.7 | 9.0', '2.7 | 9', ['3,5 zero-lost → 9.0']],
    ['digits of a calculator', '2.7 | 9.0', '2.7 | 9.0111', ['3,5 too-many-digits → 9.0']],
    ['start and end exchanged', '20.2 | 22.9', '22.9 | 20.2', ['3,2 exchanged → 20.2', '3,3 exchanged → 22.9']],
    ['two digits exchanged', '20.2 | 22.9', '20.2 | 29.2', ['3,3 digits-exchanged → 22.9']],
    ['a reading with fewer decimals', '24.30', '24.3', ['4,1 uneven-decimals → 24.30']],
    ['text among numbers', '24.33', 'forgot', ['3,1 not-a-number']],
    ['a number that has become a date', '24.33', '24. Mar', ['3,1 date-for-number']],
    ['a formula', '24.33', '=B3', ['3,1 formula']],
    ['another unit', '24.33', '24330 mg', ['3,1 unit-mixed → 24.33']],
  ])('%s', (_, right, wrong, found) => {
    expect(said(SOUND.replace(right, wrong))).toEqual(found);
  });

  it('a heading without its unit: the one that follows is proposed', () => {
    expect(said(SOUND.replace('Density / g/mL', 'Density'))).toEqual(['0,5 unit-missing → Density / g/mL']);
    expect(said(SOUND.replace('Mass / g', 'Mass'))).toEqual(['0,1 unit-missing']);
  });

  it('a heading with the wrong unit', () => {
    expect(said(SOUND.replace('Density / g/mL', 'Density / g'))).toEqual(['0,5 unit-wrong → Density / g/mL']);
  });

  it('has as many decimals as the tool that is named, by the rules of the class', () => {
    const short = [
      ['Run', 'Mass / g', 'Before / mL'],
      ['1', '24.3', '18.62'],
      ['2', '24.4', '19.04'],
      ['3', '24.2', '18.90'],
    ];
    expect(proofread(short).findings).toEqual([]);
    const named = { [toolQuestion(1)]: 'digital-balance-hundredth', [toolQuestion(2)]: 'cylinder-50' };
    expect(proofread(short, { answers: named }).findings).toEqual([
      expect.objectContaining({ row: 1, column: 1, kind: 'uneven-decimals', repair: '24.30' }),
      // A 50 mL cylinder is estimated to a tenth of its division of 1 mL.
      expect.objectContaining({ row: 1, column: 2, kind: 'uneven-decimals', repair: '18.6' }),
      expect.objectContaining({ row: 2, column: 1, kind: 'uneven-decimals', repair: '24.40' }),
      expect.objectContaining({ row: 2, column: 2, kind: 'uneven-decimals', repair: '19.0' }),
      expect.objectContaining({ row: 3, column: 1, kind: 'uneven-decimals', repair: '24.20' }),
      expect.objectContaining({ row: 3, column: 2, kind: 'uneven-decimals', repair: '18.9' }),
    ]);
    // By whole divisions the same cylinder has none; and in kilograms the same balance has five.
    const [first] = proofread(
      [
        ['Run', 'Before / mL'],
        ['1', '18.6'],
      ],
      {
        answers: { [toolQuestion(1)]: 'cylinder-50' },
        rules: { estimate: 'nearest-division' },
      },
    ).findings;
    expect(first).toMatchObject({ kind: 'uneven-decimals', repair: '19' });
    const kilograms = [
      ['Run', 'Mass / kg'],
      ['1', '0.02431'],
      ['2', '0.0243'],
    ];
    expect(proofread(kilograms, { answers: { [toolQuestion(1)]: 'digital-balance-hundredth' } }).findings).toEqual([
      expect.objectContaining({ row: 2, column: 1, repair: '0.02430' }),
    ]);
    expect(proofread(short).columns[1]!.tools).toContain('digital-balance-hundredth');
    expect(proofread(short).columns[1]!.tools).not.toContain('cylinder-50');
    // A tool that cannot have read it says nothing.
    expect(proofread(short, { answers: { [toolQuestion(1)]: 'cylinder-50' } }).findings).toEqual([]);
  });

  it('lets a result alone that is right once a reading has its zero again, and no other one', () => {
    const burette =
      'Run | Start / mL | End / mL | Run out / mL\n1 | 0.35 | 18.62 | 18.27\n2 | 1.20 | 20.45 | 19.25\n3 | 0.6 | 19.13 | 18.53\n4 | 2.15 | 21.07 | 18.92';
    expect(said(burette)).toEqual(['3,1 uneven-decimals → 0.60']);
    expect(said(SOUND.replace('24.30', '24.3').replace(/8\.7$/, '8.68'))).toEqual([
      '4,1 uneven-decimals → 24.30',
      '4,5 too-many-digits → 8.7',
    ]);
  });

  it('with rates is worked out too', () => {
    expect(
      said('Run | First / 1/s | Second / 1/s | Sum / 1/s\n1 | 5 | 7 | 12\n2 | 6 | 9 | 15\n3 | 8 | 9 | 16'),
    ).toEqual(['3,3 wrong-sum → 17']);
  });

  it('with commas is answered with commas', () => {
    expect(said(SOUND.replace(/(\d)\.(\d)/g, '$1,$2').replace('2,7 | 9,0', '2,5 | 9,7'))).toEqual([
      '3,4 wrong-difference → 2,7',
    ]);
  });

  it('with repeats side by side is read down', () => {
    const [first, ...rest] = cells(SOUND.replace('2.7 | 9.0', '2.5 | 9.7'));
    const turned = first!.map((_, column) => [first!, ...rest].map((row) => row[column]!));
    const { findings, isTurned } = proofread(turned);
    expect(isTurned).toBe(true);
    expect(findings).toMatchObject([{ row: 4, column: 3, kind: 'wrong-difference', repair: '2.7' }]);
  });

  it('goes on from row to row: a start that is not the last end', () => {
    expect(
      said(`
Delivery | Start (mL) | End (mL) | Delivered (mL)
1 | 0.52 | 10.61 | 10.09
2 | 10.61 | 20.66 | 10.05
3 | 20.56 | 30.74 | 10.18
4 | 30.74 | 40.83 | 10.09
Mean | | | 10.03`),
    ).toEqual(['3,1 not-continued → 20.66', '5,3 wrong-mean → 10.10']);
  });

  it('has an empty vessel weighed once', () => {
    expect(
      said(`
Fill | Empty vessel (g) | Full (g) | Water (g)
a | 41.27 | 61.35 | 20.08
b | | 66.21 | 24.94
c | | 71.40 | 30.23
d | | 76.02 | 34.75`),
    ).toEqual(['3,3 wrong-difference → 30.13']);
  });

  it('has an accepted value above it', () => {
    expect(
      said(`
Accepted density | 8.70 g/cm³
Piece | Density (g/cm³) | Percent error (%)
nail 1 | 8.92 | 2.5
nail 2 | 8.41 | -3.4
nail 3 | 8.66 | -0.5
nail 4 | 8.98 | 3.2`),
    ).toEqual(['3,2 wrong-percent → -3.3']);
  });

  it('a copied row is told by the row or the column that it is like, as a spreadsheet counts', () => {
    const copied = SOUND.replace('4 | 24.30 | 18.8 | 21.6 | 2.8', '4 | 24.31 | 18.6 | 21.4 | 2.8');
    const [found] = proofread(cells(copied)).findings;
    expect(found).toMatchObject({
      kind: 'copied-row',
      row: 4,
      message: expect.stringContaining('of row 2.') as string,
    });
    const rows = cells(copied);
    const turned = rows[0]!.map((_, column) => rows.map((row) => row[column]!));
    expect(proofread(turned).findings[0]).toMatchObject({
      kind: 'copied-row',
      column: 4,
      message: expect.stringContaining('of column B.') as string,
    });
  });

  it('estimated repeats that never differ are asked about; those of a display are not', () => {
    const even = (name: string): string => `Trial | ${name}\n${[1, 2, 3, 4, 5].map((n) => `${n} | 24.30`).join('\n')}`;
    expect(said(even('Length / mm'))).toEqual(['0,1 too-even']);
    expect(said(even('Mass / g'))).toEqual([]);
  });

  it.each(PRESETS)(
    'by $name percent errors may all go without their sign, and one that is wrong is still found',
    ({ rules }) => {
      const unsigned = (last: string): string[] =>
        proofread(
          cells(`
Piece | Measured (g/cm³) | Accepted (g/cm³) | Percent error (%)
a | 8.92 | 8.70 | 2.5
b | 8.41 | 8.70 | 3.3
c | 8.50 | 8.70 | 2.3
d | 8.98 | 8.70 | ${last}`),
          { rules },
        ).findings.map(({ row, kind, repair }) => `${row} ${kind} ${repair ?? ''}`);
      expect(unsigned('3.2')).toEqual([]);
      expect(unsigned('4.2')).toEqual(['4 wrong-percent 3.2']);
    },
  );

  it('a comma that may part thousands is asked about', () => {
    const table = `
Load | Shown (g)
a | 1,250
b | 2,500`;
    const { asks } = proofread(cells(table));
    expect(asks.map(({ id }) => id)).toEqual(['decimal-mark']);
    expect(proofread(cells(table), { answers: { 'decimal-mark': 'point' } }).findings).toEqual([]);
  });

  it('one row, one column or words alone say what can be said, and never fail', () => {
    for (const text of [
      'x',
      'Mass (g)\n12.3',
      'a | b\nc | d',
      '1 | 2 | 3',
      'Mass (g) | Volume (mL)\n12.30 | 4.1',
      ' | \n | 3',
    ])
      expect(Array.isArray(proofread(cells(text)).findings)).toBe(true);
  });

  it.each([
    [[], /nothing in it/],
    [[['', ' ']], /nothing in it/],
    [Array.from({ length: 60_000 }, () => ['1', '2']), /60000 rows are too many/],
    [[Array.from({ length: 80 }, () => '1')], /80 columns are too many/],
  ])('is refused where it is empty or too large', (table, message) => {
    expect(() => proofread(table)).toThrow(TableError);
    expect(() => proofread(table)).toThrow(message);
  });
});
