import { instrumentIds, type Picture } from '@green-beam/core';
import { prefersStill } from '../ui/prefers-still.ts';
import { createBalance, foundStanding, type Balance } from './balance/balance.ts';
import { untouchedHold, type HeldState } from './held-state.ts';
import { untouchedPan, type PanState } from './balance/pan-state.ts';

/** What has been done with the tool on a picture so far, as far as it shows; what moves steadily is in the sight. */
export interface ToolState {
  /** What still is in a burette. */
  readonly left: 'funnel' | 'bubble' | null;
  /** Drops fall from the tip. */
  readonly dripping: boolean;
  /** Where a thermometer’s bulb is. */
  readonly bulb: 'air' | 'liquid' | 'bottom';
  /** The hydrometer that is in the liquid, the lightest being 0; null while there is none. */
  readonly float: number | null;
  /** Which end of a thing at a ruler is seen close. */
  readonly end: 'left' | 'right';
  /** Where a ruler’s thing has come to rest: its right end, in mm from the ruler’s physical end. */
  readonly restsAt: number;
  /** A beam balance under somebody’s hands; null for any other tool. */
  readonly balance: Balance | null;
  /** What is between jaws or faces. */
  readonly held: HeldState;
  /** A digital balance under somebody’s hands. */
  readonly pan: PanState;
}

const HYDROMETERS = instrumentIds().filter((id) => id.startsWith('hydrometer-'));
export const FLOATS = HYDROMETERS.length;

/** Place of a picture’s own hydrometer among them all, the lightest being 0. */
export function rightFloat({ instrumentId }: Picture): number {
  return HYDROMETERS.indexOf(instrumentId);
}

/** A tool before anything is done with it. */
export function untouched(picture: Picture): ToolState {
  const column = picture.kind === 'liquid-column' ? picture : null;
  return {
    left: column?.left ?? null,
    dripping: false,
    bulb: column?.handled === 'bulb' ? 'air' : 'liquid',
    float: column?.handled === 'try' ? null : rightFloat(picture),
    end: picture.kind === 'ruler' && picture.handled === 'lay' ? 'left' : 'right',
    restsAt: picture.kind === 'ruler' ? picture.thing.toX : 0,
    balance: picture.kind === 'beams' ? createBalance(picture, foundStanding(picture), prefersStill()) : null,
    held: untouchedHold,
    pan: untouchedPan,
  };
}

/** A tool as it is when it has been read: nothing left in it, the right float in the liquid. */
export function readOff(picture: Picture, state: ToolState): ToolState {
  return { ...state, dripping: false, bulb: 'liquid', float: rightFloat(picture), end: 'right' };
}
