import type { Cell, Members, OwnCell, Quantity } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import type { OnPage } from '../on-page.ts';
import { OwnCellShown, ownWords } from './own-cell-shown.tsx';

interface OwnCellButtonProps extends OnPage {
  readonly quantity: Quantity;
  readonly members: Members;
  readonly label: string;
  readonly cell: Cell;
  readonly own: OwnCell;
}

/** What a cell waits for: a result of one’s own that is still to come, or a reading. */
function waitsFor({ run }: OnPage, { id }: Quantity): string {
  const { layout, own } = run.setting;
  const source = (layout.formulas.get(id)?.uses ?? []).find((use) => own?.quantities.includes(use));
  const found = source === undefined ? undefined : layout.quantities.get(source);
  return found ? `uses your ${found.name.toLowerCase()}` : 'after the reading';
}

/** A cell that is left to the student: a tap opens where it is worked out. */
export function OwnCellButton(props: OwnCellButtonProps): ReactNode {
  const { quantity, members, label, cell, own, book, opened, onOpen } = props;
  const numerals = useNumerals();
  const byTheBook = book?.cellAt(quantity.id, members);
  const bookText = byTheBook?.kind === 'computed' ? byTheBook.text : null;
  const text = cell.kind === 'own' || cell.kind === 'unusable' ? cell.text : '';
  const waits = waitsFor(props, quantity);
  const shown = <OwnCellShown cell={cell} own={own} waitsFor={waits} book={bookText === text ? null : bookText} />;
  if (own.state === 'waiting') return <span className="inline-flex min-h-11 items-center">{shown}</span>;
  const isOpen = opened?.quantity === quantity.id && JSON.stringify(opened.members) === JSON.stringify(members);
  return (
    <button
      type="button"
      aria-expanded={isOpen}
      onClick={() => onOpen(isOpen ? null : { quantity: quantity.id, members })}
      className={`min-h-11 min-w-24 px-2 text-right ${isOpen ? 'outline-2 outline-beam' : 'hover:bg-wash'}`}
    >
      <span className="sr-only">{`${label}, ${ownWords(own, numerals(text), waits)}`}</span>
      <span aria-hidden="true">{shown}</span>
    </button>
  );
}
