import type { SignedIn } from '@green-beam/contract';
import { OwnWork } from '@green-beam/core';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { Waiting } from '../../../ui/waiting.tsx';
import { PrintBar, type PaperSize } from '../../print/print-bar.tsx';
import { useRunningHead } from '../../print/running-head.ts';
import { isRevealed } from '../own/reveal.ts';
import { useRun, type RunOnPage } from '../use-run.ts';
import { ReportShown } from './report-shown.tsx';

function Pages({ run, signedIn }: { readonly run: RunOnPage; readonly signedIn: SignedIn }): ReactNode {
  const [size, setSize] = useState<PaperSize>('a4');
  const { page, worked, author } = run;
  const own = useMemo(() => worked && new OwnWork(worked), [worked]);
  const name = page ? (page.people[author]?.label ?? page.members.join(', ')) : '';
  useRunningHead(page ? `${name}: ${page.specimen}` : '');
  if (!page || !worked || !own) return null;
  const as = signedIn.role === 'student' ? 'student' : 'teacher';
  return (
    <>
      <PrintBar
        size={size}
        onSize={setSize}
        title={
          <>
            <Link to={`/notebook/${page.id}`} className="mr-4 underline underline-offset-4">
              Back to the page
            </Link>
            <strong>{name}</strong>: {page.specimen}
          </>
        }
      />
      <main className={`printed printed-${size}`}>
        <article className="printed-page printed-report">
          <ReportShown
            page={page}
            run={worked}
            own={own}
            author={author}
            revealed={isRevealed(page, { run: worked, own, as, author })}
          />
        </article>
      </main>
    </>
  );
}

/** The whole report of a page, to be read, printed or saved as PDF. */
export default function ReportPage({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
}): ReactNode {
  const { runId = '' } = useParams();
  return classId === null ? null : <Loaded signedIn={signedIn} classId={classId} runId={runId} />;
}

function Loaded({
  signedIn,
  classId,
  runId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string;
  readonly runId: string;
}): ReactNode {
  const [search] = useSearchParams();
  const asked = search.get('author');
  const present = [signedIn.person.id, ...signedIn.partners.map(({ id }) => id)];
  const writer = asked !== null && present.includes(asked) ? asked : signedIn.person.id;
  const run = useRun(classId, runId, signedIn, writer, asked);
  if (run.error) return <Waiting what="the report" error={run.error} />;
  if (!run.page) return <Waiting what="the report" error={null} />;
  return <Pages run={run} signedIn={signedIn} />;
}
