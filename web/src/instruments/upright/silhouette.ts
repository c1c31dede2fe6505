import type { LiquidColumnPicture } from '@green-beam/core';
import { printedWidth } from './geometry.ts';

/** The outline of a whole tool in mm, its axis at x = 0 and its top at y = 0. */
export interface Silhouette {
  /** The inside, closed: what a liquid can fill. */
  readonly inside: string;
  /** Solid parts beside it: rims, feet, taps. */
  readonly solid: string;
  /** Half the widest part, for fitting it into its place. */
  readonly halfWidth: number;
}

/** An upright shape from half widths at heights, top to bottom. */
function shape(points: readonly (readonly [halfWidth: number, y: number])[]): string {
  const right = points.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`);
  const left = points.toReversed().map(([x, y]) => `${(-x).toFixed(2)} ${y.toFixed(2)}`);
  return `M${[...right, ...left].join('L')}Z`;
}

/** Half width of a bulb that holds a volume, about as long as it is wide. */
function bulbRadius(millilitres: number): number {
  return Math.cbrt((millilitres * 1000 * 3) / (4 * Math.PI));
}

function volumeOf({ instrumentId }: LiquidColumnPicture): number {
  return Number(/\d+$/.exec(instrumentId)?.[0] ?? 10);
}

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

function thermometer(picture: LiquidColumnPicture): Silhouette {
  const { bore, floorY, height } = picture;
  const half = printedWidth(picture) / 2;
  return {
    inside: shape([
      [bore / 2, 8],
      [bore / 2, floorY],
      [2.6, floorY + 6],
      [2.6, height - 4],
      [1.6, height - 1],
    ]),
    solid: shape([
      [half - 1.5, 0],
      [half, 2],
      [half, floorY],
      [3.2, floorY + 5],
      [3.2, height - 4],
      [2, height],
    ]),
    halfWidth: half,
  };
}

function hydrometer({ bore, height }: LiquidColumnPicture): Silhouette {
  const half = bore / 2;
  const body = 11;
  const jar = 24;
  const [from, to] = [height - 78, height - 8];
  return {
    inside: shape([
      [jar, 6],
      [jar, height],
    ]),
    solid: shape([
      [half, 0],
      [half, from],
      [body, from + 16],
      [body, to - 14],
      [5, to],
    ]),
    halfWidth: jar + 2,
  };
}

/** The outline of a picture’s tool. */
export function silhouetteOf(picture: LiquidColumnPicture): Silhouette {
  switch (picture.vessel) {
    case 'burette':
      return burette(picture);
    case 'graduated-pipette':
      return pipette(picture);
    case 'volumetric-pipette':
      return volumetricPipette(picture);
    case 'volumetric-flask':
      return volumetricFlask(picture);
    case 'beaker':
    case 'conical-flask':
      return cup(picture);
    case 'thermometer':
      return thermometer(picture);
    case 'hydrometer':
      return hydrometer(picture);
    case 'cylinder':
      return cylinder(picture);
  }
}
