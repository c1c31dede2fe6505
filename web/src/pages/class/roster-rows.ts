import type { RosterRow } from '@green-beam/contract';
import Papa from 'papaparse';

const FIRST = /^(first|given|fore)[\s_-]*names?$/i;
const LAST = /^(last|family|sur)[\s_-]*names?$/i;
const WHOLE = /^(full[\s_-]*)?names?$|^students?$/i;

type Names = Omit<RosterRow, 'id'>;

/** A name in one piece: the last word is taken for the last name, so that the class code never lists it in full. */
function parted(whole: string): Names {
  const words = whole.trim().split(/\s+/);
  return words.length < 2
    ? { firstName: whole.trim(), lastName: '' }
    : { firstName: words.slice(0, -1).join(' '), lastName: words.at(-1) ?? '' };
}

/**
 * Rows of a class list, from a file or pasted from a table; any usual separator. Without a heading row the columns are first name and
 * last name, in that order; one column holds whole names.
 */
export function rowsOf(text: string): Names[] {
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, '').trim(), { skipEmptyLines: 'greedy' });
  const [head = []] = data;
  const columnOf = (pattern: RegExp): number => head.findIndex((cell) => pattern.test(cell.trim()));
  const [first, last, whole] = [columnOf(FIRST), columnOf(LAST), columnOf(WHOLE)];
  const cell = (cells: readonly string[], column: number): string => (cells[column] ?? '').trim();
  if (first >= 0 || last >= 0)
    return data.slice(1).map((cells) => ({ firstName: cell(cells, first), lastName: cell(cells, last) }));
  if (whole >= 0) return data.slice(1).map((cells) => parted(cell(cells, whole)));
  return data.map((cells) =>
    cells.length === 1 ? parted(cell(cells, 0)) : { firstName: cell(cells, 0), lastName: cell(cells, 1) },
  );
}
