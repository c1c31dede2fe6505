import { cellInWords, type Members, type Quantity } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { unitText } from '../../../numbers/unit-text.ts';
import type { OnPage } from '../on-page.ts';

interface FootnotesProps extends Pick<OnPage, 'run'> {
  readonly cells: readonly { readonly quantity: Quantity; readonly members: Members }[];
}

/** What was added to readings, with the reasons. */
export function Footnotes({ run, cells }: FootnotesProps): ReactNode {
  const numerals = useNumerals();
  return cells.map(({ quantity, members }) => {
    const cell = run.cellAt(quantity.id, members);
    if (cell?.kind !== 'entry' || !cell.adjustment) return null;
    const { text, reason } = cell.adjustment;
    const name = cellInWords(run.setting, quantity.id, members);
    const unit = 'unit' in quantity ? unitText(quantity.unit) : '';
    return (
      <p key={name} className="mt-1 text-small text-muted">
        * {numerals(`${name}: ${text} ${unit} added, ${reason ?? 'without a reason'}.`)}
      </p>
    );
  });
}
