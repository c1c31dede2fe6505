import { columnLetters, type TableFinding } from '@green-beam/core';

/** A table while it is being mended: as it came, and what was written into which cell instead. */
export interface WorkedOn {
  readonly table: readonly (readonly string[])[];
  readonly repairs: readonly { readonly row: number; readonly column: number; readonly text: string }[];
  /** Findings that were looked at and left, as `row column kind`. */
  readonly left: readonly string[];
  readonly answers: Readonly<Record<string, string>>;
}

export const NOTHING: WorkedOn = { table: [], repairs: [], left: [], answers: {} };

/** The table with everything that was written into it. */
export function mended({ table, repairs }: Pick<WorkedOn, 'table' | 'repairs'>): string[][] {
  const rows = table.map((row) => [...row]);
  for (const { row, column, text } of repairs) {
    const cells = rows[row];
    if (!cells) continue;
    while (cells.length <= column) cells.push('');
    cells[column] = text;
  }
  return rows;
}

/** The table with its headings in the first row, and one below the other what stood side by side. */
export function upright(
  table: readonly (readonly string[])[],
  { isTurned, skipped }: { readonly isTurned: boolean; readonly skipped: number },
): string[][] {
  const rows = table.slice(skipped);
  if (!isTurned) return rows.map((row) => [...row]);
  const width = Math.max(0, ...rows.map((row) => row.length));
  return Array.from({ length: width }, (_, c) => rows.map((row) => row[c] ?? ''));
}

export function findingKey({ row, column, kind }: TableFinding): string {
  return `${row} ${column} ${kind}`;
}

/** `B3`, as a spreadsheet calls a cell. */
export function cellName({ row, column }: { readonly row: number; readonly column: number }): string {
  return `${columnLetters(column)}${row + 1}`;
}
