import type { WorkedStep } from '@green-beam/core';
import { Fragment, type ReactNode } from 'react';
import { useNumerals } from './decimal-mark.ts';
import { ShownWorked } from './worked-number.tsx';

const SIGNS: Readonly<Record<string, string>> = { '+': '+', '-': '−', '*': '×', '/': '÷', '^': 'to the power' };

/** What is combined in a step; of several numbers those that decide are marked. */
function Operands({ step: { operation, operands, deciding } }: { readonly step: WorkedStep }): ReactNode {
  const sign = SIGNS[operation];
  const shown = (operand: WorkedStep['operands'][number], i: number): ReactNode => (
    <ShownWorked number={operand} decides={operands.length > 1 && deciding.includes(i)} />
  );
  if (operation === 'convert') return operands[0] && <ShownWorked number={operands[0]} />;
  if (sign === undefined) {
    return (
      <>
        {operation} of{' '}
        {operands.map((operand, i) => (
          <Fragment key={i}>
            {i > 0 && ', '}
            {shown(operand, i)}
          </Fragment>
        ))}
      </>
    );
  }
  return operands.map((operand, i) => (
    <Fragment key={i}>
      {i > 0 && (
        <>
          {' '}
          <span className="px-1 text-muted">{sign}</span>{' '}
        </>
      )}
      {shown(operand, i)}
    </Fragment>
  ));
}

/** A working, step by step; each can be asked why it has the digits it has. */
export function Steps({ steps }: { readonly steps: readonly WorkedStep[] }): ReactNode {
  const numerals = useNumerals();
  return (
    <ol>
      {steps.map((step, i) => (
        <li key={i} className="border-b border-hairline py-3 last:border-b-0">
          <p className="text-lg">
            <Operands step={step} /> <span className="px-1 text-muted">=</span> <ShownWorked number={step.result} />
          </p>
          <details className="mt-1 text-small">
            <summary className="inline-flex min-h-8 cursor-pointer items-center font-semibold underline decoration-hairline decoration-2 underline-offset-4">
              {step.question}
            </summary>
            <p className="mt-1 text-muted">{numerals(step.answer)}</p>
          </details>
        </li>
      ))}
    </ol>
  );
}
