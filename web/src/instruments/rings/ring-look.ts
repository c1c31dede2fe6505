import type { LiquidColumnPicture } from '@green-beam/core';
import { MARK_INSET } from '../upright/geometry.ts';
import type { Look } from '../upright/look.ts';
import { shape, type Silhouette } from '../upright/shape.ts';
import { TUBE_LOOK } from '../upright/tube-look.tsx';

/** Half width of a bulb that holds a volume, about as long as it is wide. */
function bulbRadius(millilitres: number): number {
  return Math.cbrt((millilitres * 1000 * 3) / (4 * Math.PI));
}

function volumeOf({ instrumentId }: LiquidColumnPicture): number {
  return Number(/\d+$/.exec(instrumentId)?.[0] ?? 10);
}

function volumetricPipette(picture: LiquidColumnPicture): Silhouette {
  const { bore, wall, height, surfaceY } = picture;
  const half = bore / 2;
  const bulb = 0.62 * bulbRadius(volumeOf(picture));
  const [from, to] = [surfaceY + 50, surfaceY + 50 + 5 * bulb];
  const inner: [number, number][] = [
    [half, 0],
    [half, from],
    [bulb, from + bulb],
    [bulb, to - bulb],
    [half, to],
    [half, height - 26],
    [0.8, height],
  ];
  return { inside: shape(inner), solid: shape(inner.map(([x, y]) => [x + wall, y])), halfWidth: bulb + wall };
}

function volumetricFlask(picture: LiquidColumnPicture): Silhouette {
  const { bore, wall, height, surfaceY } = picture;
  const half = bore / 2;
  const bulb = bulbRadius(volumeOf(picture) * 1.02);
  const top = Math.min(surfaceY + 22, height - 2 * bulb + 8);
  const round = Array.from({ length: 13 }, (_, i): [number, number] => {
    const angle = (i / 12) * 0.8 * Math.PI + 0.12 * Math.PI;
    return [Math.max(half, bulb * Math.sin(angle)), top + bulb * (1 - Math.cos(angle))];
  });
  const inner: [number, number][] = [[half, 0], [half, top], ...round];
  return {
    inside: shape(inner),
    solid: shape([
      [half + wall + 3, 0],
      [half + wall, 5],
      ...inner.slice(1).map(([x, y]): [number, number] => [x + wall, y]),
    ]),
    halfWidth: bulb + wall,
  };
}

export const RING_LOOK: Look = {
  ...TUBE_LOOK,
  // A ring runs all around.
  markLength: () => 1 - 2 * MARK_INSET,
  silhouette: (picture) =>
    picture.vessel === 'volumetric-pipette' ? volumetricPipette(picture) : volumetricFlask(picture),
};
