import { summarise, type Summary } from '../../statistics/summarise.ts';

/** What a room has read: those near each other, and those so far off that they say nothing about the scatter. */
export interface RoomSpread {
  /** Of the readings that are not far off; null where there is none. */
  readonly near: Summary | null;
  /** Indexes of the readings that are far off. */
  readonly farOff: readonly number[];
  /** The middle one of all, and how far to either side of it a reading still counts as near. */
  readonly middle: number;
  readonly reach: number;
}

/** A reading is far off beyond so many divisions, or so many times the usual distance from the middle, whichever is more. */
const DIVISIONS = 3;
const USUAL_DISTANCES = 5;
/** The median distance of normal values is smaller than their standard deviation by this (Hampel, J. Am. Stat. Assoc. 69 (1974) 383). */
const TO_STANDARD = 1.4826;

function medianOf(values: readonly number[]): number {
  return summarise(values).median;
}

/**
 * Mean and scatter of what a room has read. A miscounted label would hide the scatter of the doubtful digit behind itself; what lies
 * further from the median than three divisions, or than five times the scaled median distance where the room scatters more, is told apart.
 * @param values in the tool’s unit, at least one.
 * @param division the tool’s smallest division, in the same unit.
 * @throws RangeError naming what is not finite, or a division that is not above zero.
 */
export function roomSpread(values: readonly number[], division: number): RoomSpread {
  if (!(division > 0)) throw new RangeError(`division: ${division} is not above zero.`);
  const middle = medianOf(values);
  const usual = TO_STANDARD * medianOf(values.map((value) => Math.abs(value - middle)));
  const reach = Math.max(DIVISIONS * division, USUAL_DISTANCES * usual);
  // A reading just at the reach is near, whatever the last binary digit of the difference says.
  const isNear = (value: number): boolean => Math.abs(value - middle) <= reach * (1 + 1e-9);
  const near = values.filter(isNear);
  return {
    near: near.length > 0 ? summarise(near) : null,
    farOff: values.flatMap((value, i) => (isNear(value) ? [] : [i])),
    middle,
    reach,
  };
}
