import type { RunPage, ToolChoice } from '@green-beam/contract';
import {
  namedToolText,
  type Cell,
  type ComputedQuantity,
  type EvaluatedRun,
  type ReadQuantity,
} from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { ColumnHeading } from './column-heading.tsx';
import { LeaveOut } from './leave-out.tsx';
import { CellEditor, CellShown, wordsFor } from './trial-cell.tsx';

type Column = ReadQuantity | ComputedQuantity;
type Row = EvaluatedRun['rows'][number];

interface Writing {
  readonly page: RunPage;
  readonly onWrite: (slot: string, text: string, reason: string | null) => void;
}

interface ReadCellProps extends Writing {
  readonly label: string;
  readonly slot: string;
  readonly cell: Cell;
}

/** A cell that is read: a tap opens it for writing. */
function ReadCell({ page, label, slot, cell, onWrite }: ReadCellProps): ReactNode {
  const [editing, setEditing] = useState(false);
  const standing = cell.kind === 'reading' || cell.kind === 'unusable' ? cell.event.text : '';
  if (editing)
    return (
      <CellEditor
        label={label}
        standing={standing}
        onLeave={() => setEditing(false)}
        onDone={(text, reason) => onWrite(slot, text, reason)}
      />
    );
  const shown = <CellShown cell={cell} people={page.people} />;
  if (!page.mayWrite) return <span className="inline-flex min-h-11 items-center">{shown}</span>;
  return (
    <button type="button" className="min-h-11 min-w-16 text-right hover:bg-wash" onClick={() => setEditing(true)}>
      <span className="sr-only">{`${label}, ${wordsFor(cell, page.people)}`}</span>
      <span aria-hidden="true">{shown}</span>
    </button>
  );
}

interface TrialProps extends Writing {
  readonly row: Row;
  readonly columns: readonly Column[];
  readonly onWorking: (trial: number, quantity: string) => void;
}

function Trial({ page, row, columns, onWrite, onWorking }: TrialProps): ReactNode {
  const { trial, cells, excluded } = row;
  const numerals = useNumerals();
  const written = Object.values(cells).some((cell) => cell.kind === 'reading' || cell.kind === 'unusable');
  return (
    <tr className={`border-b border-hairline ${excluded ? 'text-muted' : ''}`}>
      <th scope="row" className="py-1 text-left font-mono font-normal">
        {trial}
      </th>
      {columns.map(({ id, name, kind }) => {
        const cell = cells[id] ?? { kind: 'empty' as const };
        const label = `${name}, trial ${trial}`;
        return (
          <td
            key={id}
            className={`px-3 text-right text-lg ${kind === 'computed' ? 'bg-ink/[0.035]' : ''} ${excluded ? 'line-through' : ''}`}
          >
            {kind === 'read' && (
              <ReadCell page={page} label={label} slot={`${id}.${trial}`} cell={cell} onWrite={onWrite} />
            )}
            {kind === 'computed' && cell.kind === 'computed' && (
              <button
                type="button"
                className="min-h-11"
                aria-label={`${label}, ${numerals(cell.text)}: show the working`}
                onClick={() => onWorking(trial, id)}
              >
                <CellShown cell={cell} people={page.people} />
              </button>
            )}
            {kind === 'computed' && cell.kind === 'pending' && <CellShown cell={cell} people={page.people} />}
          </td>
        );
      })}
      <td className="py-1 pl-3 text-left text-small">
        {(written || excluded) && <LeaveOut page={page} trial={trial} excluded={excluded} onWrite={onWrite} />}
      </td>
    </tr>
  );
}

interface TrialTableProps extends Writing {
  readonly cabinet: readonly ToolChoice[];
  readonly evaluated: EvaluatedRun;
  readonly onWorking: (trial: number, quantity: string) => void;
}

/** The table of trials: what is read, with units in the headings, and what follows from it. */
export function TrialTable({ page, evaluated, cabinet, onWrite, onWorking }: TrialTableProps): ReactNode {
  const columns = page.protocol.quantities.filter(
    (quantity): quantity is Column => quantity.kind === 'read' || quantity.kind === 'computed',
  );
  const full = evaluated.rows.every((row) =>
    Object.values(row.cells).some((cell) => cell.kind !== 'empty' && cell.kind !== 'pending'),
  );
  const next: Row[] =
    page.mayWrite && full && evaluated.rows.length < page.protocol.trials.most
      ? [{ trial: evaluated.rows.length + 1, cells: {}, excluded: null }]
      : [];
  // The zero error is written down with the tool, as it was known then.
  const choose = (quantityId: string, instrumentId: string, tool: ToolChoice | null): void => {
    onWrite(`instrument.${quantityId}`, instrumentId, null);
    onWrite(
      `tool.${quantityId}`,
      tool === null ? '' : namedToolText({ instrumentId, code: tool.code, zeroError: tool.zeroError ?? 0 }),
      null,
    );
  };
  return (
    <div className="relative overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="border-b-[1.5px] border-ink align-bottom text-small">
            <th scope="col" className="py-2 text-left font-semibold">
              Trial
            </th>
            {columns.map((quantity) => (
              <ColumnHeading
                key={quantity.id}
                quantity={quantity}
                instrumentId={evaluated.instruments[quantity.id] ?? null}
                tool={evaluated.tools[quantity.id] ?? null}
                cabinet={cabinet}
                mayWrite={page.mayWrite}
                onChoose={(id, tool) => choose(quantity.id, id, tool)}
              />
            ))}
            <td />
          </tr>
        </thead>
        <tbody>
          {[...evaluated.rows, ...next].map((row) => (
            <Trial key={row.trial} page={page} row={row} columns={columns} onWrite={onWrite} onWorking={onWorking} />
          ))}
        </tbody>
      </table>
    </div>
  );
}
