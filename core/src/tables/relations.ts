import { conversionFactor, multiplyUnits, parseUnit, sameKind, type Unit } from '../units/unit.ts';
import { isUnit, type NumberCell } from './cell.ts';
import type { Column, Understood } from './understand.ts';

export type RelationKind = 'difference' | 'sum' | 'product' | 'quotient' | 'mean' | 'percent-error';

/** How a column is worked out from others of its row. */
export interface Relation {
  readonly kind: RelationKind;
  /** Columns, in the order of the formula. */
  readonly inputs: readonly number[];
  /** The same number in every row, as an accepted value is; null where there is none. */
  readonly constant: NumberCell | null;
  /** In the names a, b, c … of the inputs; the constant is k. */
  readonly formula: string;
}

/** A relation with how well it fits. */
export interface Fitting extends Relation {
  /** Rows in which everything is filled in, and in how many of them it holds. */
  readonly of: number;
  readonly holds: number;
}

const NAMES = 'abcdefghijlm';
export const nameOfInput = (index: number): string => NAMES[index] ?? `x${index}`;

export function numberAt(column: Column | undefined, row: number): NumberCell | null {
  const cell = column?.cells[row];
  return cell?.kind === 'number' ? cell : null;
}

const CONSTANT = new WeakMap<Column, boolean>();

/** A value that stands in the first row alone, and is meant in all of them. */
export function isConstant(column: Column): boolean {
  const { cells, isNumeric } = column;
  const known = CONSTANT.get(column);
  if (known !== undefined) return known;
  const is =
    isNumeric &&
    cells.length > 1 &&
    cells[0]?.kind === 'number' &&
    cells.slice(1).every(({ kind }) => kind === 'empty');
  CONSTANT.set(column, is);
  return is;
}

/** The value of an input in a row: its own, or the one that is meant in all of them. */
export function inputAt(column: Column | undefined, row: number): NumberCell | null {
  return column && isConstant(column) ? numberAt(column, 0) : numberAt(column, row);
}

/** Looked for once in each column: it is asked for with every relation that is tried. */
const UNITS = new WeakMap<Column, Unit | null>();

/** The unit of a column: from its heading, or from all of its cells. */
export function unitOf(column: Column): Unit | null {
  const before = UNITS.get(column);
  if (before !== undefined) return before;
  const unit = unitFound(column);
  UNITS.set(column, unit);
  return unit;
}

function unitFound({ heading, cells }: Column): Unit | null {
  if (heading.unit === '%') return parseUnit('%');
  if (heading.unit !== null) return parseUnit(heading.unit);
  const units = new Set(cells.flatMap((cell) => (cell.kind === 'number' ? [cell.unit] : [])));
  const [only = ''] = units;
  return units.size === 1 && isUnit(only) ? parseUnit(only) : null;
}

function workedOut({ kind, constant }: Relation, values: readonly number[]): number {
  const [a = NaN, b = NaN] = values;
  switch (kind) {
    case 'difference':
      return a - b;
    case 'sum':
      return a + b;
    case 'product':
      return a * b;
    case 'quotient':
      return a / b;
    case 'mean':
      return values.reduce((sum, value) => sum + value, 0) / values.length;
    case 'percent-error': {
      const accepted = constant?.value ?? b;
      return ((a - accepted) / accepted) * 100;
    }
  }
}

/** The unit that a relation comes to; null where that of an input is not known. */
export function unitWorkedOut({ kind }: Relation, units: readonly (Unit | null)[]): Unit | null {
  const [a = null, b = null] = units;
  if (kind === 'percent-error') return parseUnit('%');
  if (a === null) return null;
  if (kind === 'product') return b && multiplyUnits(a, b);
  if (kind === 'quotient') return b && multiplyUnits(a, b, -1);
  return a;
}

/** By what the number that comes out is to be multiplied for the unit of its column; null where the two are of different kinds. */
function factorFor(relation: Relation, columns: readonly Column[], target: Column): number | null {
  const units = relation.inputs.map((input) => {
    const column = columns[input];
    return column ? unitOf(column) : null;
  });
  if (
    ['difference', 'sum', 'mean'].includes(relation.kind) &&
    units.some((unit, i) => unit && units[0] && i > 0 && !sameKind(unit, units[0]))
  )
    return null;
  const [own, comes] = [unitOf(target), unitWorkedOut(relation, units)];
  if (!own || !comes) return 1;
  if (!sameKind(comes, own)) return ['product', 'quotient'].includes(relation.kind) ? 1 : null;
  return conversionFactor(comes, own).toNumber();
}

/** How far a written value may lie from what it is worked out as, in its last digit: a half by rounding, and more where digits were cut off. */
const WITHIN: Readonly<Record<RelationKind, number>> = {
  difference: 0.501,
  sum: 0.501,
  mean: 0.501,
  product: 0.75,
  quotient: 0.75,
  'percent-error': 0.75,
};
/** After so many rows a relation that hardly ever held is given up. */
const ENOUGH_ROWS = 12;
const HARDLY = 0.2;

function fits(relation: Relation, understood: Understood, target: Column): Fitting | null {
  const { columns, rows } = understood;
  const factor = factorFor(relation, columns, target);
  if (factor === null) return null;
  let [of, holds] = [0, 0];
  for (let row = 0; row < rows; row += 1) {
    const written = numberAt(target, row);
    const values = relation.inputs.map((input) => inputAt(columns[input], row)?.value ?? NaN);
    const value = workedOut(relation, values) * factor;
    if (!written || !Number.isFinite(value)) continue;
    of += 1;
    if (of > ENOUGH_ROWS && holds < HARDLY * of) return null;
    const last = 10 ** -written.decimals;
    const signless = relation.kind === 'percent-error' ? Math.abs(Math.abs(value) - Math.abs(written.value)) : Infinity;
    if (Math.min(Math.abs(value - written.value), signless) <= WITHIN[relation.kind] * last + 1e-9 * Math.abs(value))
      holds += 1;
  }
  return { ...relation, of, holds };
}

/** Words that say that something was worked out, and how. */
const WORDS: Readonly<Record<RelationKind, RegExp>> = {
  difference: /difference|volume|displace|deliver|net|change|contents?|mass of|loss|gain|rise|burned|used/i,
  sum: /total|sum|together|whole/i,
  product: /area|volume|product/i,
  quotient: /density|rate|per|speed|ratio|each/i,
  mean: /mean|average|avg/i,
  'percent-error': /%|per ?cent|error/i,
};

/** Whether the unit of a column can only have come about by such a relation. */
function byUnit(relation: Relation, columns: readonly Column[], target: Column): boolean {
  if (relation.kind !== 'product' && relation.kind !== 'quotient') return false;
  const own = unitOf(target);
  const comes = unitWorkedOut(
    relation,
    relation.inputs.map((input) => {
      const column = columns[input];
      return column ? unitOf(column) : null;
    }),
  );
  return own !== null && comes !== null && sameKind(own, comes) && !sameKind(own, parseUnit(''));
}

function* candidates({ columns, above }: Understood, target: number): Generator<Relation> {
  const inputs = columns.flatMap((column, i) => (i < target && column.isNumeric ? [i] : []));
  const relation = (
    kind: RelationKind,
    of: readonly number[],
    formula: string,
    constant: NumberCell | null = null,
  ): Relation => ({
    kind,
    inputs: of,
    constant,
    formula,
  });
  for (const a of inputs)
    for (const b of inputs) {
      if (a === b) continue;
      yield relation('difference', [a, b], 'a - b');
      yield relation('quotient', [a, b], 'a / b');
      if (a < b) {
        yield relation('sum', [a, b], 'a + b');
        yield relation('product', [a, b], 'a * b');
      }
    }
  // Who writes no sign anywhere leaves it off on purpose.
  const isUnsigned = columns[target]?.cells.every((cell) => cell.kind !== 'number' || cell.value >= 0) === true;
  const error = (accepted: string): string =>
    `${isUnsigned ? `abs(a - ${accepted})` : `(a - ${accepted})`} / ${accepted} * 100 %`;
  if (columns[target]?.role === 'percent' || columns[target]?.heading.unit === '%') {
    for (const a of inputs) {
      for (const b of inputs) if (a !== b) yield relation('percent-error', [a, b], error('b'));
      const constants = [...above, ...columns.flatMap(({ heading }) => numbersOf(heading.text))];
      for (const constant of constants) yield relation('percent-error', [a], error('k'), constant);
    }
  }
  // Readings beside each other and their mean.
  for (let first = 0; first < target; first += 1) {
    const block = inputs.filter((input) => input >= first);
    if (block.length >= 2 && block[0] === first)
      yield relation('mean', block, `mean(${block.map((_, i) => nameOfInput(i)).join('; ')})`);
  }
}

function numbersOf(text: string): NumberCell[] {
  return (text.match(/\d+\.\d+/g) ?? []).map((digits) => ({
    kind: 'number',
    text: digits,
    value: Number(digits),
    decimals: digits.split('.')[1]?.length ?? 0,
    unit: '',
  }));
}

/** Of rows in which all is filled in, in so many a relation must hold. */
const MOST_HOLD = 0.6;

/** How much speaks for a relation, to be compared with another one of the same column. */
function weight(fitting: Fitting, columns: readonly Column[], target: Column): number {
  const named = WORDS[fitting.kind].test(target.heading.name) ? 1 : 0;
  const united = byUnit(fitting, columns, target) ? 1 : 0;
  // Of columns that would do, those nearest; of a mean, all of its readings.
  const close = fitting.kind === 'mean' ? 0.05 * fitting.inputs.length : 0.01 * Math.min(...fitting.inputs);
  return (3 * fitting.holds) / Math.max(1, fitting.of) + named + united + close;
}

/** Whether enough speaks for a relation: it holds in most rows, or in some and its unit or its name say so. */
function isBelieved(fitting: Fitting, columns: readonly Column[], target: Column): boolean {
  const { of, holds, kind } = fitting;
  if (of === 0) return false;
  const named = WORDS[kind].test(target.heading.name);
  const united = byUnit(fitting, columns, target);
  if (holds >= 2 && holds >= MOST_HOLD * of) return of >= 3 || named || united;
  return (named || united) && holds >= 1 && holds >= 0.3 * of;
}

/** Ways in which a column may be worked out, the likeliest first; none where it was read. */
export function relationsOf(understood: Understood, target: number): Fitting[] {
  const column = understood.columns[target];
  if (!column?.isNumeric) return [];
  const found: Fitting[] = [];
  for (const relation of candidates(understood, target)) {
    const fitting = fits(relation, understood, column);
    if (fitting && isBelieved(fitting, understood.columns, column)) found.push(fitting);
  }
  return found.sort((a, b) => weight(b, understood.columns, column) - weight(a, understood.columns, column));
}
