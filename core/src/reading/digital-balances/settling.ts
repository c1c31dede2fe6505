/** Time constant of a display that settles, in ms. */
const DISPLAY_TIME = 700;

/** How far, in last digits, a display still is from what it will show, so many ms after it was that far away. */
export function stillAway(digits: number, time: number): number {
  const away = Math.round(digits * Math.exp(-Math.max(0, time) / DISPLAY_TIME));
  return away === 0 ? 0 : away;
}

/** The larger part of the way a display makes at once. */
const MOST_AWAY = 60;

/** How many last digits a display is away from what it will show, the moment something has been put on. */
export function settlesFrom({ division }: { readonly division: number }, grams: number): number {
  return Math.min(MOST_AWAY, Math.round(grams / division));
}
