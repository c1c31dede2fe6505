import {
  cellKey,
  membersInWords,
  placesOf,
  type CountedDimension,
  type Members,
  type Quantity,
  type Setting,
} from '@green-beam/core';

/** One column: a quantity at members of its case dimensions. */
export interface Column {
  readonly key: string;
  readonly quantity: Quantity;
  readonly members: Members;
  /** The case it belongs to, in words; empty for what all cases share. */
  readonly group: string;
}

/** One row: members of the dimensions that grow, or a case. */
export interface Row {
  readonly key: string;
  readonly members: Members;
  readonly name: string;
}

/** A table of a laboratory. */
export interface TablePlan {
  readonly key: string;
  /** Dimensions whose members are its rows. */
  readonly dimensions: readonly string[];
  readonly rows: readonly Row[];
  readonly columns: readonly Column[];
  /** It has more columns than fit, and few rows: it is read better with rows and columns exchanged. */
  readonly isWide: boolean;
}

/** What is entered or worked out once in the whole laboratory. */
export interface Plan {
  readonly single: readonly Quantity[];
  readonly tables: readonly TablePlan[];
}

/** As many columns stand beside each other on a laptop. */
const FIT = 7;

function isCounted(setting: Setting, dimension: string): boolean {
  return setting.layout.dimensions.get(dimension)?.kind !== 'case';
}

/** The dimensions along the rows: those that grow; where none does, the last case. */
function rowDimensions(setting: Setting, { over }: Quantity): readonly string[] {
  const counted = over.filter((dimension) => isCounted(setting, dimension));
  return counted.length > 0 ? counted : over.slice(-1);
}

/** Members of a dimension as rows show them: those there are, and the ones that have been asked for. */
function membersShown(setting: Setting, dimension: string, more: number): string[] {
  const ids = (setting.members.get(dimension) ?? []).map(({ id }) => id);
  const found = setting.layout.dimensions.get(dimension);
  if (!found || found.kind === 'case') return ids;
  const most = Math.min(found.most, ids.length + more);
  return Array.from({ length: Math.max(ids.length, most) }, (_, i) => ids[i] ?? String(i + 1));
}

function rowsOf(setting: Setting, dimensions: readonly string[], more: Readonly<Record<string, number>>): Row[] {
  const places = dimensions.reduce<Members[]>(
    (all, dimension) =>
      all.flatMap((place) =>
        membersShown(setting, dimension, more[dimension] ?? 0).map((member) => ({ ...place, [dimension]: member })),
      ),
    [{}],
  );
  return places.map((members) => ({
    key: cellKey('', members),
    members,
    name: membersInWords(setting, members),
  }));
}

function columnsOf(setting: Setting, quantities: readonly Quantity[], dimensions: readonly string[]): Column[] {
  const columns = quantities.flatMap((quantity) => {
    const cases = quantity.over.filter((dimension) => !dimensions.includes(dimension));
    return placesOf(setting, cases, quantity.only).map((members) => ({
      key: cellKey(quantity.id, members),
      quantity,
      members,
      group: membersInWords(setting, members),
    }));
  });
  const groups = [...new Set(columns.map(({ group }) => group))].filter((group) => group !== '');
  // What was seen about a whole row, such as who read it, stands beside its name.
  const isAboutRow = ({ quantity, group }: Column): boolean => group === '' && quantity.kind === 'observed';
  const others = columns.filter((column) => !isAboutRow(column));
  return [
    ...columns.filter(isAboutRow),
    ...[...groups, ''].flatMap((group) => others.filter((column) => column.group === group)),
  ];
}

/**
 * The tables of a laboratory: what is repeated along the same dimensions stands in one, a column for each quantity and case.
 * @param more how many members beyond those of the run are shown, by the dimension.
 */
export function planOf(setting: Setting, more: Readonly<Record<string, number>> = {}): Plan {
  const single: Quantity[] = [];
  const byRows = new Map<string, Quantity[]>();
  for (const quantity of setting.layout.quantities.values()) {
    const key = rowDimensions(setting, quantity).join(' ');
    if (key === '') single.push(quantity);
    else byRows.set(key, [...(byRows.get(key) ?? []), quantity]);
  }
  const tables = [...byRows].map(([key, quantities]): TablePlan => {
    const dimensions = key.split(' ');
    const rows = rowsOf(setting, dimensions, more);
    const columns = columnsOf(setting, quantities, dimensions);
    return { key, dimensions, rows, columns, isWide: columns.length > FIT && rows.length <= FIT };
  });
  // What is worked out for each case follows what it is worked out from.
  const isOfCases = ({ dimensions }: TablePlan): boolean => dimensions.every((one) => !isCounted(setting, one));
  return { single, tables: [...tables.filter((table) => !isOfCases(table)), ...tables.filter(isOfCases)] };
}

/** The dimensions of a table that can have more members. */
export function growing(setting: Setting, { dimensions }: TablePlan): CountedDimension[] {
  return dimensions.flatMap((id) => {
    const dimension = setting.layout.dimensions.get(id);
    return dimension && dimension.kind !== 'case' && dimension.least < dimension.most ? [dimension] : [];
  });
}

/** Where a cell of a table is. */
export function placeOf(column: Column, row: Row): Members {
  return Object.fromEntries(
    column.quantity.over.flatMap((dimension) => {
      const member = column.members[dimension] ?? row.members[dimension];
      return member === undefined ? [] : [[dimension, member]];
    }),
  );
}

/** Whether a quantity stands in a row: some do so only at certain members. */
export function standsIn({ quantity }: Column, row: Row): boolean {
  return quantity.over.every((dimension) => {
    const member = row.members[dimension];
    return member === undefined || (quantity.only?.[dimension]?.includes(member) ?? true);
  });
}

/** The step in which something is entered; null for what is not entered in any. */
export function stepOf({ step }: Quantity, members: Members): string | null {
  if (step === undefined || typeof step === 'string') return step ?? null;
  return step.of[members[step.by] ?? ''] ?? null;
}
