import type { RunPage } from '@green-beam/contract';
import { instrumentById, type Cell, type ComputedQuantity, type EvaluatedRun, type ReadQuantity, type RunEvent } from '@green-beam/core';
import { format } from 'date-fns';
import { useState, type KeyboardEvent, type ReactNode } from 'react';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';

type Column = ReadQuantity | ComputedQuantity;

interface CellProps {
  readonly cell: Cell;
  readonly people: RunPage['people'];
}

/** Entries struck through stay legible, with the initials, time and reason of what replaced them. */
function History({ struck, event, people }: { readonly struck: readonly RunEvent[]; readonly event: RunEvent; readonly people: RunPage['people'] }): ReactNode {
  if (struck.length === 0) return null;
  return (
    <>
      {struck.map((old) => (
        <MeasuredNumber key={old.id} text={old.text} struck className="mr-2 text-[0.95rem]" />
      ))}
      <span className="sr-only">{event.reason ? `reason: ${event.reason}` : ''}</span>
      <span title={event.reason ?? ''} className="order-last ml-1 align-super text-[0.8125rem] text-muted">
        {people[event.person]?.initials ?? ''} {format(new Date(event.deviceTime), 'HH:mm')}
      </span>
    </>
  );
}

function Shown({ cell, people }: CellProps): ReactNode {
  switch (cell.kind) {
    case 'empty':
      return <span className="text-muted">·</span>;
    case 'pending':
      return <span className="text-muted">{cell.reason ? '!' : ''}</span>;
    case 'computed':
      return <MeasuredNumber text={cell.text} />;
    case 'reading':
      return (
        <span className="inline-flex items-baseline">
          <History struck={cell.struck} event={cell.event} people={people} />
          <MeasuredNumber text={cell.text} />
          {cell.rivals.map((rival) => <span key={rival.id} className="ml-2 text-slip">or {rival.text}?</span>)}
        </span>
      );
    case 'unusable':
      return <span className="font-mono text-slip underline decoration-wavy underline-offset-4">{cell.text}</span>;
  }
}

interface EditorProps {
  readonly label: string;
  readonly standing: string;
  readonly onDone: (text: string, reason: string | null) => void;
  readonly onLeave: () => void;
}

/** A cell being written; a correction can say why. */
function Editor({ label, standing, onDone, onLeave }: EditorProps): ReactNode {
  const [text, setText] = useState(standing);
  const [reason, setReason] = useState('');
  const finish = (): void => {
    if (text.trim() !== '' && text !== standing) onDone(text.trim(), reason.trim() || null);
    onLeave();
  };
  const press = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave();
    if (event.key !== 'Enter') return;
    event.preventDefault();
    finish();
  };
  return (
    <div
      className="flex flex-col items-end gap-1"
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) finish();
      }}
    >
      {/* The editor opens where the person has just chosen a cell; focus belongs there. */}
      {/* eslint-disable-next-line jsx-a11y/no-autofocus */}
      <input autoFocus aria-label={label} value={text} onChange={(event) => setText(event.target.value)} onFocus={(event) => event.target.select()} onKeyDown={press} inputMode="decimal" className="min-h-11 w-28 border-b-2 border-beam bg-surface px-2 text-right font-mono text-lg" />
      {standing !== '' && <input aria-label="Why it is corrected" placeholder="why?" value={reason} onChange={(event) => setReason(event.target.value)} onKeyDown={press} className="min-h-9 w-28 border-b border-hairline bg-surface px-2 text-small" />}
    </div>
  );
}

interface TrialTableProps {
  readonly page: RunPage;
  readonly evaluated: EvaluatedRun;
  readonly onWrite: (slot: string, text: string, reason: string | null) => void;
  readonly onWorking: (trial: number, quantity: string) => void;
}

/** The table of trials: what is read, with units in the headings, and what follows from it. */
export function TrialTable({ page, evaluated, onWrite, onWorking }: TrialTableProps): ReactNode {
  const [editing, setEditing] = useState<string | null>(null);
  const columns = page.protocol.quantities.filter((quantity): quantity is Column => quantity.kind === 'read' || quantity.kind === 'computed');
  const trials = evaluated.rows.map((row) => row.trial);
  const mayAdd = page.mayWrite && trials.length < page.protocol.trials.most && evaluated.rows.every((row) => Object.values(row.cells).some((cell) => cell.kind !== 'empty' && cell.kind !== 'pending'));
  const rows = mayAdd ? [...evaluated.rows, { trial: trials.length + 1, cells: {} as Record<string, Cell>, excluded: null }] : evaluated.rows;
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <thead>
          <tr className="border-b-[1.5px] border-ink align-bottom text-small">
            <th scope="col" className="py-2 text-left font-semibold">Trial</th>
            {columns.map((quantity) => (
              <th key={quantity.id} scope="col" className={`px-3 py-2 text-right font-semibold ${quantity.kind === 'computed' ? 'bg-ink/[0.035]' : ''}`}>
                {quantity.name}
                <span className="block">{quantity.unit}</span>
                {quantity.kind === 'read' && <span className="block font-normal text-muted">{instrumentById(evaluated.instruments[quantity.id] ?? quantity.instruments[0]).name}</span>}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.trial} className={`border-b border-hairline ${row.excluded ? 'text-muted line-through' : ''}`}>
              <th scope="row" className="py-1 text-left font-mono font-normal">{row.trial}</th>
              {columns.map((quantity) => {
                const slot = `${quantity.id}.${row.trial}`;
                const cell = row.cells[quantity.id] ?? { kind: 'empty' as const };
                const label = `${quantity.name}, trial ${row.trial}`;
                if (quantity.kind === 'computed') {
                  return (
                    <td key={quantity.id} className="bg-ink/[0.035] px-3 text-right text-lg">
                      {cell.kind === 'computed' ? (
                        <button type="button" className="min-h-11" aria-label={`${label}: show the working`} onClick={() => onWorking(row.trial, quantity.id)}>
                          <Shown cell={cell} people={page.people} />
                        </button>
                      ) : (
                        cell.kind === 'pending' && <Shown cell={cell} people={page.people} />
                      )}
                    </td>
                  );
                }
                const standing = cell.kind === 'reading' || cell.kind === 'unusable' ? cell.event.text : '';
                return (
                  <td key={quantity.id} className="px-3 text-right text-lg">
                    {editing === slot ? (
                      <Editor label={label} standing={standing} onLeave={() => setEditing(null)} onDone={(text, reason) => onWrite(slot, text, reason)} />
                    ) : page.mayWrite ? (
                      <button type="button" aria-label={`${label}${standing === '' ? ', empty' : `, ${standing}`}`} className="min-h-11 min-w-16 text-right hover:bg-wash" onClick={() => setEditing(slot)}>
                        <Shown cell={cell} people={page.people} />
                      </button>
                    ) : (
                      <span className="inline-flex min-h-11 items-center">
                        <Shown cell={cell} people={page.people} />
                      </span>
                    )}
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
