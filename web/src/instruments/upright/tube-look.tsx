import type { DrawnMark, LiquidColumnPicture } from '@green-beam/core';
import { MARK_INSET, MARK_LENGTHS } from './geometry.ts';
import type { Look } from './look.ts';
import { tintOf } from './tints.ts';
import { Glass, Liquid } from './tube.tsx';

/** Where a lens over a straight tube shows the ends of the short lines and the middle of the surface together. */
const LENS = (MARK_INSET + MARK_LENGTHS.short - 0.5) / 2 + 0.01;

/** What all glass tubes and cups look like; each family adds its outline. */
export const TUBE_LOOK: Omit<Look, 'silhouette'> = {
  printedWidth: ({ bore, wall }) => bore + 2 * wall,
  markLength: (rank: DrawnMark['rank']) => MARK_LENGTHS[rank],
  labelSize: 26,
  ownInk: false,
  endsAtFloor: false,
  atGlass: ({ profile }) => profile.at(-1)?.[1] ?? 0,
  lensAt: () => LENS,
  whole: ({ liquid, opaque }: LiquidColumnPicture) => ({
    fill: tintOf(liquid),
    fillOpacity: opaque ? 0.95 : 0.42,
    body: '#e6ece7',
    inside: '#f1f4f0',
    insideOpacity: 1,
  }),
  still: (props) => <Glass {...props} />,
  moving: (props) => <Liquid {...props} />,
};
