import ExcelJS, { type Worksheet } from 'exceljs';
import { describe, expect, it } from 'vitest';
import { LARGEST_WORKBOOK, rowsOfWorkbook } from './workbook-rows.ts';

async function file(fill: (sheet: Worksheet) => void): Promise<Blob> {
  const workbook = new ExcelJS.Workbook();
  fill(workbook.addWorksheet('Bench 4'));
  return new Blob([await workbook.xlsx.writeBuffer()]);
}

const rows = async (fill: (sheet: Worksheet) => void): Promise<unknown> => {
  const read = await rowsOfWorkbook(await file(fill));
  return 'rows' in read ? read.rows : read.refused;
};

describe('a workbook', () => {
  it('is read as it is shown: a zero that its format shows is there', async () => {
    expect(
      await rows((sheet) => {
        sheet.addRow(['Mass / g', 'Volume / mL', 'Error']);
        sheet.addRow([24.3, 2.8, 0.025]);
        sheet.getCell('A2').numFmt = '0.00';
        sheet.getCell('C2').numFmt = '0.0%';
      }),
    ).toEqual([
      ['Mass / g', 'Volume / mL', 'Error'],
      ['24.30', '2.8', '2.5 %'],
    ]);
  });

  it('has what its formulas came to, dates as dates, and merged cells once', async () => {
    expect(
      await rows((sheet) => {
        sheet.addRow(['Group 4', null]);
        sheet.mergeCells('A1:B1');
        sheet.addRow([{ formula: '1+1', result: 2 }, new Date(2026, 9, 1)]);
        sheet.addRow([{ formula: 'A9/B9' }, { error: '#DIV/0!' }]);
      }),
    ).toEqual([
      ['Group 4', ''],
      ['2', '1.10.2026'],
      ['=', '#DIV/0!'],
    ]);
  });

  it('begins with its first row that has something in it', async () => {
    expect(await rows((sheet) => (sheet.getCell('B3').value = 'x'))).toEqual([['', 'x']]);
  });

  it.each([
    [() => undefined, /nothing in it/],
    [(sheet: Worksheet) => (sheet.getCell('A5001').value = 1), /5001 rows/],
    [(sheet: Worksheet) => (sheet.getRow(1).getCell(201).value = 1), /201 columns/],
  ])('is refused where it is no table: %#', async (fill, reason) => {
    expect(await rows(fill)).toMatch(reason);
  });

  it('that is none, or too large, is refused with what to do', async () => {
    expect(await rowsOfWorkbook(new Blob(['not a workbook']))).toEqual({
      refused: expect.stringContaining('.csv') as string,
    });
    expect(await rowsOfWorkbook(new Blob([new Uint8Array(LARGEST_WORKBOOK + 1)]))).toEqual({
      refused: expect.stringContaining('5 million') as string,
    });
  });
});
