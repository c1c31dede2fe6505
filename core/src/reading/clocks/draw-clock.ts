import type { Aimed } from '../drawing/aimed.ts';
import { sometimesAny } from '../drawing/aimed.ts';
import type { ClockSituation } from './clock-indication.ts';

/** Slips that are made with two times. */
const WITH_TWO_TIMES = [
  'sixty-as-hundred',
  'final-as-delivered',
  'initial-as-delivered',
  'difference-added',
  'difference-turned',
  'difference-borrowed',
];

/** Slips that are made with hands alone. */
const WITH_HANDS = ['hands-exchanged', 'numeral-as-minutes', 'rounded-up', 'marks-counted'];

/** A morning’s times, in seconds since midnight: from eight o’clock to half past ten, with at most two hours to follow. */
const FIRST = 8 * 3600;
const STARTS = 9000;
const SHORTEST = 200;
const LONGEST = 7000;

/** A time, or two of them, to be read from hands or from a display. */
export function drawClock(aimed: Aimed): ClockSituation {
  const { random, at } = aimed;
  const face = WITH_HANDS.some(at) || random.uniform() < 0.5 ? 'hands' : 'display';
  const from = FIRST + random.below(STARTS);
  const value = from + SHORTEST + random.below(LONGEST);
  // A mark too many is counted at both times, and falls out of their difference.
  const isAlone = at('marks-counted') || !sometimesAny(aimed, WITH_TWO_TIMES, 0.75);
  return isAlone ? { value, face } : { value, from, face };
}
