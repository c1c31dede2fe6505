import type { TapeShown } from '@green-beam/contract';
import { format } from 'date-fns';
import { Trash2 } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Confirm } from '../../ui/confirm.tsx';

interface EarlierTapesProps {
  readonly tapes: readonly TapeShown[];
  readonly onOpen: (tape: TapeShown) => void;
  readonly onRemove: (tapeId: string) => Promise<void>;
}

/** The first lines of a tape, to know it by. */
function beginningOf({ lines }: TapeShown): string {
  const written = lines.filter((line) => line.trim() !== '');
  return `${written.slice(0, 2).join('; ')}${written.length > 2 ? '; …' : ''}`;
}

/** Tapes worked on before: each can be gone on with, or deleted. */
export default function EarlierTapes({ tapes, onOpen, onRemove }: EarlierTapesProps): ReactNode {
  const numerals = useNumerals();
  const [failed, setFailed] = useState<string | null>(null);
  return (
    <section aria-labelledby="earlier" className="mt-10">
      <h2 id="earlier" className="text-lg font-bold">
        Earlier work
      </h2>
      {failed !== null && (
        <p role="alert" className="text-slip">
          {failed}
        </p>
      )}
      <ul className="mt-2 border-b border-hairline">
        {tapes.map((tape) => (
          <li key={tape.id} className="flex items-center gap-3 border-t border-hairline">
            <button
              type="button"
              className="flex min-h-12 min-w-0 flex-1 items-baseline gap-4 py-2 text-left hover:bg-wash"
              onClick={() => onOpen(tape)}
            >
              <span className="w-28 shrink-0 text-small text-muted">
                {format(new Date(tape.changedAt), 'd MMM, HH:mm')}
              </span>
              <span className="truncate font-mono">{numerals(beginningOf(tape))}</span>
            </button>
            <Confirm
              trigger={
                <button
                  type="button"
                  aria-label={`Delete the tape of ${format(new Date(tape.changedAt), 'd MMM, HH:mm')}`}
                  className="inline-flex size-11 shrink-0 items-center justify-center text-muted hover:text-slip"
                >
                  <Trash2 size={18} aria-hidden="true" />
                </button>
              }
              title="Delete this tape?"
              text={numerals(beginningOf(tape))}
              action="Delete it"
              onConfirm={() => {
                setFailed(null);
                void onRemove(tape.id).catch((error: unknown) =>
                  setFailed(error instanceof Error ? error.message : 'It could not be deleted.'),
                );
              }}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
