import type { DisplayPicture } from '@green-beam/core';
import { lit } from '../display/shown.ts';
import type { Faces, HeldState } from '../jaws/held-state.ts';

/** What is between the jaws of a caliper with a display, and how its display is set. */
export interface DigitalHold extends HeldState {
  /** Where it was zeroed, in mm. */
  readonly zeroed: number;
  readonly inches: boolean;
}

/** Where the jaws touch, where they are moved by hand. */
export function facesOf({ jaws }: DisplayPicture): Faces | null {
  return jaws && { ...jaws, most: 150, springs: 0 };
}

const MM_PER_INCH = 25.4;
/** Half thousandths: the last figure of a caliper that counts in inches. */
const INCH_STEP = 0.0005;

/** What a digital caliper shows when its slide stands at a place, in mm as it counts unzeroed. */
export function shownByJaws({ zeroed, inches }: Pick<DigitalHold, 'zeroed' | 'inches'>, position: number): string {
  const millimetres = Math.round((position - zeroed) * 100) / 100;
  if (!inches) return `${lit(Math.round(millimetres * 100), 2)} mm`;
  return `${(Math.round((position - zeroed) / MM_PER_INCH / INCH_STEP) * INCH_STEP + 0).toFixed(4).replace('-', '−')} in`;
}
