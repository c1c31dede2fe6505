import type { BenchTask } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import type { Entry } from './use-entry.ts';

/** Which item of the round this is, and which try comes next. */
export function progressOf(what: string, task: BenchTask, of: number, { last }: Entry): string {
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
