import { ArrowLeftRight } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { Button } from '../../../ui/button.tsx';
import { useNarrow } from '../../../ui/use-narrow.ts';
import { Footnotes } from './footnotes.tsx';
import { Cards, Exchanged, Upright } from './table-layouts.tsx';
import { rowsHeading, type Parts } from './table-parts.tsx';
import { mayEnter } from '../on-page.ts';
import { growing, placeOf } from './table-plan.ts';

interface RunTableProps extends Parts {
  readonly onGrow: (dimension: string) => void;
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
      <Footnotes
        run={run}
        cells={plan.columns.flatMap((column) =>
          plan.rows.map((row) => ({ quantity: column.quantity, members: placeOf(column, row) })),
        )}
      />
      <div className="flex flex-wrap gap-x-5">
        {mayEnter(page) &&
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
