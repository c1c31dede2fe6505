import type { TogetherDot } from '@green-beam/contract';
import { agreement, roomSpread, studentT95, writtenAtPlace, type AgreedDigit, type RoomSpread } from '@green-beam/core';

/** The unit of a clock, whose readings are counted in seconds and written with colons. */
const CLOCK = 'h:min:s';

const two = (n: number): string => String(n).padStart(2, '0');

/** A reading as it is written: `27.52`, or `0:31:33` of a clock. */
export function readingText(value: number, place: number, unit: string): string {
  if (unit !== CLOCK) return writtenAtPlace(value, place);
  const seconds = Math.round(value);
  return `${Math.floor(seconds / 3600)}:${two(Math.floor(seconds / 60) % 60)}:${two(seconds % 60)}`;
}

/** The place that most wrote their last digit to, the finer of two. */
export function usualPlace(dots: readonly TogetherDot[]): number {
  const counts = new Map<number, number>();
  for (const { place } of dots) counts.set(place, (counts.get(place) ?? 0) + 1);
  return [...counts].sort(([a, m], [b, n]) => n - m || a - b)[0]?.[0] ?? 0;
}

/** A tool at the front of which nothing else is known is divided ten times as coarsely as it is read. */
export function divisionOf(dots: readonly TogetherDot[], division: number | null): number {
  return division ?? 10 ** (usualPlace(dots) + 1);
}

/** What a room has read, for the strip and the words beside it. */
export interface Room {
  readonly spread: RoomSpread;
  readonly digits: readonly AgreedDigit[];
  readonly near: readonly TogetherDot[];
  readonly farOff: readonly TogetherDot[];
  readonly usual: number;
  readonly unit: string;
  readonly division: number;
}

/** The hours, minutes and seconds of a clock beside each other, so that they can be compared digit by digit. */
function asDigits({ value, place }: TogetherDot, unit: string): { readonly value: number; readonly place: number } {
  if (unit !== CLOCK) return { value, place };
  const seconds = Math.round(value);
  const [h, m, s] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60, seconds % 60];
  return { value: h * 10_000 + m * 100 + s, place: 0 };
}

/** What a room has read of a tool; null where nobody has. @param division of the tool; null where it is not known. */
export function roomOf(dots: readonly TogetherDot[], known: number | null, unit: string): Room | null {
  if (dots.length === 0) return null;
  const division = divisionOf(dots, known);
  const spread = roomSpread(
    dots.map(({ value }) => value),
    division,
  );
  const far = new Set(spread.farOff);
  return {
    spread,
    digits: agreement(dots.map((dot) => asDigits(dot, unit))),
    near: dots.filter((_, i) => !far.has(i)),
    farOff: dots.filter((_, i) => far.has(i)),
    usual: usualPlace(dots),
    unit,
    division,
  };
}

/** Place of the first figure of a spread: the mean is written as far; null where nothing scatters, or one value has no spread. */
function placeOfSpread(spread: number | null): number | null {
  return spread === null || spread === 0 ? null : Math.floor(Math.log10(spread) + 1e-12);
}

/** A spread to one figure, or to two where the first is a one. */
function spreadText(spread: number): string {
  const place = placeOfSpread(spread);
  if (place === null) return '0';
  return writtenAtPlace(spread, Math.round(spread / 10 ** place) === 1 ? place - 1 : place);
}

export interface RoomFigures {
  readonly mean: string;
  /** Null of one reading. */
  readonly spread: string | null;
  readonly standardError: string | null;
  /** Where the mean lies from the true value, signed; null as long as that is not shown. */
  readonly bias: string | null;
  /** Whether the true value lies outside the 95 % interval of the mean, by Student’s t; null where that cannot be said. */
  readonly isOff: boolean | null;
}

/** What the room has read on average, and how it scatters; null where every reading is far off. */
export function figuresOf({ spread: { near }, usual, unit }: Room, truth: number | null): RoomFigures | null {
  if (!near) return null;
  const { mean, sampleStandardDeviation: s, standardError } = near;
  const place = Math.min(placeOfSpread(s) ?? usual, usual);
  const bias = truth === null ? null : mean - truth;
  return {
    mean: readingText(mean, place, unit),
    spread: s === null ? null : spreadText(s),
    standardError: standardError === null ? null : spreadText(standardError),
    bias: bias === null ? null : writtenAtPlace(bias, place),
    isOff: bias === null || standardError === null ? null : Math.abs(bias) > studentT95(near.n - 1) * standardError,
  };
}

/** Digits as they hang on the wall: those agreed on, and a question mark for the one that scatters. */
export interface DigitsShown {
  readonly certain: string;
  readonly doubtful: string | null;
}

function withColons(digits: string): string {
  return digits.padStart(5, '0').replace(/^(\d+)(\d\d)(\d\d)$/, '$1:$2:$3');
}

/** The digits the room agrees on; the last place is an estimate, even where all wrote the same. */
export function digitsShown({ digits, unit }: Room): DigitsShown {
  const agreed = digits.filter((digit) => digit.agreed);
  const last = agreed.at(-1);
  const isWhole = agreed.length === digits.length;
  if (unit === CLOCK)
    return isWhole && last ? { certain: withColons(last.text), doubtful: null } : { certain: '', doubtful: '?' };
  if (!last) return { certain: '', doubtful: '?' };
  if (!isWhole) {
    const next = digits[agreed.length];
    // The decimal mark belongs to what is agreed on.
    const mark = next !== undefined && next.text.includes('.') && !last.text.includes('.') ? '.' : '';
    return { certain: `${last.text}${mark}`, doubtful: '?' };
  }
  return { certain: last.text.slice(0, -1), doubtful: last.text.slice(-1) };
}

/** What is said under the digits. */
export function digitsInWords({ digits }: Room, of: number): string {
  const agreed = digits.filter((digit) => digit.agreed);
  const last = agreed.at(-1);
  if (of === 1) return 'One reading alone agrees with nobody. Ask for more.';
  if (!last) return 'Two thirds of you agree on no digit yet.';
  if (agreed.length === digits.length) return `${last.count} of ${of} wrote the same, to the last digit.`;
  return `${last.count} of ${of} agree on ${last.text}. The next digit is an estimate.`;
}
