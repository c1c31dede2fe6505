import { stillAway, type Weighables } from '@green-beam/core';
import { lit, type Shown } from '../display/shown.ts';

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
