import { shortened, type WrittenNumber } from '../../numbers/written-number.ts';
import {
  conversion,
  conversionFactor,
  converted,
  parseUnit,
  sameKind,
  UnknownUnitError,
  writtenUnit,
  type Unit,
} from '../../units/unit.ts';
import { inSymbols } from '../../units/spelled-unit.ts';

/** A student's entry taken apart: the number as written, and whether its unit fits. */
export interface Entry {
  readonly number: WrittenNumber;
  /** In the instrument's unit when the unit fits, else the bare number. */
  readonly value: number;
  /** Place of the last digit, in the instrument's unit; of a quantity in another unit, where its last zeros may be placeholders, the coarsest. */
  readonly place: number;
  /** Place of the last digit that is surely measured: zeros at the end of a whole number may only hold places. */
  readonly surePlace: number;
  readonly unit: 'fits' | 'missing' | 'wrong';
  /** The number and unit as written, where the unit is another one of the instrument's kind. */
  readonly otherUnit: OtherUnit | null;
  /** The smallest part of an inch in which it is written: 16 of `4 5/16 in`; null for decimals. */
  readonly fractionOf: number | null;
  /** Hours, minutes and seconds as they were written, with colons: `0:31:33`; null for anything else. */
  readonly clock: string | null;
}

/** A quantity in another unit than the instrument's. */
export interface OtherUnit {
  readonly symbol: string;
  /** How many of the instrument's units one of these is; of temperatures, of their degrees. */
  readonly factor: number;
  /** Only the decimal point moves from the one unit to the other. */
  readonly isPowerOfTen: boolean;
}

/** Why an entry could not be taken as a reading. */
export class UnreadableEntryError extends Error {
  override readonly name = 'UnreadableEntryError';
}

function knownUnit(text: string): Unit | null {
  try {
    return parseUnit(text);
  } catch (error) {
    if (error instanceof UnknownUnitError) return null;
    throw error;
  }
}

/** A text as it can be shown and kept: characters that are none, as a null or half a pair, are marked. */
export function printable(text: string): string {
  return text.replace(/\p{C}/gu, '\ufffd');
}

/** @throws UnreadableEntryError for a spelling that is not understood. */
function unitOf(text: string, wanted: Unit): Unit {
  const unit = knownUnit(text) ?? knownUnit(inSymbols(text));
  if (unit) return unit;
  throw new UnreadableEntryError(
    `The unit “${shortened(printable(text))}” is not known here. Write it as ${writtenUnit(wanted)}.`,
  );
}

/** The other unit, or null where it is the instrument's own by another name, as cm³ and mL. */
function otherUnit(unit: Unit, wanted: Unit): OtherUnit | null {
  const steps = conversion(unit, wanted);
  if (steps.length === 0) return null;
  const factor = conversionFactor(unit, wanted).toNumber();
  const isPowerOfTen = steps.every((step) => 'times' in step) && Number.isInteger(Math.log10(factor));
  return { symbol: writtenUnit(unit), factor, isPowerOfTen };
}

/** A number with its unit, in the instrument’s unit where it can be. @throws UnreadableEntryError for a unit that is not understood. */
export function fitted(number: WrittenNumber, unitText: string, wanted: Unit, fractionOf: number | null = null): Entry {
  const last = lastPlaceOf(number);
  const bare = {
    number,
    value: Number(number.text),
    place: last,
    surePlace: number.place,
    otherUnit: null,
    fractionOf,
    clock: null,
  };
  if (unitText === '') return { ...bare, unit: 'missing' };
  if (unitText === writtenUnit(wanted)) return { ...bare, unit: 'fits' };
  const unit = unitOf(unitText, wanted);
  if (!sameKind(unit, wanted)) return { ...bare, unit: 'wrong' };
  const other = otherUnit(unit, wanted);
  if (other === null) return { ...bare, unit: 'fits' };
  const places = Math.round(Math.log10(other.factor));
  return {
    ...bare,
    value: converted(number.value, unit, wanted).toNumber(),
    place: last + places,
    surePlace: number.place + places,
    unit: 'fits',
    otherUnit: other,
  };
}

/** Place of the last digit written, trailing zeros included: a reading of 40 claims its ones. */
export function lastPlaceOf(number: WrittenNumber): number {
  return number.place - (number.atMost - number.atLeast);
}
