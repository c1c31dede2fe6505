import { BELIEFS, droppedDigit, extraDigit, trailingZeroDropped } from './choosing.ts';
import {
  factorInverted,
  factorPowerForgotten,
  notConverted,
  offsetForgotten,
  offsetOrder,
  offsetTurned,
} from './conversion.ts';
import {
  bareZerosCounted,
  decimalsCounted,
  innerZerosLeftOut,
  leadingZerosCounted,
  powerCounted,
  trailingZerosLeftOut,
} from './counting.ts';
import type { AnswerSlip, ExerciseSlip, UnitSlip, WorkingSlip, WritingSlip } from './slip.ts';
import { faultMisnamed, OVERLOOKED, soundCellMarked } from './tables.ts';
import { unitMissing, unitWrong } from './units.ts';
import {
  containerNotSubtracted,
  densityTurnedOver,
  diameterAsRadius,
  differenceTurned,
  finalAsDifference,
  hundredForgotten,
  minutesAsDecimal,
  percentOfMeasured,
  roundedBetween,
  wrongColumnMean,
} from './working.ts';
import {
  bareZeros,
  calculatorDigits,
  cutOff,
  decimalsInProduct,
  exactCounted,
  fewestFiguresInSum,
  figuresForDecimals,
  halfOtherWay,
  placeLost,
  powerOfTen,
  roundedTwice,
  tooFewFigures,
  tooManyFigures,
  transposed,
  zeroLost,
} from './writing.ts';

/** Every slip of calculating, by where it happens. Diagnosis and the drawing of exercises go by these lists. */
export const WORKING_SLIPS: readonly WorkingSlip[] = [
  roundedBetween,
  factorInverted,
  factorPowerForgotten,
  notConverted,
  offsetForgotten,
  offsetTurned,
  offsetOrder,
  percentOfMeasured,
  hundredForgotten,
  differenceTurned,
  minutesAsDecimal,
  diameterAsRadius,
  densityTurnedOver,
  finalAsDifference,
  containerNotSubtracted,
  wrongColumnMean,
];
export const WRITING_SLIPS: readonly WritingSlip[] = [
  fewestFiguresInSum,
  decimalsInProduct,
  exactCounted,
  calculatorDigits,
  zeroLost,
  cutOff,
  roundedTwice,
  halfOtherWay,
  figuresForDecimals,
  placeLost,
  bareZeros,
  tooManyFigures,
  tooFewFigures,
  powerOfTen,
  transposed,
];
const UNIT_SLIPS: readonly UnitSlip[] = [unitMissing, unitWrong];
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

export const EXERCISE_SLIPS: readonly ExerciseSlip[] = [
  ...WORKING_SLIPS,
  ...WRITING_SLIPS,
  ...UNIT_SLIPS,
  ...ANSWER_SLIPS,
];

const BY_ID: ReadonlyMap<string, ExerciseSlip> = new Map(EXERCISE_SLIPS.map((slip) => [slip.id, slip]));

/** The slip of an exercise with this id; undefined where there is none. */
export function exerciseSlipById(id: string): ExerciseSlip | undefined {
  return BY_ID.get(id);
}
