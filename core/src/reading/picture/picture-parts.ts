import type { MarkRank } from '../../scales/linear-scale.ts';

/**
 * What is to be done with a tool before it is read: a burette's or pipette's tap opened, a bulb lowered, a pipette filled to its ring,
 * the right hydrometer found, a thing laid at a ruler, something weighed by hand or waited for, a slide or a thimble brought to a thing.
 */
export type Handled = 'tap' | 'bulb' | 'pipette' | 'try' | 'lay' | 'weigh' | 'settle' | 'close';

/** The eye: how far off the mark it starts, its distance from the scale, and the depth of the mark behind the scale. */
export interface PicturedEye {
  readonly height: number;
  readonly distance: number;
  readonly gap: number;
}

/** One line of a scale that lies, in millimetres to the right of where the drawing begins. */
export interface RuledMark {
  readonly x: number;
  readonly rank: MarkRank;
  readonly label: string | null;
}

/** Drawing units are rounded to a thousandth of a millimetre, far below what can be seen. */
export function inDrawing(length: number): number {
  return Math.round(length * 1000) / 1000;
}
