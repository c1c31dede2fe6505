import type { EvaluatedRun, Protocol } from '@green-beam/core';
import { lazy, type ReactNode } from 'react';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { Steps } from '../../numbers/steps.tsx';
import { WrittenResult } from '../../numbers/written-result.tsx';
import { Dialog } from '../../ui/dialog.tsx';
import { FetchedPart } from '../../ui/fetched-part.tsx';

const Typeset = lazy(() => import('../../numbers/typeset.tsx'));

interface WorkingSheetProps {
  readonly protocol: Protocol;
  readonly evaluated: EvaluatedRun;
  readonly trial: number;
  readonly quantity: string;
  readonly onClose: () => void;
}

/** How a computed number came about: the formula, the numbers in it, and each step with the digits carried and the rule that decided them. */
export function WorkingSheet({ protocol, evaluated, trial, quantity, onClose }: WorkingSheetProps): ReactNode {
  const cell = evaluated.rows.find((row) => row.trial === trial)?.cells[quantity];
  const name = protocol.quantities.find((one) => one.id === quantity)?.name ?? quantity;
  if (cell?.kind !== 'computed') return null;
  const { working, text } = cell;
  return (
    <Dialog open onOpenChange={(open) => !open && onClose()} title={`${name}, trial ${trial}`}>
      <FetchedPart fallback={<p className="text-muted">Typesetting …</p>}>
        <Typeset latex={working.symbolic} />
        <Typeset latex={working.substituted} />
      </FetchedPart>
      {working.steps.length === 0 ? (
        <p className="border-t border-hairline py-3 text-muted">It is used as it is.</p>
      ) : (
        <Steps steps={working.steps} />
      )}
      <WrittenResult>
        <MeasuredNumber text={text} unit={working.unit} />
      </WrittenResult>
    </Dialog>
  );
}
