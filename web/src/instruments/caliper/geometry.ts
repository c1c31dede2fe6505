import type { CaliperPicture } from '@green-beam/core';
import type { Seen } from '../sight.ts';

/** A window on the scales: pixels per millimetre, and the millimetre of the main scale at its left edge. */
export interface View {
  readonly scale: number;
  readonly fromX: number;
  readonly width: number;
}

/** How far the eye can be dragged to either side, in mm, and how far from the scales it is drawn, in pixels. */
export const EYE_RANGE = 90;
export const EYE_RUN = 190;

/** Room beside the vernier in the middle view, in mm: enough that two numbers of the main scale are seen. */
const BESIDE = 9;
/** What the reading glass shows, in main divisions. */
const UNDER_GLASS = 7.6;

export function vernierLength({ vernierMarks }: CaliperPicture): number {
  return vernierMarks.at(-1)?.x ?? 0;
}

/** The whole vernier with the marks beside it, its zero at a position of the main scale. */
export function middleView(picture: CaliperPicture, position: number, width: number): View {
  const shown = Math.max(28, vernierLength(picture) + 2 * BESIDE);
  return { scale: width / shown, fromX: position + vernierLength(picture) / 2 - shown / 2, width };
}

/** What lies under the glass when it is held over a place of the vernier, in mm from the vernier's zero. */
export function glassView(position: number, over: number, width: number): View {
  return { scale: width / UNDER_GLASS, fromX: position + over - UNDER_GLASS / 2, width };
}

/** By how much the vernier seems to lie further right against the main scale, in mm, when the eye is to the right. */
export function aside({ eye }: Pick<CaliperPicture, 'eye'>, { height }: Pick<Seen, 'height'>): number {
  return (height * eye.gap) / eye.distance;
}

export function at(view: View, x: number): number {
  return (x - view.fromX) * view.scale;
}
