import type { CaliperPicture } from '@green-beam/core';
import type { Faces } from '../jaws/held-state.ts';

/** Where the jaws of a caliper touch, and how far it opens; its slide stops dead. */
export function facesOf({ held, slideX, closedX }: CaliperPicture): Faces {
  return { ...held, touchesX: slideX, closedX: closedX ?? 0, most: 160, springs: 0 };
}
