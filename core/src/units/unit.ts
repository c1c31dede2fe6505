import { Decimal } from '../numbers/decimal.ts';
import { plainText } from '../numbers/plain-text.ts';
import { shortened } from '../numbers/written-number.ts';

/** Powers of length, mass, time and temperature. */
export interface Dimension {
  readonly length: number;
  readonly mass: number;
  readonly time: number;
  readonly temperature: number;
}

/** A product of unit symbols with integer powers, as written: g/mL is { g: 1, mL: −1 }. A pure number has none. */
export type Unit = Readonly<Record<string, number>>;

/** The text names no unit known here. */
export class UnknownUnitError extends Error {
  override readonly name = 'UnknownUnitError';
  constructor(readonly offending: string) {
    super(`“${shortened(offending)}” is not a unit known here.`);
  }
}

/** Two units of different kinds stood where one kind was needed. */
export class UnitMismatchError extends Error {
  override readonly name = 'UnitMismatchError';
  constructor(
    readonly first: string,
    readonly second: string,
  ) {
    super(`${first || 'a pure number'} and ${second || 'a pure number'} are units of different kinds.`);
  }
}

interface Symbol {
  /** Size in the coherent unit of its dimension (metre, kilogram, second, kelvin), exact. */
  readonly size: Decimal;
  readonly dimension: Dimension;
}

const NO_DIMENSION: Dimension = { length: 0, mass: 0, time: 0, temperature: 0 };
const PREFIXES: readonly [string, string][] = [
  ['p', '1e-12'], ['n', '1e-9'], ['\u03BC', '1e-6'], ['u', '1e-6'], ['m', '1e-3'], ['c', '1e-2'], ['d', '1e-1'], ['', '1'], ['h', '1e2'], ['k', '1e3'], ['M', '1e6'], ['G', '1e9'],
];

function of(size: string, dimension: Partial<Dimension>): Symbol {
  return { size: new Decimal(size), dimension: { ...NO_DIMENSION, ...dimension } };
}

function prefixed(symbol: string, size: string, dimension: Partial<Dimension>): [string, Symbol][] {
  return PREFIXES.map(([prefix, factor]) => [prefix + symbol, of(new Decimal(size).mul(factor).toString(), dimension)]);
}

const VOLUME = { length: 3 };
const SYMBOLS: ReadonlyMap<string, Symbol> = new Map<string, Symbol>([
  ...prefixed('m', '1', { length: 1 }),
  ...prefixed('g', '1e-3', { mass: 1 }),
  ...prefixed('L', '1e-3', VOLUME),
  ...prefixed('l', '1e-3', VOLUME),
  ['cc', of('1e-6', VOLUME)],
  ['s', of('1', { time: 1 })],
  ['min', of('60', { time: 1 })],
  ['h', of('3600', { time: 1 })],
  ['in', of('0.0254', { length: 1 })],
  ['inch', of('0.0254', { length: 1 })],
  ['inches', of('0.0254', { length: 1 })],
  ['"', of('0.0254', { length: 1 })],
  ['ft', of('0.3048', { length: 1 })],
  ['mi', of('1609.344', { length: 1 })],
  ['lb', of('0.45359237', { mass: 1 })],
  ['oz', of('0.028349523125', { mass: 1 })],
  ['K', of('1', { temperature: 1 })],
  ['°C', of('1', { temperature: 1 })],
  ['C', of('1', { temperature: 1 })],
  ['degC', of('1', { temperature: 1 })],
  ['%', of('0.01', {})],
]);

/** True for a single unit symbol such as `mL`, `cm`, `μm`. */
export function isUnitSymbol(text: string): boolean {
  return SYMBOLS.has(text);
}

const FACTOR = /^([^\d^*/ -]+)(?:\^?(-?\d+))?$/;

/**
 * Reads a unit: `mL`, `cm3`, `cm³`, `cc`, `g/cm3`, `g cm⁻³`, `µm`, `um`.
 * @throws UnknownUnitError naming the text.
 */
export function parseUnit(typed: string): Unit {
  const plain = plainText(typed).replace(/(°|deg) C/g, '$1C');
  if (plain === '' || plain === '1') return {};
  const [above = '', below, more] = plain.split('/');
  if (more !== undefined || below?.trim() === '') throw new UnknownUnitError(typed);
  const powers: Record<string, number> = {};
  factorsIn(above).forEach((factor) => addFactor(powers, factor, 1, typed));
  factorsIn(below ?? '').forEach((factor) => addFactor(powers, factor, -1, typed));
  return withoutZeros(powers);
}

function factorsIn(product: string): string[] {
  return product.split(/[* ]+/).filter((factor) => factor !== '' && factor !== '1');
}

function addFactor(powers: Record<string, number>, factor: string, sign: number, typed: string): void {
  const match = FACTOR.exec(factor);
  const symbol = match?.[1] ?? '';
  if (!match || !SYMBOLS.has(symbol)) throw new UnknownUnitError(typed);
  powers[symbol] = (powers[symbol] ?? 0) + sign * Number(match[2] ?? 1);
}

function withoutZeros(powers: Record<string, number>): Unit {
  return Object.fromEntries(Object.entries(powers).filter(([, power]) => power !== 0));
}

function symbolOf(name: string): Symbol {
  const symbol = SYMBOLS.get(name);
  if (!symbol) throw new UnknownUnitError(name);
  return symbol;
}

/** Powers of the base dimensions of a unit. */
export function dimensionOf(unit: Unit): Dimension {
  const total = { ...NO_DIMENSION };
  for (const [name, power] of Object.entries(unit)) {
    const { dimension } = symbolOf(name);
    total.length += dimension.length * power;
    total.mass += dimension.mass * power;
    total.time += dimension.time * power;
    total.temperature += dimension.temperature * power;
  }
  return total;
}

/** True when both units measure the same kind of quantity: mL and cm³, not mL and g. */
export function sameKind(first: Unit, second: Unit): boolean {
  const [a, b] = [dimensionOf(first), dimensionOf(second)];
  return a.length === b.length && a.mass === b.mass && a.time === b.time && a.temperature === b.temperature;
}

function sizeOf(unit: Unit): Decimal {
  return Object.entries(unit).reduce((size, [name, power]) => size.mul(symbolOf(name).size.pow(power)), new Decimal(1));
}

/**
 * The exact factor that turns a number in `from` into a number in `to`: (L, mL) → 1000.
 * @throws UnitMismatchError naming both units.
 */
export function conversionFactor(from: Unit, to: Unit): Decimal {
  if (!sameKind(from, to)) throw new UnitMismatchError(writtenUnit(from), writtenUnit(to));
  return sizeOf(from).div(sizeOf(to));
}

/** The product of two units, the second raised to `power`: (g, mL, −1) → g/mL. */
export function multiplyUnits(first: Unit, second: Unit, power = 1): Unit {
  const powers: Record<string, number> = { ...first };
  for (const [name, p] of Object.entries(second)) powers[name] = (powers[name] ?? 0) + p * power;
  return withoutZeros(powers);
}

/** A unit as plain text: `g/mL`, `cm^2`, `` for a pure number. */
export function writtenUnit(unit: Unit): string {
  const part = ([name, power]: [string, number]): string => (Math.abs(power) === 1 ? name : `${name}^${Math.abs(power)}`);
  const entries = Object.entries(unit);
  const above = entries.filter(([, power]) => power > 0).map(part);
  const below = entries.filter(([, power]) => power < 0).map(part);
  if (below.length === 0) return above.join('*');
  return `${above.join('*') || '1'}/${below.join('/')}`;
}
