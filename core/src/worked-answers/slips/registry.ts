import {
  factorInverted,
  factorPowerForgotten,
  notConverted,
  offsetForgotten,
  offsetOrder,
  offsetTurned,
} from './conversion.ts';
import type { NumberSlip, UnitSlip, WorkingSlip, WritingSlip } from './slip.ts';
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

/** Slips of working, by which another calculation is made. */
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
export const UNIT_SLIPS: readonly UnitSlip[] = [unitMissing, unitWrong];

/** Every slip that an answer with a number can show. */
export const NUMBER_SLIPS: readonly NumberSlip[] = [...WORKING_SLIPS, ...WRITING_SLIPS, ...UNIT_SLIPS];
