import { stillAway, type DisplayPicture } from '@green-beam/core';

/** What is on a display. */
export interface Shown {
  readonly characters: string;
  readonly stable: boolean;
}

/** So many last digits as characters that are lit. */
export function lit(digits: number, decimals: number): string {
  return ((digits + 0) / 10 ** decimals).toFixed(decimals).replace('-', '−');
}

/** What a display shows so long after the picture appeared: it may still be settling. */
export function shownOf({ views: [view], awayBy }: DisplayPicture, since: number): Shown {
  const away = stillAway(awayBy, since);
  if (away === 0) return { characters: view.characters, stable: true };
  const decimals = view.characters.split('.')[1]?.length ?? 0;
  const digits = Math.round(Number(view.characters.replace('−', '-')) * 10 ** decimals);
  return { characters: lit(digits + away, decimals), stable: false };
}
