import { Rational } from '../../numbers/rational.ts';
import { acceptedAnswers, acceptedReadings, HAIR, isOnScale, marksBeside } from '../indication/acceptance.ts';
import type { Indication } from '../indication/indication.ts';
import { resolutionOf } from '../indication/resolution.ts';
import { expectedFrom, numberWritten } from '../indication/written.ts';
import { lastPlaceOf, type Entry } from './entry.ts';
import { countSlipsOn } from './hypotheses.ts';
import type { Measure } from './measure.ts';

/**
 * How near to right a reading is: within the band, or with further digits that were not measured; the right reading cut or rounded by one
 * place, or a mark beside it where estimating adds no place; or neither.
 */
export type Nearness = 'right' | 'cut' | 'wrong';

/** True for the last mark or the nearest one where estimating adds no place: read rightly, and not estimated. */
function isMarkBeside(indication: Indication, entered: number): boolean {
  const { mark, subtracted } = indication;
  return (
    mark !== null && marksBeside(indication, mark).some((beside) => Math.abs(beside - subtracted - entered) <= HAIR)
  );
}

/** What is left of a reading when a part of the tool was not read at all, as a vernier, is another slip than a digit left out. */
function leftAPartOut(indication: Indication, entered: number): boolean {
  const { mark, subtracted } = indication;
  if (mark === null) return false;
  return countSlipsOn(indication).some((slip) =>
    slip
      .counted(indication, mark)
      .some(({ value, place }) => place !== undefined && Math.abs(value - subtracted - entered) <= HAIR),
  );
}

/** The right reading cut or rounded to the place that was written. */
function isCut(indication: Indication, entry: Entry): boolean {
  const right = Rational.of(numberWritten(expectedFrom(indication).text));
  const entered = Rational.of(entry.value);
  return (
    right.roundedTo(Math.min(0, entry.place), 'down').equals(entered) || right.roundedTo(entry.place).equals(entered)
  );
}

/** How near an entry is to the right reading, whatever its unit and its digits. */
export function nearness(indication: Indication, entry: Entry, measure: Measure): Nearness {
  if (!isOnScale(indication, entry.value)) return 'wrong';
  const unmeasured = entry.place < measure.place ? 10 ** measure.place - 2 * HAIR : 0;
  const accepted = acceptedFor(indication, entry);
  if (accepted.some((reading) => Math.abs(reading - entry.value) <= unmeasured + HAIR)) return 'right';
  if (Math.abs(entry.value - indication.answer) <= measure.band + HAIR) return 'right';
  if (isMarkBeside(indication, entry.value)) return 'cut';
  const oneShort = entry.place === measure.place + 1 && !leftAPartOut(indication, entry.value);
  return oneShort && isCut(indication, entry) ? 'cut' : 'wrong';
}

/** Readings that are right for what was written: who writes a fraction has read to the nearest mark or, in half sixteenths, the middle of a space. */
function acceptedFor(indication: Indication, { fractionOf }: Entry): readonly number[] {
  if (fractionOf === null) return acceptedAnswers(indication);
  const { resolution, rules, answer } = indication;
  const estimate = fractionOf > 16 ? 'half-division' : 'nearest-division';
  return acceptedReadings(resolutionOf(resolution.division, estimate), rules, answer);
}

/** How far a quantity in another unit may be off for its own last digit. */
function ownLastDigit({ number, otherUnit }: Entry): number {
  if (otherUnit === null || otherUnit.isPowerOfTen) return 0;
  return 0.5 * 10 ** lastPlaceOf(number) * otherUnit.factor;
}

/** Whether an entry is right as it stands: number, digits and unit. */
export function isSound(indication: Indication, entry: Entry, { place }: Measure): boolean {
  const { value, unit } = entry;
  if (unit !== 'fits' || entry.place !== place || !isOnScale(indication, value)) return false;
  const reach = ownLastDigit(entry) + HAIR;
  return acceptedFor(indication, entry).some((reading) => Math.abs(reading - value) <= reach);
}

/** Zeros at the end of a quantity in another unit may only hold places: 400 mm for 40 cm. */
export function placedFor(entry: Entry, { place }: Measure): Entry {
  const holdsPlaces = entry.otherUnit !== null && entry.place < place && place <= entry.surePlace;
  return holdsPlaces ? { ...entry, place } : entry;
}

/** What an entry in another unit is besides: the digits as they stand, with a unit that is not the tool’s. Null where only the point moves. */
export function asDigits(entry: Entry): Entry | null {
  const { number, otherUnit } = entry;
  if (otherUnit === null || otherUnit.isPowerOfTen) return null;
  return {
    ...entry,
    value: number.value.toNumber(),
    place: lastPlaceOf(number),
    surePlace: number.place,
    unit: 'wrong',
    otherUnit: null,
  };
}
