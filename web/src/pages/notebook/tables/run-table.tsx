import type { ToolChoice } from '@green-beam/contract';
import { membersInWords, type Members } from '@green-beam/core';
import { ArrowLeftRight } from 'lucide-react';
import { Fragment, useState, type ReactNode } from 'react';
import { unitText } from '../../../numbers/unit-text.ts';
import { Button } from '../../../ui/button.tsx';
import { useNarrow } from '../../../ui/use-narrow.ts';
import type { OnPage } from '../on-page.ts';
import { ColumnTool } from './column-tool.tsx';
import { Exclude } from './exclude.tsx';
import { RunCell } from './run-cell.tsx';
import { growing, placeOf, standsIn, stepOf, type Column, type Row, type TablePlan } from './table-plan.ts';

interface RunTableProps extends OnPage {
  readonly plan: TablePlan;
  readonly cabinet: readonly ToolChoice[];
  /** The step that is being done: what is entered in it is marked. */
  readonly step: string | null;
  readonly onGrow: (dimension: string) => void;
}

type Parts = Omit<RunTableProps, 'onGrow'>;

/** `Dry mass, trial 1`; `Length, coarse, trial 2`. */
function labelOf({ run }: Pick<OnPage, 'run'>, column: Column, place: Members): string {
  const where = membersInWords(run.setting, place);
  return where === '' ? column.quantity.name : `${column.quantity.name}, ${where}`;
}

const isWorkedOut = ({ quantity: { kind } }: Column): boolean => kind === 'computed' || kind === 'looked-up';

function shade(column: Column, step: string | null): string {
  if (isWorkedOut(column)) return 'bg-ink/[0.035]';
  return step !== null && stepOf(column.quantity, column.members) === step ? 'bg-wash' : '';
}

/** A quantity's name, unit and tool; beside its cells on one line, above them on several. */
function Heading(props: Parts & { readonly column: Column; readonly isBeside?: boolean }): ReactNode {
  const { column, isBeside = false } = props;
  const { quantity, members, group } = column;
  return (
    <>
      {quantity.name}
      {'unit' in quantity &&
        (isBeside ? (
          <span className="font-normal">, {unitText(quantity.unit)}</span>
        ) : (
          <span className="block">{unitText(quantity.unit)}</span>
        ))}
      {quantity.kind === 'read' && (
        <ColumnTool
          {...props}
          quantity={quantity}
          members={members}
          label={`${quantity.name.toLowerCase()}${group === '' ? '' : `, ${group}`}`}
        />
      )}
    </>
  );
}

function BodyCell(props: Parts & { readonly column: Column; readonly row: Row }): ReactNode {
  const { run, column, row, step } = props;
  const place = placeOf(column, row);
  const counts = run.counts(place);
  return (
    <td className={`px-2 text-right text-lg ${shade(column, step)} ${counts ? '' : 'text-muted line-through'}`}>
      {standsIn(column, row) && (
        <RunCell {...props} quantity={column.quantity} members={place} label={labelOf(props, column, place)} />
      )}
    </td>
  );
}

/** Whether something has been entered in a row. */
function isBegun({ run }: Pick<OnPage, 'run'>, { columns }: TablePlan, row: Row): boolean {
  return columns.some((column) => {
    const kind = run.cellAt(column.quantity.id, placeOf(column, row))?.kind;
    return kind === 'entry' || kind === 'unusable' || kind === 'chosen';
  });
}

/** What leaves a row out of what follows; nothing for rows that are cases, or where nothing stands yet. */
function ExcludeRow(props: Parts & { readonly row: Row }): ReactNode {
  const { run, plan, row } = props;
  const dimension = plan.dimensions.at(-1) ?? '';
  const member = row.members[dimension];
  if (run.setting.layout.dimensions.get(dimension)?.kind === 'case' || member === undefined) return null;
  const within = Object.fromEntries(Object.entries(row.members).filter(([other]) => other !== dimension));
  const excluded = !run.counts(row.members);
  if (!excluded && !isBegun(props, plan, row)) return null;
  return <Exclude {...props} dimension={dimension} member={member} within={within} name={row.name} />;
}

/** The name of a row; where members of one dimension make the rows, the heading says of which. */
function rowName({ run, plan }: Parts, row: Row): string {
  const [dimension, another] = plan.dimensions;
  const isCounted = dimension !== undefined && run.setting.layout.dimensions.get(dimension)?.kind !== 'case';
  return another === undefined && isCounted ? (row.members[dimension] ?? row.name) : row.name;
}

function rowsHeading({ run, plan }: Parts): string {
  return plan.dimensions.map((id) => run.setting.layout.dimensions.get(id)?.name ?? id).join(', ');
}

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

function Upright(props: Parts): ReactNode {
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
            <th
              key={column.key}
              scope="col"
              className={`px-2 py-2 text-right font-semibold ${shade(column, props.step)}`}
            >
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
function Exchanged(props: Parts): ReactNode {
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
function Cards(props: Parts): ReactNode {
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
                    className={`flex min-h-12 items-center justify-between gap-3 border-b border-hairline px-1 ${shade(column, props.step)}`}
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
                        label={labelOf(props, column, place)}
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

/** What was added to readings, with the reasons. */
function Footnotes({ run, plan }: Parts): ReactNode {
  const notes = plan.columns.flatMap((column) =>
    plan.rows.flatMap((row) => {
      const place = placeOf(column, row);
      const cell = run.cellAt(column.quantity.id, place);
      if (cell?.kind !== 'entry' || !cell.adjustment) return [];
      const unit = 'unit' in column.quantity ? unitText(column.quantity.unit) : '';
      return [
        {
          key: `${column.key}${row.key}`,
          text: `${labelOf({ run }, column, place)}: ${cell.adjustment.text} ${unit} added, ${cell.adjustment.reason ?? 'without a reason'}.`,
        },
      ];
    }),
  );
  return notes.map(({ key, text }) => (
    <p key={key} className="mt-1 text-small text-muted">
      * {text}
    </p>
  ));
}

/** One table of a laboratory: it grows, and its rows and columns can be exchanged. */
export function RunTable({ onGrow, ...props }: RunTableProps): ReactNode {
  const { page, run, plan } = props;
  const [exchanged, setExchanged] = useState<boolean | null>(null);
  const narrow = useNarrow();
  const isExchanged = exchanged ?? plan.isWide;
  const more = growing(run.setting, plan).filter(
    ({ id, most }) => new Set(plan.rows.map(({ members }) => members[id])).size < most,
  );
  return (
    <section className="mt-6" aria-label={`Table by ${rowsHeading(props).toLowerCase()}`}>
      {narrow ? (
        <Cards {...props} />
      ) : (
        <div className="relative overflow-x-auto">
          {isExchanged ? <Exchanged {...props} /> : <Upright {...props} />}
        </div>
      )}
      <Footnotes {...props} />
      <div className="flex flex-wrap gap-x-5">
        {page.mayWrite &&
          more.map(({ id, name }) => (
            <Button key={id} look="quiet" className="text-small" onClick={() => onGrow(id)}>
              One more {name.toLowerCase()}
            </Button>
          ))}
        {!narrow && (
          <Button look="quiet" className="text-small text-muted" onClick={() => setExchanged(!isExchanged)}>
            <ArrowLeftRight aria-hidden="true" size={16} />
            Exchange rows and columns
          </Button>
        )}
      </div>
    </section>
  );
}
