import { writtenAtPlace, type PooledValue } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { unitText } from '../../numbers/unit-text.ts';
import { rounded } from './in-words.ts';
import type { ComparedResult, ResultRow } from './result-rows.ts';

function Row({
  row: { group, result, standard },
  hasTools,
  isApart,
}: {
  readonly row: ResultRow;
  readonly hasTools: boolean;
  readonly isApart: boolean;
}): ReactNode {
  const numerals = useNumerals();
  const names = group.names?.join(', ');
  return (
    <tr className="border-b border-hairline">
      <th scope="row" className="py-1.5 pr-4 text-left font-semibold">
        {group.letter}
        {group.isOwn && ' (yours)'}
      </th>
      <td className="py-1.5 pr-4 text-right text-lg">
        <MeasuredNumber
          text={result.place === null ? String(result.value) : writtenAtPlace(result.value, result.place)}
          exact={result.place === null}
        />
      </td>
      <td className="py-1.5 pr-4 text-right font-mono text-small text-muted">
        {standard === null ? '' : numerals(rounded(2 * standard))}
      </td>
      {hasTools && <td className="py-1.5 pr-4 text-small text-muted">{group.tools.join(', ')}</td>}
      <td className="py-1.5 text-small">
        {names !== undefined && group.runId !== null ? (
          <Link
            to={`/notebook/${group.runId}`}
            className="inline-flex min-h-6 items-center underline underline-offset-4"
          >
            {names}
          </Link>
        ) : null}
        {isApart && <span className="ml-3 font-semibold text-doubt">■ lies apart</span>}
      </td>
    </tr>
  );
}

/** Every group’s result with its uncertainty and its tools. */
export function GroupsTable({
  compared,
  together,
}: {
  readonly compared: ComparedResult;
  readonly together: PooledValue | null;
}): ReactNode {
  const unit = unitText(compared.unit);
  const hasTools = compared.rows.some(({ group }) => group.tools.length > 0);
  return (
    <div className="overflow-x-auto">
      <table className="w-full">
        <thead className="border-b-[1.5px] border-ink text-small">
          <tr>
            <th scope="col" className="py-1.5 pr-4 text-left">
              Group
            </th>
            <th scope="col" className="py-1.5 pr-4 text-right">
              {unit}
            </th>
            <th scope="col" className="py-1.5 pr-4 text-right">
              ± two standard uncertainties
            </th>
            {hasTools && (
              <th scope="col" className="py-1.5 pr-4 text-left">
                Tools
              </th>
            )}
            <td />
          </tr>
        </thead>
        <tbody>
          {compared.rows.map((row) => (
            <Row
              key={row.group.letter}
              row={row}
              hasTools={hasTools}
              isApart={together?.disagreeing.includes(row.group.letter) ?? false}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}
