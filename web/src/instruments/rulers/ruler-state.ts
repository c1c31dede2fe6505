/** A ruler with a thing at it, under somebody’s hands. */
export interface RulerState {
  /** Which end of the thing is seen close. */
  readonly end: 'left' | 'right';
  /** Where the thing has come to rest: its right end, in mm from the ruler’s physical end. */
  readonly restsAt: number;
}
