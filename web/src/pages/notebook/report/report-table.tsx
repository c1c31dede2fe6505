import { cellInWords, type Members, type OwnWork, type WorkedRun } from '@green-beam/core';
import type { RunPage } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { unitText } from '../../../numbers/unit-text.ts';
import { OwnCellShown } from '../own/own-cell-shown.tsx';
import type { CellPlace } from '../on-page.ts';
import { CellShown } from '../tables/cell-shown.tsx';
import { Footnotes } from '../tables/footnotes.tsx';
import { withUnit } from '../tables/with-unit.ts';
import { placeOf, planOf, standsIn, type Column, type Row, type TablePlan } from '../tables/table-plan.ts';

/** How a cell is marked where a report is read: a slip of its own, what only follows from one, or nothing. */
export type CellTone = 'slip' | 'carried' | null;

interface TableProps {
  readonly page: RunPage;
  readonly run: WorkedRun;
  readonly own: OwnWork;
  /** Cells that a teacher can choose to look at or to comment. */
  readonly choosing?: {
    readonly chosen: CellPlace | null;
    readonly onChoose: (place: CellPlace) => void;
    readonly toneOf: (place: CellPlace) => CellTone;
  };
}

const TONES = { slip: 'bg-slip/10', carried: 'bg-doubt/10' } as const;

function isSame(one: CellPlace | null, quantity: string, members: Members): boolean {
  return one?.quantity === quantity && JSON.stringify(one.members) === JSON.stringify(members);
}

/** What stands in a cell, as it was written. */
function Content({ page, run, own, quantity, members }: TableProps & CellPlace): ReactNode {
  const cell = run.cellAt(quantity, members);
  if (!cell) return null;
  const judged = own.at(quantity, members);
  return judged ? (
    <OwnCellShown cell={cell} own={judged} waitsFor="" book={null} isPlain />
  ) : (
    <CellShown cell={cell} people={page.people} />
  );
}

function Cell(props: TableProps & { readonly column: Column; readonly row: Row }): ReactNode {
  const { run, column, row, choosing } = props;
  const members = placeOf(column, row);
  const quantity = column.quantity.id;
  const base = 'border-b border-hairline text-right text-lg';
  if (!standsIn(column, row)) return <td className={`${base} px-2`} />;
  const struck = run.counts(members) ? '' : 'text-muted line-through';
  const content = <Content {...props} quantity={quantity} members={members} />;
  if (!choosing) return <td className={`${base} px-2 py-1 ${struck}`}>{content}</td>;
  const tone = choosing.toneOf({ quantity, members });
  return (
    <td className={`${base} ${struck} ${tone ? TONES[tone] : ''}`}>
      <button
        type="button"
        aria-pressed={isSame(choosing.chosen, quantity, members)}
        className={`min-h-11 w-full px-2 text-right ${isSame(choosing.chosen, quantity, members) ? 'outline-2 outline-beam' : ''}`}
        onClick={() => choosing.onChoose({ quantity, members })}
      >
        <span className="sr-only">{cellInWords(run.setting, quantity, members)} </span>
        {content}
        {tone && <span className="sr-only">, {tone === 'slip' ? 'a slip' : 'follows from a slip'}</span>}
      </button>
    </td>
  );
}

function Table({ plan, ...props }: TableProps & { readonly plan: TablePlan }): ReactNode {
  const { columns, rows } = plan;
  const hasGroups = columns.some(({ group }) => group !== '');
  return (
    <table className="mt-3 w-full break-inside-avoid">
      <thead>
        <tr className="border-b border-ink align-bottom text-small">
          <td />
          {columns.map(({ key, quantity, group }) => (
            <th key={key} scope="col" className="px-2 py-1 text-right font-semibold">
              {hasGroups && <span className="block font-normal">{group}</span>}
              {quantity.name}
              {'unit' in quantity && <span className="block">{unitText(quantity.unit)}</span>}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <tr key={row.key}>
            <th scope="row" className="border-b border-hairline py-1 pr-3 text-left font-normal whitespace-nowrap">
              {row.name}
            </th>
            {columns.map((column) => (
              <Cell key={column.key} {...props} column={column} row={row} />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** A wide table of few rows is read better with its columns down; so is what is entered once. */
function turned(plan: TablePlan): TablePlan['columns'] {
  return plan.isWide ? plan.columns : [];
}

function Turned({ plan, ...props }: TableProps & { readonly plan: TablePlan }): ReactNode {
  return (
    <table className="mt-3 w-full">
      <thead>
        <tr className="border-b border-ink align-bottom text-small">
          <td />
          {plan.rows.map(({ key, name }) => (
            <th key={key} scope="col" className="px-2 py-1 text-right font-semibold">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {turned(plan).map((column) => (
          <tr key={column.key} className="break-inside-avoid">
            <th scope="row" className="border-b border-hairline py-1 pr-3 text-left text-small font-normal">
              {column.group !== '' && `${column.group}: `}
              {withUnit(column.quantity)}
            </th>
            {plan.rows.map((row) => (
              <Cell key={row.key} {...props} column={column} row={row} />
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Everything that was read and worked out, with a unit in every heading. */
export function ReportTables(props: TableProps): ReactNode {
  const { run } = props;
  const { single, tables } = planOf(run.setting);
  const alone: TablePlan = {
    key: 'single',
    dimensions: [],
    rows: [{ key: 'once', members: {}, name: '' }],
    columns: single.map((quantity) => ({ key: quantity.id, quantity, members: {}, group: '' })),
    isWide: true,
  };
  return (
    <>
      {tables.map((plan) =>
        plan.isWide ? (
          <Turned key={plan.key} {...props} plan={plan} />
        ) : (
          <Table key={plan.key} {...props} plan={plan} />
        ),
      )}
      {single.length > 0 && <Turned {...props} plan={alone} />}
      <Footnotes
        run={run}
        cells={[...tables, alone].flatMap(({ columns, rows }) =>
          columns.flatMap((column) =>
            rows.map((row) => ({ quantity: column.quantity, members: placeOf(column, row) })),
          ),
        )}
      />
    </>
  );
}
