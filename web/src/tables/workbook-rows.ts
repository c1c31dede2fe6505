import type { Cell, CellValue } from 'exceljs';
import { format } from 'date-fns';

/** Larger workbooks are no table of readings, in bytes. */
export const LARGEST_WORKBOOK = 5_000_000;
const MOST_ROWS = 5000;
const MOST_COLUMNS = 200;

/** The cells of a workbook’s first sheet that has any; or why there are none. */
export type WorkbookRows = { readonly rows: readonly (readonly string[])[] } | { readonly refused: string };

/** How many decimals a number is shown with; null where the format leaves it to the number. */
function decimalsOf(numberFormat: string | undefined): number | null {
  const [first = ''] = (numberFormat ?? '').split(';');
  return /0/.test(first) ? (/\.(0+)/.exec(first)?.[1] ?? '').length : null;
}

function textOf(value: CellValue, numberFormat: string | undefined): string {
  if (value === null || value === undefined) return '';
  if (value instanceof Date) return format(value, 'd.M.yyyy');
  if (typeof value === 'number') {
    const decimals = decimalsOf(numberFormat);
    const isPercent = numberFormat?.includes('%') === true;
    const shown = isPercent ? value * 100 : value;
    return `${decimals === null ? String(shown) : shown.toFixed(decimals)}${isPercent ? ' %' : ''}`;
  }
  if (typeof value !== 'object') return String(value);
  if ('richText' in value) return value.richText.map(({ text }) => text).join('');
  if ('error' in value) return value.error;
  if ('text' in value) return value.text;
  // What a formula came to when the file was saved; one that never came to anything stays a formula.
  const { result } = value as { result?: CellValue };
  return result === undefined ? '=' : textOf(result, numberFormat);
}

/** Of merged cells only the first one has something in it. */
function shownIn(cell: Cell): string {
  return cell.isMerged && cell.master.address !== cell.address ? '' : textOf(cell.value, cell.numFmt).trim();
}

/** Reads a workbook as it is shown: numbers with the decimals of their format. */
export async function rowsOfWorkbook(file: Blob): Promise<WorkbookRows> {
  if (file.size > LARGEST_WORKBOOK)
    return {
      refused: `The file has ${(file.size / 1e6).toFixed(1)} million bytes. A workbook with a table has at most 5 million.`,
    };
  const { default: excel } = await import('exceljs');
  const workbook = new excel.Workbook();
  try {
    await workbook.xlsx.load(await file.arrayBuffer());
  } catch {
    return { refused: 'This is no workbook that can be read. Save it as .xlsx or .csv, and try again.' };
  }
  const sheet = workbook.worksheets.find(({ actualRowCount }) => actualRowCount > 0);
  if (!sheet) return { refused: 'There is nothing in it.' };
  if (sheet.rowCount > MOST_ROWS)
    return { refused: `That is ${sheet.rowCount} rows. A table of readings has at most ${MOST_ROWS}.` };
  if (sheet.columnCount > MOST_COLUMNS)
    return { refused: `That is ${sheet.columnCount} columns. A table of readings has at most ${MOST_COLUMNS}.` };
  const rows = Array.from({ length: sheet.rowCount }, (_, r) =>
    Array.from({ length: sheet.columnCount }, (_none, c) => shownIn(sheet.getRow(r + 1).getCell(c + 1))),
  );
  const first = rows.findIndex((row) => row.some((text) => text !== ''));
  return { rows: rows.slice(Math.max(0, first)) };
}
