import { beamOmitted, beamsSwapped, containerIncluded, notBalanced, notSeated, notZeroed, riderUp } from './balance.ts';
import { endNotZero, finalAsDelivered, whatIsLeft, zeroIgnored, zeroNegativeMisread, zeroSign } from './correction.ts';
import {
  divisionMiscounted,
  labelAbove,
  marksCounted,
  otherScale,
  roundedUp,
  signLost,
  sixteenthsAsTenths,
  upsideDown,
} from './counting.ts';
import { powerOfTen, transposed } from './digits.ts';
import { eyeAside, eyeHigh, eyeLow, unsettled } from './eye-level.ts';
import { meniscusEdge, meniscusLow } from './meniscus.ts';
import { droppedDigit, extraDigit, trailingZeroDropped, unitMissing, unitWrong } from './record.ts';
import { halfInvented, halfMissed, thimbleAsTenths, thimbleWrongWay } from './thimble.ts';
import {
  coincidenceOnMain,
  mainMarkAfter,
  vernierCountAsTenths,
  vernierEdge,
  vernierIgnored,
  vernierLabelAsCount,
  vernierNeighbour,
} from './vernier.ts';
import type { CorrectionSlip, CountSlip, DigitsSlip, FormSlip, SightSlip, Slip } from './slip.ts';

/** Every reading slip, by the stage of reading at which it happens. Diagnosis, drawing of items and the class board go by this list. */
export const SIGHT_SLIPS: readonly SightSlip[] = [eyeHigh, eyeLow, eyeAside, meniscusEdge, meniscusLow, unsettled];
export const COUNT_SLIPS: readonly CountSlip[] = [
  roundedUp,
  labelAbove,
  upsideDown,
  divisionMiscounted,
  marksCounted,
  otherScale,
  signLost,
  sixteenthsAsTenths,
  vernierEdge,
  mainMarkAfter,
  vernierCountAsTenths,
  vernierLabelAsCount,
  vernierNeighbour,
  vernierIgnored,
  coincidenceOnMain,
  halfMissed,
  halfInvented,
  thimbleAsTenths,
  thimbleWrongWay,
  riderUp,
  beamsSwapped,
  beamOmitted,
  notSeated,
  notBalanced,
];
export const CORRECTION_SLIPS: readonly CorrectionSlip[] = [
  zeroIgnored,
  zeroSign,
  zeroNegativeMisread,
  notZeroed,
  containerIncluded,
  whatIsLeft,
  finalAsDelivered,
  endNotZero,
];
export const DIGITS_SLIPS: readonly DigitsSlip[] = [powerOfTen, transposed];
const FORM_SLIPS: readonly FormSlip[] = [droppedDigit, trailingZeroDropped, extraDigit, unitMissing, unitWrong];

export const SLIPS: readonly Slip[] = [
  ...SIGHT_SLIPS,
  ...COUNT_SLIPS,
  ...CORRECTION_SLIPS,
  ...DIGITS_SLIPS,
  ...FORM_SLIPS,
];

const BY_ID: ReadonlyMap<string, Slip> = new Map(SLIPS.map((slip) => [slip.id, slip]));

/** No slip has this id. */
export class UnknownSlipError extends Error {
  override readonly name = 'UnknownSlipError';
  constructor(readonly offending: string) {
    super(`aim: “${offending}” is not a slip known here.`);
  }
}

/** @throws UnknownSlipError naming the id. */
export function slipById(id: string): Slip {
  const slip = BY_ID.get(id);
  if (!slip) throw new UnknownSlipError(id);
  return slip;
}
