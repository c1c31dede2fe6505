import type { Picture } from '@green-beam/core';
import type { Seen } from './sight.ts';

/** How a picture is seen before anything is done: the eye off the level, the mark where it starts. */
export function seenFirst(picture: Picture): Seen {
  switch (picture.kind) {
    case 'liquid-column':
      return { height: picture.eye.height, markAt: picture.startY ?? picture.surfaceY };
    case 'ruler':
      return { height: picture.eye.height, markAt: picture.thing.toX };
    case 'caliper':
      return { height: picture.eye.height, markAt: picture.handled === 'close' ? picture.held.startX : picture.slideX };
    case 'micrometer':
      return { height: 0, markAt: picture.handled === 'close' ? picture.held.startX : picture.openX };
    case 'display':
      return { height: 0, markAt: picture.jaws?.startX ?? 0 };
    case 'beams':
      return { height: 0, markAt: 0 };
  }
}

/** Where the mark comes to rest. */
export function restingAt(picture: Picture): number {
  switch (picture.kind) {
    case 'liquid-column':
      return picture.surfaceY;
    case 'caliper':
      return picture.slideX;
    case 'micrometer':
      return picture.openX;
    case 'display':
      return picture.jaws?.touchesX ?? 0;
    case 'ruler':
    case 'beams':
      return seenFirst(picture).markAt;
  }
}

/** How it was seen when an entry was made: a thread may still have been on its way; a tap had been opened. */
export function seenAtEnter(picture: Picture, height: number): Seen {
  const onItsWay = picture.kind === 'liquid-column' && picture.vessel === 'thermometer';
  return { height, markAt: onItsWay ? seenFirst(picture).markAt : restingAt(picture) };
}
