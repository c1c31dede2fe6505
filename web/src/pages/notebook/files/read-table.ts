import type { ReadTable } from '@green-beam/core';
import Papa from 'papaparse';

export const LARGEST_TABLE = 2_000_000;
const MOST_COLUMNS = 200;
const MOST_ROWS = 5000;

/** A table as it was read, with how its cells were parted; or why it cannot be. */
export type TableRead =
  | { readonly table: ReadTable; readonly parted: 'commas' | 'semicolons' | 'tabs' | 'bars' }
  | { readonly refused: string };

/** What can part cells, those first that hardly stand in a cell: a comma can be a decimal mark. */
const PARTED = { '\t': 'tabs', ';': 'semicolons', '|': 'bars', ',': 'commas' } as const;
type Delimiter = keyof typeof PARTED;

/** So many rows are looked at to find out what parts them. */
const LOOKED_AT = 20;

const isEmpty = (row: readonly string[]): boolean => row.every((cell) => cell.trim() === '');

function delimiterOf(text: string): Delimiter {
  const parts = (delimiter: string): boolean => {
    const { data } = Papa.parse<string[]>(text, { delimiter, preview: LOOKED_AT, skipEmptyLines: 'greedy' });
    return data.length > 0 && data.every((row) => row.length > 1);
  };
  return (Object.keys(PARTED) as Delimiter[]).find(parts) ?? ',';
}

const isNumber = (cell: string): boolean => /^[-−+]?[\d.,\s]*\d[\d.,\s]*$/.test(cell.trim());

/** Whether a row has words where the next one has numbers. */
function hasHeadings(rows: readonly (readonly string[])[]): boolean {
  const [first = []] = rows;
  return first.some((cell) => cell.trim() !== '' && !isNumber(cell));
}

/**
 * Reads a table from text: pasted, or from a file. What parts its cells is found out. @param firstIsHeadings whether its first row has the
 * headings; found out where it is not said.
 */
export function readTable(text: string, firstIsHeadings?: boolean): TableRead {
  if (text.length > LARGEST_TABLE)
    return { refused: `That is ${(text.length / 1e6).toFixed(1)} million characters. A table has at most 2 million.` };
  const plain = text.replace(/^\uFEFF/, '');
  const delimiter = delimiterOf(plain);
  const { data, errors } = Papa.parse<string[]>(plain, { delimiter, skipEmptyLines: false });
  const wide = data.findIndex((row) => row.length > MOST_COLUMNS);
  if (wide >= 0)
    return {
      refused: `Row ${wide + 1} has ${data[wide]?.length ?? 0} columns. A table of readings has at most ${MOST_COLUMNS}.`,
    };
  if (data.length > MOST_ROWS)
    return { refused: `That is ${data.length} rows. A table of readings has at most ${MOST_ROWS}.` };
  const quotes = errors.find(({ type }) => type === 'Quotes');
  if (quotes) return { refused: `A quotation mark is not closed in row ${(quotes.row ?? 0) + 1}.` };
  const first = data.findIndex((row) => !isEmpty(row));
  if (first < 0) return { refused: 'There is nothing in it.' };
  const rows = data.slice(first);
  const headed = firstIsHeadings ?? hasHeadings(rows);
  const width = Math.max(...rows.map((row) => row.length));
  const headings = Array.from({ length: width }, (_, i) => (headed ? (rows[0]?.[i] ?? '').trim() : ''));
  return {
    table: { headings, rows: headed ? rows.slice(1) : rows, firstRow: first + (headed ? 2 : 1) },
    parted: PARTED[delimiter],
  };
}
