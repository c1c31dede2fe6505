import type { AttemptResult } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Notice } from '../../ui/notice.tsx';

interface FindingsProps {
  readonly result: AttemptResult;
  /** Said where the answer is right and only its writing is not. */
  readonly record: string;
  /** What to do where no slip explains the answer. */
  readonly unexplained: string;
}

/** The slips behind an answer: why each leads astray, and where to look. */
export function Findings({ result, record: recordSays, unexplained }: FindingsProps): ReactNode {
  const numerals = useNumerals();
  const [first, second] = result.slips;
  if (!first) {
    return (
      <Notice tone="slip" title="No known slip explains it">
        <p>{unexplained}</p>
      </Notice>
    );
  }
  const record = result.verdict === 'record';
  return (
    <>
      <Notice
        tone={record ? 'doubt' : 'slip'}
        title={second ? `${first.name}, and: ${second.name.toLowerCase()}` : first.name}
      >
        {record && <p className="font-semibold">{recordSays}</p>}
        <p>{numerals(first.why)}</p>
        {second && <p className="mt-1">{numerals(second.why)}</p>}
      </Notice>
      <dl className="mt-4">
        {[first, ...(second ? [second] : [])].map((slip) => (
          <div key={slip.id} className="grid grid-cols-[7rem_1fr] gap-3 border-t border-hairline py-2.5">
            <dt className="text-muted">Look at</dt>
            <dd>{numerals(slip.lookAt)}</dd>
          </div>
        ))}
        {result.alsoPossible.length > 0 && (
          <div className="grid grid-cols-[7rem_1fr] gap-3 border-t border-hairline py-2.5">
            <dt className="text-muted">Or it was</dt>
            <dd>{result.alsoPossible.slice(0, 2).join('; ')}</dd>
          </div>
        )}
      </dl>
    </>
  );
}
