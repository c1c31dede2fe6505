import type { Cell } from '../engine/cell.ts';
import type { WorkedRun } from '../engine/evaluate.ts';
import { placesOf, type Setting } from '../engine/setting.ts';
import type { Dimension, Quantity } from '../protocol/protocol.ts';
import { cellKey, type Members } from '../run/address.ts';

/** A run as one table: a row for each place where something was read, a column for each dimension and each quantity. */
export interface TidyTable {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** The reason why a row does not count stands in the last column. */
const EXCLUDED = 'Excluded because';

function headingOf(quantity: Quantity): string {
  const unit = 'unit' in quantity ? quantity.unit : '';
  return unit === '' || unit === '1' ? quantity.name : `${quantity.name} (${unit})`;
}

/** What stands in a cell, without its unit; empty where nothing does, or where it cannot be used. */
function textOf(cell: Cell | undefined): string {
  switch (cell?.kind) {
    case 'entry':
    case 'known':
    case 'chosen':
    case 'own':
    case 'computed':
    case 'unusable':
      return cell.text;
    case 'empty':
    case 'pending':
    case undefined:
      return '';
  }
}

function memberName({ members }: Setting, dimension: Dimension, id: string | undefined): string {
  if (id === undefined) return '';
  return members.get(dimension.id)?.find((member) => member.id === id)?.name ?? id;
}

function whyExcluded({ exclusions }: Setting, members: Members): string {
  const found = exclusions.find(
    ({ dimension, member, within }) =>
      members[dimension] === member && Object.entries(within).every(([other, at]) => members[other] === at),
  );
  return found?.reason ?? '';
}

/**
 * A run as a tidy table (Wickham, J. Stat. Softw. 59 (2014) no. 10): quantities that stand over the same dimensions share their rows;
 * what stands over others has rows of its own. Numbers are as they were written, with a decimal point; units are in the headings.
 */
export function tidyTable(run: WorkedRun): TidyTable {
  const { setting } = run;
  const { layout } = setting;
  const quantities = [...layout.quantities.values()];
  const dimensions = [...layout.dimensions.values()].filter(({ id }) =>
    quantities.some(({ over }) => over.includes(id)),
  );
  const rows = new Map<string, { readonly members: Members; readonly cells: Map<string, string> }>();
  for (const quantity of quantities)
    for (const members of placesOf(setting, quantity.over, quantity.only)) {
      const text = textOf(run.cellAt(quantity.id, members));
      if (text === '') continue;
      const key = cellKey('', members);
      const row = rows.get(key) ?? { members, cells: new Map<string, string>() };
      row.cells.set(quantity.id, text);
      rows.set(key, row);
    }
  const shown = quantities.filter(({ id }) => [...rows.values()].some(({ cells }) => cells.has(id)));
  return {
    headings: [...dimensions.map(({ name }) => name), ...shown.map(headingOf), EXCLUDED],
    rows: [...rows.values()].map(({ members, cells }) => [
      ...dimensions.map((dimension) => memberName(setting, dimension, members[dimension.id])),
      ...shown.map(({ id }) => cells.get(id) ?? ''),
      whyExcluded(setting, members),
    ]),
  };
}
