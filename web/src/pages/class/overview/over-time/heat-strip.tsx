import type { OverTime } from '@green-beam/contract';
import { SKILLS } from '@green-beam/core';
import { createColumnHelper } from '@tanstack/react-table';
import { useMemo, type ReactNode } from 'react';
import { Link } from 'react-router';
import { SortableTable } from '../../../../ui/sortable-table.tsx';
import { shareOf, type Share } from './figures.ts';

interface Row {
  readonly id: string;
  readonly label: string;
  readonly shares: ReadonlyMap<string, Share>;
}

const WAYS = { up: '↗', down: '↘', same: '', none: '' } as const;
const SAID = { up: ', getting better', down: ', getting worse', same: '', none: '' } as const;

/** Darker and fuller, the more was right: the filling says it without the colour. */
function toneOf(part: number): string {
  return part >= 0.85 ? 'var(--color-beam)' : part >= 0.6 ? '#4b8f6f' : part >= 0.4 ? '#b98a3a' : 'var(--color-slip)';
}

function Cell({ share, about }: { readonly share: Share | undefined; readonly about: string }): ReactNode {
  if (!share || share.readings === 0)
    return (
      <span className="block text-muted">
        <span aria-hidden="true">·</span>
        <span className="sr-only">{about}: not yet</span>
      </span>
    );
  const { part, way, sound, readings } = share;
  const told =
    part === null ? `too early to say, ${readings} so far` : `${sound} of ${readings} right${SAID[way ?? 'none']}`;
  return (
    <span className="flex items-center gap-1" title={told}>
      <span className="sr-only">
        {about}: {told}
      </span>
      <svg width="22" height="22" aria-hidden="true">
        <rect
          x="1"
          y="1"
          width="20"
          height="20"
          fill="none"
          stroke={part === null ? '#9aa79f' : 'var(--color-muted)'}
          strokeDasharray={part === null ? '2 3' : undefined}
        />
        {part !== null && <rect x="2.5" y={2.5 + 17 * (1 - part)} width="17" height={17 * part} fill={toneOf(part)} />}
      </svg>
      <span aria-hidden="true" className={way === 'down' ? 'text-slip' : 'text-beam'}>
        {WAYS[way ?? 'none']}
      </span>
    </span>
  );
}

const column = createColumnHelper<Row>();

/** Students by skill over the last weeks: how full a square is says how much was right, an arrow which way it goes. */
export function HeatStrip({ time }: { readonly time: OverTime }): ReactNode {
  const { rows, columns } = useMemo(() => {
    const skills = SKILLS.filter(({ id }) => time.practised.some(({ skill }) => skill === id));
    const all = time.students.map(({ id, label }): Row => ({
      id,
      label,
      shares: new Map(
        skills.map((skill) => [
          skill.id,
          shareOf(
            time.practised.filter((one) => one.personId === id && one.skill === skill.id),
            time.weeks.length,
          ),
        ]),
      ),
    }));
    return {
      rows: all,
      columns: [
        column.accessor('label', {
          header: 'Student',
          cell: ({ row }) => (
            <Link
              to={`/class/student/${row.original.id}`}
              className="inline-block py-1.5 font-semibold whitespace-nowrap underline decoration-hairline underline-offset-4"
            >
              {row.original.label}
            </Link>
          ),
        }),
        ...skills.map(({ id, name }) =>
          column.accessor((row) => row.shares.get(id)?.part ?? -1, {
            id,
            header: name,
            cell: ({ row }) => <Cell share={row.original.shares.get(id)} about={`${row.original.label}, ${name}`} />,
          }),
        ),
      ],
    };
  }, [time]);
  return (
    <SortableTable
      rows={rows}
      columns={columns}
      cellClass="pr-2 py-0.5 align-middle min-w-14 first:min-w-0 first:pr-4"
    />
  );
}
