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

/** Small things that come by the dozen. */
export const MANY: readonly [string, ...string[]] = ['nickel washers', 'cork bungs', 'bronze deck nails', 'beeswax nightlights'];

/** Two different things. */
export function twoThings(random: Random): readonly [string, string] {
  const first = random.pick(PIECES).thing;
  for (;;) {
    const second = random.pick(PIECES).thing;
    if (second !== first) return [first, second];
  }
}

/** “A” or “an”, before a thing. */
export function withArticle(thing: string): string {
  return `${/^[aeiou]/.test(thing) ? 'an' : 'a'} ${thing}`;
}

/** The same at the beginning of a sentence. */
export function beginning(thing: string): string {
  const spoken = withArticle(thing);
  return spoken.charAt(0).toUpperCase() + spoken.slice(1);
}
