import { plainText } from '../../numbers/plain-text.ts';
import {
  parseWrittenNumber,
  shortened,
  UnreadableNumberError,
  type WrittenNumber,
} from '../../numbers/written-number.ts';
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

/** A text as it can be shown and kept: characters that are none, as a null or half a pair, are marked. */
function printable(text: string): string {
  return text.replace(/\p{C}/gu, '\ufffd');
}

/** @throws UnreadableEntryError for a spelling that is not understood. */
function unitOf(text: string, wanted: Unit): Unit {
  const unit = knownUnit(text) ?? knownUnit(inSymbols(text));
  if (unit) return unit;
  throw new UnreadableEntryError(
    `The unit “${shortened(printable(text))}” is not understood here; write it as ${writtenUnit(wanted)}.`,
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

function fitted(number: WrittenNumber, unitText: string, wanted: Unit, fractionOf: number | null = null): Entry {
  const last = lastPlaceOf(number);
  const bare = {
    number,
    value: number.value.toNumber(),
    place: last,
    surePlace: number.place,
    otherUnit: null,
    fractionOf,
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

const FRACTION = /^(?:(?<whole>\d{1,4})(?: +|-))?(?<over>\d{1,3})\/(?<under>2|4|8|16|32) ?(?<unit>[a-z".]*)$/;

/** Inches and a fraction, `4 5/16 in` or `69/16 in`, as the decimal inches they are written as to a hundredth; null for anything else. */
function fractionOf(plain: string, wanted: Unit): Entry | null {
  const parts = writtenUnit(wanted) === 'in' ? FRACTION.exec(plain)?.groups : undefined;
  if (!parts) return null;
  const [whole, over, under] = [parts['whole'], Number(parts['over']), Number(parts['under'])];
  if (whole !== undefined && over >= under) return null;
  const value = Number(whole ?? 0) + over / under;
  return fitted(parseWrittenNumber(value.toFixed(2)), asUnit(parts['unit']), wanted, under);
}

/** Fractions that a keyboard has as one character. */
const VULGAR: Readonly<Record<string, string>> = {
  '½': '1/2',
  '¼': '1/4',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
};

/** Signs that stand for other ones in a reading: a raised dot for the decimal point, unless a power of ten follows, and whole fractions. */
function withPlainSigns(typed: string): string {
  return typed
    .replace(/(?<=\d)[·∙⋅](?=\d)(?!10 ?[\^⁰¹²³⁴-⁹⁻])/g, '.')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (one) => ` ${VULGAR[one] ?? one}`);
}

/** A reading without the uncertainty that was written with it: the half-width is no part of the reading. */
function withoutUncertainty(plain: string): string {
  const parts = /^\(?(?<before>.*?)(?:±|\+\/-|\+-) ?[\d.,]+ ?(?<after>[^\d]*)$/.exec(plain)?.groups;
  if (!parts) return plain;
  const [before, after] = [(parts['before'] ?? '').trim(), (parts['after'] ?? '').replace(')', '').trim()];
  return /[^\d.,\s+-]/.test(before) || after === '%' ? before : `${before} ${after}`;
}

/** A unit without the point that ends an abbreviation. */
function asUnit(text = ''): string {
  return text.trim().replace(/\.$/, '');
}

/**
 * Takes an entry such as `52.6 mL`, `52,6ml`, `５２.６`, `37·4 ± 0.2 mL` or `4½ in` apart.
 * @param wanted the instrument's unit.
 * @throws UnreadableEntryError with a message for the person who typed it.
 */
export function parseEntry(typed: string, wanted: Unit): Entry {
  if (typed.length > LONGEST)
    throw new UnreadableEntryError(`That is ${typed.length} characters; a reading has at most ${LONGEST}.`);
  const plain = withoutUncertainty(plainText(withPlainSigns(typed)));
  if (plain === '') throw new UnreadableEntryError('Nothing is written yet; type a number and its unit.');
  const fraction = fractionOf(plain, wanted);
  if (fraction) return fraction;
  const parts = NUMBER_THEN_UNIT.exec(plain)?.groups;
  if (!parts || /^[\d.,+-]/.test((parts['unit'] ?? '').trim()))
    throw new UnreadableEntryError(
      `“${printable(typed.trim().slice(0, 30))}” is not a number and a unit; write the digits with at most one decimal mark, then the unit.`,
    );
  try {
    return fitted(parseWrittenNumber((parts['number'] ?? '').replace(/^([+-]) /, '$1')), asUnit(parts['unit']), wanted);
  } catch (error) {
    if (error instanceof UnreadableNumberError) throw new UnreadableEntryError(error.message);
    throw error;
  }
}
