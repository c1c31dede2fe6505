import type { ScaleTool } from '../../instruments/instrument.ts';
import type { AnySituation, Indication } from '../indication/indication.ts';
import type { CountedOn } from './counted-on.ts';
import type { Geometry } from './geometry.ts';

export type ScaleSide = 'near' | 'far';

/** Distance in mm from the eye to the scale at which the parallax is reckoned. */
export const EYE_DISTANCE = 300;

/** A tool whose reading mark stands somewhere along a graduation, with everything that has a default filled in. */
export interface ScaleIndication<T extends ScaleTool = ScaleTool, S extends AnySituation = AnySituation>
  extends Indication<T, S>, CountedOn {
  readonly mark: number;
  /** Where the mark stands at present, in the instrument's unit: somewhere else only while a thread still moves. */
  readonly present: number;
  /** How far off the level (of a ruler: aside) the eye is, in mm. */
  readonly eyeHeight: number;
  /** Which wall carries the scale, seen from the eye. */
  readonly scaleSide: ScaleSide;
  /** Depth in mm of the reading mark behind the near side of the tool. */
  readonly gap: number;
  readonly along: (value: number) => number;
  readonly valueAt: (length: number) => number;
  /** Where a value stands in the drawing: mm below the top of an upright tool, mm to the right of a ruler's end. */
  readonly positionOf: (value: number) => number;
}

/** What a family says of a scale besides what is indicated. */
interface OnScale<T> {
  readonly geometry: Geometry<T>;
  readonly present?: number;
  readonly positionOf: (value: number) => number;
}

interface SeenSituation extends AnySituation {
  readonly eyeHeight?: number;
  readonly scaleSide?: ScaleSide;
}

/** Adds to an indication where its mark stands along the scale, and how it is seen. */
export function onScale<T extends ScaleTool, S extends SeenSituation>(
  indication: Indication<T, S>,
  { geometry, present, positionOf }: OnScale<T>,
): ScaleIndication<T, S> {
  const { tool, situation, rules, asked, resolution, words, graduation } = indication;
  const { subtracted, answer, subtractedIsRead, isDifference, standsAtMark } = indication;
  const mark = indication.mark ?? 0;
  return {
    tool,
    situation,
    rules,
    asked,
    resolution,
    mark,
    subtracted,
    answer,
    subtractedIsRead,
    isDifference,
    standsAtMark,
    graduation,
    words,
    present: present ?? mark,
    eyeHeight: situation.eyeHeight ?? 0,
    scaleSide: situation.scaleSide ?? 'near',
    gap: geometry.gapAt(tool, geometry.along(tool, mark)),
    along: (value) => geometry.along(tool, value),
    valueAt: (length) => geometry.valueAt(tool, length),
    positionOf,
    countedOn: () => ({ scale: tool.scale, base: 0 }),
  };
}

/** The value that seems to be read when the mark seems to stand a little further along the scale, in mm. */
export function seenAt({ along, valueAt, present }: ScaleIndication, further: number): number {
  return valueAt(along(present) + further);
}

/**
 * By how much the reading mark seems to shift along the scale, in mm, when the eye is off the level: g·h ÷ D, upward for an eye too
 * high before a near scale, downward before a far one.
 */
export function parallax({ gap, eyeHeight, scaleSide }: ScaleIndication): number {
  const shift = (gap * eyeHeight) / EYE_DISTANCE;
  return scaleSide === 'near' ? shift : -shift;
}
