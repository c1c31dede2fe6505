import type { HeldState } from '../held-state.ts';
import { stillAway, type DisplayPicture, type Weighables } from '@green-beam/core';

/** A digital balance under somebody’s hands; loads in last digits of its display. */
export interface PanState {
  readonly on: boolean;
  readonly vessel: boolean;
  readonly thing: boolean;
  /** What the tare key takes off. */
  readonly tare: number;
  /** What disturbed it has been put right. */
  readonly putRight: boolean;
  /** When something was last put on or taken off, by the page’s clock in ms, and how far the display was away from it then. */
  readonly changed: { readonly at: number; readonly away: number } | null;
}

export const untouchedPan: PanState = {
  on: false,
  vessel: false,
  thing: false,
  tare: 0,
  putRight: false,
  changed: null,
};

/** Everything that presses on the pan. */
export function pressing({ empty, vessel, thing, spoilt }: Weighables, pan: PanState): number {
  const spoiling = spoilt !== null && !pan.putRight && pan.thing ? spoilt.digits : 0;
  return empty + (pan.vessel ? (vessel?.digits ?? 0) : 0) + (pan.thing ? thing.digits + spoiling : 0);
}

export interface Shown {
  readonly characters: string;
  readonly stable: boolean;
}

export function lit(digits: number, decimals: number): string {
  return ((digits + 0) / 10 ** decimals).toFixed(decimals).replace('-', '−');
}

/** Beyond its capacity a balance shows bars. */
export const OVERLOADED = '‾‾‾‾‾‾';

/** What a balance shows at a moment while it is weighed with by hand. */
export function shownByHand(weighables: Weighables, pan: PanState, at: number): Shown {
  if (!pan.on) return { characters: '', stable: false };
  const all = pressing(weighables, pan);
  if (all > weighables.capacity) return { characters: OVERLOADED, stable: false };
  const away = pan.changed === null ? 0 : stillAway(pan.changed.away, at - pan.changed.at);
  const draught = weighables.spoilt?.how === 'draught' && !pan.putRight && pan.thing;
  return { characters: lit(all - pan.tare - away, weighables.decimals), stable: away === 0 && !draught };
}

/** What a display shows so long after the picture appeared: it may still be settling. */
export function shownOf({ views: [view], awayBy }: DisplayPicture, since: number): Shown {
  const away = stillAway(awayBy, since);
  if (away === 0) return { characters: view.characters, stable: true };
  const decimals = view.characters.split('.')[1]?.length ?? 0;
  const digits = Math.round(Number(view.characters.replace('−', '-')) * 10 ** decimals);
  return { characters: lit(digits + away, decimals), stable: false };
}

const MM_PER_INCH = 25.4;
/** Half thousandths: the last figure of a caliper that counts in inches. */
const INCH_STEP = 0.0005;

/** What a digital caliper shows when its slide stands at a place, in mm as it counts unzeroed. */
export function shownByJaws({ zeroed, inches }: HeldState, position: number): string {
  const millimetres = Math.round((position - zeroed) * 100) / 100;
  if (!inches) return `${lit(Math.round(millimetres * 100), 2)} mm`;
  return `${(Math.round((position - zeroed) / MM_PER_INCH / INCH_STEP) * INCH_STEP + 0).toFixed(4).replace('-', '−')} in`;
}
