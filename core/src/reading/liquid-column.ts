import { millimetresPerMillilitre } from '../instruments/cylinders.ts';
import type { GraduatedCylinder } from '../instruments/instrument.ts';
import { wallHeight } from '../instruments/meniscus.ts';
import type { ReadingTask } from './reading-task.ts';
import { instrumentOf } from './reading-task.ts';
import type { ScaleSide } from './situation.ts';

/** Distance in mm from the eye to the scale at which the parallax is reckoned. */
export const EYE_DISTANCE = 300;

/** A liquid column as it stands: the tube, with everything that has a default filled in. */
export interface LiquidColumn {
  readonly cylinder: GraduatedCylinder;
  readonly value: number;
  readonly eyeHeight: number;
  readonly scaleSide: ScaleSide;
  readonly secondScale: boolean;
  /** Height in mm of the liquid at the wall above the mark that is read; negative for a dome. */
  readonly wallHeight: number;
  readonly millimetresPerUnit: number;
}

const COLUMNS = new WeakMap<ReadingTask, LiquidColumn | null>();

/** The liquid column of a task, or null when its tool holds none. Tasks never change, so it is worked out once for each. */
export function liquidColumnOf(task: ReadingTask): LiquidColumn | null {
  const known = COLUMNS.get(task);
  if (known !== undefined) return known;
  const column = columnOf(task);
  COLUMNS.set(task, column);
  return column;
}

function columnOf(task: ReadingTask): LiquidColumn | null {
  const cylinder = instrumentOf(task);
  if (cylinder.reads !== 'liquid-column') return null;
  const { value, eyeHeight = 0, scaleSide = 'near', secondScale = false, surface = 'wetting' } = task.situation;
  return {
    cylinder,
    value,
    eyeHeight,
    scaleSide,
    secondScale,
    wallHeight: wallHeight(surface, cylinder.bore / 2),
    millimetresPerUnit: millimetresPerMillilitre(cylinder.bore),
  };
}

/** Depth in mm of the surface's middle behind the near side of the glass: half the bore and the wall. */
export function gapOf(cylinder: GraduatedCylinder): number {
  return cylinder.bore / 2 + cylinder.wall;
}

/**
 * By how much the reading seems to shift, in the instrument's unit, when the eye is off the level: g·h ÷ D in scale length, upward
 * for an eye too high before a near scale, downward before a far one.
 */
export function parallaxShift(column: LiquidColumn): number {
  const shift = (gapOf(column.cylinder) * column.eyeHeight) / EYE_DISTANCE / column.millimetresPerUnit;
  return column.scaleSide === 'near' ? shift : -shift;
}
