import type { LiquidColumnPicture } from '@green-beam/core';
import type { Look } from '../upright/look.ts';
import { shape, type Silhouette } from '../upright/shape.ts';
import { TUBE_LOOK } from '../upright/tube-look.tsx';
import { Stem, Thread } from './thermometer.tsx';

/** Stems of thermometers are much wider than the thread in them, in mm. */
const STEM = 7;

function thermometer(picture: LiquidColumnPicture): Silhouette {
  const { bore, floorY, height } = picture;
  const half = STEM / 2;
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

export const THERMOMETER_LOOK: Look = {
  ...TUBE_LOOK,
  printedWidth: () => STEM,
  // Lines cross the thread.
  markLength: (rank) => ({ long: 0.62, medium: 0.56, short: 0.5 })[rank],
  labelSize: 22,
  ownInk: true,
  lensAt: () => 0,
  whole: () => ({ fill: '#b02c45', fillOpacity: 1, body: '#f4f6f2', inside: '#dfe6e0', insideOpacity: 1 }),
  silhouette: thermometer,
  still: (props) => <Stem {...props} />,
  moving: (props) => <Thread {...props} />,
};
