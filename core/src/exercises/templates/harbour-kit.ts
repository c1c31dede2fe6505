import { weighedThing } from '../../reading/words/things.ts';
import type { Random } from '../../simulation/random.ts';

/** What things of the harbour kit are made of, with a density in g/cm³ that such a thing may well have. */
interface Piece {
  readonly thing: string;
  readonly material: string;
  readonly density: number;
}

export const PIECES: readonly [Piece, ...Piece[]] = [
  { thing: 'bronze deck nail', material: 'bronze', density: 8.8 },
  { thing: 'slate tile', material: 'slate', density: 2.75 },
  { thing: 'glass net-float', material: 'soda glass', density: 2.5 },
  { thing: 'tin ballast ingot', material: 'tin', density: 7.29 },
  { thing: 'ebony belaying peg', material: 'ebony', density: 1.12 },
  { thing: 'brass bush', material: 'brass', density: 8.55 },
  { thing: 'acrylic rod', material: 'acrylic', density: 1.18 },
  { thing: 'basalt pebble', material: 'basalt', density: 2.9 },
  { thing: 'nickel washer', material: 'nickel', density: 8.91 },
];

/** Pieces that sink in water and fit into a cylinder. */
export const SINKING: readonly [Piece, ...Piece[]] = [
  { thing: 'basalt pebble', material: 'basalt', density: 2.9 },
  { thing: 'brass bush', material: 'brass', density: 8.55 },
  { thing: 'slate chip', material: 'slate', density: 2.75 },
  { thing: 'bronze deck nail', material: 'bronze', density: 8.8 },
];

export const LIQUIDS: readonly [Piece, ...Piece[]] = [
  { thing: 'lamp oil', material: 'lamp oil', density: 0.8 },
  { thing: 'brine', material: 'brine', density: 1.14 },
  { thing: 'glycerol', material: 'glycerol', density: 1.261 },
];

/** What runs out of a burette as it should: glycerol is too stiff for it. */
export const RUNNING: readonly [string, ...string[]] = ['brine', 'water'];

/** Small things that come by the dozen, by the mass in g that one of them can have. */
const MANY: readonly { readonly things: string; readonly least: number; readonly most: number }[] = [
  { things: 'nickel washers', least: 0.3, most: 6 },
  { things: 'cork bungs', least: 0.5, most: 20 },
  { things: 'bronze deck nails', least: 4, most: 90 },
  { things: 'beeswax nightlights', least: 8, most: 60 },
];

/** Things of which one can be as heavy as this, in g. */
export function manyOf(grams: number, random: Random): string {
  const fitting = MANY.filter(({ least, most }) => least <= grams && grams <= most);
  return fitting[random.below(Math.max(1, fitting.length))]?.things ?? 'bronze deck nails';
}

/** Two different things that can be as heavy as these, in g. */
export function twoThings(masses: readonly [number, number], random: Random): readonly [string, string] {
  const first = weighedThing(masses[0], random);
  for (let chance = 0; chance < 20; chance += 1) {
    const second = weighedThing(masses[1], random);
    if (second !== first) return [first, second];
  }
  return [first, `second ${first}`];
}

/** “A” or “an”, before a thing. */
export function withArticle(thing: string): string {
  return `${/^[aeiou]/.test(thing) ? 'an' : 'a'} ${thing}`;
}

/** The same at the beginning of a sentence. */
export function beginning(thing: string): string {
  const named = withArticle(thing);
  return named.charAt(0).toUpperCase() + named.slice(1);
}
