import type { RunPage } from '@green-beam/contract';
import type { Cell, RunEvent } from '@green-beam/core';
import { format, subSeconds } from 'date-fns';
import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';

interface CellProps {
  readonly cell: Cell;
  readonly people: RunPage['people'];
}

/** Entries struck through stay legible, with the initials, time and reason of what replaced them. */
function History({
  struck,
  event,
  people,
}: {
  readonly struck: readonly RunEvent[];
  readonly event: RunEvent;
  readonly people: RunPage['people'];
}): ReactNode {
  if (struck.length === 0) return null;
  return (
    <>
      {struck.map((old) => (
        <MeasuredNumber key={old.id} text={old.text} struck className="mr-2 text-[0.95rem]" />
      ))}
      <span className="sr-only">{event.reason ? `reason: ${event.reason}` : ''}</span>
      <span title={event.reason ?? ''} className="mr-3 align-super text-[0.8125rem] text-muted">
        {signed(event, people)}
      </span>
    </>
  );
}

/** When an entry was corrected, and by whom. */
function signed(event: RunEvent, people: RunPage['people']): string {
  const at = subSeconds(new Date(event.deviceTime), event.clockAhead ?? 0);
  const clock = event.clockAhead ? ' (clock of the laptop was wrong)' : '';
  return `${people[event.person]?.initials ?? ''} ${format(at, 'HH:mm')}${clock}`;
}

/** A cell's contents as a screen reader says them, with everything that can be seen. */
export function wordsFor(cell: Cell, people: RunPage['people']): string {
  if (cell.kind !== 'reading' && cell.kind !== 'unusable') return 'empty';
  const { struck, event, rivals } = cell;
  const corrected =
    struck.length === 0
      ? ''
      : `, corrected from ${struck.map((old) => old.text).join(', ')} by ${signed(event, people)}${event.reason ? `: ${event.reason}` : ''}`;
  return `${event.text}${rivals.map((rival) => `, or ${rival.text}?`).join('')}${corrected}`;
}

/** What stands in a cell. */
export function CellShown({ cell, people }: CellProps): ReactNode {
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
          {cell.rivals.map((rival) => (
            <span key={rival.id} className="ml-2 text-slip">
              or {rival.text}?
            </span>
          ))}
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
export function CellEditor({ label, standing, onDone, onLeave }: EditorProps): ReactNode {
  const [text, setText] = useState(standing);
  const [reason, setReason] = useState('');
  const cell = useRef<HTMLInputElement>(null);
  // The editor opens where the person has just chosen a cell; focus belongs there.
  useEffect(() => cell.current?.focus(), []);
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
      <input
        ref={cell}
        aria-label={label}
        value={text}
        onChange={(event) => setText(event.target.value)}
        onFocus={(event) => event.target.select()}
        onKeyDown={press}
        inputMode="decimal"
        className="min-h-11 w-28 border-b-2 border-beam bg-surface px-2 text-right font-mono text-lg"
      />
      {standing !== '' && (
        <input
          aria-label="Reason for the correction"
          placeholder="why?"
          value={reason}
          onChange={(event) => setReason(event.target.value)}
          onKeyDown={press}
          className="min-h-9 w-28 border-b border-hairline bg-surface px-2 text-small"
        />
      )}
    </div>
  );
}
