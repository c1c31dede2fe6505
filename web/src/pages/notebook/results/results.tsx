import type { RunPage, ToolChoice } from '@green-beam/contract';
import {
  findingsIn,
  groupBudget,
  toolFrom,
  toolsCompared,
  type BudgetGrouping,
  type ResultFound,
  type WorkedRun,
} from '@green-beam/core';
import { useMemo, useState, type ReactNode } from 'react';
import { BudgetChart } from '../../../charts/budget-chart.tsx';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { Notice } from '../../../ui/notice.tsx';
import { ToolsOfRun } from '../../tools-compared/tools-of-run.tsx';
import { revealedWhen } from '../own/reveal.ts';
import { Comparisons } from './comparisons.tsx';
import { comparedWith, knownTo, uncertaintyNamed } from './in-words.ts';
import { Methods } from './methods.tsx';
import { Repeats } from './repeats.tsx';
import { SimulationPart } from './simulation.tsx';
import { unitText } from '../../../numbers/unit-text.ts';

interface ResultsProps {
  readonly page: RunPage;
  readonly classId: string;
  readonly run: WorkedRun;
  /** By the book, for a teacher. */
  readonly book: WorkedRun | null;
  /** Whether the accepted value, the comparison and the budget are shown yet. */
  readonly revealed: boolean;
  readonly cabinet: readonly ToolChoice[];
}

const keyOf = ({ quantity, members }: ResultFound): string => `${quantity} ${JSON.stringify(members)}`;

interface ShownProps extends Pick<ResultsProps, 'book' | 'revealed'> {
  readonly result: ResultFound;
  readonly isLarge: boolean;
}

/** A result in large digits with its uncertainty, how well it is known, and what it is beside the accepted value. */
function Shown({ result, book, revealed, isLarge }: ShownProps): ReactNode {
  const numerals = useNumerals();
  const byTheBook = book?.results.find((one) => keyOf(one) === keyOf(result));
  const own = result.methods.find(({ method }) => method === result.method);
  return (
    <>
      <span className="block font-bold">{result.name}</span>
      <span className={`mt-1 block ${isLarge ? 'text-4xl' : 'text-2xl'}`}>
        {revealed && own?.quoted ? (
          <MeasuredNumber text={own.quoted.value} uncertainty={own.quoted.uncertainty} unit={result.unit} />
        ) : (
          <MeasuredNumber text={result.text} unit={result.unit} exact={result.place === -Infinity} />
        )}
      </span>
      {byTheBook && (
        <span className="block text-muted">
          {numerals(`By the book: ${byTheBook.quoted ?? byTheBook.text} ${unitText(result.unit)}.`)}
        </span>
      )}
      {[knownTo(result), comparedWith(result)].map(
        (sentence) =>
          revealed &&
          sentence !== null && (
            <span key={sentence} className="block text-muted">
              {numerals(sentence)}
            </span>
          ),
      )}
    </>
  );
}

/** All results; where there are several, the one that is looked at more closely is chosen here. */
function ResultList({
  results,
  chosen,
  onChoose,
  ...how
}: Pick<ResultsProps, 'book' | 'revealed'> & {
  readonly results: readonly ResultFound[];
  readonly chosen: ResultFound;
  readonly onChoose: (key: string) => void;
}): ReactNode {
  if (results.length === 1)
    return (
      <div className="mt-2">
        <Shown {...how} result={chosen} isLarge />
      </div>
    );
  return (
    <div
      role="group"
      aria-label="Results"
      className="mt-2 grid gap-x-8 gap-y-5 sm:grid-cols-[repeat(auto-fill,minmax(17rem,1fr))]"
    >
      {results.map((result) => (
        <button
          key={keyOf(result)}
          type="button"
          aria-pressed={result === chosen}
          onClick={() => onChoose(keyOf(result))}
          className={`border-l-[3px] py-1 pl-3 text-left hover:bg-wash ${result === chosen ? 'border-beam' : 'border-hairline'}`}
        >
          <Shown {...how} result={result} isLarge={results.length < 3} />
        </button>
      ))}
    </div>
  );
}

const GROUPINGS: readonly (readonly [BudgetGrouping | 'each', string])[] = [
  ['each', 'one by one'],
  ['tool', 'by tool'],
  ['quantity', 'by quantity'],
  ['kind', 'by kind'],
];

/** Where the uncertainty of a result comes from, and the tool that would help most. */
function Budget({
  run,
  result,
  cabinet,
}: Pick<ResultsProps, 'run' | 'cabinet'> & { readonly result: ResultFound }): ReactNode {
  const numerals = useNumerals();
  const [grouping, setGrouping] = useState<BudgetGrouping | 'each'>('each');
  const own = result.methods.find(({ method }) => method === result.method);
  const tools = useMemo(
    () =>
      cabinet.flatMap(
        ({ instrumentId, code, zeroError }) => toolFrom(`${instrumentId}; ${code}; ${zeroError ?? ''}`) ?? [],
      ),
    [cabinet],
  );
  const better = useMemo(() => run.betterTool(result, tools), [run, result, tools]);
  if (!own || own.budget.length === 0) return null;
  const shares = grouping === 'each' ? own.budget : groupBudget(own.budget, grouping, run.setting);
  const forWhat = better && run.setting.layout.quantities.get(better.quantity)?.name.toLowerCase();
  return (
    <section>
      <BudgetChart title="Where the uncertainty comes from" shares={shares} />
      <label className="mt-2 flex items-center gap-2 text-small text-muted">
        Shown
        <select
          value={grouping}
          onChange={(event) => setGrouping(event.target.value as BudgetGrouping | 'each')}
          className="min-h-9 bg-transparent underline decoration-hairline underline-offset-4"
        >
          {GROUPINGS.map(([value, name]) => (
            <option key={value} value={value}>
              {name}
            </option>
          ))}
        </select>
      </label>
      {better && (
        <p className="mt-2">
          {numerals(
            `With ${better.tool.code ?? 'another tool'} (${better.tool.instrument.name}) for ${forWhat ?? ''} it would be ± ${better.then.uncertainty} ${unitText(result.unit)} instead of ± ${better.now.uncertainty} ${unitText(result.unit)}.`,
          )}
        </p>
      )}
    </section>
  );
}

/** What is said of readings; what is said of results waits for them. */
const OF_READINGS = ['cell', 'conflict', 'repeats', 'identical', 'outlier', 'link', 'past-noon', 'order-of-cases'];

/** What a careful teacher would point at. */
function Findings({ page, run, revealed }: Pick<ResultsProps, 'page' | 'run' | 'revealed'>): ReactNode {
  const numerals = useNumerals();
  const findings = useMemo(
    () =>
      findingsIn(run).filter(({ kind, severity }) => revealed || severity === 'wrong' || OF_READINGS.includes(kind)),
    [run, revealed],
  );
  if (findings.length === 0 && page.alike.length === 0) return null;
  return (
    <ul className="mt-5 flex max-w-3xl flex-col gap-3" aria-label="What to look at">
      {findings.map(({ kind, message, severity }) => (
        <li key={kind + message}>
          <Notice tone={severity === 'wrong' ? 'slip' : 'doubt'}>
            <p>{numerals(unitText(message))}</p>
          </Notice>
        </li>
      ))}
      {page.alike.map(({ matching, of, specimen, members }) => (
        <li key={`${specimen} ${members.join()}`}>
          <Notice tone="doubt">
            <p>
              {matching} of {of} values match those of “{specimen}” by {members.join(', ')}. Ask how they were taken.
              Only teachers see this.
            </p>
          </Notice>
        </li>
      ))}
    </ul>
  );
}

/** The simulation is there where the class works by it, where no other method can be trusted, and beside the other methods. */
function isSimulated({ showsMethods, rules }: RunPage, { isLinear, methods }: ResultFound): boolean {
  if (!methods.some(({ uncertainty }) => uncertainty > 0)) return false;
  return showsMethods || rules.combine === 'simulation' || !isLinear;
}

/** What a laboratory says: its results with their uncertainty, how they compare, and where the uncertainty comes from. */
export function Results({ page, classId, run, book, revealed, cabinet }: ResultsProps): ReactNode {
  const numerals = useNumerals();
  const [key, setKey] = useState('');
  const { results, comparisons } = run;
  const chosen = results.find((result) => keyOf(result) === key) ?? results[0];
  const tools = useMemo(() => toolsCompared(run), [run]);
  return (
    <section className="mt-10" id="results" tabIndex={-1} aria-label="Results">
      <h2 className="text-lg font-bold">{results.length > 1 ? 'Results' : 'Result'}</h2>
      {!chosen && <p className="mt-2 text-muted">The result appears as soon as everything it needs is there.</p>}
      {chosen && (
        <>
          <ResultList results={results} chosen={chosen} book={book} revealed={revealed} onChoose={setKey} />
          {revealed && <p className="mt-2 text-small text-muted">{numerals(uncertaintyNamed(chosen, page.rules))}</p>}
        </>
      )}
      {!revealed && <p className="mt-2 text-muted">{revealedWhen(page)}</p>}
      <Findings page={page} run={run} revealed={revealed} />
      {chosen && revealed && (
        <>
          {!chosen.isLinear && (
            <Notice tone="doubt">
              <p>
                The uncertainty is so large here that the usual way of adding it up cannot be trusted. Run the
                simulation below, and go by its interval.
              </p>
            </Notice>
          )}
          <Comparisons
            run={run}
            comparisons={tools ? comparisons.filter(({ kind }) => kind !== 'rank') : comparisons}
            results={results}
          />
          {tools && (
            <section className="mt-8">
              <h3 className="mb-2 text-lg font-bold">The tools beside each other</h3>
              <ToolsOfRun tools={tools} rules={page.rules} />
            </section>
          )}
          {results.length > 1 && <h3 className="mt-10 text-lg font-bold">{chosen.name}, more closely</h3>}
          <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-x-12 gap-y-8 xl:grid-cols-2">
            <Budget run={run} result={chosen} cabinet={cabinet} />
            <Repeats run={run} result={chosen} />
          </div>
          <Methods page={page} classId={classId} result={chosen} />
          {isSimulated(page, chosen) && <SimulationPart key={keyOf(chosen)} page={page} result={chosen} />}
        </>
      )}
    </section>
  );
}
