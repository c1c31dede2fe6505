import type { OpeningSummary, SignedIn } from '@green-beam/contract';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { buttonClass } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { NewRunForm } from '../notebook/new-run.tsx';
import { useLaboratories } from '../notebook/use-laboratories.ts';
import { RunList } from '../notebook/run-list.tsx';
import { WhoCalculates } from '../notebook/who-calculates.tsx';
import { ClassFiles } from './files/class-files.tsx';
import { OpeningShown } from './opening-shown.tsx';
import { useOpenings } from './use-openings.ts';

/** The laboratories that were opened, the latest first; one of them is shown. */
function Openings({
  openings,
  shown,
}: {
  readonly openings: readonly OpeningSummary[];
  readonly shown: string;
}): ReactNode {
  if (openings.length < 2) return null;
  return (
    <nav aria-label="Laboratories that were opened" className="mt-4 flex flex-wrap gap-x-6">
      {openings.map(({ id, specimen, openedAt }) => (
        <Link
          key={id}
          to={`?opening=${id}`}
          aria-current={id === shown ? 'true' : undefined}
          className={`inline-flex min-h-11 items-center border-b-2 ${id === shown ? 'border-beam font-semibold' : 'border-transparent text-muted hover:text-ink'}`}
        >
          {specimen}, {format(new Date(openedAt), 'd MMM')}
        </Link>
      ))}
    </nav>
  );
}

/** Every laboratory, to be printed blank. */
function BlankSheets({ classId }: { readonly classId: string }): ReactNode {
  const { data: laboratories, error } = useLaboratories(classId);
  if (!laboratories) return error ? <Failed error={error} /> : <Loading what="the laboratories" />;
  return (
    <ul className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(17rem,1fr))] gap-x-6">
      {laboratories.map(({ id, title }) => (
        <li key={id}>
          <Link
            to={`/notebook/blank/${id}`}
            className="inline-flex min-h-11 items-center underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam"
          >
            {title}
          </Link>
        </li>
      ))}
    </ul>
  );
}

function Board({ classId }: { readonly classId: string }): ReactNode {
  const [search] = useSearchParams();
  const { data: openings, error } = useOpenings(classId);
  const failed = inTheWay(error, openings);
  if (failed) return <Failed error={failed} />;
  if (!openings) return <Loading what="the laboratories" />;
  const shown = openings.find(({ id }) => id === search.get('opening')) ?? openings[0];
  return (
    <>
      <Openings openings={openings} shown={shown?.id ?? ''} />
      {shown ? (
        <OpeningShown key={shown.id} classId={classId} opening={shown} />
      ) : (
        <p className="mt-4 max-w-prose text-muted">
          You have opened no laboratory yet. Open one, form the groups, and each finds its page in the notebook.
        </p>
      )}
    </>
  );
}

/** What a class does in its laboratories, for its teachers. */
export default function ClassWork({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
}): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <div className="flex flex-wrap items-center justify-between gap-4">
        <h1 className="text-2xl font-bold">Class work</h1>
        <Link to="/notebook/open" className={buttonClass()}>
          Open a laboratory
        </Link>
      </div>
      {classId === null ? (
        <Loading what="the class" />
      ) : (
        <>
          <Board classId={classId} />
          <section className="mt-12 border-t border-ink pt-6">
            <h2 className="text-lg font-bold">Begun by groups themselves</h2>
            <RunList classId={classId} which="begun-by-groups" />
          </section>
          <details className="mt-10 border-t border-hairline pt-2">
            <summary className="min-h-11 cursor-pointer py-2 text-lg font-bold">Begin a page of your own</summary>
            <p className="max-w-prose text-muted">
              Type readings there. Later you can give them to the class, or to somebody who was away.
            </p>
            <NewRunForm classId={classId} signedIn={signedIn} />
          </details>
          <details className="border-t border-hairline pt-2">
            <summary className="min-h-11 cursor-pointer py-2 text-lg font-bold">Blank sheets</summary>
            <p className="max-w-prose text-muted">
              Any laboratory on paper, for the day without a network. What is written there is entered later.
            </p>
            <BlankSheets classId={classId} />
          </details>
          <ClassFiles classId={classId} />
          <WhoCalculates classId={classId} />
        </>
      )}
    </main>
  );
}
