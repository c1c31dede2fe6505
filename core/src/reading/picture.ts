import { millimetresPerMillilitre } from '../instruments/cylinders.ts';
import type { GraduatedCylinder } from '../instruments/instrument.ts';
import { meniscusProfile } from '../instruments/meniscus.ts';
import { marksOf, type MarkRank } from '../scales/linear-scale.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { EYE_DISTANCE, gapOf, liquidColumnOf, type LiquidColumn } from './liquid-column.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';

/** One engraved line in the drawing: its height, its length by rank, and the numeral beside it. */
export interface DrawnMark {
  readonly y: number;
  readonly rank: MarkRank;
  readonly label: string | null;
}

/** A liquid column drawn in millimetres of the real tool, y downward from the rim. */
export interface LiquidColumnPicture {
  readonly kind: 'liquid-column';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly bore: number;
  readonly wall: number;
  /** Height of the whole tube, rim to foot. */
  readonly height: number;
  /** Where the inside of the tube ends at the bottom. */
  readonly floorY: number;
  readonly marks: readonly DrawnMark[];
  readonly secondMarks: readonly DrawnMark[];
  readonly scaleSide: 'near' | 'far';
  readonly liquid: string;
  /** Where the reading mark of the surface stands, and the surface from the axis to the wall as [distance, height above that]. */
  readonly surfaceY: number;
  readonly profile: readonly (readonly [number, number])[];
  /** The eye: how far above the mark it starts, its distance from the scale, and the depth of the mark behind the scale. */
  readonly eye: { readonly height: number; readonly distance: number; readonly gap: number };
}

/** A display drawn as the characters that are lit. */
export interface DisplayPicture {
  readonly kind: 'display';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly characters: string;
}

export type Picture = LiquidColumnPicture | DisplayPicture;

/** Bare glass between the rim and the topmost mark, and thickness of the floor, in mm. */
const ABOVE_SCALE = 22;
const FLOOR = 4;
const FOOT = 8;

/** Height of a scale value on the drawn tube, in mm below the rim. */
export function yOnTube(cylinder: GraduatedCylinder, value: number): number {
  return ABOVE_SCALE + (cylinder.scale.to - value) * millimetresPerMillilitre(cylinder.bore);
}

/** Drawing units are rounded to a thousandth of a millimetre, far below what can be seen. */
function drawn(length: number): number {
  return Math.round(length * 1000) / 1000;
}

function drawnMarks(cylinder: GraduatedCylinder): DrawnMark[] {
  return marksOf(cylinder.scale).map(({ at, rank, label }) => ({ y: drawn(yOnTube(cylinder, at)), rank, label }));
}

/** The second scale has the same lines and counts from the top. */
function descendingMarks(cylinder: GraduatedCylinder): DrawnMark[] {
  const { scale } = cylinder;
  return marksOf(scale).map(({ at, rank, label }) => ({ y: drawn(yOnTube(cylinder, scale.to - at)), rank, label }));
}

function columnPicture(column: LiquidColumn, task: ReadingTask): LiquidColumnPicture {
  const { cylinder, value } = column;
  const { surface = 'wetting', liquid = 'water' } = task.situation;
  const floorY = yOnTube(cylinder, 0);
  return {
    kind: 'liquid-column',
    instrumentId: cylinder.id,
    unitMark: cylinder.unit,
    bore: cylinder.bore,
    wall: cylinder.wall,
    height: drawn(floorY + FLOOR + FOOT),
    floorY: drawn(floorY),
    marks: drawnMarks(cylinder),
    secondMarks: column.secondScale ? descendingMarks(cylinder) : [],
    scaleSide: column.scaleSide,
    liquid,
    surfaceY: drawn(yOnTube(cylinder, value)),
    profile: meniscusProfile(surface, cylinder.bore / 2).map(([x, z]) => [drawn(x), drawn(z)] as const),
    eye: { height: column.eyeHeight, distance: EYE_DISTANCE, gap: drawn(gapOf(cylinder)) },
  };
}

/**
 * What may be shown before the answer: positions in drawing units (mm of the real tool) and the printed numerals, and nothing from
 * which the answer could be had without looking.
 */
export function pictureOf(task: ReadingTask): Picture {
  const column = liquidColumnOf(task);
  if (column) return columnPicture(column, task);
  const instrument = instrumentOf(task);
  const place = -Math.round(-Math.log10(instrument.division));
  return { kind: 'display', instrumentId: instrument.id, unitMark: instrument.unit, characters: writtenAtPlace(task.situation.value, place) };
}
