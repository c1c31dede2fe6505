import type { LiquidColumnPicture } from '@green-beam/core';
import type { Seen } from '../sight/sight.ts';

/** How an upright tool is seen at first: the eye off the level, the surface where it starts. */
export function seenAtStart({ eye, startY, surfaceY }: LiquidColumnPicture): Seen {
  return { height: eye.height, markAt: startY ?? surfaceY };
}
