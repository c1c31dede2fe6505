import { cellInWords } from '@green-beam/core';
import { Fragment, type ReactNode } from 'react';
import { RunCell } from './run-cell.tsx';
import { BodyCell, ExcludeRow, Heading, rowName, rowsHeading, shade, type Parts } from './table-parts.tsx';
import { placeOf, standsIn, type Column } from './table-plan.ts';

/** The cases over their columns, each as wide as it has columns. */
function Groups({ columns, hasEnd }: { readonly columns: readonly Column[]; readonly hasEnd: boolean }): ReactNode {
  const groups: { name: string; span: number }[] = [];
  for (const { group } of columns) {
    const last = groups.at(-1);
    if (last?.name === group) last.span += 1;
    else groups.push({ name: group, span: 1 });
  }
  if (groups.every(({ name }) => name === '')) return null;
  return (
    <tr className="text-small">
      <td />
      {groups.map(({ name, span }, i) => (
        <th
          key={`${name}${i}`}
          scope="colgroup"
          colSpan={span}
          className={`px-3 pt-2 text-center font-bold ${name === '' ? '' : 'border-b border-hairline'}`}
        >
          {name}
        </th>
      ))}
      {hasEnd && <td />}
    </tr>
  );
}

/** A table of few columns is not stretched over the page. */
function widthOf(columns: number): string {
  return columns < 4 ? 'min-w-xs' : 'w-full';
}

/** Rows down and columns across. */
export function Upright(props: Parts): ReactNode {
  const { plan } = props;
  return (
    <table className={widthOf(plan.columns.length)}>
      <thead>
        <Groups columns={plan.columns} hasEnd />
        <tr className="border-b-[1.5px] border-ink align-bottom text-small">
          <th scope="col" className="py-2 pr-3 text-left font-semibold">
            {rowsHeading(props)}
          </th>
          {plan.columns.map((column) => (
            <th key={column.key} scope="col" className={`px-2 py-2 text-right font-semibold ${shade(props, column)}`}>
              <Heading {...props} column={column} />
            </th>
          ))}
          <td />
        </tr>
      </thead>
      <tbody>
        {plan.rows.map((row) => (
          <tr key={row.key} className="border-b border-hairline">
            <th scope="row" className="py-1 pr-3 text-left font-normal whitespace-nowrap">
              {rowName(props, row)}
            </th>
            {plan.columns.map((column) => (
              <BodyCell key={column.key} {...props} column={column} row={row} />
            ))}
            <td className="py-1 pl-3 text-left text-small">
              <ExcludeRow {...props} row={row} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The same with rows and columns exchanged. */
export function Exchanged(props: Parts): ReactNode {
  const { plan } = props;
  return (
    <table className={widthOf(plan.rows.length)}>
      <thead>
        <tr className="border-b-[1.5px] border-ink align-bottom text-small">
          <th scope="col" className="py-2 pr-3 text-left font-semibold">
            {rowsHeading(props)}
          </th>
          {plan.rows.map((row) => (
            <th key={row.key} scope="col" className="px-3 py-2 text-right font-semibold">
              {rowName(props, row)}
              <span className="block font-normal">
                <ExcludeRow {...props} row={row} />
              </span>
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {plan.columns.map((column, i) => (
          <Fragment key={column.key}>
            {column.group !== '' && plan.columns[i - 1]?.group !== column.group && (
              <tr className="border-b border-ink">
                <th scope="rowgroup" colSpan={plan.rows.length + 1} className="pt-4 pb-1 text-left font-bold">
                  {column.group}
                </th>
              </tr>
            )}
            <tr className="border-b border-hairline">
              <th scope="row" className="py-1 pr-3 text-left text-small font-semibold">
                <Heading {...props} column={column} isBeside />
              </th>
              {plan.rows.map((row) => (
                <BodyCell key={row.key} {...props} column={column} row={row} />
              ))}
            </tr>
          </Fragment>
        ))}
      </tbody>
    </table>
  );
}

/** On a phone: one row after the other, each reading a line. */
export function Cards(props: Parts): ReactNode {
  const { plan } = props;
  return (
    <ol className="flex flex-col gap-6">
      {plan.rows.map((row) => (
        <li key={row.key}>
          <h3 className="border-b-[1.5px] border-ink pb-1 font-bold first-letter:uppercase">{row.name}</h3>
          <dl>
            {plan.columns
              .filter((column) => standsIn(column, row))
              .map((column) => {
                const place = placeOf(column, row);
                return (
                  <div
                    key={column.key}
                    className={`flex min-h-12 items-center justify-between gap-3 border-b border-hairline px-1 ${shade(props, column)}`}
                  >
                    <dt className="text-small">
                      {column.group !== '' && <span className="block text-muted">{column.group}</span>}
                      <Heading {...props} column={column} isBeside />
                    </dt>
                    <dd className={`text-right text-lg ${props.run.counts(place) ? '' : 'text-muted line-through'}`}>
                      <RunCell
                        {...props}
                        quantity={column.quantity}
                        members={place}
                        label={cellInWords(props.run.setting, column.quantity.id, place)}
                      />
                    </dd>
                  </div>
                );
              })}
          </dl>
          <ExcludeRow {...props} row={row} />
        </li>
      ))}
    </ol>
  );
}
