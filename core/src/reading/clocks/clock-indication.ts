import type { Clock } from '../../instruments/instrument.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, type AnySituation, type Indication, type Posed } from '../indication/indication.ts';
import { resolutionOf, type Resolution } from '../indication/resolution.ts';
import { checkChoice, checkNumber, SituationError } from '../indication/situation-error.ts';

/** A clock at one time, or at two of them. */
export interface ClockSituation extends AnySituation {
  /** When it began, in seconds since midnight; what has passed since is asked for. */
  readonly from?: number;
  /** With hands unless it has a display. */
  readonly face?: Face;
}

export type Face = 'hands' | 'display';

export const CLOCK_FIELDS = ['from', 'face'] as const;

/** A face of twelve hours shows each time once between one o’clock and one o’clock, in seconds. */
const ONCE = [3600, 13 * 3600 - 1] as const;

/** @throws SituationError */
export function checkClock(tool: Clock, { value, from, face }: ClockSituation): void {
  checkChoice('face', face, ['hands', 'display']);
  const [least, most] = face === 'display' ? tool.range : ONCE;
  const unit = 's since midnight';
  checkNumber('value', value, least, most, unit);
  if (from !== undefined) checkNumber('from', from, least, most, unit);
  if (from !== undefined && from > value) throw new SituationError('from', 'it begins before it ends.');
  for (const [field, time] of [['value', value] as const, ['from', from ?? 0] as const])
    if (!Number.isInteger(time)) throw new SituationError(field, 'a clock moves on second by second.');
}

/** A clock as it stands: the time at the end, or the only one. */
export interface ClockIndication extends Indication<Clock, ClockSituation> {
  readonly mark: number;
}

/** A clock is read to the second: its hand rests on a mark, and its display shows every digit. */
export function clockResolution({ division }: Clock): Resolution {
  return { ...resolutionOf(division, 'displayed'), step: division, place: 0, onClock: true };
}

const CLOCK_WORDS = {
  digit: 'This clock shows seconds, and a time is written as far as the clock shows it.',
  zero: 'A clock shows two digits for the seconds, zeros too.',
};

/** The time that is to be taken off; null where one time alone is asked for. */
export function startOf({ asked, situation }: Pick<ClockIndication, 'asked' | 'situation'>): number | null {
  return asked === 'delivered' ? (situation.from ?? null) : null;
}

export function clockIndication(posed: Posed<Clock, ClockSituation>): ClockIndication {
  const { tool, situation } = posed;
  const mark = situation.value;
  return {
    ...indicationFrom(posed, {
      resolution: clockResolution(tool),
      mark,
      subtracted: askedIn(situation) === 'delivered' ? (situation.from ?? 0) : 0,
      words: CLOCK_WORDS,
    }),
    mark,
  };
}
