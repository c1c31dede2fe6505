import { vernierReading, type Vernier } from '../../scales/vernier.ts';
import type { Indication } from '../indication/indication.ts';
import { scattered, unscattered, type CountSlip } from '../slips/slip.ts';

/** A vernier as it is read at a position. */
export interface VernierShown {
  readonly vernier: Vernier;
  readonly main: number;
  readonly line: number;
  readonly least: number;
}

/** A tool with a vernier, or of a family that may have one. */
export interface WithVernier extends Indication {
  /** The vernier, and its least count; null where this tool has none. */
  readonly vernier: { readonly vernier: Vernier; readonly least: number } | null;
}

/** What a vernier shows at a position, in the instrument's unit. */
export function vernierAt({ vernier: read }: WithVernier, position: number): VernierShown | null {
  return read && { ...read, ...vernierReading(read.vernier, position) };
}

/** On main scales and on sleeves. */
export const mainMarkAfter: CountSlip = {
  id: 'main-mark-after',
  stage: 'count',
  where: 'main scale',
  name: 'Main mark after the zero line',
  baseRate: 0.08,
  why: () => 'Take the last main mark before the vernier’s zero. You took the mark after it, which is not reached yet.',
  lookAt: () => 'the last main mark that has been passed',
  counted: (_, seen) => [scattered(seen + 1)],
};

export const vernierNeighbour: CountSlip<WithVernier> = {
  id: 'vernier-neighbour',
  stage: 'count',
  where: 'vernier',
  name: 'The line beside the one that coincides',
  baseRate: 0.1,
  why: () => 'Only one line lies exactly on a main mark. You took a line beside it, which is a little off.',
  lookAt: () => 'the lines on both sides: on the left they are off one way, on the right the other way',
  counted: ({ vernier }, seen) =>
    // Two or three lines off, and a little scatter about that.
    vernier ? [2.5, -2.5].map((lines) => scattered(seen + lines * vernier.least, 0.5)) : [],
};

export const vernierIgnored: CountSlip<WithVernier> = {
  id: 'vernier-ignored',
  stage: 'count',
  name: 'The vernier was not read',
  baseRate: 0.3,
  why: () => 'You wrote what the main scale shows. The vernier gives the part beyond that mark.',
  lookAt: () => 'the vernier’s line that coincides',
  counted: ({ vernier: read }, seen) => {
    if (!read) return [];
    const { main } = read.vernier;
    const passed = Number((Math.floor(seen / main + 1e-9) * main).toFixed(6));
    return [{ ...unscattered(passed), place: Math.round(Math.log10(main)) }];
  },
};
