import { parseEntry } from '../../reading/judging/parse-entry.ts';
import { UnreadableEntryError } from '../../reading/judging/entry.ts';
import { shortened } from '../../numbers/written-number.ts';
import { parseUnit, sameKind, UnknownUnitError } from '../../units/unit.ts';
import { placesOf, type Setting } from '../engine/setting.ts';
import { membersInWords } from '../engine/label.ts';
import type { Dimension, Quantity } from '../protocol/protocol.ts';
import { cellKey, type Address, type Members } from '../run/address.ts';

/** What a column of somebody’s table is. */
export type ColumnUse =
  | { readonly kind: 'nothing' }
  /** It says which trial, piece or case a row is about. */
  | { readonly kind: 'dimension'; readonly dimension: string }
  /** It has the values of a quantity, at these members where the column itself says them. @property unit where it is another than the quantity’s. */
  | { readonly kind: 'quantity'; readonly quantity: string; readonly members: Members; readonly unit: string | null };

/** A table as it was read from a file: texts only. */
export interface ReadTable {
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  /** The row of the file in which the first of these rows stands, from 1. */
  readonly firstRow: number;
}

/** Something in a table that cannot be taken in. */
export interface TableFault {
  /** As the file counts them, from 1. */
  readonly row: number;
  readonly column: number;
  readonly reason: string;
}

export interface TakenTable {
  readonly entries: readonly { readonly address: Extract<Address, { kind: 'cell' }>; readonly text: string }[];
  readonly faults: readonly TableFault[];
}

const ENTERED: readonly Quantity['kind'][] = ['read', 'counted', 'timed', 'observed', 'given', 'predicted'];

/** What can be entered on a page. */
export function enteredQuantities({ layout }: Pick<Setting, 'layout'>): Quantity[] {
  return [...layout.quantities.values()].filter(
    (quantity) => ENTERED.includes(quantity.kind) && !(quantity.kind === 'given' && quantity.value !== undefined),
  );
}

function isCase(setting: Setting, dimension: string): boolean {
  return setting.layout.dimensions.get(dimension)?.kind === 'case';
}

/** The ways in which a column can have values of a quantity: at each of its cases, or wherever the rows say. */
export function quantityUses(
  setting: Setting,
  quantity: Quantity,
): { readonly members: Members; readonly name: string }[] {
  const cases = quantity.over.filter((dimension) => isCase(setting, dimension));
  const fixed = cases.length === 0 ? [] : placesOf(setting, cases, quantity.only);
  return [
    { members: {}, name: quantity.name },
    ...fixed.map((members) => ({ members, name: `${quantity.name}, ${membersInWords(setting, members)}` })),
  ];
}

const plain = (text: string): string =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[\s_]+/g, ' ')
    .trim();

/** A heading’s words and its unit: `Dry mass (g)`, `Dry mass in g`, `Dry mass / g`, `Dry mass [g]`. */
function headingParts(heading: string): { readonly words: string; readonly unit: string | null }[] {
  const found = [
    /^(?<words>.*\S)\s*[([](?<unit>[^()[\]]+)[)\]]$/,
    /^(?<words>.*\S)\s+\/\s*(?<unit>\S+)$/,
    /^(?<words>.*\S)\s+in\s+(?<unit>\S+)$/i,
  ].flatMap((form) => {
    const groups = form.exec(heading.trim())?.groups;
    return groups ? [{ words: groups['words'] ?? '', unit: groups['unit'] ?? null }] : [];
  });
  return [...found, { words: heading.trim(), unit: null }];
}

/** The unit that a column’s heading says, where it is one that the quantity can be converted from; undefined where it is another kind. */
function otherUnit(quantity: Quantity, unit: string | null): string | null | undefined {
  if (unit === null || !('unit' in quantity) || unit === quantity.unit) return null;
  try {
    return sameKind(parseUnit(unit), parseUnit(quantity.unit)) ? unit : undefined;
  } catch (error) {
    if (error instanceof UnknownUnitError) return undefined;
    throw error;
  }
}

function useOf(setting: Setting, heading: string): ColumnUse {
  for (const { words, unit } of headingParts(heading)) {
    const said = plain(words);
    for (const dimension of setting.layout.dimensions.values())
      if (unit === null && [dimension.name, dimension.id].some((name) => plain(name) === said))
        return { kind: 'dimension', dimension: dimension.id };
    for (const quantity of enteredQuantities(setting))
      for (const { members, name } of quantityUses(setting, quantity)) {
        const names = [name, ...(Object.keys(members).length === 0 ? [quantity.id] : [])];
        const other = names.some((one) => plain(one) === said) ? otherUnit(quantity, unit) : undefined;
        if (other !== undefined) return { kind: 'quantity', quantity: quantity.id, members, unit: other };
      }
  }
  return { kind: 'nothing' };
}

/** What each column is, as far as its heading says so; none of them twice. */
export function usesFrom(setting: Setting, headings: readonly string[]): ColumnUse[] {
  const taken = new Set<string>();
  return headings.map((heading) => {
    const use = useOf(setting, heading);
    const key = JSON.stringify(use.kind === 'quantity' ? [use.quantity, use.members] : use);
    if (use.kind === 'nothing' || taken.has(key)) return { kind: 'nothing' };
    taken.add(key);
    return use;
  });
}

/** The member that a cell names; null for none. */
function memberFrom(setting: Setting, dimension: Dimension, text: string): string | null {
  if (dimension.kind !== 'case') {
    const number = /(?:^|\D)0*([1-9]\d{0,2})$/.exec(text.trim())?.[1];
    return number !== undefined && Number(number) <= dimension.most ? number : null;
  }
  const members = setting.members.get(dimension.id) ?? [];
  return members.find(({ id, name }) => [id, name].some((one) => plain(one) === plain(text)))?.id ?? null;
}

/** A cell as it was meant: a sign before it keeps spreadsheets from reckoning with it. */
const asMeant = (cell: string): string => cell.trim().replace(/^'(?=[=+\-@])/, '');

/** What is written for a quantity. @throws UnreadableEntryError saying why it cannot be. */
function entryFrom(quantity: Quantity, cell: string, unit: string | null): string {
  const text = asMeant(cell);
  if (text.startsWith('=') || text.startsWith('@'))
    throw new UnreadableEntryError(`“${shortened(text)}” is a formula. Save the table with its values.`);
  if (quantity.kind === 'observed') {
    const choice = quantity.choices.find(({ id, name }) => [id, name].some((one) => plain(one) === plain(text)));
    if (!choice)
      throw new UnreadableEntryError(
        `“${shortened(text)}” is none of ${quantity.choices.map(({ name }) => name).join(', ')}.`,
      );
    return choice.id;
  }
  const written = unit === null ? text : `${text} ${unit}`;
  const entry = parseEntry(written, parseUnit(quantity.unit));
  if (entry.unit === 'wrong')
    throw new UnreadableEntryError(`“${shortened(text)}” has a unit of another kind than ${quantity.unit}.`);
  return written;
}

/** Takes a table apart, one cell after the other. */
class Taking {
  readonly entries = new Map<string, { readonly entry: TakenTable['entries'][number]; readonly row: number }>();
  readonly faults: TableFault[] = [];
  /** How many rows there were of the same trial, piece or case. */
  private readonly counts = new Map<string, number>();

  constructor(
    private readonly setting: Setting,
    private readonly uses: readonly ColumnUse[],
  ) {}

  fault(row: number, column: number, reason: string): void {
    this.faults.push({ row, column: column + 1, reason });
  }

  /** What the columns of a row say of where it stands, and then its values. @param row as the file counts it. */
  row(cells: readonly string[], row: number): void {
    const said: Record<string, string> = {};
    for (const [column, use] of this.uses.entries()) {
      const cell = cells[column] ?? '';
      if (use.kind !== 'dimension' || cell.trim() === '') continue;
      const dimension = this.setting.layout.dimensions.get(use.dimension);
      const member = dimension ? memberFrom(this.setting, dimension, cell) : null;
      if (member === null) {
        this.fault(
          row,
          column,
          `“${shortened(cell)}” is not one of ${dimension?.name.toLowerCase() ?? use.dimension}.`,
        );
        return;
      }
      said[use.dimension] = member;
    }
    const key = cellKey('', said);
    const number = (this.counts.get(key) ?? 0) + 1;
    this.counts.set(key, number);
    for (const [column, use] of this.uses.entries())
      if (use.kind === 'quantity' && (cells[column] ?? '').trim() !== '')
        this.cell(use, cells[column] ?? '', { row, column, number, said });
  }

  private cell(
    use: Extract<ColumnUse, { kind: 'quantity' }>,
    cell: string,
    { row, column, number, said }: { row: number; column: number; number: number; said: Members },
  ): void {
    const quantity = this.setting.layout.quantities.get(use.quantity);
    // What is taken where nothing is entered was not read.
    if (!quantity || ('usual' in quantity && quantity.usual === cell.trim())) return;
    const members = this.membersOf(quantity, { ...said, ...use.members }, number);
    if (typeof members === 'string') {
      this.fault(row, column, members);
      return;
    }
    try {
      const text = entryFrom(quantity, cell, use.unit);
      const key = cellKey(quantity.id, members);
      const before = this.entries.get(key);
      if (before && before.entry.text !== text)
        this.fault(
          row,
          column,
          `${quantity.name} is ${before.entry.text} in row ${before.row}, and ${text} here: it has one place.`,
        );
      if (!before)
        this.entries.set(key, { entry: { address: { kind: 'cell', quantity: quantity.id, members }, text }, row });
    } catch (error) {
      if (!(error instanceof UnreadableEntryError)) throw error;
      this.fault(row, column, error.message);
    }
  }

  /** Where a value stands; why nowhere, in words. What no column says is counted, where it can be. */
  private membersOf(quantity: Quantity, said: Members, number: number): Members | string {
    const { dimensions } = this.setting.layout;
    const unsaid = quantity.over.filter((dimension) => said[dimension] === undefined);
    const found: Record<string, string> = {};
    for (const id of quantity.over) {
      const dimension = dimensions.get(id);
      const counts = dimension && dimension.kind !== 'case' && unsaid.length === 1;
      const member = said[id] ?? (counts ? String(number) : undefined);
      if (member === undefined) return `Say which column has the ${dimension?.name.toLowerCase() ?? id}.`;
      if (dimension && dimension.kind !== 'case' && Number(member) > dimension.most)
        return `There are at most ${dimension.most} of ${dimension.name.toLowerCase()}.`;
      if (quantity.only?.[id]?.includes(member) === false) return `${quantity.name} has no place there.`;
      found[id] = member;
    }
    return found;
  }
}

/**
 * What stands in a table, as entries of a laboratory. Numbers stay as they are written; where a column is in another unit, it is written
 * behind them. Empty cells are passed over; every other cell that cannot be taken in is told by its row and column.
 */
export function entriesFrom(setting: Setting, table: ReadTable, uses: readonly ColumnUse[]): TakenTable {
  const taking = new Taking(setting, uses);
  table.rows.forEach((cells, i) => {
    if (cells.some((cell) => cell.trim() !== '')) taking.row(cells, table.firstRow + i);
  });
  return { entries: [...taking.entries.values()].map(({ entry }) => entry), faults: taking.faults };
}
