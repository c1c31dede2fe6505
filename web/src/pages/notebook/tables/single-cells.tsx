import type { ToolChoice } from '@green-beam/contract';
import type { Quantity } from '@green-beam/core';
import type { ReactNode } from 'react';
import { unitText } from '../../../numbers/unit-text.ts';
import type { OnPage } from '../on-page.ts';
import { ColumnTool } from './column-tool.tsx';
import { Footnotes } from './footnotes.tsx';
import { RunCell } from './run-cell.tsx';
import { isWorkedOut } from './table-parts.tsx';
import { stepOf } from './table-plan.ts';

interface SingleCellsProps extends OnPage {
  readonly quantities: readonly Quantity[];
  readonly cabinet: readonly ToolChoice[];
  readonly step: string | null;
}

/** What there is once in the whole laboratory, one line each. */
export function SingleCells({ quantities, step, ...rest }: SingleCellsProps): ReactNode {
  return (
    <>
      <dl className="mt-6 grid gap-x-10 border-t-[1.5px] border-ink sm:grid-cols-2">
        {quantities.map((quantity) => (
          <div
            key={quantity.id}
            className={`flex min-h-13 items-center justify-between gap-4 border-b border-hairline px-1 ${
              isWorkedOut(rest.run.setting, quantity)
                ? 'bg-ink/[0.035]'
                : step !== null && stepOf(quantity, {}) === step
                  ? 'bg-wash'
                  : ''
            }`}
          >
            <dt className="text-small font-semibold">
              {quantity.name}
              {'unit' in quantity && quantity.unit !== '' && (
                <span className="font-normal">, {unitText(quantity.unit)}</span>
              )}
              {quantity.optional && <span className="font-normal text-muted"> (if you need it)</span>}
              {quantity.kind === 'read' && (
                <ColumnTool {...rest} quantity={quantity} members={{}} label={quantity.name.toLowerCase()} />
              )}
            </dt>
            <dd className="text-right text-lg">
              <RunCell {...rest} quantity={quantity} members={{}} label={quantity.name} />
            </dd>
          </div>
        ))}
      </dl>
      <Footnotes run={rest.run} cells={quantities.map((quantity) => ({ quantity, members: {} }))} />
    </>
  );
}
