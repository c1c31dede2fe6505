import type { ClassResults } from '@green-beam/contract';
import type { HouseRules } from '@green-beam/core';
import type { ReactNode } from 'react';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { GroupStrip } from './group-strip.tsx';
import { GroupsTable } from './groups-table.tsx';
import { agreementInWords, sharedInWords } from './in-words.ts';
import { Redrawn } from './redrawn.tsx';
import { acceptedByAll, type ComparedResult } from './result-rows.ts';
import { usePooled } from './use-pooled.ts';
import { WorthChecking } from './worth-checking-notes.tsx';

interface PooledResultProps {
  readonly found: ClassResults;
  readonly compared: ComparedResult;
  readonly rules: HouseRules;
  /** Where a tool of the cabinet is checked, by its code; null for who does not check tools. */
  readonly checkAt: ((code: string) => string | null) | null;
}

/** One result of all groups: where each lies, what they come to together, and what may have made them lie apart. */
export function PooledResult({ found, compared, rules, checkAt }: PooledResultProps): ReactNode {
  const numerals = useNumerals();
  const pooled = usePooled(compared, rules);
  const { summary, together, textOf } = pooled;
  const unit = unitText(compared.unit);
  const accepted = acceptedByAll(compared);
  const shared = together && sharedInWords(together, unit);
  return (
    <div className="mt-6 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <GroupStrip compared={compared} together={together} textOf={textOf} accepted={accepted} />
      <div className="flex flex-col gap-4">
        <p className="text-2xl">
          <span className="mr-3 text-base text-muted">{together ? 'Together' : 'Mean'}</span>
          <MeasuredNumber
            text={textOf(together?.value ?? summary.mean)}
            unit={compared.unit}
            {...(together && together.standard > 0 ? { uncertainty: textOf(together.standard) } : {})}
          />
        </p>
        {together && (
          <p className="text-small text-muted">± one standard uncertainty, by quadrature and random effects</p>
        )}
        {accepted && (
          <p>
            Accepted: {numerals(String(accepted.least))}
            {accepted.most !== accepted.least && ` to ${numerals(String(accepted.most))}`} {unit}{' '}
            <span className="text-small text-muted">
              (the green {accepted.most === accepted.least ? 'line' : 'band'})
            </span>
          </p>
        )}
        {agreementInWords(pooled, together, unit).map((sentence) => (
          <p key={sentence}>{numerals(sentence)}</p>
        ))}
        {shared !== null && <p>{numerals(shared)}</p>}
        {compared.rows.length > 3 && (
          <Redrawn values={compared.rows.map(({ result }) => result.value)} unit={compared.unit} textOf={textOf} />
        )}
        {checkAt && <WorthChecking found={found} compared={compared} checkAt={checkAt} />}
        <GroupsTable compared={compared} together={together} />
      </div>
    </div>
  );
}
