import type { Random } from '../../simulation/random.ts';

/** Between what sizes in mm, or masses in g, a thing of the harbour kit comes. */
interface Ranged {
  readonly name: string;
  readonly least: number;
  readonly most: number;
}

const LONG: readonly Ranged[] = [
  { name: 'brass bush', least: 12, most: 60 },
  { name: 'bronze deck nail', least: 30, most: 180 },
  { name: 'slate tile', least: 60, most: 600 },
  { name: 'ebony peg', least: 120, most: 450 },
  { name: 'acrylic rod', least: 5, most: 1000 },
];

const THICK: readonly Ranged[] = [
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

/** One of the things that come in such a size or mass, by lot; null where none does. */
function oneOf(things: readonly Ranged[], amount: number, random: Random): string | null {
  const fitting = things.filter(({ least, most }) => least <= amount && amount <= most);
  return fitting[random.below(Math.max(1, fitting.length))]?.name ?? null;
}

/** Something that can be as long as this. */
export function longThing(millimetres: number, random: Random): string {
  return oneOf(LONG, millimetres, random) ?? 'acrylic rod';
}

/** Something to be put between jaws or faces: as thick as this, or as long where nothing is so thick. */
export function heldThing(millimetres: number, random: Random): string {
  return oneOf(isThickness(millimetres) ? THICK : LONG, millimetres, random) ?? 'acrylic rod';
}

/** What is put on a balance, by its mass in g. */
const WEIGHED: readonly Ranged[] = [
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
  return oneOf(WEIGHED, grams, random) ?? 'basalt pebble';
}

/** What is weighed, as it is spoken of: one thing, or several equal ones. */
export function thingInWords({ thing = 'thing', count }: { readonly thing?: string; readonly count?: number }): string {
  return count === undefined ? thing : `${count} ${thing}s`;
}

/** Only what is lighter than this, in g, lies on a pan by the handful. */
const HANDFUL = 100;

/** Several equal things that can be as heavy as this together; null where none of the kit can. */
export function equalThings(grams: number, random: Random): { readonly thing: string; readonly count: number } | null {
  const count = 3 + random.below(6);
  const thing = oneOf(
    WEIGHED.filter(({ most }) => most < HANDFUL),
    grams / count,
    random,
  );
  return thing === null ? null : { thing, count };
}
