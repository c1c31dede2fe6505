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
    <ol className="mt-4" aria-label="How the reading is come by">
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
        <Notice tone="doubt" title="That cannot be read as a reading">
          <p>{numerals(result.message ?? '')}</p>
        </Notice>
      )}
      {result.verdict === 'sound' && (
        <Notice tone="sound" title="Sound reading">
          <p>{numerals(result.message ?? 'Within the accepted band, every digit written, with its unit.')}</p>
        </Notice>
      )}
      {(result.verdict === 'slip' || result.verdict === 'record' || result.verdict === 'unexplained') && (
        <Findings
          result={result}
          record="The eye was right, the record is not yet."
          unexplained="It lies outside the accepted band. Go through the reading once more: level, label below, marks, estimate."
        />
      )}
      {result.remarks.length > 0 && (
        <div className="mt-4">
          <Notice tone="doubt" title="How it was handled">
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
