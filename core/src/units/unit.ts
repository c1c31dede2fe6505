import { plainText } from '../numbers/plain-text.ts';
import { Rational } from '../numbers/rational.ts';
import { shortened } from '../numbers/written-number.ts';
import {
  BASE_QUANTITIES,
  dimensionOfPowers,
  raised,
  SCALES,
  spelled,
  symbolEntry,
  type Dimension,
  type SymbolEntry,
  type Term,
} from './symbols.ts';

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
  /** The message without the place. */
  readonly reason: string;
  /** @param at the character (from 0) of an expression where they meet, where there is one. */
  constructor(
    readonly first: string,
    readonly second: string,
    readonly at: number | null = null,
  ) {
    const reason = `${first || 'a pure number'} and ${second || 'a pure number'} are units of different kinds.`;
    super(at === null ? reason : `${reason.slice(0, -1)} (at character ${at + 1}).`);
    this.reason = reason;
  }
}

/** True for a single unit symbol such as `mL`, `cm`, `μm`. */
export function isUnitSymbol(text: string): boolean {
  return spelled(text) !== null;
}

const FACTOR = /^([^\d^*/ -]+)(?:\^?(-?\d{1,2}))?$/;
const SPACED = /fl\.? ?oz\.?/g;
/** A difference of temperatures is typed with a delta before its degrees. */
const DEGREES = /(Δ|delta )?(°|deg) ?([CF])(?![a-z])/gu;

/**
 * Reads a unit: `mL`, `cm3`, `cm³`, `cc`, `g/cm3`, `g cm⁻³`, `µm`, `um`; spellings come out in one way, powers as they are.
 * @throws UnknownUnitError naming the text.
 */
export function parseUnit(typed: string): Unit {
  const before = READ.get(typed);
  if (before) return before;
  const unit = readUnit(typed);
  if (READ.size >= MOST_KEPT) READ.clear();
  READ.set(typed, unit);
  return unit;
}

/** Units that were read before: a class uses a few dozen. */
const READ = new Map<string, Unit>();
const MOST_KEPT = 500;

function readUnit(typed: string): Unit {
  const plain = plainText(typed)
    .replace(DEGREES, (_, delta: string | undefined, _degree, scale: string) => `${delta ? 'Δ' : ''}°${scale}`)
    .replace(SPACED, 'floz');
  if (plain === '' || plain === '1') return {};
  // One pair of parentheses may hold what stands below a division sign: J/(g*°C).
  const [above = '', ...below] = plain
    .replace(/\/ ?\(([^()]*)\)/g, (_, inside: string) => `/${inside.split(/[* ]+/).join('/')}`)
    .split('/');
  if (below.some((part) => part.trim() === '')) throw new UnknownUnitError(typed);
  const powers: Record<string, number> = {};
  factorsIn(above).forEach((factor) => addFactor(powers, factor, 1, typed));
  below.flatMap(factorsIn).forEach((factor) => addFactor(powers, factor, -1, typed));
  return asFactor(withoutZeros(powers));
}

function factorsIn(product: string): string[] {
  return product.split(/[* ]+/).filter((factor) => factor !== '' && factor !== '1');
}

function addFactor(powers: Record<string, number>, factor: string, sign: number, typed: string): void {
  const match = FACTOR.exec(factor);
  const term = match ? spelled(match[1] ?? '') : null;
  if (!match || !term) throw new UnknownUnitError(typed);
  powers[term.symbol] = (powers[term.symbol] ?? 0) + sign * term.power * Number(match[2] ?? 1);
}

function withoutZeros(powers: Record<string, number>): Unit {
  if (!Object.values(powers).includes(0)) return powers;
  return Object.fromEntries(Object.entries(powers).filter(([, power]) => power !== 0));
}

/** Inside a larger unit a degree is a difference, and a time of day is so many seconds. */
function asFactor(unit: Unit): Unit {
  const terms = Object.entries(unit);
  const alone = terms.length === 0 || (terms.length === 1 && terms[0]?.[1] === 1);
  return alone ? unit : inProducts(unit);
}

function inProducts(unit: Unit): Unit {
  const terms = Object.entries(unit);
  if (!terms.some(([symbol]) => SCALES.includes(symbol) || symbol in OF_A_CLOCK)) return unit;
  const powers: Record<string, number> = {};
  for (const [symbol, power] of terms) {
    const plain = SCALES.includes(symbol) ? `Δ${symbol}` : (OF_A_CLOCK[symbol] ?? symbol);
    powers[plain] = (powers[plain] ?? 0) + power;
  }
  return withoutZeros(powers);
}

/** The unit of what is written as hours, minutes and seconds, and of what is written to the minute. */
export const CLOCK = 'h:min:s';
export const CLOCK_TO_THE_MINUTE = 'h:min';

/** What such a time counts, where it is part of a larger unit. */
const OF_A_CLOCK: Readonly<Record<string, string>> = { [CLOCK]: 's', [CLOCK_TO_THE_MINUTE]: 'min' };

/** True for what is written with colons. */
export function isOnClock(unit: Unit): boolean {
  return Object.keys(unit).some((symbol) => symbol in OF_A_CLOCK);
}

/** Units in which a zero at the end is read: on a scale with an arbitrary zero, as 20 °C, and in times, as 90 min. */
export function zerosAreRead(unit: Unit): boolean {
  const scale = temperatureScale(unit);
  return (scale !== null && scale !== 'K') || (isTime(unit) && !isOnClock(unit));
}

/** True for a time, in whatever it is counted. */
function isTime(unit: Unit): boolean {
  return sameKind(unit, { s: 1 });
}

function entryOf(symbol: string): SymbolEntry {
  const entry = symbolEntry(symbol);
  if (!entry) throw new UnknownUnitError(symbol);
  return entry;
}

/** The symbols of a unit with their powers. */
export function termsOf(unit: Unit): Term[] {
  return Object.entries(unit).map(([symbol, power]) => ({ symbol, power }));
}

/** Worked out once for each unit: none is changed once it is made. */
const DIMENSIONS = new WeakMap<Unit, Dimension>();

/** Powers of the base dimensions of a unit. */
export function dimensionOf(unit: Unit): Dimension {
  const known = DIMENSIONS.get(unit);
  if (known) return known;
  const found = dimensionFound(unit);
  DIMENSIONS.set(unit, found);
  return found;
}

function dimensionFound(unit: Unit): Dimension {
  const terms = termsOf(unit).map(({ symbol, power }) => raised(entryOf(symbol).dimension, power));
  return dimensionOfPowers((quantity) => terms.reduce((total, term) => total + term[quantity], 0));
}

function sameDimension(a: Dimension, b: Dimension): boolean {
  return BASE_QUANTITIES.every((quantity) => a[quantity] === b[quantity]);
}

/** True when both units measure the same kind of quantity: mL and cm³, not mL and g. */
export function sameKind(first: Unit, second: Unit): boolean {
  return sameDimension(dimensionOf(first), dimensionOf(second));
}

/** True for the unit of a pure number. */
export function isPure(unit: Unit): boolean {
  return Object.keys(unit).length === 0;
}

export function sameUnit(first: Unit, second: Unit): boolean {
  const [a, b] = [Object.keys(first), Object.keys(second)];
  return a.length === b.length && a.every((symbol) => first[symbol] === second[symbol]);
}

/** @throws RangeError when the power is beyond all units. */
function sizeOf(unit: Unit): Rational {
  return termsOf(unit).reduce((size, { symbol, power }) => {
    const one = entryOf(symbol).size.toThe(power);
    if (!one) throw new RangeError(`${symbol}^${power} is not a unit.`);
    return size.times(one);
  }, Rational.ONE);
}

/**
 * The exact factor that turns a number in `from` into a number in `to`: (L, mL) → 1000. Of temperatures, that of their degrees.
 * @throws UnitMismatchError naming both units.
 */
export function conversionFactor(from: Unit, to: Unit): Rational {
  if (sameUnit(from, to)) return Rational.ONE;
  if (!sameKind(from, to)) throw new UnitMismatchError(writtenUnit(from), writtenUnit(to));
  return sizeOf(from).dividedBy(sizeOf(to));
}

/** The temperature scale a unit names, or null: differences and all other units have none. */
export function temperatureScale(unit: Unit): 'K' | '°C' | '°F' | null {
  const [term, ...others] = termsOf(unit);
  const scale = term?.power === 1 && others.length === 0 ? term.symbol : '';
  return scale === 'K' || scale === '°C' || scale === '°F' ? scale : null;
}

/** An exact step from one unit to another. */
export type Operation = { readonly times: Rational } | { readonly plus: Rational };

const ICE_POINT = Rational.of('273.15');
const FAHRENHEIT = { degrees: Rational.of('1.8'), offset: Rational.of(32) };

/** From a scale to degrees Celsius, and from them to a scale: °F = 1.8 °C + 32, K = °C + 273.15. */
const TO_CELSIUS = {
  '°C': [],
  K: [{ plus: ICE_POINT.negated() }],
  '°F': [{ plus: FAHRENHEIT.offset.negated() }, { times: Rational.ONE.dividedBy(FAHRENHEIT.degrees) }],
} as const;
const FROM_CELSIUS = {
  '°C': [],
  K: [{ plus: ICE_POINT }],
  '°F': [{ times: FAHRENHEIT.degrees }, { plus: FAHRENHEIT.offset }],
} as const;

/**
 * The exact operations that turn a number in `from` into a number in `to`; temperatures go from scale to scale with their offset.
 * @throws UnitMismatchError naming both units.
 */
export function conversion(from: Unit, to: Unit): readonly Operation[] {
  const [first, second] = [temperatureScale(from), temperatureScale(to)];
  if (first !== null && second !== null) return first === second ? [] : [...TO_CELSIUS[first], ...FROM_CELSIUS[second]];
  const factor = conversionFactor(from, to);
  return factor.equals(Rational.ONE) ? [] : [{ times: factor }];
}

/** A value in another unit of its kind. @throws UnitMismatchError naming both units. */
export function converted(value: Rational, from: Unit, to: Unit): Rational {
  return conversion(from, to).reduce(
    (result, step) => ('times' in step ? result.times(step.times) : result.plus(step.plus)),
    value,
  );
}

/** The unit of the difference of two temperatures on a scale. */
export function differenceUnit(scale: 'K' | '°C' | '°F'): Unit {
  return { [`Δ${scale}`]: 1 };
}

/** The product of two units, the second raised to `power`: (g, mL, −1) → g/mL. Nothing is converted. */
export function multiplyUnits(first: Unit, second: Unit, power = 1): Unit {
  const powers: Record<string, number> = { ...first };
  for (const [name, p] of Object.entries(second)) powers[name] = (powers[name] ?? 0) + p * power;
  return asFactor(withoutZeros(powers));
}

/** How the symbols of one unit have to be converted so that they cancel or gather with those of another. */
export interface Gathered {
  readonly unit: Unit;
  /** What the number is to be multiplied by. */
  readonly factor: Rational;
}

/**
 * The product of two units with everything cancelled that can be: g/cm³ times mL is g, cm times mm is cm². Symbols of the second
 * are brought to those of the first.
 */
export function gatheredProduct(first: Unit, second: Unit, power: 1 | -1): Gathered {
  if (isPure(first) || isPure(second)) return { unit: multiplyUnits(first, second, power), factor: Rational.ONE };
  const [mine, theirs] = [inProducts(first), inProducts(second)];
  let unit = multiplyUnits(mine, theirs, power);
  let factor = Rational.ONE;
  for (const symbol of Object.keys(theirs)) {
    const left = unit[symbol];
    if (left === undefined || symbol in mine) continue;
    const target = metIn(unit, Object.keys(mine), { symbol, power: left });
    if (!target) continue;
    factor = factor.times(conversionFactor({ [symbol]: left }, target));
    unit = multiplyUnits(withoutZeros({ ...unit, [symbol]: 0 }), target);
  }
  return { unit, factor };
}

/** What a term becomes beside others: one of their symbols that measures the same, or the exact opposite of one of their terms. */
function metIn(unit: Unit, others: readonly string[], { symbol, power }: Term): Unit | null {
  const { dimension } = entryOf(symbol);
  const there = others.filter((other) => unit[other] !== undefined);
  const alike = there.find((other) => sameDimension(entryOf(other).dimension, dimension));
  if (alike !== undefined) return { [alike]: power };
  const opposite = there.find((other) =>
    sameDimension(raised(entryOf(other).dimension, -(unit[other] ?? 0)), raised(dimension, power)),
  );
  return opposite === undefined ? null : { [opposite]: -(unit[opposite] ?? 0) };
}

/** A unit as plain text: `g/mL`, `cm^2`, `` for a pure number. */
export function writtenUnit(unit: Unit): string {
  const terms = termsOf(unit);
  const [first] = terms;
  if (first?.power === 1 && terms.length === 1) return first.symbol;
  const part = ({ symbol, power }: Term): string => {
    const name = symbol.replace('Δ', '');
    return Math.abs(power) === 1 ? name : `${name}^${Math.abs(power)}`;
  };
  const above = terms.filter(({ power }) => power > 0).map(part);
  const below = terms.filter(({ power }) => power < 0).map(part);
  if (below.length === 0) return above.join('*');
  return `${above.join('*') || '1'}/${below.join('/')}`;
}
