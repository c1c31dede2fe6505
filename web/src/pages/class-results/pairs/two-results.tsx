import type { ClassResults, PairSide } from '@green-beam/contract';
import { uncertaintyPlace, writtenAtPlace, type BetweenTwo, type HouseRules } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { unitText } from '../../../numbers/unit-text.ts';
import { listed, rounded } from '../in-words.ts';
import type { ResultRow } from '../result-rows.ts';
import { doneDifferently, resultsOfBoth } from './side-by-side.ts';

interface TwoResultsProps {
  readonly found: ClassResults;
  readonly sides: readonly [PairSide, PairSide];
  readonly rules: HouseRules;
}

/** A result and twice its standard uncertainty, both to the same place. */
function Value({
  row: { result, standard },
  rules,
  whose,
}: {
  readonly row: ResultRow;
  readonly rules: HouseRules;
  /** Said beside it where the table is too narrow for headings. */
  readonly whose: string;
}): ReactNode {
  const place =
    standard !== null && standard > 0 ? uncertaintyPlace(2 * standard, rules.uncertaintyFigures) : result.place;
  const textOf = (value: number): string =>
    place === null ? String(value) : writtenAtPlace(value, place, rules.rounding);
  return (
    <td className="py-2 text-lg whitespace-nowrap max-sm:pb-0 sm:pr-5 sm:text-right">
      <span className="block text-small font-semibold sm:hidden">{whose}</span>
      <MeasuredNumber
        text={textOf(result.value)}
        exact={place === null}
        {...(standard !== null && standard > 0 ? { uncertainty: textOf(2 * standard) } : {})}
      />
    </td>
  );
}

/** Whether two results agree, in words. */
export function agreementOfTwo({ difference, standard, agree }: BetweenTwo): string {
  if (difference === 0) return 'the same';
  if (standard === null || agree === null) return 'no uncertainty, so nobody can say';
  if (agree) return 'they agree: the uncertainties explain it';
  return standard === 0
    ? 'they differ'
    : `they differ, by ${rounded(Math.abs(difference) / standard)} times the uncertainty`;
}

/** What two groups found, one beside the other: how far apart, and with which tools. */
export function TwoResults({ found, sides, rules }: TwoResultsProps): ReactNode {
  const numerals = useNumerals();
  const results = resultsOfBoth(found, sides);
  const done = doneDifferently(found, sides);
  const [first = '', second = ''] = sides.map(({ letter, isOwn }) => (isOwn ? 'Yours' : `Group ${letter}`));
  if (results.length === 0) return <p className="text-muted">These two groups have no result in common.</p>;
  return (
    <>
      <div className="relative overflow-x-auto">
        <table className="w-full">
          <thead className="border-b-[1.5px] border-ink text-small max-sm:sr-only">
            <tr>
              <th scope="col" className="py-1.5 pr-5 text-left">
                Result
              </th>
              <th scope="col" className="py-1.5 pr-5 text-right">
                {first}
              </th>
              <th scope="col" className="py-1.5 pr-5 text-right">
                {second}
              </th>
              <th scope="col" className="py-1.5 text-left">
                Difference
              </th>
            </tr>
          </thead>
          <tbody>
            {results.map(({ key, name, unit, first: a, second: b, between }) => (
              <tr
                key={key}
                className="border-b border-hairline align-baseline max-sm:grid max-sm:grid-cols-2 max-sm:gap-x-4"
              >
                <th scope="row" className="py-2 text-left max-sm:col-span-2 max-sm:pb-0 sm:pr-5 sm:font-normal">
                  {name}, {unitText(unit)}
                </th>
                <Value row={a} rules={rules} whose={first} />
                <Value row={b} rules={rules} whose={second} />
                <td className="py-2 text-small max-sm:col-span-2 max-sm:pt-1">
                  <span className="font-mono">
                    <span className="font-sans sm:hidden">Difference </span>
                    {numerals(rounded(Math.abs(between.difference)))} {unitText(unit)}
                  </span>
                  <span className={`block ${between.agree === false ? 'font-semibold text-doubt' : 'text-muted'}`}>
                    {between.agree === false && '■ '}
                    {numerals(agreementOfTwo(between))}
                  </span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="mt-1 text-small text-muted">
        ± two standard uncertainties. What a shared tool adds to both is left out of the difference.
      </p>
      {done && (
        <ul className="mt-2 text-small">
          {done.toolsOfBoth.length > 0 && <li>Both used {listed(done.toolsOfBoth)}.</li>}
          {done.toolsOfFirst.length > 0 && (
            <li>
              Only {first === 'Yours' ? 'your group' : `group ${sides[0].letter}`} used {listed(done.toolsOfFirst)}.
            </li>
          )}
          {done.toolsOfSecond.length > 0 && (
            <li>
              Only group {sides[1].letter} used {listed(done.toolsOfSecond)}.
            </li>
          )}
          {done.choices.map((choice) => (
            <li key={choice.name}>
              {choice.name}: {choice.first}, and {choice.second}.
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
