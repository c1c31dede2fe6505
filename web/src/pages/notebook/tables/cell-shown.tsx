import type { RunPage } from '@green-beam/contract';
import { resultIn, type Cell, type PartsJudged, type RunEvent } from '@green-beam/core';
import { format, subSeconds } from 'date-fns';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';

type People = RunPage['people'];

/** When an entry was corrected, and by whom. */
function signed(event: RunEvent, people: People): string {
  const at = subSeconds(new Date(event.deviceTime), event.clockAhead ?? 0);
  const clock = event.clockAhead ? ' (clock of the laptop was wrong)' : '';
  return `${people[event.person]?.initials ?? ''} ${format(at, 'HH:mm')}${clock}`;
}

/** Entries struck through stay legible, with the initials, time and reason of what replaced them. */
function History({
  struck,
  event,
  people,
}: {
  readonly struck: readonly RunEvent[];
  readonly event: RunEvent;
  readonly people: People;
}): ReactNode {
  if (struck.length === 0) return null;
  return (
    <>
      {struck.map((old) => (
        <MeasuredNumber key={old.id} text={resultIn(old.text)} struck className="mr-2 text-[0.95rem]" />
      ))}
      <span className="sr-only">{event.reason ? `reason: ${event.reason}` : ''}</span>
      <span title={event.reason ?? ''} className="mr-3 align-super text-[0.8125rem] text-muted">
        {signed(event, people)}
      </span>
    </>
  );
}

/** A cell's contents as a screen reader says them, with everything that can be seen. */
export function wordsFor(cell: Cell, people: People): string {
  if (cell.kind === 'known') return cell.text;
  if (cell.kind !== 'entry' && cell.kind !== 'unusable' && cell.kind !== 'chosen') return 'empty';
  const { struck, event, rivals, text } = cell;
  const corrected =
    struck.length === 0
      ? ''
      : `, corrected from ${struck.map((old) => old.text).join(', ')} by ${signed(event, people)}${event.reason ? `: ${event.reason}` : ''}`;
  const written = cell.kind === 'chosen' ? text : event.text;
  const added = cell.kind === 'entry' && cell.adjustment ? `, with ${cell.adjustment.text} added` : '';
  const linked = cell.kind === 'entry' && cell.linkedTo ? ', taken over' : '';
  return `${written}${linked}${added}${rivals.map((rival) => `, or ${rival.text}?`).join('')}${corrected}`;
}

/** The parts a reading was taken in, on a line of their own. */
function PartsShown({ parts: { parts, remark } }: { readonly parts: PartsJudged }): ReactNode {
  const numerals = useNumerals();
  return (
    <span className={`w-full text-small whitespace-normal ${remark === null ? 'text-muted' : 'text-slip'}`}>
      {parts.map(({ part, text }) => `${part.id} ${numerals(text)}`).join(' + ')}
    </span>
  );
}

/** Whether a number stands there and nothing beside it. */
export function isAlone(cell: Cell): boolean {
  if (cell.kind !== 'entry') return false;
  const { struck, linkedTo, adjustment, rivals, parts } = cell;
  return struck.length === 0 && !linkedTo && !adjustment && rivals.length === 0 && !parts;
}

interface CellProps {
  readonly cell: Cell;
  readonly people: People;
  /** Whether what stands around it says what the cell holds. */
  readonly isSaidAround?: boolean;
}

/** What stands in a cell. */
export function CellShown({ cell, people, isSaidAround = false }: CellProps): ReactNode {
  switch (cell.kind) {
    case 'empty':
      return <span className="text-muted">·</span>;
    case 'pending':
      return <span className="text-muted">{cell.reason ? '!' : ''}</span>;
    case 'computed':
    case 'own':
    case 'known':
      return <MeasuredNumber text={cell.text} exact={cell.number.place === -Infinity} isSaidAround={isSaidAround} />;
    case 'chosen':
      return <span className="text-base whitespace-nowrap">{cell.text}</span>;
    case 'entry':
      if (isAlone(cell))
        return <MeasuredNumber text={cell.text} exact={cell.number.place === -Infinity} isSaidAround={isSaidAround} />;
      return (
        <span className="inline-flex flex-wrap items-baseline justify-end">
          <History struck={cell.struck} event={cell.event} people={people} />
          {cell.linkedTo && (
            <span aria-hidden="true" className="mr-1 text-muted">
              ↑
            </span>
          )}
          <MeasuredNumber text={cell.text} exact={cell.number.place === -Infinity} isSaidAround={isSaidAround} />
          {cell.adjustment && <sup aria-hidden="true">*</sup>}
          {cell.rivals.map((rival) => (
            <span key={rival.id} className="ml-2 text-slip">
              or {rival.text}?
            </span>
          ))}
          {cell.parts && <PartsShown parts={cell.parts} />}
        </span>
      );
    case 'unusable':
      return <span className="font-mono text-slip underline decoration-wavy underline-offset-4">{cell.text}</span>;
  }
}
