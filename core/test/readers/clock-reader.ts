import type { ClockPicture } from '../../src/index.ts';
import type { Habit, Reader } from './prove-readers.ts';

/** What is read off one face or display. */
export interface Time {
  readonly h: number;
  readonly m: number;
  readonly s: number;
}

const DEGREES_A_LINE = 6;
const DEGREES_A_NUMBER = 30;

function seenOn({ hands, characters }: ClockPicture['views'][number]): Time {
  if (hands === null) {
    const [h = 0, m = 0, s = 0] = (characters ?? '').split(':').map(Number);
    return { h, m, s };
  }
  const h = Math.floor(hands.hour / DEGREES_A_NUMBER);
  return {
    h: h === 0 ? 12 : h,
    m: Math.floor(hands.minute / DEGREES_A_LINE + 1e-6),
    s: Math.round(hands.second / DEGREES_A_LINE),
  };
}

/** What is seen on the face, or on both, of a clock; the one at the end comes last. */
export function timesOn({ picture }: Reader<ClockPicture>): { readonly start: Time | null; readonly end: Time } {
  const [first, second] = picture.views;
  return second === undefined ? { start: null, end: seenOn(first) } : { start: seenOn(first), end: seenOn(second) };
}

const two = (part: number): string => String(part).padStart(2, '0');

export function withColons({ h, m, s }: Time): string {
  return `${h}:${two(m)}:${two(s)}`;
}

/** Taken off in columns, by somebody who borrows sixty, or so many as he thinks, and takes what is borrowed off again, or forgets to. */
export function tookOff(end: Time, start: Time, { base = 60, forgets = '' } = {}): Time {
  let [h, m, s] = [end.h - start.h, end.m - start.m, end.s - start.s];
  if (s < 0) {
    s += base;
    if (forgets !== 'minute') m -= 1;
  }
  if (m < 0) {
    m += base;
    if (forgets !== 'hour') h -= 1;
  }
  return { h, m, s };
}

/** Reads each face in some way, and takes the start off the end in another. */
export function elapsed(
  reader: Reader<ClockPicture>,
  taken: (end: Time, start: Time) => Time = (end, start) => tookOff(end, start),
  read: (time: Time) => Time = (time) => time,
): string {
  const { start, end } = timesOn(reader);
  return withColons(start === null ? read(end) : taken(read(end), start));
}

export const careful: Habit<ClockPicture> = (reader) => elapsed(reader);
