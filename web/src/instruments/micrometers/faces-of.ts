import type { MicrometerPicture } from '@green-beam/core';
import type { Faces } from '../jaws/held-state.ts';

/** A micrometer’s frame springs by so much under an angry hand, in mm. */
const SPRINGS = 0.03;

/** Where the faces of a micrometer touch, and how far it opens. */
export function facesOf({ held, openX, closedX }: MicrometerPicture): Faces {
  return { ...held, touchesX: openX, closedX: closedX ?? 0, most: 25, springs: SPRINGS };
}
