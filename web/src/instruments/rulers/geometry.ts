import type { RulerPicture } from '@green-beam/core';
import { aside } from '../sight/aside.ts';
import type { Seen } from '../sight/sight.ts';

/** A window on the ruler: what part of it is shown, and how large. */
export interface View {
  /** Pixels per millimetre. */
  readonly scale: number;
  /** Millimetres from the ruler’s end at the window’s left edge. */
  readonly fromX: number;
  readonly width: number;
  /** The end of the thing that is looked at, where the picture has it. */
  readonly endX: number;
}

/** How far the eye can be dragged to either side, in mm, and how far from the scale it is drawn, in pixels. */
export const EYE_RANGE = 90;
export const EYE_RUN = 250;

/** Spaces seen in the close view, and at most so many mm of a coarse ruler, but never fewer than four spaces. */
const SPACES = 16;

/** How far the thing lies from where the picture has it, in mm. */
export function moved({ thing }: RulerPicture, { markAt }: Pick<Seen, 'markAt'>): number {
  return markAt - thing.toX;
}

/** The close view of one end of the thing, which has come to rest with its right end at `restsAt`. */
export function closeView(
  picture: RulerPicture,
  width: number,
  end: 'left' | 'right' = 'right',
  restsAt = picture.thing.toX,
): View {
  const endX = end === 'left' ? picture.thing.fromX : picture.thing.toX;
  const at = endX + restsAt - picture.thing.toX;
  const [first, second] = picture.marks;
  const spacing = first && second ? second.x - first.x : 1;
  const shown = Math.min(SPACES * spacing, Math.max(180, 4.5 * spacing));
  const scale = width / shown;
  const fromX = Math.min(Math.max(at - shown / 2, -0.1 * shown), picture.length + 0.1 * shown - shown);
  return { scale, fromX, width, endX };
}

/** Where the end of the thing that is looked at appears, in pixels of the view. */
export function apparentX(picture: RulerPicture, view: View, seen: Seen): number {
  return (view.endX + moved(picture, seen) + aside(picture, seen) - view.fromX) * view.scale;
}

/** Where the eye is drawn on its rail, so that the slope of the beam is the true one. */
export function eyeX(picture: RulerPicture, view: View, seen: Seen): number {
  return apparentX(picture, view, seen) + (seen.height / picture.eye.distance) * EYE_RUN;
}

/** The sideways distance that puts the drawn eye at a place of the view; inverse of `eyeX`, kept within the range. */
export function eyeAsideAt(picture: RulerPicture, view: View, markAt: number, x: number): number {
  const perMillimetre = (picture.eye.gap * view.scale) / picture.eye.distance + EYE_RUN / picture.eye.distance;
  const height = (x - apparentX(picture, view, { height: 0, markAt })) / perMillimetre;
  return Math.round(Math.min(EYE_RANGE, Math.max(-EYE_RANGE, height)) * 10) / 10;
}

/** A thing comes to lie against a line, or the ruler’s end, when it seems nearer to it than this, in spaces: less when it is moved by keys, tenth by tenth. */
const AGAINST = { drag: 0.15, key: 0.06 } as const;

/** Where the thing’s right end comes to rest when it is let go: against the line its left end seems to be at, if it is near one. */
export function cameToRest(picture: RulerPicture, seen: Seen, by: keyof typeof AGAINST): number {
  const { marks, thing } = picture;
  const [first, second] = marks;
  const spacing = first && second ? second.x - first.x : 1;
  const seems = thing.fromX + moved(picture, seen) + aside(picture, seen);
  const lines = [0, ...marks.map(({ x }) => x)];
  const nearest = lines.reduce(
    (best, line) => (Math.abs(line - seems) < Math.abs(best - seems) ? line : best),
    lines[0] ?? 0,
  );
  return Math.abs(nearest - seems) <= AGAINST[by] * spacing ? seen.markAt + nearest - seems : seen.markAt;
}
