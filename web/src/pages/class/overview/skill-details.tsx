import type { BoardCell, BoardRow } from '@green-beam/contract';
import { practiceSlipById } from '@green-beam/core';
import { formatDistanceToNowStrict } from 'date-fns';
import { Popover } from 'radix-ui';
import { useRef, type ReactNode } from 'react';
import { Link } from 'react-router';
import { partRight } from './need.ts';

/** A bar of the overview that was opened. */
export interface OpenedCell {
  readonly row: BoardRow;
  readonly skillName: string;
  readonly cell: BoardCell;
  readonly from: HTMLElement;
}

/** What stands behind a bar: how many, when, and every slip. */
export function SkillDetails({
  opened,
  onClose,
}: {
  readonly opened: OpenedCell;
  readonly onClose: () => void;
}): ReactNode {
  const anchor = useRef(opened.from);
  const { row, skillName, cell } = opened;
  return (
    <Popover.Root open onOpenChange={(open) => !open && onClose()}>
      <Popover.Anchor virtualRef={anchor} />
      <Popover.Portal>
        <Popover.Content
          sideOffset={4}
          collisionPadding={12}
          aria-label={`${row.label}, ${skillName}`}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            opened.from.focus();
          }}
          className="z-30 max-w-80 border border-ink bg-surface p-4"
        >
          <p className="font-bold">
            {row.label}, {skillName.toLowerCase()}
          </p>
          <p>
            {cell.sound} of {cell.readings} right at the first try
            {partRight(cell) === null ? '; too early to say more' : ''}. Last one{' '}
            {formatDistanceToNowStrict(new Date(cell.lastSeen))} ago.
          </p>
          {cell.slips.length > 0 && (
            <ul className="mt-2">
              {cell.slips.map((slip) => (
                <li key={slip.id} className="flex justify-between gap-4 border-t border-hairline py-1">
                  {practiceSlipById(slip.id).name} <span className="font-mono">{slip.count}</span>
                </li>
              ))}
            </ul>
          )}
          <Link
            to={`/class/student/${row.id}`}
            className="mt-2 inline-flex min-h-11 items-center font-semibold underline underline-offset-4"
          >
            All of {row.label}’s work
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
