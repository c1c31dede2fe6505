import type { Random } from '../simulation/random.ts';

/** How large a thing of the harbour kit comes, in mm. */
interface Sized {
  readonly name: string;
  readonly least: number;
  readonly most: number;
}

const LONG: readonly Sized[] = [
  { name: 'brass bush', least: 12, most: 60 },
  { name: 'bronze deck nail', least: 30, most: 180 },
  { name: 'slate tile', least: 60, most: 600 },
  { name: 'ebony peg', least: 120, most: 450 },
  { name: 'acrylic rod', least: 5, most: 1000 },
];

const THICK: readonly Sized[] = [
  { name: 'nickel washer', least: 1, most: 4 },
  { name: 'slate tile', least: 4, most: 15 },
  { name: 'basalt pebble', least: 8, most: 45 },
  { name: 'brass bush', least: 8, most: 45 },
  { name: 'acrylic rod', least: 2, most: 45 },
];

/** From this size on, in mm, what lies between the jaws is a length rather than a thickness. */
const THICKEST = 45;

/** Whether a size is asked for as a thickness. */
export function isThickness(millimetres: number): boolean {
  return millimetres <= THICKEST;
}

function oneOf(things: readonly Sized[], millimetres: number, random: Random): string {
  const fitting = things.filter(({ least, most }) => least <= millimetres && millimetres <= most);
  return fitting[random.below(Math.max(1, fitting.length))]?.name ?? 'acrylic rod';
}

/** Something that can be as long as this. */
export function longThing(millimetres: number, random: Random): string {
  return oneOf(LONG, millimetres, random);
}

/** Something to be put between jaws or faces: as thick as this, or as long where nothing is so thick. */
export function heldThing(millimetres: number, random: Random): string {
  return oneOf(isThickness(millimetres) ? THICK : LONG, millimetres, random);
}

/** How heavy a thing of the harbour kit comes, in g. */
interface Heavy {
  readonly name: string;
  readonly least: number;
  readonly most: number;
}

const WEIGHED: readonly Heavy[] = [
  { name: 'nickel washer', least: 0.3, most: 6 },
  { name: 'cork bung', least: 0.5, most: 20 },
  { name: 'bronze deck nail', least: 4, most: 90 },
  { name: 'beeswax nightlight', least: 8, most: 60 },
  { name: 'basalt pebble', least: 5, most: 700 },
  { name: 'brass bush', least: 20, most: 900 },
  { name: 'slate tile', least: 60, most: 2000 },
  { name: 'tin ballast ingot', least: 250, most: 2000 },
];

/** Something of the harbour kit that can be as heavy as this. */
export function weighedThing(grams: number, random: Random): string {
  const fitting = WEIGHED.filter(({ least, most }) => least <= grams && grams <= most);
  return fitting[random.below(Math.max(1, fitting.length))]?.name ?? 'basalt pebble';
}

/** What is weighed, as it is spoken of: one thing, or several equal ones. */
export function spokenThing({ thing = 'thing', count }: { readonly thing?: string; readonly count?: number }): string {
  return count === undefined ? thing : `${count} ${thing}s`;
}

/** Several equal things that can be as heavy as this together; null where none of the kit can. */
export function equalThings(grams: number, random: Random): { readonly thing: string; readonly count: number } | null {
  const count = 3 + random.below(6);
  const fitting = WEIGHED.filter(({ least, most }) => least <= grams / count && grams / count <= most && most < 100);
  const found = fitting[random.below(Math.max(1, fitting.length))];
  return found ? { thing: found.name, count } : null;
}
