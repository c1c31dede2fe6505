import type { LiquidColumnPicture } from '@green-beam/core';
import type { Seen } from '../sight/sight.ts';
import type { Upright, View } from './look.ts';

type Eyed = Pick<LiquidColumnPicture, 'eye' | 'scaleSide'>;

/** Width in mm of what the lines are printed on. */
export function printedWidth(picture: Upright): number {
  return picture.look.printedWidth(picture);
}

/** By how much a point at a depth behind the near scale seems to rise, in mm, when the eye is `height` above the mark. */
export function rise({ eye }: Eyed, { height }: Pick<Seen, 'height'>, depth: number): number {
  return (height * depth) / eye.distance;
}

/** Depth in mm of the printed scale behind the near side of the glass. */
export function scaleDepth(picture: Eyed): number {
  return picture.scaleSide === 'near' ? 0 : 2 * picture.eye.gap;
}

/** Where the reading mark of the surface appears, in mm below the top. */
export function apparentY(picture: Eyed, seen: Seen): number {
  return seen.markAt - rise(picture, seen, picture.eye.gap);
}

/** Where the surface appears against the printed scale, in the scale's own drawing units. */
export function apparentOnScale(picture: Eyed, seen: Seen): number {
  return apparentY(picture, seen) + rise(picture, seen, scaleDepth(picture));
}

/** How far down a vessel seems to lie when the eye is off the level, in pixels of the view: its middle is as deep as that of the liquid in it. */
export function bodyShift(picture: Upright, view: View, seen: Pick<Seen, 'height'>): number {
  return picture.look.endsAtFloor ? -rise(picture, seen, picture.eye.gap) * view.scale : 0;
}

/** Distance between the lines around a height, in mm; a single ring leaves room as a scale of wide divisions would. */
function spacingAt({ marks }: Upright, y: number): number {
  const sorted = marks.map((mark) => mark.y).sort((a, b) => a - b);
  const next = Math.min(
    Math.max(
      1,
      sorted.findIndex((line) => line > y),
    ),
    sorted.length - 1,
  );
  const [before, after] = [sorted[next - 1], sorted[next]];
  return before === undefined || after === undefined || after === before ? 3 : after - before;
}

/** Spaces that are at least seen in a close view; of a coarse scale a few are enough. */
const SPACES = 14;
const WIDEST_SPACES = 45;

/** The close view: as large as fits, with the mark in the middle unless an end of the tool is near. */
export function closeView(picture: Upright, markAt: number, width: number, height: number): View {
  const spaces = Math.min(SPACES * spacingAt(picture, markAt), Math.max(WIDEST_SPACES, 4 * spacingAt(picture, markAt)));
  const scale = Math.min((picture.look.widest ?? width) / printedWidth(picture), height / spaces);
  const shown = height / scale;
  const topY = Math.min(Math.max(markAt - shown / 2, 2), Math.max(2, picture.height - shown));
  return {
    scale,
    topY: markAt - within((markAt - topY) * scale, roomForEye(picture, scale, height)) / scale,
    width,
    height,
  };
}

/** Pixels that the drawn eye needs above and below its middle. */
const EYE_HALF = 16;

/** Where in a view the mark can lie so that the eye stays in it as far as it can be dragged, in pixels below its top: [least, most]. */
function roomForEye({ eye }: Upright, scale: number, height: number): readonly [number, number] {
  const reach = (EYE_RANGE * (eye.gap * scale + EYE_RUN)) / eye.distance + EYE_HALF;
  return [reach, height - reach];
}

/** The nearest number in a range; the number itself when the range is empty. */
function within(number: number, [least, most]: readonly [number, number]): number {
  return least > most ? number : Math.min(Math.max(number, least), most);
}

/** Outlines of the liquid as SVG paths, with the axis at x = 0 and the reading mark at y = 0: a moving eye shifts them as a whole. */
export interface LiquidOutline {
  /** Below the curve of the surface, down to the floor or beyond the view. */
  readonly body: string;
  /** The curve itself, through the reading mark. */
  readonly curve: string;
}

function polyline(points: readonly (readonly [number, number])[]): string {
  return points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');
}

/** Half the inner width at a height, where it changes with height. */
export function radiusAt({ outline, bore }: Upright, y: number): number {
  const after = outline.findIndex(([at]) => at <= y);
  const [upper, lower] = [outline[after], outline[after - 1]];
  if (!upper) return outline.at(-1)?.[1] ?? bore / 2;
  if (!lower) return upper[1];
  const part = (y - lower[0]) / (upper[0] - lower[0]);
  return lower[1] + part * (upper[1] - lower[1]);
}

/** The liquid's outline in a view, wherever the eye is. */
export function liquidOutline(picture: Upright, view: View): LiquidOutline {
  const half = picture.profile.map(([x, z]): [number, number] => [x * view.scale, -z * view.scale]);
  const curve = [
    ...half
      .slice(1)
      .reverse()
      .map(([x, y]): [number, number] => [-x, y]),
    ...half,
  ];
  const bottom = Math.min((picture.floorY - picture.surfaceY) * view.scale, 2 * view.height);
  const floor = radiusAt(picture, picture.surfaceY + bottom / view.scale) * view.scale;
  return {
    body: `${polyline([...curve, [floor, bottom], [-floor, bottom]])}Z`,
    curve: polyline(curve),
  };
}

/** The ring where the liquid meets the wall, as the eye sees it: a line at the level, an ellipse off it. In pixels of the view. */
export function contactRing(
  picture: Upright,
  view: View,
  seen: Seen,
): { readonly cy: number; readonly rx: number; readonly ry: number } {
  const atGlass = picture.look.atGlass(picture);
  const radius = picture.bore / 2;
  return {
    cy: (apparentY(picture, seen) - view.topY - atGlass) * view.scale,
    rx: radius * view.scale,
    ry: Math.abs(rise(picture, seen, radius)) * view.scale,
  };
}

/**
 * The liquid that has climbed the near wall: from the curve to the near half of the contact ring, which bends down for an eye above
 * the level and up for one below it. In the outline's coordinates.
 */
export function climbingFilm(picture: Upright, view: View, seen: Seen, curve: string): string {
  const { rx, ry } = contactRing(picture, view, seen);
  const atWall = (picture.profile.at(-1)?.[1] ?? 0) * view.scale;
  return `${curve}A${rx.toFixed(2)} ${Math.max(ry, 0.01).toFixed(2)} 0 0 ${seen.height > 0 ? 1 : 0} ${(-rx).toFixed(2)} ${(-atWall).toFixed(2)}Z`;
}

/** How far the engraved lines reach across the tool, as parts of its width; they start at the inset. */
export const MARK_INSET = 0.03;
export const MARK_LENGTHS = { long: 0.36, medium: 0.28, short: 0.2 } as const;

/** Line of sight: pixels of drawing between the scale and the eye, so that its slope is the true one, h ÷ D. */
export const EYE_RUN = 490;
/** The eye can be dragged this far above or below the mark, in mm. */
export const EYE_RANGE = 90;

/** Height of the drawn eye, in pixels of the view. */
export function eyeY(picture: Upright, view: View, seen: Seen): number {
  return (apparentY(picture, seen) - view.topY) * view.scale - (seen.height / picture.eye.distance) * EYE_RUN;
}

/** The eye height that puts the drawn eye at a height of the view; inverse of `eyeY`, kept within the range. */
export function eyeHeightAt(picture: Upright, view: View, markAt: number, y: number): number {
  const perMillimetre = (picture.eye.gap * view.scale) / picture.eye.distance + EYE_RUN / picture.eye.distance;
  const height = ((markAt - view.topY) * view.scale - y) / perMillimetre;
  return Math.round(Math.min(EYE_RANGE, Math.max(-EYE_RANGE, height)) * 10) / 10;
}
