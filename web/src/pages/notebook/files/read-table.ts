import type { ReadTable } from '@green-beam/core';
import { rowsOfText, type Parted } from '../../../tables/text-rows.ts';

/** A table as it was read, with how its cells were parted; or why it cannot be. */
export type TableRead = { readonly table: ReadTable; readonly parted: Parted } | { readonly refused: string };

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
  const read = rowsOfText(text);
  if ('refused' in read) return read;
  const { rows, skipped, parted } = read;
  const headed = firstIsHeadings ?? hasHeadings(rows);
  const width = Math.max(...rows.map((row) => row.length));
  const headings = Array.from({ length: width }, (_, i) => (headed ? (rows[0]?.[i] ?? '').trim() : ''));
  return {
    table: { headings, rows: headed ? rows.slice(1) : rows, firstRow: skipped + (headed ? 2 : 1) },
    parted,
  };
}
