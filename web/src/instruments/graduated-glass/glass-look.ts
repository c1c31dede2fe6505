import type { LiquidColumnPicture } from '@green-beam/core';
import { MARK_INSET, MARK_LENGTHS } from '../upright/geometry.ts';
import type { Look } from '../upright/look.ts';
import { shape, type Silhouette } from '../upright/shape.ts';
import { TUBE_LOOK } from '../upright/tube-look.tsx';

function cylinder({ bore, wall, floorY, height }: LiquidColumnPicture): Silhouette {
  const half = bore / 2;
  const foot = (half + wall) * 1.85;
  return {
    inside: shape([
      [half, 2],
      [half, floorY],
    ]),
    solid: shape([
      [half + wall + 4, 0],
      [half + wall, 4],
      [half + wall, floorY + 2],
      [foot, height],
      [foot, height + 0.1],
    ]),
    halfWidth: foot,
  };
}

function cup(picture: LiquidColumnPicture): Silhouette {
  const { bore, wall, outline, floorY } = picture;
  const inner: [number, number][] =
    outline.length > 0
      ? [[outline.at(-1)?.[1] ?? 14, 0], ...outline.map(([y, radius]): [number, number] => [radius, y]).toReversed()]
      : [
          [bore / 2, 0],
          [bore / 2, floorY - 4],
          [bore / 2 - 3, floorY],
        ];
  const halfWidth = Math.max(...inner.map(([x]) => x)) + wall + 3;
  return {
    inside: shape(inner),
    solid: shape([
      [(inner[0]?.[0] ?? 0) + wall + 3, 0],
      ...inner.map(([x, y]): [number, number] => [x + wall, y + (y === 0 ? 3 : 0)]),
      [(inner.at(-1)?.[0] ?? 0) + wall, floorY + 3],
    ]),
    halfWidth,
  };
}

/** On a sloping wall the lines begin further in. */
const LENS_ON_SLOPE = (MARK_INSET + MARK_LENGTHS.short - 1) / 2;

export const GLASS_LOOK: Look = {
  ...TUBE_LOOK,
  endsAtFloor: true,
  lensAt: (picture) => (picture.outline.length > 0 ? LENS_ON_SLOPE : TUBE_LOOK.lensAt(picture)),
  silhouette: (picture) => (picture.vessel === 'cylinder' ? cylinder(picture) : cup(picture)),
};
