import { along, gapAt, innerRadius, valueAlong } from '../instruments/along-scale.ts';
import type { ScaleTool } from '../instruments/instrument.ts';
import { wallHeight, type Surface } from '../instruments/meniscus.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';
import type { ScaleSide, Situation } from './situation.ts';

/** Distance in mm from the eye to the scale at which the parallax is reckoned. */
export const EYE_DISTANCE = 300;

/** A scale as it stands to be read, with everything that has a default filled in. */
export interface ScaleReading {
  readonly tool: ScaleTool;
  /** Where the reading mark comes to rest on the scale, in the instrument's unit. */
  readonly value: number;
  /** Where it stands at present: somewhere else only while a thread still moves. */
  readonly present: number;
  /** How far off the level (of a ruler: aside) the eye is, in mm. */
  readonly eyeHeight: number;
  readonly scaleSide: ScaleSide;
  readonly secondScale: boolean;
  /** Height in mm of the liquid at the wall above the mark that is read; negative for a dome, 0 where there is nothing else to read. */
  readonly edge: number;
  /** Where a ruler's zero mark stands, in mm to the right of its physical end. */
  readonly zeroAt: number;
  /** Depth in mm of the reading mark behind the near side of the tool. */
  readonly gap: number;
}

const READINGS = new WeakMap<ReadingTask, ScaleReading | null>();

/** The scale of a task, or null when its tool has none. Tasks never change, so it is worked out once for each. */
export function scaleReadingOf(task: ReadingTask): ScaleReading | null {
  const known = READINGS.get(task);
  if (known !== undefined) return known;
  const reading = worked(task);
  READINGS.set(task, reading);
  return reading;
}

/** The mark on the scale that a situation puts the surface, the thread or the edge at. */
function restingMark(tool: ScaleTool, { value, zeroError = 0, from = 0 }: Situation): number {
  return tool.body.kind === 'rule' ? value + from : value + zeroError;
}

/** How the surface meets the wall, as far as it can be seen: what is opaque hides its lowest point. */
export function visibleSurface({ surface = 'wetting', opaque = false }: Situation, rules: HouseRules): Surface {
  return opaque && rules.opaqueLiquids === 'upper-edge' ? 'flat' : surface;
}

function edgeHeight(tool: ScaleTool, place: number, situation: Situation, rules: HouseRules): number {
  if (tool.body.kind === 'float')
    return rules.hydrometerMark === 'liquid-level' ? wallHeight('wetting', tool.body.stemRadius) : 0;
  const radius = innerRadius(tool, place);
  return radius === null ? 0 : wallHeight(visibleSurface(situation, rules), radius);
}

function worked(task: ReadingTask): ScaleReading | null {
  const tool = instrumentOf(task);
  if (tool.reads !== 'scale') return null;
  const { situation, rules } = task;
  const { eyeHeight = 0, scaleSide = 'near', secondScale = false, settled = true, shown, endOffset = 0 } = situation;
  const value = restingMark(tool, situation);
  const place = along(tool, value);
  return {
    tool,
    value,
    present: settled || shown === undefined ? value : shown,
    eyeHeight,
    scaleSide,
    secondScale,
    edge: edgeHeight(tool, place, situation, rules),
    zeroAt: endOffset,
    gap: gapAt(tool, place),
  };
}

/** The value that seems to be read when the mark seems to stand a little further along the scale, in mm. */
export function seenAt({ tool, present }: ScaleReading, further: number): number {
  return valueAlong(tool, along(tool, present) + further);
}

/**
 * By how much the reading mark seems to shift along the scale, in mm, when the eye is off the level: g·h ÷ D, upward for an eye too
 * high before a near scale, downward before a far one.
 */
export function parallax({ gap, eyeHeight, scaleSide }: ScaleReading): number {
  const shift = (gap * eyeHeight) / EYE_DISTANCE;
  return scaleSide === 'near' ? shift : -shift;
}
