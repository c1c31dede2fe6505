import { writtenAtPlace, type NeededSize } from '@green-beam/core';
import { unitText } from '../../numbers/unit-text.ts';

/** A number to two figures, as plain digits. */
export function sizeText(value: number): string {
  if (!(value > 0)) return '0';
  return writtenAtPlace(value, Math.floor(Math.log10(value) + 1e-12) - 1);
}

/** About how long something takes: `about 4 min`. */
export function minutesText(seconds: number): string {
  return seconds < 90 ? `about ${Math.round(seconds / 10) * 10} s` : `about ${Math.round(seconds / 60)} min`;
}

/** What would do where no tool does. */
export function neededInWords({ name, unit, now, atLeast, tooSmall }: NeededSize): string {
  const shown = unitText(unit);
  return `With the best of them it would do for a ${name.toLowerCase()} of at least ${sizeText(atLeast)} ${shown}; in the example it is ${sizeText(now)} ${shown}. Take a larger piece, or several together.${
    tooSmall === null ? '' : ` The ${tooSmall.instrument.name} is then too small: take a larger one.`
  }`;
}
