import { NUMBER_SLIPS } from '../../worked-answers/slips/registry.ts';
import { BELIEFS, droppedDigit, extraDigit, trailingZeroDropped } from './choosing.ts';
import {
  bareZerosCounted,
  decimalsCounted,
  innerZerosLeftOut,
  leadingZerosCounted,
  powerCounted,
  trailingZerosLeftOut,
} from './counting.ts';
import type { AnswerSlip, ExerciseSlip } from './slip.ts';
import { faultMisnamed, OVERLOOKED, soundCellMarked } from './tables.ts';

/** Every slip of calculating that is no slip of a number. Diagnosis and the drawing of exercises go by these lists. */
export const ANSWER_SLIPS: readonly AnswerSlip[] = [
  leadingZerosCounted,
  trailingZerosLeftOut,
  innerZerosLeftOut,
  decimalsCounted,
  bareZerosCounted,
  powerCounted,
  droppedDigit,
  trailingZeroDropped,
  extraDigit,
  ...BELIEFS,
  ...OVERLOOKED,
  soundCellMarked,
  faultMisnamed,
];

export const EXERCISE_SLIPS: readonly ExerciseSlip[] = [...NUMBER_SLIPS, ...ANSWER_SLIPS];

const BY_ID: ReadonlyMap<string, ExerciseSlip> = new Map(EXERCISE_SLIPS.map((slip) => [slip.id, slip]));

/** The slip of an exercise with this id; undefined where there is none. */
export function exerciseSlipById(id: string): ExerciseSlip | undefined {
  return BY_ID.get(id);
}
