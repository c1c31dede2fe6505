import type { ExerciseShown, Marked } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { cellName } from './answer-in-words.ts';

type Table = Extract<ExerciseShown['answered'], { by: 'marks' }>;

interface MarkedTableProps {
  readonly table: Table;
  readonly marks: readonly Marked[];
  /** Cells where something is wrong; once the answer is known. */
  readonly faulty?: ReadonlySet<number>;
  /** Null where nothing can be marked any more. */
  readonly onMark: ((cell: number) => void) | null;
}

/** A table of results: every cell, headings included, can be marked. */
export function MarkedTable({ table, marks, faulty = new Set(), onMark }: MarkedTableProps): ReactNode {
  const numerals = useNumerals();
  const { headings, rows } = table;
  const cell = (row: number, column: number): number => row * headings.length + column + 1;
  const content = (row: number, column: number, text: string): ReactNode => {
    const number = cell(row, column);
    const marked = marks.some((mark) => mark.cell === number);
    const look = faulty.has(number)
      ? 'outline-2 -outline-offset-2 outline-beam'
      : marked
        ? 'outline-2 -outline-offset-2 outline-slip outline-dashed'
        : '';
    const inside = (
      <span className={row === 0 ? 'font-semibold' : /[\d−]/.test(text) ? 'font-mono' : ''}>{numerals(text)}</span>
    );
    if (!onMark)
      return (
        <span className={`flex min-h-12 w-full items-center px-3 ${look}`}>
          {inside}
          {marked && <span className="sr-only">, marked</span>}
        </span>
      );
    return (
      <button
        type="button"
        aria-pressed={marked}
        aria-label={`${numerals(text)}, ${numerals(cellName(table, number))}`}
        className={`flex min-h-12 w-full items-center px-3 text-left hover:bg-wash ${look}`}
        onClick={() => onMark(number)}
      >
        {inside}
      </button>
    );
  };
  return (
    <div className="overflow-x-auto">
      <table className="w-full border-collapse text-lg">
        <thead>
          <tr className="border-y border-ink">
            {headings.map((heading, i) => (
              <th key={i} scope="col" className="p-0 text-left font-normal">
                {content(0, i, heading)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, i) => (
            <tr key={i} className="border-b border-hairline">
              {row.map((text, j) =>
                j === 0 ? (
                  <th key={j} scope="row" className="p-0 text-left font-normal">
                    {content(i + 1, j, text)}
                  </th>
                ) : (
                  <td key={j} className="p-0">
                    {content(i + 1, j, text)}
                  </td>
                ),
              )}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
