import type { LiquidColumnPicture } from '@green-beam/core';

/** A window on the tube: what part of it is shown, and how large. */
export interface View {
  /** Pixels per millimetre. */
  readonly scale: number;
  /** Millimetres below the rim at the window's top edge. */
  readonly topY: number;
  readonly width: number;
  readonly height: number;
}

type Eyed = Pick<LiquidColumnPicture, 'eye'>;

/** By how much a point at a depth behind the near scale seems to rise, in mm, when the eye is `eyeHeight` above the mark. */
export function rise({ eye }: Eyed, eyeHeight: number, depth: number): number {
  return (eyeHeight * depth) / eye.distance;
}

/** Depth in mm of the printed scale behind the near side of the glass. */
export function scaleDepth(picture: LiquidColumnPicture): number {
  return picture.scaleSide === 'near' ? 0 : 2 * picture.eye.gap;
}

/** Where the reading mark of the surface appears, in mm below the rim. */
export function apparentY(picture: LiquidColumnPicture, eyeHeight: number): number {
  return picture.surfaceY - rise(picture, eyeHeight, picture.eye.gap);
}

/** Where the surface appears against the printed scale, in the scale's own drawing units. */
export function apparentOnScale(picture: LiquidColumnPicture, eyeHeight: number): number {
  return apparentY(picture, eyeHeight) + rise(picture, eyeHeight, scaleDepth(picture));
}

/** The close view: as large as fits, with the surface in the middle unless an end of the tube is near. */
export function closeView(picture: LiquidColumnPicture, width: number, height: number): View {
  const glass = picture.bore + 2 * picture.wall;
  const [first, second] = [picture.marks[0], picture.marks[1]];
  const spacing = first && second ? Math.abs(first.y - second.y) : 1;
  const scale = Math.min(width / glass, height / (14 * spacing));
  const shown = height / scale;
  const topY = Math.min(Math.max(picture.surfaceY - shown / 2, 2), picture.height - shown);
  return { scale, topY, width, height };
}

/** Outlines of the liquid in a view, as SVG paths with the axis at x = 0. */
export interface LiquidOutline {
  /** Below the curve of the surface. */
  readonly body: string;
  /** Between the ring where the liquid meets the front wall and the curve. */
  readonly film: string;
  /** The curve itself, through the reading mark. */
  readonly curve: string;
  /** The ring where the liquid meets the wall, seen at a slant. */
  readonly ring: { readonly cy: number; readonly rx: number; readonly ry: number };
}

interface Column {
  readonly x: number;
  readonly curve: number;
  readonly front: number;
}

function columnsOf(picture: LiquidColumnPicture, view: View, eyeHeight: number): { columns: Column[]; ring: LiquidOutline['ring'] } {
  const { scale, topY } = view;
  const radius = picture.bore / 2;
  const atWall = picture.profile.at(-1)?.[1] ?? 0;
  const mark = (apparentY(picture, eyeHeight) - topY) * scale;
  const ring = { cy: mark - atWall * scale, rx: radius * scale, ry: Math.abs(rise(picture, eyeHeight, radius)) * scale };
  const half = picture.profile.map(([x, z]): Column => {
    const bulge = ring.ry * Math.sqrt(Math.max(0, 1 - (x / radius) ** 2));
    return { x: x * scale, curve: mark - z * scale, front: ring.cy + (eyeHeight > 0 ? bulge : -bulge) };
  });
  return { columns: [...half.slice(1).reverse().map((column) => ({ ...column, x: -column.x })), ...half], ring };
}

function polyline(points: readonly (readonly [number, number])[]): string {
  return points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('');
}

/** The liquid as the eye sees it: at the level the ring closes to a line, off it the surface opens to an ellipse. */
export function liquidOutline(picture: LiquidColumnPicture, view: View, eyeHeight: number): LiquidOutline {
  const { columns, ring } = columnsOf(picture, view, eyeHeight);
  const bottom = Math.min((picture.floorY - view.topY) * view.scale, view.height + 20);
  const lower = columns.map(({ x, curve, front }): [number, number] => [x, Math.max(curve, front)]);
  const upper = columns.map(({ x, curve, front }): [number, number] => [x, Math.min(curve, front)]);
  const edge = ring.rx;
  return {
    body: `${polyline([...lower, [edge, bottom], [-edge, bottom]])}Z`,
    film: `${polyline([...upper, ...[...lower].reverse()])}Z`,
    curve: polyline(columns.map(({ x, curve }) => [x, curve])),
    ring,
  };
}

/** Line of sight: pixels of drawing between the scale and the eye, so that its slope is the true one, h ÷ D. */
export const EYE_RUN = 490;
/** The eye can be dragged this far above or below the mark, in mm. */
export const EYE_RANGE = 90;

/** Height of the drawn eye, in pixels of the view. */
export function eyeY(picture: LiquidColumnPicture, view: View, eyeHeight: number): number {
  return (apparentY(picture, eyeHeight) - view.topY) * view.scale - (eyeHeight / picture.eye.distance) * EYE_RUN;
}

/** The eye height that puts the drawn eye at a height of the view; inverse of `eyeY`, kept within the range. */
export function eyeHeightAt(picture: LiquidColumnPicture, view: View, y: number): number {
  const perMillimetre = (picture.eye.gap * view.scale) / picture.eye.distance + EYE_RUN / picture.eye.distance;
  const height = ((picture.surfaceY - view.topY) * view.scale - y) / perMillimetre;
  return Math.round(Math.min(EYE_RANGE, Math.max(-EYE_RANGE, height)) * 10) / 10;
}
