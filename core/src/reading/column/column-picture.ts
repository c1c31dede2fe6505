import type { ScaleTool } from '../../instruments/instrument.ts';
import { marksOf, type MarkRank } from '../../scales/linear-scale.ts';
import { inDrawing, type Handled, type PicturedEye } from '../picture/picture-parts.ts';
import type { Geometry } from '../scale/geometry.ts';
import { EYE_DISTANCE, type ScaleIndication } from '../scale/scale-indication.ts';

/** One engraved line in the drawing: its height, its length by rank, and the numeral beside it. */
export interface DrawnMark {
  readonly y: number;
  readonly rank: MarkRank;
  readonly label: string | null;
}

/** What an upright tool is drawn as. */
export type Vessel =
  | 'cylinder'
  | 'burette'
  | 'graduated-pipette'
  | 'beaker'
  | 'conical-flask'
  | 'thermometer'
  | 'hydrometer'
  | 'volumetric-pipette'
  | 'volumetric-flask';

/** An upright tool drawn in millimetres of the real one, y downward from its top. */
export interface LiquidColumnPicture {
  readonly kind: 'liquid-column';
  readonly vessel: Vessel;
  readonly instrumentId: string;
  readonly unitMark: string;
  /** Inner width where the surface stands; of a float its stem’s width. */
  readonly bore: number;
  readonly wall: number;
  /** Height of the whole tool. */
  readonly height: number;
  /** Where the inside ends at the bottom. */
  readonly floorY: number;
  /** Half the inner width where it changes with height, from the floor upward; empty for straight walls. */
  readonly outline: readonly (readonly [y: number, radius: number])[];
  readonly marks: readonly DrawnMark[];
  readonly secondMarks: readonly DrawnMark[];
  readonly scaleSide: 'near' | 'far';
  readonly liquid: string;
  readonly opaque: boolean;
  /** Where the reading mark of the surface comes to rest, and the surface from the axis to the wall as [distance, height above that]. */
  readonly surfaceY: number;
  readonly profile: readonly (readonly [number, number])[];
  /** Where the surface or the thread stands before anything is done with the tool; null where nothing is to be done. */
  readonly startY: number | null;
  readonly handled: Handled | null;
  /** What was left in a burette. */
  readonly left: 'funnel' | 'bubble' | null;
  /** What is known of this tool and stands beside it: how far it is off. */
  readonly note: string | null;
  readonly eye: PicturedEye;
}

/** Bare tool above the topmost mark, and below the lowest place of the scale, in mm. */
export interface Margins {
  readonly above: number;
  readonly below: number;
}

/** Place of the topmost mark along a tool, in mm. */
export function topmost<T extends ScaleTool>(geometry: Geometry<T>, tool: T): number {
  return geometry.along(tool, tool.scale.direction === 'up' ? tool.scale.to : tool.scale.from);
}

/** Where values stand in the drawing of an upright tool: mm below its top. */
export function belowTheTop<T extends ScaleTool>(
  geometry: Geometry<T>,
  tool: T,
  { above }: Margins,
): (value: number) => number {
  const top = above + topmost(geometry, tool);
  return (value) => top - geometry.along(tool, value);
}

/** What a family’s column is drawn with; the rest follows from its scale. */
type ColumnParts = Pick<LiquidColumnPicture, 'vessel' | 'bore' | 'wall' | 'profile'> &
  Partial<
    Pick<LiquidColumnPicture, 'outline' | 'secondMarks' | 'liquid' | 'opaque' | 'startY' | 'handled' | 'left' | 'note'>
  > & {
    /** Where the inside ends at the bottom, not yet rounded. */
    readonly floorY: number;
    /** Bare tool below the inside. */
    readonly below: number;
  };

/** An upright tool as its scale and its family say. */
export function columnPicture(
  { tool, mark, positionOf, scaleSide, gap }: ScaleIndication,
  eyeHeight: number,
  { floorY, below, ...parts }: ColumnParts,
): LiquidColumnPicture {
  const { scale } = tool;
  return {
    kind: 'liquid-column',
    instrumentId: tool.id,
    unitMark: tool.unit,
    height: inDrawing(Math.max(floorY, positionOf(scale.direction === 'up' ? scale.from : scale.to)) + below),
    floorY: inDrawing(floorY),
    outline: [],
    marks: marksOf(scale).map(({ at, rank, label }) => ({ y: inDrawing(positionOf(at)), rank, label })),
    secondMarks: [],
    scaleSide,
    liquid: 'water',
    opaque: false,
    surfaceY: inDrawing(positionOf(mark)),
    startY: null,
    handled: null,
    left: null,
    note: null,
    ...parts,
    eye: { height: eyeHeight, distance: EYE_DISTANCE, gap: inDrawing(gap) },
  };
}
