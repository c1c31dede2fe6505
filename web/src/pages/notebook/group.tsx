import type { RunPage, SignedIn } from '@green-beam/contract';
import type { WorkedRun } from '@green-beam/core';
import { format, isPast } from 'date-fns';
import type { ReactNode } from 'react';
import { SaveRun } from './files/save-run.tsx';
import { TakeTable } from './files/take-table.tsx';
import { HandingIn } from './handing-in.tsx';
import { mayEnter } from './on-page.ts';
import type { RunOnPage } from './use-run.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { wherePartnersAre } from './where-partners-are.ts';
import { Writers } from './writers.tsx';

interface GroupProps {
  readonly page: RunPage;
  readonly run: RunOnPage;
  readonly signedIn: SignedIn;
  readonly classId: string;
  readonly writer: string;
  readonly onWriter: (id: string) => void;
}

/** Where the others have written last. */
function Partners({
  page,
  run,
  writer,
}: {
  readonly page: RunPage;
  readonly run: WorkedRun;
  readonly writer: string;
}): ReactNode {
  const numerals = useNumerals();
  const partners = page.mayWrite ? wherePartnersAre(page, run, writer) : [];
  if (partners.length === 0) return null;
  return (
    <ul className="mt-2 text-small text-muted" aria-label="Where the others wrote last">
      {partners.map(({ person, name, place }) => (
        <li key={person} className="truncate" title={numerals(place)}>
          <span className="text-ink">{name}</span> {numerals(place)}
        </li>
      ))}
    </ul>
  );
}

/** Who works here and who is writing, whether all is saved, and the handing in. */
export function Group({ page, run, signedIn, classId, writer, onWriter }: GroupProps): ReactNode {
  return (
    <aside className="border-hairline px-4 py-6 max-wide:order-last wide:border-r wide:px-7">
      <p className="text-small font-semibold">Group</p>
      <p className="text-muted">{page.members.join(', ')}</p>
      {page.asked.length > 0 && <p className="text-small text-muted">asked: {page.asked.join(', ')}</p>}
      {run.worked && <Partners page={page} run={run.worked} writer={writer} />}
      {page.isGiven && (
        <p className="mt-3 text-small">
          {signedIn.role === 'student'
            ? 'Your teacher has given these readings. They stay as they are; what you calculate is yours.'
            : 'These readings were given, and stay as they are.'}
        </p>
      )}
      {page.dueAt !== null && !page.handIns.some((one) => one.author === run.author) && (
        <p className="mt-3 text-small">
          {isPast(page.dueAt) ? 'It was due' : 'Hand it in by'} {format(new Date(page.dueAt), 'EEE d MMM, HH:mm')}.
        </p>
      )}
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
      {run.worked && <SaveRun page={page} run={run.worked} />}
      {run.worked && mayEnter(page) && <TakeTable setting={run.worked.setting} onTake={run.writeAll} />}
      <HandingIn page={page} author={run.author} classId={classId} unsent={run.unsent} />
    </aside>
  );
}
