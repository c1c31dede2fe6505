import { FAULT_KINDS, indexOfLetter, parseMarks, type ExerciseShown, type Marked } from '@green-beam/core';

/** How many cells a table has, headings included. */
export function cellsIn({ headings, rows }: Extract<ExerciseShown['answered'], { by: 'marks' }>): number {
  return headings.length * (1 + rows.length);
}

/** Marks that can be read; none of those that cannot. */
export function marksIn(entry: string, cells: number): readonly Marked[] {
  try {
    return parseMarks(entry, cells);
  } catch {
    return [];
  }
}

/** What is written in a cell, by its number. */
export function cellText(
  { headings, rows }: Extract<ExerciseShown['answered'], { by: 'marks' }>,
  cell: number,
): string {
  const [row, column] = [Math.floor((cell - 1) / headings.length), (cell - 1) % headings.length];
  return (row === 0 ? headings[column] : rows[row - 1]?.[column]) ?? '';
}

/** Where a cell stands, as it is spoken: “Start / mL of Run 2”, “Working of Volume”. */
export function cellName(
  { headings, rows }: Extract<ExerciseShown['answered'], { by: 'marks' }>,
  cell: number,
): string {
  const [row, column] = [Math.floor((cell - 1) / headings.length), (cell - 1) % headings.length];
  const heading = headings[column] ?? '';
  if (row === 0) return `the heading ${heading}`;
  const first = rows[row - 1]?.[0] ?? '';
  // A row that is called by words needs no heading before them.
  const rowName = /^[\p{L}]/u.test(first) ? first : `${headings[0]?.split(' / ')[0] ?? ''} ${first}`;
  return column === 0 ? `the line ${rowName}` : `${heading} of ${rowName}`;
}

export function faultName(id: string): string {
  return FAULT_KINDS.find((kind) => kind.id === id)?.name ?? id;
}

/** An answer as somebody would say it: the option rather than its letter, cells and what is wrong with them. */
export function answerInWords({ answered }: ExerciseShown, entry: string): string {
  if (answered.by === 'choice') return answered.options[indexOfLetter(entry.trim())] ?? entry;
  if (answered.by !== 'marks') return entry;
  const marks = marksIn(entry, cellsIn(answered));
  return marks.length === 0
    ? entry
    : marks.map(({ cell, fault }) => `${cellText(answered, cell)}: ${faultName(fault)}`).join('; ');
}
