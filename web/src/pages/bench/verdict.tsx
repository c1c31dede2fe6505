import type { AttemptResult } from '@green-beam/contract';
import type { RevealStep } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Findings } from './findings.tsx';

function Revealed({ steps }: { readonly steps: readonly RevealStep[] }): ReactNode {
  const numerals = useNumerals();
  return (
    <ol className="mt-4" aria-label="How to read it">
      {steps.map((step) => (
        <li key={step.kind} className="animate-[appear_0.3s_both] border-t border-hairline py-2">
          {numerals(step.text)}
        </li>
      ))}
    </ol>
  );
}

interface VerdictProps {
  readonly result: AttemptResult;
  /** Steps of the answer shown so far. */
  readonly steps: readonly RevealStep[];
}

/** What came of an entry: the slip with its reason and where to look, or the right reading, step by step. */
export function Verdict({ result, steps }: VerdictProps): ReactNode {
  const numerals = useNumerals();
  const { answer } = result;
  return (
    <div className="mt-5" role="status">
      {result.verdict === 'unreadable' && (
        <Notice tone="doubt" title="This is not a reading yet">
          <p>{numerals(result.message ?? '')}</p>
        </Notice>
      )}
      {result.verdict === 'sound' && (
        <Notice tone="sound" title="Correct reading">
          <p>{numerals(result.message ?? 'Value, digits and unit are correct.')}</p>
        </Notice>
      )}
      {(result.verdict === 'slip' || result.verdict === 'record' || result.verdict === 'unexplained') && (
        <Findings
          result={result}
          record="You read it correctly. The way it is written is not right yet."
          unexplained="It is too far from the true value. Read again: level, last label, marks, estimate."
        />
      )}
      {result.remarks.length > 0 && (
        <div className="mt-4">
          <Notice tone="doubt" title="How you handled it">
            {result.remarks.map(({ id, text }) => (
              <p key={id}>{numerals(text)}</p>
            ))}
          </Notice>
        </div>
      )}
      {answer && result.verdict !== 'sound' && (
        <>
          <p className="mt-4 flex items-baseline gap-3 text-reading">
            <MeasuredNumber text={answer.text} unit={answer.unit} />
            <span className="text-small text-muted">the right reading</span>
          </p>
          <Revealed steps={steps} />
        </>
      )}
    </div>
  );
}
