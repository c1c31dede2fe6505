import { CLOCK } from '../units/unit.ts';
import type { Clock } from './instrument.ts';

/** A clock with a seconds hand, or with a display to the second. Its unit counts seconds since midnight. */
export const THE_CLOCK: Clock = {
  id: 'clock',
  name: 'clock',
  skill: 'clocks',
  family: 'clocks',
  unit: CLOCK,
  range: [0, 24 * 3600 - 1],
  division: 1,
  tolerance: { a: 1, b: 1 },
};
