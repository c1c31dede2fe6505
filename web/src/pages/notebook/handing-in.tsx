import type { RunPage } from '@green-beam/contract';
import { GROUP } from '@green-beam/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { ask } from '../../api/request.ts';
import { Button } from '../../ui/button.tsx';
import { Confirm } from '../../ui/confirm.tsx';

interface HandingInProps {
  readonly page: RunPage;
  /** Whose report it is. */
  readonly author: string;
  readonly classId: string;
  /** Entries still on their way; the page is handed in when everything has arrived. */
  readonly unsent: number;
}

/** The group hands its page in, and takes it back until a teacher has opened it; a teacher gives it back to be gone on with. */
export function HandingIn({ page, author, classId, unsent }: HandingInProps): ReactNode {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (what: 'hand-in' | 'take-back' | 'give-back') =>
      ask<RunPage>('POST', `/classes/${classId}/runs/${page.id}/${what}`, {
        personId: author === GROUP ? null : author,
      }),
    onSuccess: (changed) => {
      queries.setQueryData(['run', classId, page.id], changed);
      void queries.invalidateQueries({ queryKey: ['runs', classId] });
    },
  });
  const own = page.handIns.find((one) => one.author === author);
  const others = page.handIns.filter((one) => one.author !== author).length;
  const alone = author !== GROUP;
  const isBack = page.returned.some((one) => one.author === author && one.number === own?.number);
  return (
    <section className="mt-6" aria-label="Handing in">
      {own && (
        <>
          <p className="text-small">Handed in {format(new Date(own.at), 'd MMM, HH:mm')}</p>
          <Link
            to={`/class-results/${page.id}`}
            className="mt-1 inline-flex min-h-11 items-center text-small font-semibold underline underline-offset-4"
          >
            {page.isPaired ? 'Your group is paired with another' : 'What the others found'}
          </Link>
          {own.mayTakeBack && !isBack && (
            <p className="text-small text-muted">Once you have looked, you cannot take your page back.</p>
          )}
        </>
      )}
      {others > 0 && (
        <p className="text-small text-muted">
          {others === 1 ? 'One of the group has' : `${others} of the group have`} handed in.
        </p>
      )}
      {page.mayWrite && (
        <Confirm
          trigger={
            <Button look="plain" disabled={unsent > 0 || change.isPending}>
              Hand in
            </Button>
          }
          title={alone ? 'Hand in your report?' : 'Hand in this laboratory?'}
          text={
            alone
              ? 'You cannot write on this page after that; your partners can. You can take it back until your teacher opens it.'
              : 'Nobody can write on it after that. You can take it back until your teacher opens it.'
          }
          action="Hand in"
          keep="Go on writing"
          onConfirm={() => change.mutate('hand-in')}
        />
      )}
      {own?.mayTakeBack && (
        <>
          <Button look="plain" className="mt-2" disabled={change.isPending} onClick={() => change.mutate('take-back')}>
            {isBack ? 'Go on with it' : 'Take it back'}
          </Button>
          {!isBack && <p className="mt-1 text-small text-muted">Your teacher has not opened it yet.</p>}
        </>
      )}
      {page.mayGiveBack && (
        <Button look="plain" className="mt-2" disabled={change.isPending} onClick={() => change.mutate('give-back')}>
          Return it
        </Button>
      )}
      {change.error && (
        <p role="alert" className="mt-2 text-small text-slip">
          {change.error.message}
        </p>
      )}
    </section>
  );
}
