import type { RulerPicture } from '@green-beam/core';
import type { Seen } from '../sight.ts';

/** A window on the ruler: what part of it is shown, and how large. */
export interface View {
  /** Pixels per millimetre. */
  readonly scale: number;
  /** Millimetres from the ruler’s end at the window’s left edge. */
  readonly fromX: number;
  readonly width: number;
}

/** How far the eye can be dragged to either side, in mm, and how far from the scale it is drawn, in pixels. */
export const EYE_RANGE = 90;
export const EYE_RUN = 250;

/** By how much what lies under the scale seems to be further right, in mm, when the eye is to the right of it. */
export function aside({ eye }: RulerPicture, { height }: Pick<Seen, 'height'>): number {
  return (height * eye.gap) / eye.distance;
}

/** Spaces seen in the close view, and at most so many mm of a coarse ruler, but never fewer than four spaces. */
const SPACES = 16;

export function closeView(picture: RulerPicture, width: number): View {
  const [first, second] = picture.marks;
  const spacing = first && second ? second.x - first.x : 1;
  const shown = Math.min(SPACES * spacing, Math.max(180, 4.5 * spacing));
  const scale = width / shown;
  const fromX = Math.min(Math.max(picture.thing.toX - shown / 2, -0.1 * shown), picture.length + 0.1 * shown - shown);
  return { scale, fromX, width };
}

/** Where the far end of the thing appears, in pixels of the view. */
export function apparentX(picture: RulerPicture, view: View, seen: Seen): number {
  return (picture.thing.toX + aside(picture, seen) - view.fromX) * view.scale;
}

/** Where the eye is drawn on its rail, so that the slope of the beam is the true one. */
export function eyeX(picture: RulerPicture, view: View, seen: Seen): number {
  return apparentX(picture, view, seen) + (seen.height / picture.eye.distance) * EYE_RUN;
}

/** The sideways distance that puts the drawn eye at a place of the view; inverse of `eyeX`, kept within the range. */
export function eyeAsideAt(picture: RulerPicture, view: View, x: number): number {
  const perMillimetre = (picture.eye.gap * view.scale) / picture.eye.distance + EYE_RUN / picture.eye.distance;
  const height = (x - (picture.thing.toX - view.fromX) * view.scale) / perMillimetre;
  return Math.round(Math.min(EYE_RANGE, Math.max(-EYE_RANGE, height)) * 10) / 10;
}
