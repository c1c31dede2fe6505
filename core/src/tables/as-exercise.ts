import type { Fault, TableExercise } from '../exercises/exercise.ts';
import type { TableFault } from './finding.ts';
import { proofread, TableError, type ProofreadOptions } from './proofread.ts';

/** What a fault is called where somebody looks for it; the first is its own name. What only looking again can tell is no exercise. */
const CALLED: Readonly<Partial<Record<TableFault, readonly string[]>>> = {
  'unit-missing': ['heading-without-unit'],
  'unit-wrong': ['wrong-unit'],
  'unit-mixed': ['wrong-unit'],
  'uneven-decimals': ['uneven-decimals', 'zero-dropped'],
  'wrong-difference': ['wrong-result'],
  'wrong-sum': ['wrong-result'],
  'wrong-product': ['wrong-result'],
  'wrong-quotient': ['wrong-result'],
  'wrong-mean': ['wrong-result'],
  'wrong-percent': ['wrong-result', 'wrong-base'],
  exchanged: ['start-end-exchanged'],
  'not-continued': ['not-continued'],
  'copied-row': ['copied-line'],
  'digits-exchanged': ['digits-exchanged', 'wrong-result'],
  'zero-lost': ['zero-dropped', 'uneven-decimals'],
  'rounded-between': ['rounded-on-the-way', 'wrong-result'],
  'too-many-digits': ['too-many-digits'],
  'too-few-digits': ['zero-dropped', 'uneven-decimals'],
  impossible: ['impossible-value'],
};

/** A larger table nobody looks through in a lesson. */
export const MOST_IN_EXERCISE = { rows: 30, columns: 10 } as const;

interface ExerciseOf extends ProofreadOptions {
  /** Findings that are no faults, as `row column kind`. */
  readonly left?: readonly string[];
}

/**
 * A table that somebody handed in, as an exercise: its faults are to be found and named.
 * @param table its cells, the headings where they stand.
 * @throws TableError where nothing in it is wrong, or it is too large for a lesson.
 */
export function tableExercise(
  table: readonly (readonly string[])[],
  { left = [], ...options }: ExerciseOf = {},
): TableExercise {
  const { findings, isTurned, skipped } = proofread(
    table.map((row) => [...row]),
    options,
  );
  const rows = table.slice(skipped);
  const width = Math.max(0, ...rows.map((row) => row.length));
  const upright = isTurned
    ? Array.from({ length: width }, (_, column) => rows.map((row) => row[column] ?? ''))
    : rows.map((row) => Array.from({ length: width }, (_, column) => row[column] ?? ''));
  const [headings = [], ...lines] = upright.filter((row) => row.some((text) => text.trim() !== ''));
  if (lines.length > MOST_IN_EXERCISE.rows || headings.length > MOST_IN_EXERCISE.columns)
    throw new TableError(
      `table: ${lines.length} rows and ${headings.length} columns are too many for an exercise; up to ${MOST_IN_EXERCISE.rows} rows and ${MOST_IN_EXERCISE.columns} columns fit.`,
    );
  const found = new Map<number, Fault>();
  for (const { row, column, kind, message, repair } of findings) {
    const called = CALLED[kind];
    if (!called || left.includes(`${row} ${column} ${kind}`)) continue;
    const [down, across] = isTurned ? [column, row - skipped] : [row - skipped, column];
    const line = upright[down];
    const at = line ? [headings, ...lines].indexOf(line) : -1;
    const cell = at * headings.length + across + 1;
    // Two faults in one cell could not be told apart: the first one counts.
    if (at < 0 || found.has(cell)) continue;
    found.set(cell, { cells: [cell], called, right: repair ?? '', why: message });
  }
  if (found.size === 0) throw new TableError('table: Nothing in this table is wrong, so there is nothing to find.');
  return {
    kind: 'spot-the-error',
    level: 2,
    story: 'This table was handed in.',
    question:
      found.size === 1
        ? 'One thing in it is wrong. Mark it, and say what it is.'
        : `${found.size} things in it are wrong. Mark each, and say what it is.`,
    headings,
    rows: lines,
    faults: [...found.values()].sort((a, b) => (a.cells[0] ?? 0) - (b.cells[0] ?? 0)),
  };
}
