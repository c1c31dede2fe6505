import type { LiquidColumnPicture } from '@green-beam/core';
import type { Look } from '../upright/look.ts';
import { shape, type Silhouette } from '../upright/shape.ts';
import { TUBE_LOOK } from '../upright/tube-look.tsx';
import { FloatStem, LiquidAround } from './hydrometer.tsx';

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

export const HYDROMETER_LOOK: Look = {
  ...TUBE_LOOK,
  // So much is shown beside the stem that the level surface is reached.
  widest: 128,
  markLength: (rank) => ({ long: 0.3, medium: 0.24, short: 0.17 })[rank],
  labelSize: 20,
  ownInk: true,
  // Outside a stem the surface is highest at the glass.
  atGlass: ({ profile }) => profile[0]?.[1] ?? 0,
  whole: (picture) => ({ ...TUBE_LOOK.whole(picture), insideOpacity: 0.25 }),
  silhouette: hydrometer,
  still: (props) => <FloatStem {...props} />,
  moving: (props) => <LiquidAround {...props} />,
};
