import {
  factorInverted,
  factorPowerForgotten,
  notConverted,
  offsetForgotten,
  offsetOrder,
  offsetTurned,
} from './conversion.ts';
import type { NumberSlip, UnitSlip, WorkingSlip, WritingSlip } from './slip.ts';
import {
  deviationByN,
  excludedCounted,
  meanNotDivided,
  rootForgotten,
  slopeTurnedOver,
  valueLeftOut,
} from './statistics.ts';
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
  zeroIgnored,
  zeroSign,
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
  meanNotDivided,
  valueLeftOut,
  deviationByN,
  rootForgotten,
  slopeTurnedOver,
  excludedCounted,
  zeroIgnored,
  zeroSign,
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

/** Every slip that an answer with a number can show. */
export const NUMBER_SLIPS: readonly NumberSlip[] = [...WORKING_SLIPS, ...WRITING_SLIPS, ...UNIT_SLIPS];

/** The slip with this id; undefined where there is none. */
export function numberSlipById(slip: string): NumberSlip | undefined {
  return NUMBER_SLIPS.find(({ id }) => id === slip);
}
