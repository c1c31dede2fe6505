import type { EvaluatedRun, Protocol } from '@green-beam/core';
import { lazy, Suspense, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { Dialog } from '../../ui/dialog.tsx';

const Typeset = lazy(() => import('../../numbers/typeset.tsx'));

interface WorkingSheetProps {
  readonly protocol: Protocol;
  readonly evaluated: EvaluatedRun;
  readonly trial: number;
  readonly quantity: string;
  readonly onClose: () => void;
}

/** How a computed number came about: the formula, the numbers in it, the digits carried, and the rule that decided the digits. */
export function WorkingSheet({ protocol, evaluated, trial, quantity, onClose }: WorkingSheetProps): ReactNode {
  const numerals = useNumerals();
  const cell = evaluated.rows.find((row) => row.trial === trial)?.cells[quantity];
  const name = protocol.quantities.find((one) => one.id === quantity)?.name ?? quantity;
  if (cell?.kind !== 'computed') return null;
  const { working } = cell;
  return (
    <Dialog open onOpenChange={(open) => !open && onClose()} title={`${name}, trial ${trial}`}>
      <Suspense fallback={<p className="text-muted">Typesetting …</p>}>
        <Typeset latex={working.symbolic} />
        <Typeset latex={working.substituted} />
      </Suspense>
      <dl>
        <div className="grid grid-cols-[8rem_1fr] gap-4 border-t border-hairline py-3">
          <dt className="text-muted">Digits carried</dt>
          <dd className="text-xl"><MeasuredNumber text={working.kept} guard={working.guard} unit={working.unit} /></dd>
        </div>
        <div className="grid grid-cols-[8rem_1fr] gap-4 border-t border-hairline py-3">
          <dt className="text-muted">Written</dt>
          <dd className="text-xl"><MeasuredNumber text={working.text} unit={working.unit} /></dd>
        </div>
        <div className="grid grid-cols-[8rem_1fr] gap-4 border-t border-hairline py-3">
          <dt className="text-muted">Why these digits</dt>
          <dd>{numerals(working.why)}</dd>
        </div>
      </dl>
    </Dialog>
  );
}
