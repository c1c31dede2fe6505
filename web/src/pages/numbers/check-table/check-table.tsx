import { instrumentById, toolQuestion, type Ask, type Proofread, type TableFinding } from '@green-beam/core';
import Papa from 'papaparse';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useHouseRules } from '../../../rules/house-rules.ts';
import { Button } from '../../../ui/button.tsx';
import { saveAs } from '../../../ui/save-as.ts';
import { useDraft } from '../../../ui/use-draft.ts';
import { useWorker } from '../../../ui/use-worker.ts';
import { CheckedCells } from './checked-cells.tsx';
import { FindingsList } from './findings-list.tsx';
import { IntoLaboratory } from './into-laboratory.tsx';
import { PasteTable } from './paste-table.tsx';
import { SetExercise } from './set-exercise.tsx';
import type { ProofreadOrder } from './proofread.worker.ts';
import { findingKey, mended, NOTHING, upright, type WorkedOn } from './worked-on.ts';

const begin = (): Worker => new Worker(new URL('./proofread.worker.ts', import.meta.url), { type: 'module' });

/** What the columns were taken for, in sentences. */
function Understood({ found }: { readonly found: Proofread }): ReactNode {
  const worked = found.columns.filter(({ by }) => by !== null);
  return (
    <p className="mt-2 text-small text-muted">
      {found.columns.length} columns and {found.rows} {found.rows === 1 ? 'row' : 'rows'} of values
      {found.isTurned ? ', with the repeats side by side' : ''}.
      {worked.map(({ name, by }) => ` ${name} = ${by ?? ''}.`)}
    </p>
  );
}

interface ToolsSaidProps {
  readonly found: Proofread;
  readonly answers: WorkedOn['answers'];
  readonly onAnswer: (id: string, choice: string) => void;
}

/** On which tool each column was read, where somebody says so: then its decimals are judged by the tool. */
function ToolsSaid({ found, answers, onAnswer }: ToolsSaidProps): ReactNode {
  const columns = found.columns.flatMap(({ name, tools }, c) => (tools.length > 0 ? [{ name, tools, c }] : []));
  if (columns.length === 0) return null;
  return (
    <details className="mt-3">
      <summary className="inline-flex min-h-11 cursor-pointer items-center underline decoration-hairline decoration-2 underline-offset-4">
        Say which tools were used
      </summary>
      <div className="mt-1 flex flex-wrap gap-x-6 gap-y-3">
        {columns.map(({ name, tools, c }) => (
          <label key={c} className="flex min-w-0 flex-col gap-1 text-small font-semibold">
            {name}
            <select
              value={answers[toolQuestion(c)] ?? ''}
              onChange={(event) => onAnswer(toolQuestion(c), event.target.value)}
              className="min-h-11 min-w-0 border-b-2 border-ink bg-surface px-2 text-base font-normal"
            >
              <option value="">as most of the column</option>
              {tools.map((id) => (
                <option key={id} value={id}>
                  {instrumentById(id).name}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </details>
  );
}

function Asked({
  asks,
  answers,
  onAnswer,
}: {
  readonly asks: readonly Ask[];
  readonly answers: WorkedOn['answers'];
  readonly onAnswer: (id: string, choice: string) => void;
}): ReactNode {
  return asks.map(({ id, question, choices }) => (
    <fieldset key={id} className="mt-4 border-l-[3px] border-doubt pl-4">
      <legend className="font-semibold">{question}</legend>
      {choices.map((choice, i) => (
        <label key={choice.id} className="flex min-h-11 items-center gap-3">
          <input
            type="radio"
            name={id}
            className="size-5 accent-beam"
            checked={(answers[id] ?? choices[0]?.id) === choice.id}
            onChange={() => onAnswer(id, choice.id)}
          />
          {choice.text}
          {i === 0 && answers[id] === undefined && <span className="text-small text-muted">taken so far</span>}
        </label>
      ))}
    </fieldset>
  ));
}

/** The corrected table, to be pasted back or saved. */
function TakeAway({ table }: { readonly table: readonly (readonly string[])[] }): ReactNode {
  const [said, setSaid] = useState('');
  const copy = async (): Promise<void> => {
    try {
      await navigator.clipboard.writeText(table.map((row) => row.join('\t')).join('\n'));
      setSaid('Copied. Paste it into your spreadsheet.');
    } catch {
      setSaid('This browser does not copy. Save the table instead.');
    }
  };
  return (
    <div className="mt-4 flex flex-wrap items-center gap-x-4 gap-y-2">
      <Button look="plain" onClick={() => void copy()}>
        Copy the table
      </Button>
      <Button look="quiet" onClick={() => saveAs('table.csv', Papa.unparse(table.map((row) => [...row])), 'text/csv')}>
        Save it as CSV
      </Button>
      <span role="status" className="text-small text-muted">
        {said}
      </span>
    </div>
  );
}

function summary(open: number, left: number): string {
  if (open > 0) return open === 1 ? 'One thing to look at' : `${open} things to look at`;
  return left > 0 ? 'Nothing else to look at' : 'Nothing wrong was found';
}

interface CheckingProps {
  readonly work: WorkedOn;
  readonly onWork: (work: WorkedOn) => void;
  readonly classId: string | null;
  readonly isStudent: boolean;
}

function Checking({ work, onWork, classId, isStudent }: CheckingProps): ReactNode {
  const { rules, error } = useHouseRules(classId);
  const { state, start } = useWorker<ProofreadOrder, Proofread>(
    begin,
    'The table could not be read. Load the page again.',
  );
  const [chosen, setChosen] = useState<string | null>(null);
  // While a table is read again, what was found before stays in view.
  const [found, setFound] = useState<Proofread | null>(null);
  const table = useMemo(() => mended(work), [work]);
  const house = rules?.rules;
  useEffect(() => {
    if (house) start({ table, rules: house, answers: work.answers });
  }, [house, table, work.answers, start]);
  useEffect(() => {
    if (state.kind === 'done') setFound(state.outcome);
  }, [state]);
  if (error) return <p className="mt-4 text-slip">{error.message}</p>;
  if (state.kind === 'failed')
    return (
      <p role="alert" className="mt-4 text-slip">
        {state.message}
      </p>
    );
  if (!found) return <p className="mt-4 text-muted">Reading the table …</p>;
  const open = found.findings.filter((finding) => !work.left.includes(findingKey(finding)));
  const shown = open.find((finding) => findingKey(finding) === chosen) ?? null;
  const choose = (finding: TableFinding): void => setChosen(findingKey(finding));
  return (
    <>
      <div className="mt-4 grid grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-6 wide:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)]">
        <div className="min-w-0">
          <CheckedCells table={table} repairs={work.repairs} findings={open} chosen={shown} onChoose={choose} />
          <Understood found={found} />
          <Asked
            asks={found.asks}
            answers={work.answers}
            onAnswer={(id, choice) => onWork({ ...work, answers: { ...work.answers, [id]: choice } })}
          />
          <ToolsSaid
            found={found}
            answers={work.answers}
            onAnswer={(id, choice) => onWork({ ...work, answers: { ...work.answers, [id]: choice } })}
          />
          <TakeAway table={table} />
          {!isStudent && classId !== null && <SetExercise key={classId} classId={classId} work={work} />}
          {isStudent && classId !== null && <IntoLaboratory classId={classId} table={upright(table, found)} />}
        </div>
        <div className="min-w-0">
          <div role="status">
            <h2 className="text-xl font-bold">{summary(open.length, work.left.length)}</h2>
          </div>
          {open.length === 0 && (
            <p className="mt-1 text-muted">
              What was read wrongly at the tool, no table shows. Look at your notes, too.
            </p>
          )}
          <div className="mt-3 max-h-[70vh] overflow-y-auto">
            <FindingsList
              findings={open}
              chosen={shown}
              onChoose={choose}
              onRepair={({ row, column, repair }) =>
                repair !== null && onWork({ ...work, repairs: [...work.repairs, { row, column, text: repair }] })
              }
              onLeave={(finding) => onWork({ ...work, left: [...work.left, findingKey(finding)] })}
            />
          </div>
        </div>
      </div>
    </>
  );
}

/** A table is proof-read: what is wrong in which cell, why, and what mends it. Nothing of it leaves the browser. */
export default function CheckTable({
  classId,
  isStudent,
}: {
  readonly classId: string | null;
  readonly isStudent: boolean;
}): ReactNode {
  const [work, setWork] = useDraft<WorkedOn>('table being checked', NOTHING);
  const isEmpty = work.table.length === 0;
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <div className="flex flex-wrap items-baseline gap-x-6">
        <h1 className="text-2xl font-bold">Check a table</h1>
        {!isEmpty && (
          <>
            {work.repairs.length > 0 && (
              <Button look="quiet" onClick={() => setWork({ ...work, repairs: work.repairs.slice(0, -1) })}>
                Undo the last repair
              </Button>
            )}
            <Button look="quiet" onClick={() => setWork(NOTHING)}>
              Check another table
            </Button>
          </>
        )}
      </div>
      {isEmpty ? (
        <>
          <p className="mt-2 max-w-prose text-lg">
            Units, decimals, differences, quotients, means: every value is worked out again, and each fault is shown in
            its cell. The table stays in this browser.
          </p>
          <PasteTable onTable={(table) => setWork({ ...NOTHING, table })} />
        </>
      ) : (
        <Checking work={work} onWork={setWork} classId={classId} isStudent={isStudent} />
      )}
    </main>
  );
}
