import type { BoardCell, BoardRow } from '@green-beam/contract';
import { practiceSlipById, SKILLS } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { createColumnHelper } from '@tanstack/react-table';
import { formatDistanceToNowStrict } from 'date-fns';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { ask } from '../../api/request.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { ENOUGH_ITEMS } from '../skill-lines.tsx';
import { SortableTable } from '../../ui/sortable-table.tsx';

const column = createColumnHelper<BoardRow>();

function cellOf(row: BoardRow, skill: string): BoardCell | undefined {
  return row.skills.find((one) => one.skill === skill);
}

/** Right at the first try, as a bar against all readings; the slips behind the others, and when the last reading was taken. */
function Skill({ cell }: { readonly cell: BoardCell | undefined }): ReactNode {
  if (!cell) return <span className="text-small text-muted">not yet</span>;
  const part = cell.sound / Math.max(1, cell.readings);
  const early = cell.readings < ENOUGH_ITEMS;
  const [shown, more] = [cell.slips.slice(0, 2), cell.slips.length - 2];
  return (
    <span className="block py-2">
      <span className="flex items-baseline gap-2">
        {!early && (
          <span className="h-2.5 w-14 self-center bg-hairline/60" aria-hidden="true">
            <span className="block h-full bg-ink" style={{ width: `${100 * part}%` }} />
          </span>
        )}
        <span className="font-mono">
          {cell.sound}/{cell.readings}
        </span>
        <span className="text-small whitespace-nowrap text-muted">
          {formatDistanceToNowStrict(new Date(cell.lastSeen))}
        </span>
      </span>
      {early && <span className="block text-small text-muted">too early to say</span>}
      {shown.map((slip) => (
        <span key={slip.id} className={`block text-small ${slip.count >= 5 ? 'text-slip' : ''}`}>
          {practiceSlipById(slip.id).name} <span className="font-mono">{slip.count}</span>
        </span>
      ))}
      {more > 0 && <span className="block text-small text-muted">and {more} more</span>}
    </span>
  );
}

function columnsFor(skills: readonly string[]) {
  return [
    column.accessor('label', {
      header: 'Student',
      cell: ({ row }) => (
        <Link
          className="inline-block py-2 font-semibold whitespace-nowrap underline decoration-hairline underline-offset-4 hover:decoration-beam"
          to={`/class/student/${row.original.id}`}
        >
          {row.original.label}
        </Link>
      ),
    }),
    ...skills.map((skill) =>
      column.accessor(
        (row) => {
          const cell = cellOf(row, skill);
          return cell && cell.readings >= ENOUGH_ITEMS ? cell.sound / cell.readings : -1;
        },
        {
          id: skill,
          header: SKILLS.find((one) => one.id === skill)?.name ?? skill,
          cell: ({ row }) => <Skill cell={cellOf(row.original, skill)} />,
        },
      ),
    ),
  ];
}

function BoardTable({ rows }: { readonly rows: readonly BoardRow[] }): ReactNode {
  const skills = useMemo(
    () =>
      SKILLS.map((skill) => skill.id as string).filter(
        (id) => id === 'graduated-cylinders' || rows.some((row) => cellOf(row, id)),
      ),
    [rows],
  );
  const columns = useMemo(() => columnsFor(skills), [skills]);
  const data = useMemo(() => [...rows], [rows]);
  return <SortableTable rows={data} columns={columns} cellClass="min-w-36 pr-5 align-top first:min-w-0" />;
}

/** The most frequent slips of the whole class, to be explained once instead of thirty times. */
function Commonest({ rows }: { readonly rows: readonly BoardRow[] }): ReactNode {
  const students = new Map<string, number>();
  for (const row of rows)
    for (const id of new Set(
      row.skills.flatMap((skill) => skill.slips.filter((slip) => slip.count > 1).map((slip) => slip.id)),
    ))
      students.set(id, (students.get(id) ?? 0) + 1);
  const [first, second] = [...students].sort((a, b) => b[1] - a[1]);
  if (!first || first[1] < 2) return null;
  return (
    <p className="mt-1 text-lg text-muted">
      Most shared: {practiceSlipById(first[0]).name.toLowerCase()} ({first[1]} students)
      {second && second[1] > 1 ? `, then ${practiceSlipById(second[0]).name.toLowerCase()} (${second[1]})` : ''}.
    </p>
  );
}

/** The live board: students by skill, with the slips each one keeps making. */
export default function Board({ classId }: { readonly classId: string | null }): ReactNode {
  const {
    data: rows,
    error,
    refetch,
  } = useQuery({
    queryKey: ['board', classId],
    queryFn: () => ask<BoardRow[]>('GET', `/classes/${classId ?? ''}/board`),
    enabled: classId !== null,
  });
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <div className="flex flex-wrap items-start justify-between gap-4">
        <div>
          <h1 className="text-2xl font-bold">Overview</h1>
          {rows && <Commonest rows={rows} />}
          <p className="text-small text-muted">
            Right at the first try, of all that was read or worked; how long ago the last one was; the slips behind the
            others.
          </p>
        </div>
      </div>
      {error && <Failed error={error} again={() => void refetch()} />}
      {classId === null && <p className="mt-6">You have no class yet. Make one under “Students”.</p>}
      {classId !== null && !rows && !error && <Loading what="the board" />}
      {rows?.length === 0 && (
        <p className="mt-6 text-muted">Nobody is on the list yet. Import your class list under “Students”.</p>
      )}
      {rows && rows.length > 0 && <BoardTable rows={rows} />}
    </main>
  );
}
