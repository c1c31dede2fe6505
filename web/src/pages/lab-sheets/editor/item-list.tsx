import { ArrowDown, ArrowUp, Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { useFieldArray } from 'react-hook-form';
import { Button } from '../../../ui/button.tsx';

interface ItemListProps {
  /** The list, as the form calls it: `steps`. */
  readonly name: string;
  /** What one of them is called: “step”. */
  readonly what: string;
  /** A new one; given how many there are. */
  readonly make?: (count: number) => object;
  readonly isOrdered?: boolean;
  readonly children: (at: string, index: number) => ReactNode;
}

const ICON = 'flex size-11 items-center justify-center hover:bg-wash disabled:opacity-30';

/** A list whose items can be added, moved and removed. */
export function ItemList({ name, what, make, isOrdered = true, children }: ItemListProps): ReactNode {
  const { fields, append, remove, move } = useFieldArray({ name, keyName: 'key' });
  return (
    <>
      <ol>
        {fields.map(({ key }, i) => (
          <li key={key} className="grid grid-cols-[minmax(0,1fr)_auto] gap-x-4 border-t border-hairline py-4">
            <div className="flex min-w-0 flex-col gap-3">{children(`${name}.${i}`, i)}</div>
            <div className="flex self-start max-sm:col-span-2">
              {isOrdered && fields.length > 1 && (
                <>
                  <button
                    type="button"
                    className={ICON}
                    aria-label={`Move ${what} ${i + 1} up`}
                    disabled={i === 0}
                    onClick={() => move(i, i - 1)}
                  >
                    <ArrowUp size={18} aria-hidden="true" />
                  </button>
                  <button
                    type="button"
                    className={ICON}
                    aria-label={`Move ${what} ${i + 1} down`}
                    disabled={i === fields.length - 1}
                    onClick={() => move(i, i + 1)}
                  >
                    <ArrowDown size={18} aria-hidden="true" />
                  </button>
                </>
              )}
              <button type="button" className={ICON} aria-label={`Remove ${what} ${i + 1}`} onClick={() => remove(i)}>
                <Trash2 size={18} aria-hidden="true" />
              </button>
            </div>
          </li>
        ))}
      </ol>
      {make && (
        <Button look="plain" className="mt-2" onClick={() => append(make(fields.length))}>
          Add a {what}
        </Button>
      )}
    </>
  );
}
