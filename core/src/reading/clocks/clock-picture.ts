import { writtenTime } from '../../numbers/clock-time.ts';
import { Rational } from '../../numbers/rational.ts';
import { startOf, type ClockIndication } from './clock-indication.ts';
import { partsOfTime } from './time-parts.ts';

/** Where three hands point, in degrees clockwise from twelve. */
export interface Hands {
  readonly hour: number;
  readonly minute: number;
  readonly second: number;
}

/** A clock as it is looked at once: its hands, or the characters of its display. */
export interface ClockView {
  readonly caption: string;
  readonly hands: Hands | null;
  readonly characters: string | null;
}

export interface ClockPicture {
  readonly kind: 'clock';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly views: readonly [ClockView, ...ClockView[]];
  /** There is nothing to be done with a clock. */
  readonly handled: null;
}

/** Where the hands stand: the seconds hand moves from mark to mark, the others creep. @param time in seconds since midnight. */
function handsAt(time: number): Hands {
  const { hours, minutes, seconds } = partsOfTime(time);
  return {
    hour: (hours % 12) * 30 + minutes / 2 + seconds / 120,
    minute: minutes * 6 + seconds / 10,
    second: seconds * 6,
  };
}

export function clockPicture(indication: ClockIndication): ClockPicture {
  const { tool, situation, mark } = indication;
  const start = startOf(indication);
  const isDisplay = situation.face === 'display';
  const view = (caption: string, time: number): ClockView => ({
    caption,
    hands: isDisplay ? null : handsAt(time),
    characters: isDisplay ? writtenTime(Rational.of(time), 0) : null,
  });
  return {
    kind: 'clock',
    instrumentId: tool.id,
    unitMark: tool.unit,
    handled: null,
    views: start === null ? [view('now', mark)] : [view('at the start', start), view('at the end', mark)],
  };
}
