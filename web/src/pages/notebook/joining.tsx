import type { Joining, RunPage, RunSummary, SignedIn } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient, type UseMutationResult } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { ask } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';

/** Has somebody who is at this screen join a group, or answers no to being asked. */
function useJoining(
  classId: string,
): UseMutationResult<RunPage | undefined, Error, Joining & { runId: string; joins: boolean }> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ runId, personId, joins }) => {
      const members = `/classes/${classId}/runs/${runId}/members`;
      return joins
        ? ask<RunPage>('POST', members, { personId } satisfies Joining)
        : ask<undefined>('DELETE', `${members}/me`);
    },
    onSuccess: (page, { runId }) => {
      if (page) queries.setQueryData(['run', classId, runId], page);
      return Promise.all(
        ['asked', 'runs', 'run'].map((shown) => queries.invalidateQueries({ queryKey: [shown, classId] })),
      );
    },
  });
}

interface AskedProps {
  readonly classId: string;
  readonly signedIn: SignedIn;
}

function Asked({ classId, signedIn, run }: AskedProps & { readonly run: RunSummary }): ReactNode {
  const navigate = useNavigate();
  const { mutate, isPending, error } = useJoining(classId);
  const answer = (joins: boolean): void =>
    mutate(
      { runId: run.id, personId: signedIn.person.id, joins },
      { onSuccess: () => joins && void navigate(`/notebook/${run.id}`) },
    );
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1">
      <p>
        {run.members.join(', ') || 'Somebody'} asked you to join a group: <strong>{run.specimen}</strong>
        <span className="text-muted">, {run.title}</span>
      </p>
      <span className="flex gap-3">
        <Button look="plain" disabled={isPending} onClick={() => answer(true)} aria-label={`Join ${run.specimen}`}>
          Join
        </Button>
        <Button look="quiet" disabled={isPending} onClick={() => answer(false)} aria-label={`Not me: ${run.specimen}`}>
          Not me
        </Button>
      </span>
      {error && (
        <span role="alert" className="text-slip">
          {error.message}
        </span>
      )}
    </li>
  );
}

/** Groups that somebody was asked to join while away: they say so themselves, once they have signed in. */
export default function AskedToJoin({ classId, signedIn }: AskedProps): ReactNode {
  const { data: runs = [] } = useQuery({
    queryKey: ['asked', classId],
    queryFn: () => ask<RunSummary[]>('GET', `/classes/${classId}/runs/asked`),
  });
  if (runs.length === 0) return null;
  return (
    <section
      aria-label="Groups that want you"
      className="border-b border-hairline bg-wash px-4 py-2 wide:px-7 print:hidden"
    >
      <ul>
        {runs.map((run) => (
          <Asked key={run.id} classId={classId} signedIn={signedIn} run={run} />
        ))}
      </ul>
    </section>
  );
}

interface JoinFirstProps extends AskedProps {
  readonly runId: string;
  readonly message: string;
}

/** In the place of a page whose group one was asked to join. */
export function JoinFirst({ classId, runId, signedIn, message }: JoinFirstProps): ReactNode {
  const { mutate, isPending, error } = useJoining(classId);
  return (
    <main className="max-w-prose px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Are you in this group?</h1>
      <p className="mt-2">{error?.message ?? message}</p>
      <Button
        className="mt-4"
        disabled={isPending}
        onClick={() => mutate({ runId, personId: signedIn.person.id, joins: true })}
      >
        Join the group
      </Button>
    </main>
  );
}
