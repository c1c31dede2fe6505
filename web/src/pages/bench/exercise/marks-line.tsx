import { FAULT_KINDS, type ExerciseShown, type Marked } from '@green-beam/core';
import { X } from 'lucide-react';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { cellName, cellText } from './answer-in-words.ts';

interface MarksLineProps {
  readonly table: Extract<ExerciseShown['answered'], { by: 'marks' }>;
  readonly marks: readonly MarkSet[];
  readonly onChange: (marks: readonly MarkSet[]) => void;
}

/** A marked cell; what is wrong with it may still be open. */
export interface MarkSet {
  readonly cell: number;
  readonly fault: string | null;
}

/** The marks of which everything is said. */
export function complete(marks: readonly MarkSet[]): readonly Marked[] {
  return marks.flatMap(({ cell, fault }) => (fault === null ? [] : [{ cell, fault }]));
}

/** What is marked, with what is wrong in each cell. */
export function MarksLine({ table, marks, onChange }: MarksLineProps): ReactNode {
  const numerals = useNumerals();
  if (marks.length === 0)
    return <p className="mt-6 border-y border-hairline py-4 text-muted">Press a cell or a heading to mark it.</p>;
  return (
    <ul className="mt-6 border-b border-hairline">
      {marks.map(({ cell, fault }) => {
        const name = numerals(cellName(table, cell));
        return (
          <li key={cell} className="border-t border-hairline py-3">
            <div className="flex items-baseline justify-between gap-3">
              <span>
                <span className="font-mono text-lg">{numerals(cellText(table, cell))}</span>{' '}
                <span className="text-small text-muted">{name}</span>
              </span>
              <button
                type="button"
                aria-label={`Take the mark off ${name}`}
                className="inline-flex size-11 shrink-0 items-center justify-center hover:bg-wash"
                onClick={() => onChange(marks.filter((mark) => mark.cell !== cell))}
              >
                <X size={18} aria-hidden="true" />
              </button>
            </div>
            <select
              aria-label={`What is wrong with ${name}`}
              value={fault ?? ''}
              className="min-h-11 w-full border-b-2 border-ink bg-surface px-2"
              onChange={(event) =>
                onChange(marks.map((mark) => (mark.cell === cell ? { cell, fault: event.target.value } : mark)))
              }
            >
              <option value="" disabled>
                what is wrong with it?
              </option>
              {FAULT_KINDS.map(({ id, name: called }) => (
                <option key={id} value={id}>
                  {called}
                </option>
              ))}
            </select>
          </li>
        );
      })}
    </ul>
  );
}
