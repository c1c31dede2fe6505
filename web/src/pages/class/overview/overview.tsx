import type { BoardCell, BoardRow } from '@green-beam/contract';
import { SKILLS } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import { createColumnHelper } from '@tanstack/react-table';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ask } from '../../../api/request.ts';
import { Failed, Loading } from '../../../ui/notice.tsx';
import { SortableTable } from '../../../ui/sortable-table.tsx';
import { useNow } from '../../../ui/use-now.ts';
import { byNeed, partRight, weakest } from './need.ts';
import { OverTimePart } from './over-time/over-time.tsx';
import { SkillCell } from './skill-cell.tsx';
import { SkillDetails, type OpenedCell } from './skill-details.tsx';
import { WhatToDo } from './what-to-do.tsx';

/** How often the minutes on the page are counted anew, in milliseconds. */
const EVERY = 20_000;

const column = createColumnHelper<BoardRow>();

function cellOf(row: BoardRow, skill: string): BoardCell | undefined {
  return row.skills.find((one) => one.skill === skill);
}

/** So many columns a slip that is written out reaches over. */
const ROOM_FOR_SLIP = 4;

/** Where long words of a heading can be parted: all the skills have to stand beside each other. */
const PARTED = /(Gradu|Volu|glass|Thermo|Hydro|Micro|Calcu|Conver)(?=[a-z])/g;

function parted(name: string): string {
  return name.replace(PARTED, '$1\u00AD');
}

function columnsFor(skills: readonly (typeof SKILLS)[number][], onOpen: (opened: OpenedCell) => void) {
  return [
    column.accessor('label', {
      header: 'Student',
      cell: ({ row }) => (
        <Link
          className="inline-block py-1.5 font-semibold whitespace-nowrap underline decoration-hairline underline-offset-4 hover:decoration-beam"
          to={`/class/student/${row.original.id}`}
        >
          {row.original.label}
        </Link>
      ),
    }),
    ...skills.map(({ id, name }, place) =>
      column.accessor(
        (row) => {
          const cell = cellOf(row, id);
          return (cell && partRight(cell)) ?? -1;
        },
        {
          id,
          header: parted(name),
          cell: ({ row: { original: row } }) => {
            const cell = cellOf(row, id);
            return (
              <SkillCell
                cell={cell}
                label={`${row.label}, ${name}`}
                slipTo={
                  !cell || weakest(row) !== cell ? null : place + ROOM_FOR_SLIP < skills.length ? 'right' : 'left'
                }
                onOpen={(from) => cell && onOpen({ row, skillName: name, cell, from })}
              />
            );
          },
        },
      ),
    ),
  ];
}

function BoardTable({ rows }: { readonly rows: BoardRow[] }): ReactNode {
  const [opened, setOpened] = useState<OpenedCell | null>(null);
  const skills = useMemo(() => SKILLS.filter(({ id }) => rows.some((row) => cellOf(row, id))), [rows]);
  const columns = useMemo(() => columnsFor(skills, setOpened), [skills]);
  return (
    <>
      <SortableTable
        rows={rows}
        columns={columns}
        isTall
        cellClass="pr-2 align-top min-w-14 first:min-w-0 first:pr-4"
      />
      {opened && <SkillDetails opened={opened} onClose={() => setOpened(null)} />}
    </>
  );
}

/** The two ways to look at a class. */
const VIEWS = [
  { view: null, name: 'Now' },
  { view: 'over-time', name: 'Over time' },
] as const;

/** The class now: what to do first, then every student by skill, those on top who need the teacher. */
export default function Overview({ classId }: { readonly classId: string | null }): ReactNode {
  const [search, setSearch] = useSearchParams();
  const isOverTime = search.get('view') === 'over-time';
  const {
    data: rows,
    error,
    refetch,
  } = useQuery({
    queryKey: ['board', classId],
    queryFn: () => ask<BoardRow[]>('GET', `/classes/${classId ?? ''}/board`),
    enabled: classId !== null,
  });
  const now = useNow(EVERY);
  const ordered = useMemo(() => byNeed(rows ?? [], now), [rows, now]);
  return (
    <main
      className={`mx-auto flex w-full max-w-7xl flex-col px-4 pt-1 wide:px-7 ${isOverTime ? '' : 'wide:h-[calc(100vh-6.5rem)]'}`}
    >
      <h1 className="sr-only">Overview</h1>
      <div role="group" aria-label="What is shown" className="-mx-3 flex">
        {VIEWS.map(({ view, name }) => (
          <button
            key={name}
            type="button"
            aria-pressed={isOverTime === (view !== null)}
            onClick={() => setSearch(view === null ? {} : { view })}
            className="min-h-11 px-3 text-muted aria-pressed:font-bold aria-pressed:text-ink aria-pressed:underline aria-pressed:decoration-beam aria-pressed:decoration-2 aria-pressed:underline-offset-8"
          >
            {name}
          </button>
        ))}
      </div>
      {error && <Failed error={error} again={() => void refetch()} />}
      {classId === null && <p className="mt-6">You have no class yet. Make one under “Students”.</p>}
      {classId !== null && !rows && !error && <Loading what="the overview" />}
      {rows?.length === 0 && (
        <p className="mt-6 text-muted">Nobody is on the list yet. Import your class list under “Students”.</p>
      )}
      {isOverTime && rows && rows.length > 0 && classId !== null && <OverTimePart classId={classId} />}
      {!isOverTime && rows && rows.length > 0 && classId !== null && (
        <>
          <WhatToDo classId={classId} rows={rows} now={now} />
          <p className="mt-4 -mb-4 text-small text-muted">
            The bar shows how much was right at the first try. An open bar: too early to say. Press a bar to see more.
          </p>
          <BoardTable rows={ordered} />
        </>
      )}
    </main>
  );
}
