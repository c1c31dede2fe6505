import type { RunPage as Page, SignedIn } from '@green-beam/contract';
import { membersInWords, type WorkedRun } from '@green-beam/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { RefusedError } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useToolChoices } from '../cabinet/use-cabinet.ts';
import { CompareWith, comparesWithChosen } from './compare-with.tsx';
import { HandingIn } from './handing-in.tsx';
import { Purpose, StepText } from './instructions.tsx';
import { JoinFirst } from './joining.tsx';
import type { CellPlace, OnPage } from './on-page.ts';
import { partsOf, PURPOSE, SET_UP, SECTIONS, type Parts } from './parts.ts';
import { Questions } from './questions.tsx';
import { Results } from './results/results.tsx';
import { RunRules } from './run-rules.tsx';
import { SetUp, stepsOf } from './set-up.tsx';
import { Statements } from './statements.tsx';
import { StepList } from './step-list.tsx';
import { Adjust } from './tables/adjust.tsx';
import { RunTable } from './tables/run-table.tsx';
import { SingleCells } from './tables/single-cells.tsx';
import { growing, placeOf, planOf, type TablePlan } from './tables/table-plan.ts';
import { useRun, type RunOnPage } from './use-run.ts';
import { WorkingSheet } from './working-sheet.tsx';
import { Writers } from './writers.tsx';

interface AsideProps {
  readonly page: Page;
  readonly run: RunOnPage;
  readonly signedIn: SignedIn;
  readonly classId: string;
  readonly writer: string;
  readonly onWriter: (id: string) => void;
  readonly parts: Parts;
  readonly current: string;
  readonly onPart: (id: string) => void;
}

/** The way through the laboratory, beside the page or, on a phone, above it. */
function Steps({ parts, current, onPart }: Pick<AsideProps, 'parts' | 'current' | 'onPart'>): ReactNode {
  return (
    <div className="px-4 pt-6 wide:border-r wide:border-hairline wide:px-7">
      <p className="text-small font-semibold text-muted">
        <Link to="/notebook" className="underline underline-offset-4">
          All laboratories
        </Link>
      </p>
      <StepList parts={parts} current={current} onChoose={onPart} />
    </div>
  );
}

/** Who works here and who is writing, whether all is saved, and the handing in. */
function Group({
  page,
  run,
  signedIn,
  classId,
  writer,
  onWriter,
}: Omit<AsideProps, 'parts' | 'current' | 'onPart'>): ReactNode {
  return (
    <aside className="border-hairline px-4 py-6 max-wide:order-last wide:border-r wide:px-7">
      <p className="text-small font-semibold">Group</p>
      <p className="text-muted">{page.members.join(', ')}</p>
      {page.asked.length > 0 && <p className="text-small text-muted">asked: {page.asked.join(', ')}</p>}
      {page.mayWrite && (
        <Writers signedIn={signedIn} classId={classId} runId={page.id} writer={writer} onChoose={onWriter} />
      )}
      <p className="mt-6 text-small text-muted" role="status">
        {page.mayWrite
          ? run.unsent > 0
            ? run.stuck
              ? 'Not saved yet. You can go on writing.'
              : `Saving ${run.unsent} …`
            : 'Everything is saved.'
          : 'You can only read this page.'}
      </p>
      <HandingIn page={page} classId={classId} unsent={run.unsent} />
    </aside>
  );
}

interface CurrentPartProps extends OnPage {
  readonly current: string;
  readonly parts: Parts;
  readonly onPart: (id: string) => void;
}

/** What is done just now: what the laboratory is for, its choices, or one step; and the way to the next. */
function CurrentPart({ current, parts, onPart, ...on }: CurrentPartProps): ReactNode {
  if (SECTIONS.includes(current)) return null;
  const steps = stepsOf(on);
  const number = steps.findIndex(({ id }) => id === current);
  const step = steps[number];
  const next = parts[parts.findIndex(({ id }) => id === current) + 1];
  return (
    <section className="mt-4 border-l-[3px] border-beam py-1 pl-4" aria-label="What to do now">
      {current === PURPOSE && <Purpose protocol={on.page.protocol} />}
      {current === SET_UP && <SetUp {...on} />}
      {step && <StepText step={step} number={number + 1} />}
      {next && (
        <Button look="quiet" className="-ml-2" onClick={() => onPart(next.id)}>
          Next: {next.title}
        </Button>
      )}
    </section>
  );
}

/** How many members of the growing dimensions are shown beyond those of the run: one more where every row is begun. */
function withNext(run: WorkedRun, mayWrite: boolean, more: Readonly<Record<string, number>>): Record<string, number> {
  const grown: Record<string, number> = { ...more };
  if (!mayWrite) return grown;
  for (const table of planOf(run.setting).tables) {
    const [dimension] = growing(run.setting, table);
    if (dimension && table.dimensions.length === 1 && isFull(run, table))
      grown[dimension.id] = Math.max(1, grown[dimension.id] ?? 0);
  }
  return grown;
}

function isFull(run: WorkedRun, { rows, columns }: TablePlan): boolean {
  return rows.every((row) =>
    columns.some((column) => {
      const kind = run.cellAt(column.quantity.id, placeOf(column, row))?.kind;
      return kind === 'entry' || kind === 'unusable';
    }),
  );
}

interface BodyProps {
  readonly page: Page;
  readonly worked: WorkedRun;
  readonly classId: string;
  readonly current: string;
  readonly parts: Parts;
  readonly onPart: (id: string) => void;
  readonly onWrite: OnPage['onWrite'];
}

function Body({ page, worked, classId, current, parts, onPart, onWrite }: BodyProps): ReactNode {
  const cabinet = useToolChoices(classId);
  const [working, setWorking] = useState<CellPlace | null>(null);
  const [adjusting, setAdjusting] = useState<CellPlace | null>(null);
  const [more, setMore] = useState<Readonly<Record<string, number>>>({});
  const plan = useMemo(
    () => planOf(worked.setting, withNext(worked, page.mayWrite, more)),
    [worked, page.mayWrite, more],
  );
  const on: OnPage = { page, run: worked, onWrite, onWorking: setWorking, onAdjust: setAdjusting };
  const adjusted = adjusting && worked.setting.layout.quantities.get(adjusting.quantity);
  return (
    <main className="min-w-0 px-4 py-6 wide:col-start-2 wide:row-span-2 wide:row-start-1 wide:px-9">
      <h1 className="text-2xl font-bold">{page.specimen}</h1>
      <RunRules page={page} classId={classId} />
      <CurrentPart {...on} current={current} parts={parts} onPart={onPart} />
      {plan.tables.map((table) => (
        <RunTable
          key={table.key}
          {...on}
          plan={table}
          cabinet={cabinet}
          step={current}
          onGrow={(dimension) => setMore((known) => ({ ...known, [dimension]: (known[dimension] ?? 0) + 1 }))}
        />
      ))}
      {plan.single.length > 0 && <SingleCells {...on} quantities={plan.single} cabinet={cabinet} step={current} />}
      {comparesWithChosen(on) && (
        <div className="mt-6">
          <CompareWith {...on} />
        </div>
      )}
      <Results page={page} classId={classId} run={worked} cabinet={cabinet} />
      <Statements {...on} />
      <Questions {...on} />
      {working && <WorkingSheet run={worked} place={working} onClose={() => setWorking(null)} />}
      {adjusting && adjusted && 'unit' in adjusted && (
        <Adjust
          {...on}
          place={adjusting}
          label={[adjusted.name, membersInWords(worked.setting, adjusting.members)].filter(Boolean).join(', ')}
          unit={adjusted.unit}
          onClose={() => setAdjusting(null)}
        />
      )}
    </main>
  );
}

function Sheet({
  classId,
  runId,
  signedIn,
}: {
  readonly classId: string;
  readonly runId: string;
  readonly signedIn: SignedIn;
}): ReactNode {
  const [chosen, setWriter] = useState(signedIn.person.id);
  const present = [signedIn.person, ...signedIn.partners];
  const writer = present.find((person) => person.id === chosen)?.id ?? signedIn.person.id;
  const [part, setPart] = useState<string | null>(null);
  const run = useRun(classId, runId, signedIn, writer);
  const { page, worked, error } = run;
  const parts = useMemo(() => (worked ? partsOf(worked) : []), [worked]);
  if (error instanceof RefusedError && error.field === 'join')
    return <JoinFirst classId={classId} runId={runId} signedIn={signedIn} message={error.message} />;
  if (error)
    return (
      <div className="px-7">
        <Failed error={error} />
      </div>
    );
  if (!page || !worked)
    return (
      <div className="px-7">
        <Loading what="the laboratory" />
      </div>
    );
  const current = part ?? parts.find(({ done }) => !done)?.id ?? PURPOSE;
  const goTo = (id: string): void => {
    setPart(id);
    if (SECTIONS.includes(id)) document.getElementById(id)?.scrollIntoView({ block: 'start' });
  };
  return (
    <div className="flex flex-col wide:grid wide:min-h-[calc(100vh-3.5rem)] wide:grid-cols-[15rem_minmax(0,1fr)] wide:grid-rows-[auto_1fr]">
      <Steps parts={parts} current={current} onPart={goTo} />
      <Group page={page} run={run} signedIn={signedIn} classId={classId} writer={writer} onWriter={setWriter} />
      <Body
        page={page}
        worked={worked}
        classId={classId}
        current={current}
        parts={parts}
        onPart={goTo}
        onWrite={run.write}
      />
    </div>
  );
}

/** One laboratory as the group’s shared page; teachers read it. */
export default function RunPage({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
}): ReactNode {
  const { runId = '' } = useParams();
  return classId === null ? (
    <div className="px-7">
      <Loading what="the class" />
    </div>
  ) : (
    <Sheet key={runId} classId={classId} runId={runId} signedIn={signedIn} />
  );
}
