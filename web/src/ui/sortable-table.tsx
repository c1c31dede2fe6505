import {
  flexRender,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
  type TableOptions,
} from '@tanstack/react-table';
import { useState, type ReactNode } from 'react';

const WAYS = { asc: 'ascending', desc: 'descending', none: 'none' } as const;

interface SortableTableProps<Row extends { readonly id: string }> {
  readonly rows: Row[];
  readonly columns: TableOptions<Row>['columns'];
  readonly className?: string;
  readonly cellClass: string;
  readonly rowClass?: (row: Row) => string;
  /** Whether it scrolls by itself, with its headings in sight. */
  readonly isTall?: boolean;
}

/** What a row is about stays in sight while a wide table is moved aside. */
const STAYS = 'first:sticky first:left-0 first:z-10 first:bg-paper';

/** Headings of a tall table stay in sight; their line goes with them. */
const STAYS_ON_TOP = 'sticky top-0 z-20 bg-paper shadow-[inset_0_-1.5px_0_var(--color-ink)] first:z-30';

/** A table whose headings are pressed to sort by them, where a column can be sorted. */
export function SortableTable<Row extends { readonly id: string }>({
  rows,
  columns,
  className = '',
  cellClass,
  rowClass = () => '',
  isTall = false,
}: SortableTableProps<Row>): ReactNode {
  const [sorting, setSorting] = useState<SortingState>([]);
  const table = useReactTable({
    data: rows,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getRowId: (row) => row.id,
  });
  return (
    <div
      className={`relative mt-6 scroll-pl-32 overflow-x-auto ${isTall ? 'max-h-[75vh] overflow-y-auto wide:max-h-none wide:min-h-72 wide:flex-1' : ''}`}
    >
      <table className={`w-full text-left ${className}`}>
        <thead>
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id} className={isTall ? '' : 'border-b-[1.5px] border-ink'}>
              {group.headers.map((header) => {
                const { column } = header;
                const way = column.getIsSorted() || 'none';
                const heading = flexRender(column.columnDef.header, header.getContext());
                return (
                  <th
                    key={header.id}
                    scope="col"
                    className={`${isTall ? 'pr-2' : 'pr-4'} align-bottom text-small font-semibold ${STAYS} ${isTall ? STAYS_ON_TOP : ''}`}
                    aria-sort={WAYS[way]}
                  >
                    {column.getCanSort() ? (
                      <button
                        type="button"
                        className="min-h-11 text-left font-semibold"
                        onClick={column.getToggleSortingHandler()}
                      >
                        {heading} {{ asc: '↑', desc: '↓', none: '' }[way]}
                      </button>
                    ) : (
                      <span className="inline-flex min-h-11 items-center">{heading}</span>
                    )}
                  </th>
                );
              })}
            </tr>
          ))}
        </thead>
        <tbody>
          {table.getRowModel().rows.map((row) => (
            <tr key={row.id} className={`border-b border-hairline ${rowClass(row.original)}`}>
              {row.getVisibleCells().map((cell) => (
                <td key={cell.id} className={`${cellClass} ${STAYS}`}>
                  {flexRender(cell.column.columnDef.cell, cell.getContext())}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
