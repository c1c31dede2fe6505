import { ArrowLeftRight } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { unitText } from '../../../numbers/unit-text.ts';
import { Button } from '../../../ui/button.tsx';
import { useNarrow } from '../../../ui/use-narrow.ts';
import { Cards, Exchanged, Upright } from './table-layouts.tsx';
import { labelOf, rowsHeading, type Parts } from './table-parts.tsx';
import { growing, placeOf } from './table-plan.ts';

interface RunTableProps extends Parts {
  readonly onGrow: (dimension: string) => void;
}

/** What was added to readings, with the reasons. */
function Footnotes({ run, plan }: Parts): ReactNode {
  const notes = plan.columns.flatMap((column) =>
    plan.rows.flatMap((row) => {
      const place = placeOf(column, row);
      const cell = run.cellAt(column.quantity.id, place);
      if (cell?.kind !== 'entry' || !cell.adjustment) return [];
      const unit = 'unit' in column.quantity ? unitText(column.quantity.unit) : '';
      return [
        {
          key: `${column.key}${row.key}`,
          text: `${labelOf({ run }, column, place)}: ${cell.adjustment.text} ${unit} added, ${cell.adjustment.reason ?? 'without a reason'}.`,
        },
      ];
    }),
  );
  return notes.map(({ key, text }) => (
    <p key={key} className="mt-1 text-small text-muted">
      * {text}
    </p>
  ));
}

/** One table of a laboratory: it grows, and its rows and columns can be exchanged. */
export function RunTable({ onGrow, ...props }: RunTableProps): ReactNode {
  const { page, run, plan } = props;
  const [exchanged, setExchanged] = useState<boolean | null>(null);
  const narrow = useNarrow();
  const isExchanged = exchanged ?? plan.isWide;
  const more = growing(run.setting, plan).filter(
    ({ id, most }) => new Set(plan.rows.map(({ members }) => members[id])).size < most,
  );
  return (
    <section className="mt-6" aria-label={`Table by ${rowsHeading(props).toLowerCase()}`}>
      {narrow ? (
        <Cards {...props} />
      ) : (
        <div className="relative overflow-x-auto">
          {isExchanged ? <Exchanged {...props} /> : <Upright {...props} />}
        </div>
      )}
      <Footnotes {...props} />
      <div className="flex flex-wrap gap-x-5">
        {page.mayWrite &&
          more.map(({ id, name }) => (
            <Button key={id} look="quiet" className="text-small" onClick={() => onGrow(id)}>
              One more {name.toLowerCase()}
            </Button>
          ))}
        {!narrow && (
          <Button look="quiet" className="text-small text-muted" onClick={() => setExchanged(!isExchanged)}>
            <ArrowLeftRight aria-hidden="true" size={16} />
            Exchange rows and columns
          </Button>
        )}
      </div>
    </section>
  );
}
