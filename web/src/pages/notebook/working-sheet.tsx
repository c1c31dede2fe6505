import { cellInWords, type WorkedRun } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Dialog } from '../../ui/dialog.tsx';
import type { CellPlace } from './on-page.ts';
import { WorkingShown } from './working-shown.tsx';

interface WorkingSheetProps {
  readonly run: WorkedRun;
  readonly place: CellPlace;
  readonly onClose: () => void;
}

/** How a number that the page has worked out came about. */
export function WorkingSheet({ run, place, onClose }: WorkingSheetProps): ReactNode {
  const { quantity, members } = place;
  const cell = run.cellAt(quantity, members);
  if (cell?.kind !== 'computed') return null;
  return (
    <Dialog open onOpenChange={(open) => !open && onClose()} title={cellInWords(run.setting, quantity, members)}>
      <WorkingShown run={run} place={place} text={cell.text} />
    </Dialog>
  );
}
