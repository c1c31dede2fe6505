import type { OpeningSummary } from '@green-beam/contract';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { buttonClass } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useNow } from '../../ui/use-now.ts';
import { GroupRow } from './group-row.tsx';
import { boardInWords } from './standing.ts';
import { useBoardChange, useOpeningBoard } from './use-openings.ts';
import { WithoutGroup } from './without-group.tsx';

const MINUTE = 60_000;

/** The class at work on a laboratory: who is where, and what to offer to who is in no group. */
export function OpeningShown({
  classId,
  opening,
}: {
  readonly classId: string;
  readonly opening: OpeningSummary;
}): ReactNode {
  const now = useNow(MINUTE / 2);
  const { data: board, error } = useOpeningBoard(classId, opening.id);
  const change = useBoardChange(classId, opening.id);
  const { title, specimen, openedAt, dueAt } = opening;
  return (
    <section className="mt-6" aria-labelledby="opening-title">
      <div className="flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h2 id="opening-title" className="text-xl font-bold">
          {specimen}
        </h2>
        <span className="text-muted">
          {title}. Opened {format(new Date(openedAt), 'd MMM, HH:mm')}
          {dueAt !== null && `, due ${format(new Date(dueAt), 'EEE d MMM, HH:mm')}`}
        </span>
        <Link to={`/notebook/blank/${opening.protocolId}`} className={`${buttonClass('quiet')} ml-auto`}>
          Print blank sheets
        </Link>
      </div>
      {error && <Failed error={error} />}
      {!board && !error && <Loading what="the groups" />}
      {board && (
        <>
          <p role="status" className="mt-1">
            {boardInWords(board.atWork, now)}
          </p>
          <div className="overflow-x-auto">
            <table className="mt-3 w-full">
              <caption className="sr-only">Groups at work on {specimen}</caption>
              <thead>
                <tr className="border-b border-ink text-left text-small">
                  <th scope="col" className="py-2 pr-4 font-semibold">
                    Group
                  </th>
                  <th scope="col" className="py-2 pr-6 font-semibold">
                    Who, and what each has calculated
                  </th>
                  <th scope="col" className="py-2 pr-6 font-semibold">
                    Readings
                  </th>
                  <th scope="col" className="py-2 font-semibold">
                    Now
                  </th>
                </tr>
              </thead>
              <tbody>
                {board.atWork.map((group, i) => (
                  <GroupRow key={group.runId} group={group} number={i + 1} now={now} />
                ))}
              </tbody>
            </table>
          </div>
          {change.error && (
            <p role="alert" className="mt-3 text-slip">
              {change.error.message}
            </p>
          )}
          <WithoutGroup board={board} onChange={(one) => change.mutate(one)} isBusy={change.isPending} />
        </>
      )}
    </section>
  );
}
