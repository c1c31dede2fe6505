import type { ToolChoice } from '@green-beam/contract';
import { cellInWords, type Quantity, type WorkedRun } from '@green-beam/core';
import type { ReactNode } from 'react';
import { unitText } from '../../../numbers/unit-text.ts';
import type { OnPage } from '../on-page.ts';
import { ColumnTool } from './column-tool.tsx';
import { Exclude } from './exclude.tsx';
import { RunCell } from './run-cell.tsx';
import { placeOf, standsIn, stepOf, type Column, type Row, type TablePlan } from './table-plan.ts';

/** A table with everything its parts need. */
export interface Parts extends OnPage {
  readonly plan: TablePlan;
  readonly cabinet: readonly ToolChoice[];
  /** The step that is being done: what is entered in it is marked. */
  readonly step: string | null;
}

/** Whether the page works a quantity out by itself. */
export function isWorkedOut({ own }: WorkedRun['setting'], { id, kind }: Quantity): boolean {
  return (kind === 'computed' && !own?.quantities.includes(id)) || kind === 'looked-up';
}

export function shade({ run, step }: Pick<Parts, 'run' | 'step'>, column: Column): string {
  if (isWorkedOut(run.setting, column.quantity)) return 'bg-ink/[0.035]';
  return step !== null && stepOf(column.quantity, column.members) === step ? 'bg-wash' : '';
}

/** A quantity's name, unit and tool; beside its cells on one line, above them on several. */
export function Heading(props: Parts & { readonly column: Column; readonly isBeside?: boolean }): ReactNode {
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

export function BodyCell(props: Parts & { readonly column: Column; readonly row: Row }): ReactNode {
  const { run, column, row } = props;
  const place = placeOf(column, row);
  const counts = run.counts(place);
  return (
    <td className={`px-2 text-right text-lg ${shade(props, column)} ${counts ? '' : 'text-muted line-through'}`}>
      {standsIn(column, row) && (
        <RunCell
          {...props}
          quantity={column.quantity}
          members={place}
          label={cellInWords(run.setting, column.quantity.id, place)}
        />
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
export function ExcludeRow(props: Parts & { readonly row: Row }): ReactNode {
  const { run, plan, row } = props;
  const dimension = plan.dimensions.at(-1) ?? '';
  const member = row.members[dimension];
  if (run.setting.layout.dimensions.get(dimension)?.kind === 'case' || member === undefined) return null;
  const others = Object.fromEntries(Object.entries(row.members).filter(([other]) => other !== dimension));
  const cases = new Map(plan.columns.filter(({ group }) => group !== '').map(({ group, members }) => [group, members]));
  const scopes = [...cases].map(([group, members]) => ({ name: `only ${group}`, within: { ...others, ...members } }));
  const isExcluded = run.setting.exclusions.some((one) => one.dimension === dimension && one.member === member);
  if (!isExcluded && !isBegun(props, plan, row)) return null;
  const everywhere = { name: 'everywhere', within: others };
  return <Exclude {...props} dimension={dimension} member={member} scopes={[everywhere, ...scopes]} name={row.name} />;
}

/** The name of a row; where members of one dimension make the rows, the heading says of which. */
export function rowName({ run, plan }: Parts, row: Row): string {
  const [dimension, another] = plan.dimensions;
  const isCounted = dimension !== undefined && run.setting.layout.dimensions.get(dimension)?.kind !== 'case';
  return another === undefined && isCounted ? (row.members[dimension] ?? row.name) : row.name;
}

export function rowsHeading({ run, plan }: Parts): string {
  return plan.dimensions.map((id) => run.setting.layout.dimensions.get(id)?.name ?? id).join(', ');
}
