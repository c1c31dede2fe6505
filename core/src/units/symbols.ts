import { Rational } from '../numbers/rational.ts';

/** π ÷ 180, to 60 digits. */
export const RADIANS_PER_DEGREE = '0.0174532925199432957692369076848861271344287188854172545609719';

/** The quantities all others are products of powers of (JCGM 200:2012, 1.4). */
export const BASE_QUANTITIES = ['length', 'mass', 'time', 'temperature', 'amount', 'current'] as const;

/** Powers of the base quantities. */
export type Dimension = Readonly<Record<(typeof BASE_QUANTITIES)[number], number>>;

/** A symbol raised to a power: cm³ is { symbol: 'cm', power: 3 }. */
export interface Term {
  readonly symbol: string;
  readonly power: number;
}

/** An exact relation between two units: so many of the first are so many of the second. */
export interface Link {
  readonly first: Term & { readonly count: string };
  readonly second: Term & { readonly count: string };
}

/** What is known of a unit symbol. */
export interface SymbolEntry {
  /** Size in the coherent unit of its dimension (metre, kilogram, second, kelvin). */
  readonly size: Rational;
  readonly dimension: Dimension;
}

function link(text: string): Link {
  const side = (part: string): Link['first'] => {
    const [count = '1', name = ''] = part.trim().split(/ (.+)/);
    const [symbol = '', power = '1'] = name.split('^');
    return { count, symbol, power: Number(power) };
  };
  const [first = '', second = ''] = text.split('=');
  return { first: side(first), second: side(second) };
}

/** Prefixes below and above one, with how many of the smaller are one of the larger. */
const SMALLER = [
  ['d', '10'],
  ['c', '100'],
  ['m', '1000'],
  ['μ', '1000000'],
  ['n', '1000000000'],
  ['p', '1000000000000'],
] as const;
const LARGER = [
  ['h', '100'],
  ['k', '1000'],
  ['M', '1000000'],
  ['G', '1000000000'],
] as const;

/** Symbols that take prefixes, all but the litre coherent or nearly so. */
const PREFIXED = ['m', 'g', 'L', 'Pa', 'bar', 's', 'Hz', 'N', 'J', 'W', 'A', 'V', 'mol'];

/**
 * The exact relations all sizes follow from. Yard and pound: international agreement of 1959 (1 in = 2.54 cm, 1 lb = 453.59237 g);
 * gallon: US liquid, 231 cubic inches; atmosphere: CGPM 1954, 101 325 Pa, of which the torr is 1/760; millimetre of mercury: 13 595.1 kg/m³
 * times 9.80665 m/s² times 1 mm; litre: CGPM 1964, 1 dm³.
 */
export const LINKS: readonly Link[] = [
  ...['1 in = 2.54 cm', '1 ft = 12 in', '1 mi = 5280 ft', '1 cm = 10 mm', '1 dm = 10 cm'],
  ...['1 lb = 453.59237 g', '1 lb = 16 oz'],
  ...['1 mL = 1 cm^3', '1 L = 1 dm^3', '1 gal = 231 in^3', '1 gal = 4 qt', '1 gal = 16 cup', '1 gal = 128 fl oz'],
  ...['1 atm = 101325 Pa', '1 atm = 760 Torr', '1 bar = 100000 Pa', '1 mmHg = 133.322387415 Pa'],
  ...['1 min = 60 s', '1 h = 60 min', '1 day = 24 h'],
  ...PREFIXED.flatMap((symbol) => SMALLER.map(([prefix, many]) => `1 ${symbol} = ${many} ${prefix}${symbol}`)),
  ...PREFIXED.flatMap((symbol) => LARGER.map(([prefix, many]) => `1 ${prefix}${symbol} = ${many} ${symbol}`)),
].map(link);

const NONE: Dimension = { length: 0, mass: 0, time: 0, temperature: 0, amount: 0, current: 0 };

function of(size: string, dimension: Partial<Dimension> = {}): SymbolEntry {
  return { size: Rational.of(size), dimension: { ...NONE, ...dimension } };
}

const FIVE_NINTHS = Rational.of(5).dividedBy(Rational.of(9));

/** What the relations start from. A difference of temperatures has a symbol of its own, since it converts without the offset. */
const SIZES = new Map<string, SymbolEntry>([
  ['m', of('1', { length: 1 })],
  ['g', of('0.001', { mass: 1 })],
  ['s', of('1', { time: 1 })],
  ['h:min:s', of('1', { time: 1 })],
  ['h:min', of('60', { time: 1 })],
  ['mol', of('1', { amount: 1 })],
  ['A', of('1', { current: 1 })],
  ['Hz', of('1', { time: -1 })],
  ['W', of('1', { mass: 1, length: 2, time: -3 })],
  ['V', of('1', { mass: 1, length: 2, time: -3, current: -1 })],
  ['Pa', of('1', { mass: 1, length: -1, time: -2 })],
  ['N', of('1', { mass: 1, length: 1, time: -2 })],
  ['J', of('1', { mass: 1, length: 2, time: -2 })],
  ...['K', 'ΔK', '°C', 'Δ°C'].map((name): [string, SymbolEntry] => [name, of('1', { temperature: 1 })]),
  ...['°F', 'Δ°F'].map((name): [string, SymbolEntry] => [
    name,
    { size: FIVE_NINTHS, dimension: { ...NONE, temperature: 1 } },
  ]),
  ['%', of('0.01')],
  ['rad', of('1')],
  ['°', { size: Rational.of(RADIANS_PER_DEGREE), dimension: NONE }],
]);

/** A dimension for which every base quantity’s power is worked out. */
export function dimensionOfPowers(powerOf: (quantity: keyof Dimension) => number): Dimension {
  const [length, mass, time, temperature, amount, current] = BASE_QUANTITIES.map(powerOf);
  return {
    length: length ?? 0,
    mass: mass ?? 0,
    time: time ?? 0,
    temperature: temperature ?? 0,
    amount: amount ?? 0,
    current: current ?? 0,
  };
}

/** A dimension raised to a power. */
export function raised(dimension: Dimension, power: number): Dimension {
  return dimensionOfPowers((quantity) => dimension[quantity] * power);
}

/** Works out the size of one side of a relation from the other; true when there was something to work out. */
function follow(known: Link['first'], unknown: Link['first']): boolean {
  const from = SIZES.get(known.symbol);
  if (!from || SIZES.has(unknown.symbol) || unknown.power !== 1) return false;
  const size = from.size.toThe(known.power)?.times(Rational.of(known.count)).dividedBy(Rational.of(unknown.count));
  if (!size) return false;
  SIZES.set(unknown.symbol, { size, dimension: raised(from.dimension, known.power) });
  return true;
}

for (let found = true; found;)
  found = LINKS.map(({ first, second }) => follow(first, second) || follow(second, first)).some(Boolean);

/** Other spellings of a unit, with what they stand for. */
const SPELLINGS: Readonly<Record<string, Term>> = Object.fromEntries(
  [
    ...['inch in', 'inches in', '" in', 'cups cup', 'C °C', 'degC °C', 'F °F', 'degF °F', 'l L', 'floz fl oz'],
    ...['deg °', 'days day', 'hr h', 'hrs h', 'mins min', 'sec s', 'h:mm h:min', 'h:mm:ss h:min:s'],
    ...['d', 'c', 'm', 'μ', 'n', 'p', 'h', 'k'].map((prefix) => `${prefix}l ${prefix}L`),
    ...PREFIXED.map((symbol) => `u${symbol} μ${symbol}`),
    'ul μL',
  ]
    .map((pair): [string, Term] => {
      const [spelling = '', symbol = ''] = pair.split(/ (.+)/);
      return [spelling, { symbol, power: 1 }];
    })
    .concat([['cc', { symbol: 'cm', power: 3 }]]),
);

/** What is known of a symbol as it is written here, or undefined. */
export function symbolEntry(symbol: string): SymbolEntry | undefined {
  return SIZES.get(symbol);
}

/** The term a spelling stands for, or null when it names no unit. */
export function spelled(text: string): Term | null {
  const other = Object.hasOwn(SPELLINGS, text) ? SPELLINGS[text] : undefined;
  if (other) return other;
  return SIZES.has(text) ? { symbol: text, power: 1 } : null;
}

/** Temperature scales, which have a zero of their own. */
export const SCALES: readonly string[] = ['K', '°C', '°F'];
