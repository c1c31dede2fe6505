import type { RunSummary } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { ask } from '../../api/request.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useNow } from '../../ui/use-now.ts';

const MINUTE = 60_000;

/** Who is in a group, and who was asked to join it. */
function GroupNames({ run }: { readonly run: RunSummary }): ReactNode {
  return (
    <span className="text-muted">
      {run.members.join(', ')}
      {run.asked.length > 0 && <span className="block text-small">asked: {run.asked.join(', ')}</span>}
    </span>
  );
}

function standsIn({ handedInAt, isGiven }: RunSummary): string {
  if (handedInAt !== null) return 'handed in';
  return isGiven ? 'with given readings' : 'under way';
}

/** Where a page stands, and until when it is to be handed in. */
function Standing({ run, now }: { readonly run: RunSummary; readonly now: number }): ReactNode {
  const { startedAt, handedInAt, dueAt, isBack } = run;
  const isLate = dueAt !== null && handedInAt === null && Date.parse(dueAt) < now;
  return (
    <span className="text-right text-small text-muted max-sm:text-left">
      {dueAt === null ? (
        format(new Date(startedAt), 'd MMM, HH:mm')
      ) : (
        <span className={isLate ? 'font-semibold text-slip' : 'text-ink'}>
          {isLate ? 'was due' : 'due'} {format(new Date(dueAt), 'd MMM, HH:mm')}
        </span>
      )}
      <span className={`block ${isBack ? 'font-semibold text-beam' : handedInAt === null ? 'text-ink' : ''}`}>
        {isBack ? 'your report is back' : standsIn(run)}
      </span>
    </span>
  );
}

interface RunListProps {
  readonly classId: string;
  /** Whether those that a teacher has opened are among them. */
  readonly which?: 'all' | 'begun-by-groups';
}

/** The laboratories of a student’s groups, or of the whole class for its teachers. */
export function RunList({ classId, which = 'all' }: RunListProps): ReactNode {
  const now = useNow(MINUTE);
  const { data, error } = useQuery({
    queryKey: ['runs', classId],
    queryFn: () => ask<RunSummary[]>('GET', `/classes/${classId}/runs`),
  });
  const runs = data?.filter(({ openingId }) => which === 'all' || openingId === null);
  return (
    <>
      {error && <Failed error={error} />}
      {!runs && !error && <Loading what="the laboratories" />}
      {runs?.length === 0 && <p className="mt-4 text-muted">No laboratory yet.</p>}
      <ul className="mt-4">
        {runs?.map((run) => (
          <li key={run.id} className="border-t border-hairline">
            <Link
              to={`/notebook/${run.id}`}
              className="grid min-h-14 grid-cols-[minmax(0,1fr)_minmax(0,1fr)_9rem] items-center gap-4 py-2 hover:bg-wash max-sm:grid-cols-1"
            >
              <span>
                <strong>{run.specimen}</strong>
                <span className="block text-small text-muted">{run.title}</span>
              </span>
              <GroupNames run={run} />
              <Standing run={run} now={now} />
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
