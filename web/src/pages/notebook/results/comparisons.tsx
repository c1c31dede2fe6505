import type { ComparisonFound, ResultFound, WorkedRun } from '@green-beam/core';
import type { ReactNode } from 'react';
import { CandidatesChart } from '../../../charts/candidates-chart.tsx';
import { IntervalsChart, type Interval } from '../../../charts/intervals-chart.tsx';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { agreementInWords, betterKnown } from './in-words.ts';
import { unitText } from '../../../numbers/unit-text.ts';

const sizeOf = ({ methods, method }: ResultFound): number => methods.find((one) => one.method === method)?.size ?? 0;

function intervalOf(result: ResultFound): Interval {
  return { name: result.name, value: result.value, size: sizeOf(result), text: result.quoted ?? result.text };
}

/** Results that are compared with each other, on one scale, and whether they agree. */
function Agreement({
  found,
  results,
}: {
  readonly found: Extract<ComparisonFound, { kind: 'agree' }>;
  readonly results: readonly ResultFound[];
}): ReactNode {
  const numerals = useNumerals();
  const names = new Set(found.pairs.flatMap(({ first, second }) => [first, second]));
  const compared = results.filter(({ name, unit }) => names.has(name) && unit === found.unit);
  const [first, second] = compared;
  const sentences = agreementInWords(found);
  const better = first && second && compared.length === 2 ? betterKnown(first, second) : null;
  return (
    <>
      {compared.length > 1 && (
        <IntervalsChart
          title={found.name}
          summary={sentences.join(' ')}
          intervals={compared.map(intervalOf)}
          unit={unitText(found.unit)}
        />
      )}
      {compared.length < 2 && <h3 className="font-bold">{found.name}</h3>}
      {sentences.map((sentence, i) => (
        <p key={sentence} className="mt-1 max-w-3xl text-lg">
          <span aria-hidden="true" className={found.pairs[i]?.agree ? 'text-beam' : 'text-slip'}>
            {found.pairs[i]?.agree ? '✓ ' : '✗ '}
          </span>
          {numerals(sentence)}
        </p>
      ))}
      {better !== null && <p className="mt-1 text-muted">{numerals(better)}</p>}
    </>
  );
}

/** Members in order, the best first. */
function Ranking({ found }: { readonly found: Extract<ComparisonFound, { kind: 'rank' }> }): ReactNode {
  return (
    <>
      <h3 className="font-bold">{found.name}</h3>
      <ol className="mt-1 max-w-md">
        {found.ranked.map(({ member, name, text }, i) => (
          <li key={member} className="flex justify-between gap-6 border-t border-hairline py-1.5">
            <span>
              {i + 1}. {name}
            </span>
            <MeasuredNumber text={text} unit={found.unit} />
          </li>
        ))}
      </ol>
    </>
  );
}

interface ComparisonsProps {
  readonly run: WorkedRun;
  readonly comparisons: readonly ComparisonFound[];
  readonly results: readonly ResultFound[];
}

/** What the results say beside each other. */
export function Comparisons({ run, comparisons, results }: ComparisonsProps): ReactNode {
  return comparisons.map((found) => (
    <section key={found.id} className="mt-8">
      {found.kind === 'agree' && <Agreement found={found} results={results} />}
      {found.kind === 'rank' && <Ranking found={found} />}
      {found.kind === 'identify' && <Identified run={run} found={found} results={results} />}
    </section>
  ));
}

function Identified({
  run,
  found,
  results,
}: {
  readonly run: WorkedRun;
  readonly found: Extract<ComparisonFound, { kind: 'identify' }>;
  readonly results: readonly ResultFound[];
}): ReactNode {
  const comparison = run.setting.layout.protocol.comparisons.find(({ id }) => id === found.id);
  const result =
    comparison?.kind === 'identify' ? results.find(({ quantity }) => quantity === comparison.of.quantity) : undefined;
  const standard = result?.methods.find(({ method }) => method === 'quadrature')?.uncertainty;
  return result && standard !== undefined ? (
    <CandidatesChart
      title={found.name}
      candidates={found.candidates}
      value={result.value}
      size={2 * standard}
      unit={unitText(found.unit)}
    />
  ) : null;
}
