import { isPlain, plainText } from '../../numbers/plain-text.ts';
import { parseWrittenNumber, UnreadableNumberError } from '../../numbers/written-number.ts';
import { isOnClock, writtenUnit, type Unit } from '../../units/unit.ts';
import { clockEntry, countedInSeconds } from './clock-entry.ts';
import { fitted, printable, UnreadableEntryError, type Entry } from './entry.ts';

const LONGEST = 80;
const NUMBER_THEN_UNIT =
  /^(?<number>[+-]? ?(?:\d[\d ]*(?:[.,]\d*)?|[.,]\d+)(?: ?[*x] ?10 ?\^ ?[+-]?\d+|e[+-]?\d+)?)(?<unit>.*)$/i;

const FRACTION = /^(?:(?<whole>\d{1,4})(?: +|-))?(?<over>\d{1,3})\/(?<under>2|4|8|16|32) ?(?<unit>[a-z".]*)$/;

/** Inches and a fraction, `4 5/16 in` or `69/16 in`, as the decimal inches they are written as to a hundredth; null for anything else. */
function fractionOf(plain: string, wanted: Unit): Entry | null {
  const parts = plain.includes('/') && writtenUnit(wanted) === 'in' ? FRACTION.exec(plain)?.groups : undefined;
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
  if (isPlain(typed)) return typed;
  return typed
    .replace(/(?<=\d)[·∙⋅](?=\d)(?!10 ?[\^⁰¹²³⁴-⁹⁻])/g, '.')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (one) => ` ${VULGAR[one] ?? one}`);
}

/** A reading without the uncertainty that was written with it: the half-width is no part of the reading. */
function withoutUncertainty(plain: string): string {
  if (!/±|\+\/?-/.test(plain)) return plain;
  const parts = /^\(?(?<before>.*?)(?:±|\+\/-|\+-) ?[\d.,]+ ?(?<after>[^\d]*)$/.exec(plain)?.groups;
  if (!parts) return plain;
  const [before, after] = [(parts['before'] ?? '').trim(), (parts['after'] ?? '').replace(')', '').trim()];
  return /[^\d.,\s+-]/.test(before) || after === '%' ? before : `${before} ${after}`;
}

/** So many in a unit, as `21 drops/mL`, `21 1/mL` and `21 per mL` are `21 /mL`. */
function countedPer(plain: string, wanted: Unit): string {
  return writtenUnit(wanted).startsWith('1/')
    ? plain.replace(/(?<=\d) *(?: 1|[a-z]+)? *(?:\/|(?<=[\d ])per +)(?=[a-z])/i, ' /')
    : plain;
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
  const plain = countedPer(withoutUncertainty(plainText(withPlainSigns(typed))), wanted);
  if (plain === '') throw new UnreadableEntryError('Type a number and its unit.');
  if (isOnClock(wanted)) {
    const time = clockEntry(plain);
    if (time) return time;
  }
  const fraction = fractionOf(plain, wanted);
  if (fraction) return fraction;
  const parts = NUMBER_THEN_UNIT.exec(plain)?.groups;
  if (!parts || /^[\d.,+-]/.test((parts['unit'] ?? '').trim()))
    throw new UnreadableEntryError(
      `“${printable(typed.trim().slice(0, 30))}” is not a number and a unit. Write the digits, with at most one decimal mark, and then the unit.`,
    );
  try {
    const number = parseWrittenNumber((parts['number'] ?? '').replace(/^([+-]) /, '$1'));
    const entry = fitted(number, asUnit(parts['unit']), wanted);
    return isOnClock(wanted) ? countedInSeconds(entry) : entry;
  } catch (error) {
    if (error instanceof UnreadableNumberError) throw new UnreadableEntryError(error.message);
    throw error;
  }
}
