import {
  gritAt,
  type CaliperPicture,
  type DisplayPicture,
  type Held,
  type MicrometerPicture,
  type Picture,
} from '@green-beam/core';

/** What is between jaws or faces, and what has been done about it. */
export interface HeldState {
  readonly between: boolean;
  readonly turned: boolean;
  readonly wiped: boolean;
  readonly locked: boolean;
  /** How often the faces have met and parted again. */
  readonly meetings: number;
  /** They are well apart now. */
  readonly apart: boolean;
  /** Where a digital caliper was zeroed, in mm. */
  readonly zeroed: number;
  readonly inches: boolean;
}

export const untouchedHold: HeldState = {
  between: true,
  turned: false,
  wiped: false,
  locked: false,
  meetings: 0,
  apart: true,
  zeroed: 0,
  inches: false,
};

/** Where jaws or faces touch, whatever they belong to, in mm as the tool counts. */
export interface Faces extends Held {
  readonly touchesX: number;
  readonly closedX: number;
  /** How far the tool opens. */
  readonly most: number;
  /** How far the tool’s own frame gives way when it is forced. */
  readonly springs: number;
}

/** A micrometer’s frame springs by so much under an angry hand, in mm; a caliper’s slide stops dead. */
const SPRINGS = 0.03;

export function facesOf(picture: CaliperPicture | MicrometerPicture | DisplayPicture): Faces | null {
  switch (picture.kind) {
    case 'caliper':
      return { ...picture.held, touchesX: picture.slideX, closedX: picture.closedX ?? 0, most: 160, springs: 0 };
    case 'micrometer':
      return { ...picture.held, touchesX: picture.openX, closedX: picture.closedX ?? 0, most: 25, springs: SPRINGS };
    case 'display':
      return picture.jaws ? { ...picture.jaws, most: 150, springs: 0 } : null;
  }
}

/** Where the faces meet now: on the thing as it lies, or on each other; grit keeps them from it. */
export function contactAt(faces: Faces, { between, turned, wiped, meetings }: HeldState): number {
  const grit = wiped ? 0 : gritAt(faces.grit, meetings);
  if (!between) return faces.closedX + grit;
  const thing = turned ? (faces.turnedX ?? faces.touchesX) : faces.touchesX;
  return faces.use === 'outside' ? thing + grit : thing - grit;
}

/** How far slide or thimble can be moved. @param gently it stops at the first touch, as by a ratchet. */
export function reachOf(
  faces: Faces,
  state: HeldState,
  gently = false,
): { readonly least: number; readonly most: number } {
  const contact = contactAt(faces, state);
  const gives = gently ? 0 : faces.springs + (state.between ? faces.soft : 0);
  if (faces.use === 'outside' || !state.between) return { least: contact - gives, most: faces.most };
  return { least: faces.closedX, most: contact };
}

export type Touch = 'apart' | 'touching' | 'pressed';

/** A hair’s breadth, in mm. */
const HAIR = 0.0015;

/** How the faces stand to what they meet. */
export function touchAt(faces: Faces, state: HeldState, position: number): Touch {
  const beyond = position - contactAt(faces, state);
  const apart = faces.use === 'outside' || !state.between ? beyond : -beyond;
  if (apart > HAIR) return 'apart';
  return apart < -HAIR ? 'pressed' : 'touching';
}

/** How often the faces have met, once a slide has come to rest at a place: they meet anew only after they were apart. */
export function parted(picture: Picture, state: HeldState, position: number): HeldState {
  const faces =
    picture.kind === 'caliper' || picture.kind === 'micrometer' || picture.kind === 'display' ? facesOf(picture) : null;
  if (!faces || faces.grit === 0 || state.wiped) return state;
  // The grit lies anew as soon as they are well apart.
  const apart = Math.abs(position - contactAt(faces, state)) > faces.grit * 2;
  return apart === state.apart ? state : { ...state, apart, meetings: state.meetings + (apart ? 1 : 0) };
}
