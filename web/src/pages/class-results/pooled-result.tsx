import type { ClassResults } from '@green-beam/contract';
import {
  pool,
  uncertaintyPlace,
  worthChecking,
  writtenAtPlace,
  type HouseRules,
  type MadeWith,
} from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { GroupStrip } from './group-strip.tsx';
import { agreementInWords, factorInWords, listed, rounded, sharedInWords, TOO_FEW } from './in-words.ts';
import { acceptedByAll, type ComparedResult, type ResultRow } from './result-rows.ts';

interface PooledResultProps {
  readonly found: ClassResults;
  readonly compared: ComparedResult;
  readonly rules: HouseRules;
  /** Whether names are shown; else letters stand for them. */
  readonly isNamed: boolean;
  /** Where a tool of the cabinet is checked, by its code; null for who does not check tools. */
  readonly checkAt: ((code: string) => string | null) | null;
}

/** A tool by its code, a choice in words. */
function nameOf({ kind, name, choice }: MadeWith, options: ClassResults['options']): string {
  if (kind === 'tool') return name;
  const option = options.find(({ id }) => id === name);
  return `“${option?.name ?? name} ${option?.choices.find(({ id }) => id === choice)?.name ?? choice ?? ''}”`;
}

function WorthChecking({
  found,
  compared,
  checkAt,
}: Pick<PooledResultProps, 'found' | 'compared' | 'checkAt'>): ReactNode {
  const numerals = useNumerals();
  const factors = useMemo(
    () =>
      worthChecking(
        compared.rows.map(({ group, result }) => ({
          group: group.letter,
          value: result.value,
          tools: group.tools,
          choices: group.choices,
        })),
      ),
    [compared],
  );
  const unit = unitText(compared.unit);
  const worth = factors.filter(({ isWorthChecking }) => isWorthChecking);
  if (factors.length === 0) return <p className="text-small text-muted">{TOO_FEW}</p>;
  if (worth.length === 0)
    return (
      <p className="text-small text-muted">
        No tool and no choice parts the groups by more than chance: {factors.length} looked at.
      </p>
    );
  return (
    <ul className="flex flex-col gap-3">
      {worth.map((factor) => {
        const named = (things: readonly MadeWith[]): string => listed(things.map((one) => nameOf(one, found.options)));
        const checks = [...factor.had, ...factor.against].flatMap(({ kind, name }) => {
          const to = kind === 'tool' ? checkAt?.(name) : null;
          return to ? [{ name, to }] : [];
        });
        return (
          <li key={named(factor.had)}>
            <Notice tone="doubt">
              <p>
                <strong>
                  Worth checking {named(factor.had)}
                  {factor.against.length > 0 && ` against ${named(factor.against)}`}.
                </strong>{' '}
                {numerals(factorInWords(factor, unit))}
              </p>
              {checks.length > 0 && (
                <p className="mt-1">
                  Check with a standard mass:{' '}
                  {checks.map(({ name, to }) => (
                    <Link
                      key={name}
                      to={to}
                      className="mr-3 inline-flex min-h-6 items-center font-semibold underline underline-offset-4"
                    >
                      {name}
                    </Link>
                  ))}
                </p>
              )}
            </Notice>
          </li>
        );
      })}
    </ul>
  );
}

function Row({
  row: { group, result, standard },
  hasTools,
  isNamed,
  isApart,
}: {
  readonly row: ResultRow;
  readonly hasTools: boolean;
  readonly isNamed: boolean;
  readonly isApart: boolean;
}): ReactNode {
  const numerals = useNumerals();
  const names = isNamed ? group.names?.join(', ') : undefined;
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

/** One result of all groups: where each lies, what they come to together, and what may have made them lie apart. */
export function PooledResult({ found, compared, rules, isNamed, checkAt }: PooledResultProps): ReactNode {
  const numerals = useNumerals();
  const pooled = useMemo(
    () =>
      pool(
        compared.rows.map(({ group, result }) => ({
          group: group.letter,
          value: result.value,
          variance: result.variance,
        })),
      ),
    [compared],
  );
  const { summary, together } = pooled;
  const unit = unitText(compared.unit);
  const accepted = acceptedByAll(compared);
  const last = Math.min(...compared.rows.flatMap(({ result }) => result.place ?? []));
  const place =
    together && together.standard > 0 ? uncertaintyPlace(together.standard, rules.uncertaintyFigures) : last;
  const textOf = (value: number): string =>
    Number.isFinite(place) ? writtenAtPlace(value, place, rules.rounding) : String(value);
  const shared = together && sharedInWords(together, unit);
  const hasTools = compared.rows.some(({ group }) => group.tools.length > 0);
  return (
    <div className="mt-6 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
      <GroupStrip compared={compared} together={together} textOf={textOf} />
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
            <span className="text-small text-muted">(the green band)</span>
          </p>
        )}
        {agreementInWords(pooled, together, unit).map((sentence) => (
          <p key={sentence}>{numerals(sentence)}</p>
        ))}
        {shared !== null && <p>{numerals(shared)}</p>}
        {checkAt && <WorthChecking found={found} compared={compared} checkAt={checkAt} />}
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
                  ± 2 u
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
                  isNamed={isNamed}
                  isApart={together?.disagreeing.includes(row.group.letter) ?? false}
                />
              ))}
            </tbody>
          </table>
        </div>
      </div>
    </div>
  );
}
