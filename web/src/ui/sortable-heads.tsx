import { flexRender, type Table } from '@tanstack/react-table';
import type { ReactNode } from 'react';

const WAYS = { asc: 'ascending', desc: 'descending', none: 'none' } as const;

/** Headings of a table; those of columns that can be sorted are pressed to sort by them. */
export function SortableHeads<Row>({ table }: { readonly table: Table<Row> }): ReactNode {
  return (
    <thead>
      {table.getHeaderGroups().map((group) => (
        <tr key={group.id} className="border-b-[1.5px] border-ink">
          {group.headers.map(({ id, column, getContext }) => {
            const way = column.getIsSorted() || 'none';
            const heading = flexRender(column.columnDef.header, getContext());
            return (
              <th key={id} scope="col" className="pr-4 text-left align-bottom text-small font-semibold" aria-sort={WAYS[way]}>
                {column.getCanSort() ? (
                  <button type="button" className="min-h-11 text-left font-semibold" onClick={column.getToggleSortingHandler()}>
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
  );
}
