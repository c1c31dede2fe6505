import { THIMBLE_DIVISIONS } from '../instruments/micrometers.ts';
import { marksOf } from '../scales/linear-scale.ts';
import { vernierDivision } from '../scales/vernier.ts';
import { drawn, type Handled, type PicturedEye, type RuledMark } from './picture-parts.ts';
import type { ReadingTask } from './reading-task.ts';
import { EYE_DISTANCE } from './scale-reading.ts';
import type { Situation, USES } from './situation.ts';
import { VERNIER_GAP, type CaliperReading, type MicrometerReading } from './slide-reading.ts';

/** A vernier caliper drawn in millimetres, x to the right of its main zero. */
export interface CaliperPicture {
  readonly kind: 'caliper';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly marks: readonly RuledMark[];
  /** Lines of the vernier, to the right of its own zero. */
  readonly vernierMarks: readonly RuledMark[];
  /** How far the slide begins before the vernier's zero. */
  readonly edge: number;
  /** Where the vernier's zero stands on the thing, and with the jaws closed where that is to be looked at. */
  readonly slideX: number;
  readonly closedX: number | null;
  readonly held: Held;
  readonly thing: { readonly name: string };
  readonly handled: Handled | null;
  readonly eye: PicturedEye;
}

/** A micrometer: how far its thimble has uncovered the sleeve, in millimetres, and how it is turned. */
export interface MicrometerPicture {
  readonly kind: 'micrometer';
  readonly instrumentId: string;
  readonly unitMark: string;
  /** Whole millimetres above the datum line, halves below it. */
  readonly marks: readonly { readonly x: number; readonly side: 'above' | 'below'; readonly label: string | null }[];
  readonly thimbleDivisions: number;
  /** Lines of the vernier on the sleeve, in thimble divisions above the datum line; empty where there is none. */
  readonly sleeveLines: readonly number[];
  /** Millimetres uncovered on the thing, and with the faces closed where that is to be looked at. */
  readonly openX: number;
  readonly closedX: number | null;
  readonly held: Held;
  readonly thing: { readonly name: string };
  readonly handled: Handled | null;
}

/** How a thing is held, in mm. */
export interface Held {
  readonly use: (typeof USES)[number];
  /** Where slide or thimble stands on the thing turned by a right angle; null where it is as thick that way. */
  readonly turnedX: number | null;
  /** Where it stands at first, where it is brought to the thing by hand. */
  readonly startX: number;
  readonly soft: number;
  readonly grit: number;
}

/** What a tool is opened further than the thing, before it is brought to it. */
const OPEN_BY = { caliper: 14, micrometer: 1.9 } as const;

/** @param most how far the tool opens, in mm. */
export function heldOf(
  { value, zeroError = 0, use = 'outside', oval, soft = 0, grit = 0, loose = false }: Situation,
  openBy: number,
  most: number,
): Held {
  const position = value + zeroError;
  const away =
    use === 'outside' ? Math.min(most, position + (oval ?? 0) + openBy) : Math.max(zeroError, position - openBy);
  return {
    use,
    turnedX: oval === undefined ? null : drawnFine(position - oval),
    startX: drawnFine(loose ? away : position + (oval ?? 0)),
    soft,
    grit,
  };
}

/** The closed jaws are looked at where the tool may be off. */
function closedAt({ situation }: ReadingTask): number | null {
  // By hand they can be closed on anything, and on nothing.
  return situation.zeroError === undefined && !situation.loose ? null : drawn(situation.zeroError ?? 0);
}

export function caliperPicture({ tool, position }: CaliperReading, task: ReadingTask): CaliperPicture {
  const { vernier, numbers, main } = tool;
  const division = vernierDivision(vernier);
  return {
    kind: 'caliper',
    instrumentId: tool.id,
    unitMark: tool.unit,
    // The main scale is numbered in centimetres.
    marks: marksOf(main).map(({ at, rank, label }) => ({
      x: at,
      rank,
      label: label === null ? null : String(at / 10),
    })),
    vernierMarks: Array.from({ length: vernier.lines + 1 }, (_, line): RuledMark => ({
      x: drawn(line * division),
      rank: line % numbers.every === 0 ? 'long' : 'short',
      label: line % numbers.every === 0 ? (numbers.printed[line / numbers.every] ?? null) : null,
    })),
    edge: tool.edge,
    slideX: drawn(position + (task.situation.oval ?? 0)),
    closedX: closedAt(task),
    held: heldOf(task.situation, OPEN_BY.caliper, main.to - 40),
    thing: { name: task.situation.thing ?? 'acrylic rod' },
    handled: task.situation.loose ? 'close' : null,
    eye: { height: task.situation.eyeHeight ?? 0, distance: EYE_DISTANCE, gap: VERNIER_GAP },
  };
}

/** A sleeve's lines: whole millimetres above, numbered each five, and the halves between them below. */
function sleeveMarks(): MicrometerPicture['marks'] {
  return Array.from({ length: 51 }, (_, half) => ({
    x: half / 2,
    side: half % 2 === 0 ? 'above' : 'below',
    label: half % 10 === 0 ? String(half / 2) : null,
  }));
}

export function micrometerPicture({ tool, position }: MicrometerReading, task: ReadingTask): MicrometerPicture {
  return {
    kind: 'micrometer',
    instrumentId: tool.id,
    unitMark: tool.unit,
    marks: sleeveMarks(),
    thimbleDivisions: THIMBLE_DIVISIONS,
    sleeveLines:
      tool.sleeveLines === 0 ? [] : Array.from({ length: tool.sleeveLines + 1 }, (_, line) => drawn((line * 9) / 10)),
    openX: drawnFine(position + (task.situation.oval ?? 0)),
    closedX: closedAt(task),
    held: heldOf(task.situation, OPEN_BY.micrometer, tool.range[1]),
    thing: { name: task.situation.thing ?? 'acrylic rod' },
    handled: task.situation.loose ? 'close' : null,
  };
}

/** A turn of the thimble shows a thousandth of a millimetre as a tenth of a division: positions are kept to a ten-thousandth. */
function drawnFine(length: number): number {
  return Math.round(length * 10_000) / 10_000;
}
