import { useEffect, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { useOnTop } from './use-on-top.ts';

interface EditorProps {
  readonly label: string;
  readonly standing: string;
  /** Others wrote something else here: Enter confirms what stands. */
  readonly isContested: boolean;
  /** A reading that this one can be, where it need not be taken again. */
  readonly sameAs: { readonly name: string; readonly take: () => void } | null;
  /** Has the reading written in its parts; null where it is read at once. */
  readonly onParts: (() => void) | null;
  /** Opens what adds something to the reading; null where nothing can be added. */
  readonly onAdjust: (() => void) | null;
  readonly onDone: (text: string, reason: string | null) => void;
  /** `byKey` where Enter or Escape closed it: then the focus goes back to the cell. */
  readonly onLeave: (byKey: boolean) => void;
}

const SMALL = 'min-h-9 text-small underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam';

/** A cell being written; a correction can say why. */
export function CellEditor({
  label,
  standing,
  isContested,
  sameAs,
  onParts,
  onAdjust,
  onDone,
  onLeave,
}: EditorProps): ReactNode {
  const [reason, setReason] = useState('');
  const cell = useRef<HTMLInputElement>(null);
  const place = useRef<HTMLSpanElement>(null);
  useOnTop(place, cell);
  // The editor opens where the person has just chosen a cell; focus belongs there.
  useEffect(() => cell.current?.focus(), []);
  const finish = (byKey: boolean): void => {
    const text = cell.current?.value ?? standing;
    if (text.trim() !== '' && (text !== standing || (isContested && byKey))) onDone(text.trim(), reason.trim() || null);
    onLeave(byKey);
  };
  const press = (event: KeyboardEvent): void => {
    if (event.key === 'Escape') onLeave(true);
    if (event.key !== 'Enter') return;
    event.preventDefault();
    finish(true);
  };
  return (
    <div
      className="flex flex-col items-end gap-1"
      onBlur={(event) => {
        if (!event.currentTarget.contains(event.relatedTarget)) finish(false);
      }}
    >
      <span ref={place} className="block h-11 w-28">
        <input
          ref={cell}
          popover="manual"
          aria-label={label}
          defaultValue={standing}
          onFocus={(event) => event.target.select()}
          onKeyDown={press}
          inputMode="decimal"
          className="absolute inset-auto m-0 h-11 w-28 border-0 border-b-2 border-beam bg-surface px-2 text-right font-mono text-lg"
        />
      </span>
      {onParts && (
        <button type="button" className={SMALL} onClick={onParts}>
          in parts …
        </button>
      )}
      {standing === '' && sameAs && (
        <button
          type="button"
          className={SMALL}
          onClick={() => {
            sameAs.take();
            onLeave(true);
          }}
        >
          same as {sameAs.name}
        </button>
      )}
      {standing !== '' && (
        <>
          <input
            aria-label="Reason for the correction"
            placeholder="why?"
            value={reason}
            onChange={(event) => setReason(event.target.value)}
            onKeyDown={press}
            className="min-h-9 w-28 border-b border-hairline bg-surface px-2 text-small"
          />
          {onAdjust && (
            <button
              type="button"
              className={SMALL}
              onClick={() => {
                onAdjust();
                onLeave(false);
              }}
            >
              add to it …
            </button>
          )}
        </>
      )}
    </div>
  );
}
