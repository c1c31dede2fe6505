import type { BenchTask } from '@green-beam/contract';
import type { ReactNode, Ref } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Button } from '../../ui/button.tsx';
import { Notice } from '../../ui/notice.tsx';
import { useLasting } from '../../ui/use-lasting.ts';
import type { ItemWork } from './entry/use-entry.ts';

/** Which item of the round this is, and which try comes next. */
export function progressOf(what: string, task: BenchTask, of: number, { last }: ItemWork): string {
  const here = `${what} ${task.position + 1} of ${of}`;
  if (!last || last.closed || last.verdict === 'unreadable') return here;
  return `${here}, ${last.tryNumber === 1 ? 'second' : 'third'} try next`;
}

/** The hints asked for so far, in the order of the work. */
export function Hints({ hints, shown }: { readonly hints: readonly string[]; readonly shown: number }): ReactNode {
  const numerals = useNumerals();
  if (shown === 0) return null;
  return (
    <ol className="mt-4 list-decimal pl-5" aria-label="Hints">
      {hints.slice(0, shown).map((hint) => (
        <li key={hint} className="py-1">
          {numerals(hint)}
        </li>
      ))}
    </ol>
  );
}

/** What became of an entry that is long in coming, that the server refused, or that it could not be reached for. */
export function Standing({ work }: { readonly work: ItemWork }): ReactNode {
  const slow = useLasting(work.sending, 500);
  return (
    <>
      {slow && !work.notChecked && (
        <p role="status" className="mt-2 animate-[appear_0.2s_both] text-small text-doubt">
          Not saved yet. Your entry is stored in this browser and will be sent again.
        </p>
      )}
      {work.refused !== null && (
        <p role="alert" className="mt-3 text-slip">
          {work.refused}
        </p>
      )}
      {work.notChecked && !(work.last?.closed ?? false) && (
        <div className="mt-4" role="status">
          <Notice tone="doubt" title="Not checked yet">
            <p>
              The server cannot be reached. Your entry is stored in this browser and will be checked later. Nothing is
              lost. What comes next is here already.
            </p>
          </Notice>
        </div>
      )}
    </>
  );
}

interface OnwardProps {
  readonly work: ItemWork;
  /** What the items are called: reading, exercise. */
  readonly what: string;
  readonly isLast: boolean;
  readonly nextRef: Ref<HTMLButtonElement>;
  readonly ready?: boolean;
  readonly onCheck: () => void;
  readonly onNext: () => void;
  /** What helps, as quiet buttons beside the one thing to do. */
  readonly children?: ReactNode;
}

/** The one thing to do: check, ask to be shown, or go on; and what helps with it. */
export function Onward({
  work,
  what,
  isLast,
  nextRef,
  ready = true,
  onCheck,
  onNext,
  children,
}: OnwardProps): ReactNode {
  const { last, notChecked, sending } = work;
  const closed = last?.closed ?? false;
  const tried = last !== null && last.verdict !== 'unreadable';
  return (
    <div className="typing:mt-2 mt-4 flex flex-wrap items-center gap-x-3 gap-y-1">
      {closed || notChecked ? (
        <Button ref={nextRef} onClick={onNext}>
          {!closed ? `Go on to the next ${what}` : isLast ? 'Finish the round' : `Next ${what}`}
        </Button>
      ) : (
        <>
          <Button onClick={onCheck} disabled={sending || !ready}>
            {tried ? 'Check again' : 'Check'}
          </Button>
          {tried && (
            <Button look="plain" onClick={() => void work.send('shown', '')}>
              Show me
            </Button>
          )}
        </>
      )}
      {children && <div className="-mx-2 flex flex-wrap">{children}</div>}
    </div>
  );
}
