import type { EvaluatedRun, HouseRules, Protocol, RunResult } from '@green-beam/core';
import { REPEATS } from '@green-beam/core';
import type { ReactNode } from 'react';
import { BudgetBars } from '../../charts/budget-bars.tsx';
import { TrialsPlot } from '../../charts/trials-plot.tsx';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { Notice } from '../../ui/notice.tsx';

const SCHOOLS = { quadrature: 'Quadrature', 'plain-sum': 'Plain sum', extremes: 'Extremes' } as const;

function Statistics({ result }: { readonly result: RunResult }): ReactNode {
  const numerals = useNumerals();
  const { summary, unit } = result;
  const digits = (value: number | null): string =>
    value === null ? 'one value has no spread' : numerals(`${value.toPrecision(2)} ${unit}`);
  const rows: readonly [name: string, value: ReactNode][] = [
    ['Mean', <MeasuredNumber key="mean" text={result.meanText} unit={unit} />],
    ['Sample standard deviation', digits(summary.sampleStandardDeviation)],
    ['Standard error', digits(summary.standardError)],
    ...result.schools
      .filter((one) => one.quoted)
      .map((one): [string, ReactNode] => [
        SCHOOLS[one.school],
        one.quoted && (
          <MeasuredNumber key={one.school} text={one.quoted.value} uncertainty={one.quoted.uncertainty} unit={unit} />
        ),
      ]),
  ];
  return (
    <dl className="mt-4 max-w-xl">
      {rows.map(([name, value]) => (
        <div
          key={name}
          className="grid grid-cols-[13rem_1fr] gap-4 max-sm:grid-cols-[9rem_1fr] border-t border-hairline py-1.5"
        >
          <dt className="text-muted">{name}</dt>
          <dd className="font-mono">{value}</dd>
        </div>
      ))}
    </dl>
  );
}

/** What the number after ± is, by the class's rules. */
function uncertaintyNamed({ school, schools }: RunResult, { coverage, combine }: HouseRules): string {
  if (school !== 'quadrature') return `${SCHOOLS[school]} of half-widths.`;
  const factor = (schools.find((one) => one.school === school)?.coverageFactor ?? 1)
    .toFixed(2)
    .replace(/0$/, '')
    .replace(/\.0$/, '');
  const covered = {
    'one-standard-uncertainty': 'one standard uncertainty',
    'expanded-k-2': `expanded, k = ${factor}`,
    'students-t-95': `95 % by Student’s t, k = ${factor}`,
  }[coverage];
  return `${combine === 'simulation' ? 'Quadrature, used instead of the simulation' : SCHOOLS[school]}, ${covered}.`;
}

function compared(result: RunResult, rules: HouseRules): string {
  const named = uncertaintyNamed(result, rules);
  const { comparison } = result;
  if (!comparison) return `${named} Choose an accepted value to compare with.`;
  const { accepted, percentError, agrees } = comparison;
  const name = accepted.name.toLowerCase();
  const away =
    percentError === null ? `Beside ${name}:` : `${percentError.replace('-', '−')} % from the middle of ${name};`;
  return `${named} ${away} ${agrees ? 'the two agree within the uncertainty' : 'the two do not agree'}.`;
}

/** What the trials say together: the result with its uncertainty, against the accepted value, and where the uncertainty comes from. */
export function Result({
  protocol,
  rules,
  evaluated,
}: {
  readonly protocol: Protocol;
  readonly rules: HouseRules;
  readonly evaluated: EvaluatedRun;
}): ReactNode {
  const numerals = useNumerals();
  const { result, findings } = evaluated;
  if (!result) return <p className="mt-8 text-muted">The result appears with the first complete trial.</p>;
  const own = result.schools.find((one) => one.school === result.school);
  const nameOf = (id: string): string =>
    id === REPEATS ? 'Repeats' : (protocol.quantities.find((quantity) => quantity.id === id)?.name ?? id);
  const values = evaluated.rows.flatMap((row) => {
    const cell = row.cells[protocol.result];
    return !row.excluded && cell?.kind === 'computed' ? [cell.number.value.toNumber()] : [];
  });
  return (
    <div className="mt-8 grid grid-cols-[minmax(0,1fr)] gap-10 xl:grid-cols-[minmax(0,1fr)_22rem]">
      <section>
        <h2 className="font-bold">
          {values.length} {values.length === 1 ? 'trial' : 'trials'}
          {result.comparison ? ' against the accepted value' : ''}
        </h2>
        <TrialsPlot
          values={values}
          mean={result.summary.mean}
          uncertainty={(own?.uncertainty ?? 0) * (own?.coverageFactor ?? 1)}
          accepted={result.comparison?.accepted ?? null}
          unit={result.unit}
        />
        <p className="mt-3 text-4xl">
          {own?.quoted ? (
            <MeasuredNumber text={own.quoted.value} uncertainty={own.quoted.uncertainty} unit={result.unit} />
          ) : (
            <MeasuredNumber text={result.meanText} unit={result.unit} />
          )}
        </p>
        <p className="mt-2 text-muted">{numerals(compared(result, rules))}</p>
        <Statistics result={result} />
      </section>
      <section>
        <h2 className="mb-3 font-bold">Where the uncertainty comes from</h2>
        <BudgetBars shares={(own?.budget ?? []).map(({ name, share }) => ({ name: nameOf(name), share }))} />
        <ul className="mt-5 flex flex-col gap-3" aria-label="What to look at">
          {findings.map((finding) => (
            <li key={finding.kind + finding.message}>
              <Notice tone={finding.severity === 'wrong' ? 'slip' : 'doubt'}>
                <p>{numerals(finding.message)}</p>
              </Notice>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}
