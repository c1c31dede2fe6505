import type { BoardRow, SetRoundShown } from '@green-beam/contract';
import { practiceSlipById, toolFamilies } from '@green-beam/core';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useSetRounds } from '../../use-set-rounds.ts';
import { mostShared, quietFor, toVisit, type SharedSlip } from './need.ts';

const NAMED = 3;

function times(count: number): string {
  return count === 3 ? 'three times' : count === 4 ? 'four times' : `${count} times`;
}

function Now({
  heading,
  title,
  children,
}: {
  readonly heading: string;
  readonly title: string;
  readonly children?: ReactNode;
}): ReactNode {
  return (
    <section>
      <h2 className="text-small text-muted">{heading}</h2>
      <p className="text-lg leading-snug font-bold">{title}</p>
      {children}
    </section>
  );
}

function inARow(names: readonly string[]): string {
  return names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}

function why(row: BoardRow, now: number): string {
  const { stuckOn } = row.lately;
  if (stuckOn) return `the same slip ${times(stuckOn.times)} in a row. ${practiceSlipById(stuckOn.slip).name}.`;
  return `no entry for ${quietFor(row, now) ?? 0} minutes.`;
}

/** Who cannot get on alone, and why. */
function VisitNow({ rows, now }: { readonly rows: readonly BoardRow[]; readonly now: number }): ReactNode {
  const visits = toVisit(rows, now);
  const named = visits.slice(0, NAMED);
  if (named.length === 0) return <Now heading="Visit now" title="Nobody is stuck" />;
  return (
    <Now heading="Visit now" title={inARow(named.map(({ label }) => label))}>
      <ul>
        {named.map((row) => (
          <li key={row.id}>
            <Link to={`/class/student/${row.id}`} className="underline decoration-hairline underline-offset-4">
              {row.label}
            </Link>
            : {why(row, now)}
          </li>
        ))}
      </ul>
      {visits.length > NAMED && <p className="text-muted">and {visits.length - NAMED} more, below</p>}
    </Now>
  );
}

/** The tool on which a shared slip can be shown to everybody; null where it is made on paper. */
function toolFor({ skill }: SharedSlip): string | null {
  return toolFamilies().find(({ id }) => id === skill)?.tools[0].id ?? null;
}

/** What several students do wrong: said once, to everybody. */
function SayToEverybody({ rows, now }: { readonly rows: readonly BoardRow[]; readonly now: number }): ReactNode {
  const shared = mostShared(rows, now);
  if (!shared) return <Now heading="Say to everybody" title="No slip is shared" />;
  const tool = toolFor(shared);
  return (
    <Now heading="Say to everybody" title={practiceSlipById(shared.slip).name}>
      <p>
        {shared.students} students made this slip {shared.today ? 'today' : 'this week'}.{' '}
        {tool !== null && (
          <Link
            to={`/demonstrate?tool=${tool}&slip=${shared.slip}`}
            className="font-semibold underline decoration-beam decoration-2 underline-offset-4"
          >
            Demonstrate it
          </Link>
        )}
      </p>
    </Now>
  );
}

function standingOf({ progress, dueAt }: SetRoundShown): string {
  const finished = progress.filter((one) => one.finishedAt !== null).length;
  const atWork = progress.filter((one) => one.done > 0).length - finished;
  const due = dueAt === null ? '' : ` Due ${format(new Date(dueAt), 'EEE\u00a0d\u00a0MMM, HH:mm')}.`;
  return `${finished} of ${progress.length} finished, ${atWork} at work, ${progress.length - finished - atWork} not begun.${due}`;
}

/** The practice set that was set last and is not finished by all. */
function UnderWay({ classId }: { readonly classId: string }): ReactNode {
  const { rounds = [] } = useSetRounds(classId);
  const open = rounds.find((round) => !round.withdrawn && round.progress.some((one) => one.finishedAt === null));
  return (
    <Now heading="Under way" title={open?.title ?? 'No practice set'}>
      <p>
        {open && `${standingOf(open)} `}
        <Link to="/rounds" className="font-semibold underline decoration-hairline decoration-2 underline-offset-4">
          {open ? 'Open it' : 'Set one'}
        </Link>
      </p>
    </Now>
  );
}

/** What to do now: whom to visit, what to say to everybody, and what is under way. */
export function WhatToDo({
  classId,
  rows,
  now,
}: {
  readonly classId: string;
  readonly rows: readonly BoardRow[];
  readonly now: number;
}): ReactNode {
  return (
    <div className="mt-4 grid gap-x-10 gap-y-4 sm:grid-cols-3">
      <VisitNow rows={rows} now={now} />
      <SayToEverybody rows={rows} now={now} />
      <UnderWay classId={classId} />
    </div>
  );
}
