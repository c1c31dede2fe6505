import { decimalMarkOf, readCell, type Cell, type DecimalMark, type NumberCell } from './cell.ts';
import { footOf, headingOf, roleOf, type FootKind, type Heading, type Role } from './heading.ts';

/** Where a cell stands in the table as it was given: rows and columns from 0. */
export interface Spot {
  readonly row: number;
  readonly column: number;
}

/** A column of values, whichever way it stood. */
export interface Column {
  readonly heading: Heading;
  readonly role: Role;
  /** Its values, row by row; feet are not among them. */
  readonly cells: readonly Cell[];
  /** Most of what is filled in are numbers, and it does not just count the rows. */
  readonly isNumeric: boolean;
}

/** A table as it was understood. */
export interface Understood {
  readonly mark: DecimalMark;
  /** Repeats stood side by side, and headings one under the other. */
  readonly isTurned: boolean;
  readonly columns: readonly Column[];
  /** How many lines stand above the headings. */
  readonly skipped: number;
  /** How many rows of values there are. */
  readonly rows: number;
  /** Rows that sum up the others, with their cells by column. */
  readonly feet: readonly { readonly kind: FootKind; readonly row: number; readonly cells: readonly Cell[] }[];
  /** Where a value stood. @param row of the values; −1 is the heading. */
  spotOf(row: number, column: number): Spot;
  /** What a row of values is called where it stood: `row 4`, or `column D`. */
  lineName(row: number): string;
  /** Where a cell of a foot stood. */
  footSpot(foot: number, column: number): Spot;
  /** Numbers that stand above the table, as “accepted 8.70 g/cm³”. */
  readonly above: readonly NumberCell[];
}

/** Something that the table itself does not decide. */
export interface Ask {
  readonly id: string;
  readonly question: string;
  /** The first one is taken until somebody chooses. */
  readonly choices: readonly { readonly id: string; readonly text: string }[];
}

/** `A` for the first column, as a spreadsheet calls it. */
export function columnLetters(column: number): string {
  let letters = '';
  for (let rest = column; rest >= 0; rest = Math.floor(rest / 26) - 1)
    letters = `${String.fromCharCode('A'.charCodeAt(0) + (rest % 26))}${letters}`;
  return letters;
}

const isFilled = (text: string | undefined): boolean => (text ?? '').trim() !== '';

function turned(table: readonly (readonly string[])[]): string[][] {
  const width = Math.max(0, ...table.map((row) => row.length));
  return Array.from({ length: width }, (_, column) => table.map((row) => row[column] ?? ''));
}

const isNumber = (text: string | undefined, mark: DecimalMark): boolean => readCell(text ?? '', mark).kind === 'number';

/** How much a line of cells looks like headings: units count most, words a little, numbers against it. */
function headingScore(cells: readonly string[], mark: DecimalMark): number {
  const filled = cells.filter(isFilled);
  if (filled.length === 0) return -Infinity;
  return filled.reduce((score, text) => {
    if (isNumber(text, mark)) return score - 1;
    return score + (headingOf(text).unit === null ? 0.25 : 1);
  }, 0);
}

/** The lines above the headings: titles, which fill hardly a cell. */
function titleLines(table: readonly (readonly string[])[], mark: DecimalMark): number {
  const first = table.findIndex((row) => row.filter(isFilled).length >= 2);
  if (first < 0) return 0;
  const [top, next] = [table[first] ?? [], table[first + 1] ?? []];
  // “Accepted density | 8.70 g/cm³” above the headings.
  const isPair =
    top.filter(isFilled).length === 2 && next.filter(isFilled).length > 2 && top.some((text) => isNumber(text, mark));
  return isPair ? first + 1 : first;
}

const NUMBER_INSIDE = /[+−-]?\d+(?:[.,]\d+)?(?:\s*(?:[a-zµ°%]+(?:[/·]?[a-z]+[²³]?)?))?/giu;

function numbersIn(text: string, mark: DecimalMark): NumberCell[] {
  return (text.match(NUMBER_INSIDE) ?? []).flatMap((part) => {
    const cell = readCell(part, mark);
    return cell.kind === 'number' ? [cell] : [];
  });
}

/** Whole numbers one after the other from 1: they count the rows. */
function countsRows(cells: readonly Cell[]): boolean {
  return (
    cells.length > 1 && cells.every((cell, i) => cell.kind === 'number' && cell.value === i + 1 && cell.decimals === 0)
  );
}

/** Numbers are most of what is filled in. */
const MOSTLY = 0.6;

function columnOf(heading: Heading, cells: readonly Cell[], isFirst: boolean): Column {
  const filled = cells.filter(({ kind }) => kind !== 'empty');
  const numbers = filled.filter(({ kind }) => kind === 'number').length;
  const byWords = roleOf(heading.name);
  const counts = isFirst && countsRows(filled);
  const role = counts && byWords === 'plain' ? 'label' : byWords;
  return {
    heading,
    role,
    cells,
    isNumeric: !counts && role !== 'label' && role !== 'repeat' && numbers > 0 && numbers >= MOSTLY * filled.length,
  };
}

interface Answers {
  readonly [ask: string]: string | undefined;
}

/**
 * Reads a table of cells: where its headings are, which columns it has, and what sums them up.
 * @param answers to what was asked, by the id of the question.
 */
export function understand(
  table: readonly (readonly string[])[],
  answers: Answers = {},
): { readonly understood: Understood; readonly asks: readonly Ask[] } {
  const asks: Ask[] = [];
  const found = decimalMarkOf(table);
  if (found === null)
    asks.push({
      id: 'decimal-mark',
      question: 'What does the comma in these numbers mean?',
      choices: [
        { id: 'comma', text: 'Decimals come after it.' },
        { id: 'point', text: 'It separates thousands.' },
      ],
    });
  const mark = found ?? (answers['decimal-mark'] === 'point' ? 'point' : 'comma');
  const skipped = titleLines(table, mark);
  const body = table.slice(skipped);
  const [down, across] = [
    headingScore(body[0] ?? [], mark),
    headingScore(
      body.map(([first = '']) => first),
      mark,
    ),
  ];
  if (down === across && down > 1)
    asks.push({
      id: 'headings',
      question: 'Where are the headings?',
      choices: [
        { id: 'top', text: 'In the first row.' },
        { id: 'left', text: 'In the first column.' },
      ],
    });
  const isTurned = answers['headings'] === 'left' || (answers['headings'] !== 'top' && across > down);
  const lines = isTurned ? turned(body) : body.map((row) => [...row]);
  const headings = (lines[0] ?? []).map(headingOf);
  const values = lines
    .slice(1)
    .map((row, i) => ({ row, at: i + 1 }))
    .filter(({ row }) => row.some(isFilled));
  const firstFoot = values.findIndex(({ row }) => footOf(row.find(isFilled) ?? '') !== null);
  const rows = firstFoot < 0 ? values : values.slice(0, firstFoot);
  const feet = firstFoot < 0 ? [] : values.slice(firstFoot);
  const width = Math.max(headings.length, ...values.map(({ row }) => row.length), 0);
  const cellsOf = (row: readonly string[]): Cell[] =>
    Array.from({ length: width }, (_, c) => readCell(row[c] ?? '', mark));
  const read = rows.map(({ row }) => cellsOf(row));
  const spot = (line: number, column: number): Spot =>
    isTurned ? { row: column + skipped, column: line } : { row: line + skipped, column };
  return {
    asks,
    understood: {
      mark,
      isTurned,
      skipped,
      columns: Array.from({ length: width }, (_, c) =>
        columnOf(
          headings[c] ?? headingOf(''),
          read.map((cells) => cells[c] ?? { kind: 'empty' }),
          c === 0,
        ),
      ),
      rows: rows.length,
      feet: feet.map(({ row, at }) => ({
        kind: footOf(row.find(isFilled) ?? '') ?? 'other',
        row: at,
        cells: cellsOf(row),
      })),
      lineName: (row) => {
        const line = rows[row]?.at ?? 0;
        return isTurned ? `column ${columnLetters(line)}` : `row ${line + skipped + 1}`;
      },
      spotOf: (row, column) => spot(row < 0 ? 0 : (rows[row]?.at ?? 0), column),
      footSpot: (foot, column) => spot(feet[foot]?.at ?? 0, column),
      above: table.slice(0, skipped).flatMap((row) => row.flatMap((text) => numbersIn(text, mark))),
    },
  };
}
