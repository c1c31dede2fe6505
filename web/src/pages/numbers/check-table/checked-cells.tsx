import { columnLetters, type TableFinding } from '@green-beam/core';
import type { ReactNode } from 'react';
import { cellName, type WorkedOn } from './worked-on.ts';

interface CheckedCellsProps {
  /** As it stands now. */
  readonly table: readonly (readonly string[])[];
  readonly repairs: WorkedOn['repairs'];
  readonly findings: readonly TableFinding[];
  /** Whose reason is looked at. */
  readonly chosen: TableFinding | null;
  readonly onChoose: (finding: TableFinding) => void;
}

/** The table as it was pasted, each fault marked in its cell; what was mended stays legible. */
export function CheckedCells({ table, repairs, findings, chosen, onChoose }: CheckedCellsProps): ReactNode {
  const width = Math.max(...table.map((row) => row.length), 0);
  const findingAt = new Map(findings.map((finding) => [`${finding.row} ${finding.column}`, finding]));
  const mendedAt = new Set(repairs.map(({ row, column }) => `${row} ${column}`));
  return (
    <div className="relative max-h-[70vh] overflow-auto border-y border-hairline">
      <table>
        <caption className="sr-only">The table that is checked</caption>
        <thead>
          <tr className="text-small text-muted">
            <td />
            {Array.from({ length: width }, (_, c) => (
              <th key={c} scope="col" className="px-3 py-1 text-left font-normal">
                {columnLetters(c)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {table.map((row, r) => (
            <tr key={r} className="border-t border-hairline">
              <th scope="row" className="pr-3 text-right text-small font-normal text-muted">
                {r + 1}
              </th>
              {Array.from({ length: width }, (_, c) => {
                const key = `${r} ${c}`;
                const finding = findingAt.get(key);
                const text = row[c] ?? '';
                if (!finding)
                  return (
                    <td
                      key={c}
                      className={`px-3 py-2 whitespace-nowrap ${mendedAt.has(key) ? 'font-semibold text-beam' : ''}`}
                    >
                      {text}
                      {mendedAt.has(key) && <span className="sr-only"> (mended)</span>}
                    </td>
                  );
                const isChosen = finding === chosen;
                return (
                  <td key={c} className="p-0 whitespace-nowrap">
                    <button
                      type="button"
                      aria-pressed={isChosen}
                      aria-label={`${text === '' ? 'empty' : text}, ${cellName(finding)}: something to look at`}
                      className={`min-h-10 w-full px-3 text-left underline decoration-wavy decoration-slip underline-offset-4 ${isChosen ? 'bg-surface font-bold outline-2 outline-slip' : 'hover:bg-wash'}`}
                      onClick={() => onChoose(finding)}
                    >
                      {text === '' ? '…' : text}
                    </button>
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
