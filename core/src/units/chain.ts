import { Rational } from '../numbers/rational.ts';
import { LINKS, raised, symbolEntry, type Link, type Term } from './symbols.ts';
import { conversionFactor, sameKind, termsOf, UnitMismatchError, writtenUnit, type Unit } from './unit.ts';

/** One fraction of a conversion, worth one: so many of a unit above so many of another, raised to a power. */
export interface ChainLink {
  readonly above: { readonly count: string; readonly unit: string };
  readonly below: { readonly count: string; readonly unit: string };
  readonly power: number;
  /** False for a rounded factor that a class quotes: it has figures of its own. */
  readonly exact: boolean;
}

/** A relation a class quotes instead of the exact one: `1 lb = 454 g`. */
export interface QuotedFactor extends Link {
  readonly quoted: true;
}

type Side = Link['first'];

function nameOf({ symbol, power }: Term): string {
  return power === 1 ? symbol : `${symbol}^${power}`;
}

function linkThrough(from: Side, to: Side, power: number, exact: boolean): ChainLink {
  return {
    above: { count: to.count, unit: nameOf(to) },
    below: { count: from.count, unit: nameOf(from) },
    power,
    exact,
  };
}

const samePair = (a: Link, b: Link): boolean =>
  [a.first.symbol, a.second.symbol].sort().join() === [b.first.symbol, b.second.symbol].sort().join();

/** The relations to go by: what a class quotes takes the place of the exact relation of the same two units. */
function relations(quoted: readonly QuotedFactor[]): readonly (Link | QuotedFactor)[] {
  return [...quoted, ...LINKS.filter((link) => !quoted.some((other) => samePair(link, other)))];
}

interface Reached {
  readonly term: Term;
  readonly path: readonly ChainLink[];
}

/** The fractions that lead from one term to another by the fewest relations, or null where none lead there. */
function pathBetween(from: Term, to: Term, links: readonly (Link | QuotedFactor)[]): readonly ChainLink[] | null {
  const seen = new Set([nameOf(from)]);
  let front: readonly Reached[] = [{ term: from, path: [] }];
  while (front.length > 0) {
    const arrived = front.find(({ term }) => term.symbol === to.symbol && term.power === to.power);
    if (arrived) return arrived.path;
    const next: Reached[] = [];
    for (const { term, path } of front) {
      for (const link of links) {
        for (const [here, there] of [
          [link.first, link.second],
          [link.second, link.first],
        ] as const) {
          if (here.symbol !== term.symbol || term.power % here.power !== 0) continue;
          const times = term.power / here.power;
          const reached = { symbol: there.symbol, power: there.power * times };
          if (seen.has(nameOf(reached))) continue;
          seen.add(nameOf(reached));
          next.push({ term: reached, path: [...path, linkThrough(here, there, times, !('quoted' in link))] });
        }
      }
    }
    front = next;
  }
  return null;
}

function inverted({ above, below, ...rest }: ChainLink): ChainLink {
  return { above: below, below: above, ...rest };
}

function measuresTheSame(a: Term, b: Term): boolean {
  const [one, other] = [symbolEntry(a.symbol), symbolEntry(b.symbol)];
  if (!one || !other) return false;
  const [first, second] = [raised(one.dimension, a.power), raised(other.dimension, b.power)];
  return (
    first.length === second.length &&
    first.mass === second.mass &&
    first.time === second.time &&
    first.temperature === second.temperature
  );
}

/** One fraction with the whole factor: where no relations lead from unit to unit, as from J to N·m. */
function wholeFactor(from: Unit, to: Unit): ChainLink[] {
  const factor = conversionFactor(from, to);
  if (factor.equals(Rational.ONE) && writtenUnit(from) === writtenUnit(to)) return [];
  const shown = factor.toFigures(15);
  const count = shown.toFixed(Math.max(0, -(shown.lastPlace(15) ?? 0)));
  return [
    { above: { count, unit: writtenUnit(to) }, below: { count: '1', unit: writtenUnit(from) }, power: 1, exact: true },
  ];
}

/**
 * The chain of fractions that turns a number in `from` into a number in `to`, each worth one; temperatures convert by their degrees.
 * @param quoted rounded factors that a class quotes instead of the exact ones.
 * @throws UnitMismatchError naming both units.
 */
export function conversionChain(from: Unit, to: Unit, quoted: readonly QuotedFactor[] = []): readonly ChainLink[] {
  if (!sameKind(from, to)) throw new UnitMismatchError(writtenUnit(from), writtenUnit(to));
  const links = relations(quoted);
  const targets = termsOf(to);
  const chain: ChainLink[] = [];
  for (const term of termsOf(from)) {
    const index = targets.findIndex((candidate) => measuresTheSame(term, candidate));
    const [target] = index < 0 ? [] : targets.splice(index, 1);
    const up = { symbol: term.symbol, power: Math.abs(term.power) };
    const path = target ? pathBetween(up, { symbol: target.symbol, power: Math.abs(target.power) }, links) : null;
    if (!path) return wholeFactor(from, to);
    chain.push(...(term.power < 0 ? path.map(inverted) : path));
  }
  return targets.length === 0 ? chain : wholeFactor(from, to);
}

/** What a fraction of a chain multiplies a number by. */
export function factorOf({ above, below, power }: ChainLink): Rational {
  const ratio = Rational.of(above.count).dividedBy(Rational.of(below.count));
  return ratio.toThe(power) ?? ratio;
}
