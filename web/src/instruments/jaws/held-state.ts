import { gritAt, type Held } from '@green-beam/core';

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
}

export const untouchedHold: HeldState = {
  between: true,
  turned: false,
  wiped: false,
  locked: false,
  meetings: 0,
  apart: true,
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
export function parted<S extends HeldState>(faces: Faces, state: S, position: number): S {
  if (faces.grit === 0 || state.wiped) return state;
  // The grit lies anew as soon as they are well apart.
  const apart = Math.abs(position - contactAt(faces, state)) > faces.grit * 2;
  return apart === state.apart ? state : { ...state, apart, meetings: state.meetings + (apart ? 1 : 0) };
}

/** What is between the faces, in words. */
export function whatIsHeld(thing: string, { between, turned }: HeldState): string {
  if (!between) return 'Nothing is between them.';
  return `The ${thing} is between them${turned ? ', turned by a right angle' : ''}.`;
}
