import { plainText } from '../../numbers/plain-text.ts';
import { parseWrittenNumber, UnreadableNumberError, type WrittenNumber } from '../../numbers/written-number.ts';
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
  /** Place of the last digit, in the instrument's unit. */
  readonly place: number;
  readonly unit: 'fits' | 'missing' | 'wrong';
  /** Written as inches and a common fraction. */
  readonly isFraction: boolean;
}

/** Why an entry could not be taken as a reading. */
export class UnreadableEntryError extends Error {
  override readonly name = 'UnreadableEntryError';
}

const LONGEST = 80;
const NUMBER_THEN_UNIT =
  /^(?<number>[+-]? ?(?:\d[\d ]*(?:[.,]\d*)?|[.,]\d+)(?: ?[*x] ?10 ?\^ ?[+-]?\d+|e[+-]?\d+)?)(?<unit>.*)$/i;

function knownUnit(text: string): Unit | null {
  try {
    return parseUnit(text);
  } catch (error) {
    if (error instanceof UnknownUnitError) return null;
    throw error;
  }
}

function unitOf(text: string): Unit | 'unknown' {
  return knownUnit(text) ?? knownUnit(inSymbols(text)) ?? 'unknown';
}

function fitted(number: WrittenNumber, unitText: string, wanted: Unit, isFraction = false): Entry {
  const bare = { number, value: number.value.toNumber(), place: lastWrittenPlace(number), isFraction };
  if (unitText === '') return { ...bare, unit: 'missing' };
  if (unitText === writtenUnit(wanted)) return { ...bare, unit: 'fits' };
  const unit = unitOf(unitText);
  if (unit === 'unknown' || !sameKind(unit, wanted)) return { ...bare, unit: 'wrong' };
  if (conversion(unit, wanted).length === 0) return { ...bare, unit: 'fits' };
  const value = converted(number.value, unit, wanted).toNumber();
  return {
    ...bare,
    value,
    place: bare.place + Math.round(Math.log10(conversionFactor(unit, wanted).toNumber())),
    unit: 'fits',
  };
}

/** Place of the last digit written, trailing zeros included: a reading of 40 claims its ones. */
function lastWrittenPlace(number: WrittenNumber): number {
  return number.place - (number.atMost - number.atLeast);
}

const FRACTION = /^(?:(?<whole>\d{1,4})(?: +|-))?(?<over>\d{1,2})\/(?<under>2|4|8|16|32) ?(?<unit>[a-z"]*)$/;

/** Inches and a fraction, `4 5/16 in`, as the decimal inches they are written as to a hundredth; null for anything else. */
function fractionOf(plain: string, wanted: Unit): Entry | null {
  const parts = writtenUnit(wanted) === 'in' ? FRACTION.exec(plain)?.groups : undefined;
  if (!parts || Number(parts['over']) >= Number(parts['under'])) return null;
  const value = Number(parts['whole'] ?? 0) + Number(parts['over']) / Number(parts['under']);
  return fitted(parseWrittenNumber(value.toFixed(2)), parts['unit'] ?? '', wanted, true);
}

/**
 * Takes an entry such as `52.6 mL`, `52,6ml` or `５２.６` apart.
 * @param wanted the instrument's unit.
 * @throws UnreadableEntryError with a message for the person who typed it.
 */
export function parseEntry(typed: string, wanted: Unit): Entry {
  if (typed.length > LONGEST)
    throw new UnreadableEntryError(`That is ${typed.length} characters; a reading has at most ${LONGEST}.`);
  const plain = plainText(typed);
  if (plain === '') throw new UnreadableEntryError('Nothing is written yet; type a number and its unit.');
  const fraction = fractionOf(plain, wanted);
  if (fraction) return fraction;
  const parts = NUMBER_THEN_UNIT.exec(plain)?.groups;
  if (!parts || /^[\d.,+-]/.test((parts['unit'] ?? '').trim()))
    throw new UnreadableEntryError(
      `“${typed.trim().slice(0, 30)}” is not a number and a unit; write the digits with at most one decimal mark, then the unit.`,
    );
  try {
    return fitted(
      parseWrittenNumber((parts['number'] ?? '').replace(/^([+-]) /, '$1')),
      (parts['unit'] ?? '').trim(),
      wanted,
    );
  } catch (error) {
    if (error instanceof UnreadableNumberError) throw new UnreadableEntryError(error.message);
    throw error;
  }
}
