import type { CaliperPicture, MicrometerPicture } from '../../src/index.ts';
import type { Random } from '../../src/simulation/random.ts';
import { SCATTER } from './prove-readers.ts';

/** Scatter of the line that seems to coincide, in lines. */
const LINES = 0.4;

/** A number with the decimals of the least count, and its unit. */
export function written(value: number, least: number): string {
  const decimals = String(least).split('.')[1]?.length ?? 0;
  return `${(Math.round(value / least) * least + 0).toFixed(decimals)} mm`;
}

/** What a reader sees of a caliper: the last main mark before the vernier's zero, and the line that seems to coincide. */
export interface Seen {
  readonly main: number;
  readonly line: number;
  /** Lines of the vernier, and what one of them counts. */
  readonly lines: number;
  readonly least: number;
}

/**
 * The line that lies nearest to a main mark, judged with the scatter of a pair of eyes by how far it still is from lying on it; and the
 * main mark that goes with it. What a line counts follows from the two spacings.
 */
export function seenAt({ marks, vernierMarks }: CaliperPicture, x: number, random: Random): Seen {
  const spacing = marks[1]!.x - marks[0]!.x;
  const lines = vernierMarks.length - 1;
  const division = vernierMarks[1]!.x;
  const least = Number((Math.ceil(division / spacing - 1e-9) * spacing - division).toFixed(4));
  const beyond = (line: number): number => {
    const at = (x + vernierMarks[line]!.x) / spacing;
    return (at - Math.round(at)) * spacing;
  };
  const nearest = Array.from({ length: lines }, (_, line) => line).reduce(
    (best, line) => (Math.abs(beyond(line)) < Math.abs(beyond(best)) ? line : best),
    0,
  );
  const exactly = nearest + beyond(nearest) / least;
  const main = Math.round((x - exactly * least) / spacing) * spacing;
  const line = Math.round(exactly + LINES * random.normal());
  const turns = Math.floor(line / lines);
  return { main: main + turns * spacing, line: line - turns * lines, lines, least };
}

/** What a reader sees of a micrometer: half millimetres uncovered, and thimble divisions beyond them with an estimated part. */
export interface Turned {
  readonly halves: number;
  readonly divisions: number;
}

export function turnedAt(
  { marks, thimbleDivisions, sleeveLines }: MicrometerPicture,
  x: number,
  random: Random,
): Turned {
  const half = marks[1]!.x - marks[0]!.x;
  const exactly = x / half;
  const halves = Math.floor(exactly + 1e-9);
  const divisions = (exactly - halves) * thimbleDivisions;
  if (sleeveLines.length === 0) return { halves, divisions: divisions + SCATTER * random.normal() };
  // Ten lines to a division: the one that coincides is judged with the scatter of a pair of eyes.
  return { halves, divisions: Math.round(divisions * 10 + LINES * random.normal()) / 10 };
}
