import type { RunPage as Page, SignedIn } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { RefusedError } from '../../api/request.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { HandingIn } from './handing-in.tsx';
import { JoinFirst } from './joining.tsx';
import { Result } from './result.tsx';
import { Questions, RunChoices } from './run-notes.tsx';
import { RunRules } from './run-rules.tsx';
import { useToolChoices } from '../cabinet/use-cabinet.ts';
import { TrialTable } from './trial-table.tsx';
import { useRun, type RunOnPage } from './use-run.ts';
import { WorkingSheet } from './working-sheet.tsx';
import { Writers } from './writers.tsx';

function Instructions({ page }: { readonly page: Page }): ReactNode {
  return (
    <details className="mt-2">
      <summary className="min-h-11 cursor-pointer py-2 font-semibold underline decoration-hairline underline-offset-4">
        Purpose, kit, cautions and steps
      </summary>
      <div className="max-w-3xl pb-2">
        <p>{page.protocol.purpose}</p>
        <h3 className="mt-3 font-bold">Kit</h3>
        <p>{page.protocol.materials.join('; ')}.</p>
        <h3 className="mt-3 font-bold text-slip">Cautions</h3>
        <ul className="list-disc pl-5">
          {page.protocol.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
        <h3 className="mt-3 font-bold">Steps</h3>
        <ol className="list-decimal pl-5">
          {page.protocol.steps.map((step) => (
            <li key={step.id}>
              <strong>{step.title}.</strong> {step.text} <span className="text-muted">({step.minutes} min)</span>
            </li>
          ))}
        </ol>
      </div>
    </details>
  );
}

function Aside({
  page,
  run,
  signedIn,
  classId,
  writer,
  onChoose,
}: {
  readonly page: Page;
  readonly run: RunOnPage;
  readonly signedIn: SignedIn;
  readonly classId: string;
  readonly writer: string;
  readonly onChoose: (id: string) => void;
}): ReactNode {
  return (
    <aside className="border-hairline px-4 py-6 wide:w-56 wide:shrink-0 wide:border-r wide:px-7">
      <p className="text-small font-semibold text-muted">
        <Link to="/notebook" className="underline underline-offset-4">
          All laboratories
        </Link>
      </p>
      <p className="mt-4 text-small font-semibold">Group</p>
      <p className="text-muted">{page.members.join(', ')}</p>
      {page.asked.length > 0 && <p className="text-small text-muted">asked: {page.asked.join(', ')}</p>}
      {page.mayWrite && (
        <Writers signedIn={signedIn} classId={classId} runId={page.id} writer={writer} onChoose={onChoose} />
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
  const [working, setWorking] = useState<{ trial: number; quantity: string } | null>(null);
  const run = useRun(classId, runId, signedIn, writer);
  const cabinet = useToolChoices(classId);
  const { page, evaluated, error } = run;
  if (error instanceof RefusedError && error.field === 'join')
    return <JoinFirst classId={classId} runId={runId} signedIn={signedIn} message={error.message} />;
  if (error)
    return (
      <div className="px-7">
        <Failed error={error} />
      </div>
    );
  if (!page || !evaluated)
    return (
      <div className="px-7">
        <Loading what="the laboratory" />
      </div>
    );
  return (
    <div className="flex flex-col wide:min-h-[calc(100vh-3.5rem)] wide:flex-row">
      <Aside page={page} run={run} signedIn={signedIn} classId={classId} writer={writer} onChoose={setWriter} />
      <main className="min-w-0 max-w-6xl flex-1 px-4 py-6 wide:px-9">
        <h1 className="text-2xl font-bold">{page.specimen}</h1>
        <RunRules page={page} classId={classId} />
        <Instructions page={page} />
        <TrialTable
          page={page}
          evaluated={evaluated}
          cabinet={cabinet}
          onWrite={run.write}
          onWorking={(trial, quantity) => setWorking({ trial, quantity })}
        />
        <RunChoices page={page} evaluated={evaluated} onWrite={run.write} />
        <Result protocol={page.protocol} rules={page.rules} evaluated={evaluated} />
        <Questions page={page} evaluated={evaluated} onWrite={run.write} />
      </main>
      {working && (
        <WorkingSheet
          protocol={page.protocol}
          evaluated={evaluated}
          trial={working.trial}
          quantity={working.quantity}
          onClose={() => setWorking(null)}
        />
      )}
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
