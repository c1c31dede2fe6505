import { Check, CircleAlert } from 'lucide-react';
import { resultIn, type Cell, type OwnCell } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';

const EARLY = 'when all is read';

/** What a cell of one’s own says to a screen reader. */
export function ownWords({ state, isEarly }: OwnCell, text: string, waitsFor: string): string {
  switch (state) {
    case 'waiting':
      return waitsFor;
    case 'turn':
      return isEarly ? EARLY : 'your turn';
    case 'sound':
      return `${text}, correct`;
    case 'record':
    case 'slip':
    case 'unexplained':
    case 'unreadable':
      return `${text}, look at it again`;
  }
}

/** How a cell of one’s own stands: a tick where it is right, a mark of another shape where it is worth another look. */
function OwnMark({ state }: { readonly state: OwnCell['state'] }): ReactNode {
  if (state === 'sound') return <Check aria-hidden="true" size={16} className="ml-2 inline text-beam" />;
  if (state === 'waiting' || state === 'turn') return null;
  return (
    <CircleAlert
      aria-hidden="true"
      size={16}
      className={`ml-2 inline ${state === 'record' ? 'text-doubt' : 'text-slip'}`}
    />
  );
}

interface OwnCellShownProps {
  readonly cell: Cell;
  readonly own: OwnCell;
  /** What it waits for, in words. */
  readonly waitsFor: string;
  /** By the book, for a teacher; null where it is the same, or nobody is to see it. */
  readonly book: string | null;
  /** As in a report: only what was written. */
  readonly isPlain?: boolean;
}

/** A cell that is left to the student: what they have written, or that it is their turn. */
export function OwnCellShown({ cell, own, waitsFor, book, isPlain = false }: OwnCellShownProps): ReactNode {
  const numerals = useNumerals();
  const beside = book !== null && <span className="block text-small text-muted">by the book {numerals(book)}</span>;
  if (cell.kind === 'own')
    return (
      <span>
        {cell.struck
          .filter(({ text }) => text.trim() !== '')
          .map(({ id, text }) => (
            <MeasuredNumber key={id} text={resultIn(text)} struck className="mr-2 text-[0.95rem]" />
          ))}
        <MeasuredNumber text={cell.text} exact={cell.number.place === -Infinity} />
        {!isPlain && <OwnMark state={own.state} />}
        {own.afterHelp && <span className="block text-small text-muted">after help</span>}
        {beside}
      </span>
    );
  if (cell.kind === 'unusable')
    return (
      <span>
        <span className="font-mono text-slip underline decoration-wavy underline-offset-4">{numerals(cell.text)}</span>
        {beside}
      </span>
    );
  if (isPlain) return null;
  if (own.state === 'turn' && book === null)
    return own.isEarly ? (
      <span className="text-base text-muted">{EARLY}</span>
    ) : (
      <span className="text-base font-bold text-beam">Your turn</span>
    );
  return (
    <span>
      {book === null && <span className="text-base text-muted">{waitsFor}</span>}
      {book !== null && <span className="text-base text-muted">nothing yet</span>}
      {beside}
    </span>
  );
}
