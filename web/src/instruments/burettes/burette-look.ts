import type { LiquidColumnPicture } from '@green-beam/core';
import type { Look } from '../upright/look.ts';
import { shape, type Silhouette } from '../upright/shape.ts';
import { TUBE_LOOK } from '../upright/tube-look.tsx';

function burette({ bore, wall, floorY, height }: LiquidColumnPicture): Silhouette {
  const half = bore / 2;
  const tap = floorY + 14;
  return {
    inside: shape([
      [half, 0],
      [half, floorY],
      [1.4, floorY + 8],
      [1.4, tap + 8],
      [1, height - 4],
      [0.6, height],
    ]),
    solid: `${shape([
      [half + wall, 0],
      [half + wall, floorY],
      [3, floorY + 9],
      [3, tap + 12],
      [2, height],
    ])}M-14 ${tap - 3}H10V${tap + 3}H-14Z`,
    halfWidth: 14,
  };
}

function pipette({ bore, wall, floorY, height }: LiquidColumnPicture): Silhouette {
  const half = bore / 2;
  return {
    inside: shape([
      [half, 0],
      [half, floorY],
      [1, height - 8],
      [0.6, height],
    ]),
    solid: shape([
      [half + wall, 0],
      [half + wall, floorY],
      [1.8, height - 8],
      [1.2, height],
    ]),
    halfWidth: half + wall,
  };
}

export const BURETTE_LOOK: Look = {
  ...TUBE_LOOK,
  silhouette: (picture) => (picture.vessel === 'burette' ? burette(picture) : pipette(picture)),
};
