import type { BoardCell } from '@green-beam/contract';
import { practiceSlipById } from '@green-beam/core';
import type { ReactNode } from 'react';
import { partRight } from './need.ts';

interface SkillCellProps {
  readonly cell: BoardCell | undefined;
  /** What the bar is about, for who does not see it. */
  readonly label: string;
  /** The side to which the commonest slip is written out under the bar; null where it is not. */
  readonly slipTo: 'left' | 'right' | null;
  readonly onOpen: (from: HTMLElement) => void;
}

function inWords({ sound, readings }: BoardCell, part: number | null): string {
  return part === null ? `too early to say, ${readings} so far` : `${sound} of ${readings} right at the first try`;
}

/** How much of a skill was right at the first try, as a bar; under it the commonest slip of who needs help. */
export function SkillCell({ cell, label, slipTo, onOpen }: SkillCellProps): ReactNode {
  if (!cell) {
    return (
      <span className="block pt-1.5 text-muted">
        <span aria-hidden="true">–</span>
        <span className="sr-only">not yet</span>
      </span>
    );
  }
  const part = partRight(cell);
  const [worst] = cell.slips;
  return (
    <button
      type="button"
      aria-haspopup="dialog"
      className="relative flex min-h-9 w-full flex-col items-start pt-3 pb-2 text-left"
      onClick={(event) => onOpen(event.currentTarget)}
    >
      <span className="sr-only">
        {label}: {inWords(cell, part)}.
      </span>
      <span className={`block h-2.5 w-11 ${part === null ? 'border border-muted/60' : 'bg-hairline/70'}`}>
        {part !== null && <span className="block h-full bg-ink" style={{ width: `${100 * part}%` }} />}
      </span>
      {slipTo !== null && worst && (
        <span
          className={`mt-1 flex w-11 text-[0.8125rem] leading-tight whitespace-nowrap text-slip ${slipTo === 'left' ? 'justify-end' : ''}`}
        >
          {practiceSlipById(worst.id).name}&nbsp;<span className="font-mono">{worst.count}</span>
        </span>
      )}
    </button>
  );
}
