import type { LabSheetDraft } from '@green-beam/contract';
import type { Protocol } from '@green-beam/core';
import type { ReactNode } from 'react';
import { unitText } from '../../numbers/unit-text.ts';
import { Purpose, StepText } from '../notebook/instructions.tsx';

/** A lab sheet that is in use, to be read: what it is for, its steps, and what is measured and worked out. */
export function SheetRead({ sheet }: { readonly sheet: LabSheetDraft }): ReactNode {
  const protocol = sheet as unknown as Protocol;
  return (
    <div className="mt-6">
      <Purpose protocol={protocol} />
      <h2 className="mt-6 text-lg font-bold">Steps</h2>
      {protocol.steps.map((step, i) => (
        <StepText key={step.id} step={step} number={i + 1} />
      ))}
      <h2 className="mt-6 text-lg font-bold">Quantities</h2>
      <ul>
        {protocol.quantities.map((quantity, i) => (
          <li key={`${quantity.id} ${i}`} className="border-t border-hairline py-1">
            {quantity.name}
            {'unit' in quantity && quantity.unit !== '' && ` (${unitText(quantity.unit)})`}
            {quantity.kind === 'computed' && <span className="font-mono text-muted"> = {quantity.formula}</span>}
          </li>
        ))}
      </ul>
    </div>
  );
}
