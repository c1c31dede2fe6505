import { plainText } from './plain-text.ts';
import { Rational } from './rational.ts';

/** A number as somebody wrote it: `4.70` and `4.7` have one value and are two written numbers. */
export interface WrittenNumber {
  /** The digits as written, brought to plain characters and a decimal point. */
  readonly text: string;
  readonly value: Rational;
  /** Power of ten of the last surely significant digit: 4.70 → −2, 46 → 0, 1500 → 2, 1.50e3 → 1. */
  readonly place: number;
  /** Fewest and most significant figures the text can claim; they differ for whole numbers that end in zeros. */
  readonly atLeast: number;
  readonly atMost: number;
}

/** The text is not a number that can be read. */
export class UnreadableNumberError extends Error {
  override readonly name = 'UnreadableNumberError';
  constructor(
    readonly offending: string,
    reason: string,
  ) {
    super(`“${shortened(offending)}” ${reason}`);
  }
}

/** At most 40 characters of a text, for messages. */
export function shortened(text: string): string {
  return text.length > 40 ? `${text.slice(0, 37)}…` : text;
}

const LONGEST = 120;
const LARGEST_EXPONENT = 300;
const GROUPED = /^([+-]?\d{1,3})(?: \d{3})+(?=$|[.,e*])/i;
const NUMBER = /^([+-]?)(\d+(?:[.,]\d*)?|[.,]\d+)(?:(?:e| ?[*x] ?10 ?\^ ?)([+-]?\d{1,6}))?$/i;

/**
 * Reads a written number. Accepts a decimal comma, full-width digits, any minus sign, `5.26e1`, `5.26 × 10¹`, and thin spaces
 * between groups of three digits.
 * @throws UnreadableNumberError naming the text.
 */
export function parseWrittenNumber(typed: string): WrittenNumber {
  if (typed.length > LONGEST)
    throw new UnreadableNumberError(typed, `is ${typed.length} characters long; a number here has at most ${LONGEST}.`);
  const plain = plainText(typed);
  if (plain === '') throw new UnreadableNumberError(typed, 'is empty; type a number.');
  const ungrouped = GROUPED.test(plain) ? plain.replace(/(?<=\d) (?=\d{3})/g, '') : plain;
  const match = NUMBER.exec(ungrouped);
  if (!match) throw new UnreadableNumberError(typed, 'is not a number; write digits with at most one decimal mark.');
  const sign = match[1] ?? '';
  const digits = (match[2] ?? '').replace(',', '.');
  const exponent = Number(match[3] ?? 0);
  if (Math.abs(exponent) > LARGEST_EXPONENT)
    throw new UnreadableNumberError(typed, `has an exponent beyond ±${LARGEST_EXPONENT}.`);
  return writtenFromParts(sign === '-' ? '-' : '', digits, exponent);
}

function writtenFromParts(sign: '' | '-', digits: string, exponent: number): WrittenNumber {
  const [whole = '', decimals] = digits.split('.');
  const all = (whole + (decimals ?? '')).replace(/^0+/, '');
  const lastPlace = exponent - (decimals?.length ?? 0);
  const text = sign + (whole === '' ? `0${digits}` : digits) + (exponent === 0 ? '' : `e${exponent}`);
  const value = Rational.of(`${sign}${whole || '0'}.${decimals ?? ''}e${exponent}`);
  if (decimals !== undefined || all === '')
    return { text, value, place: lastPlace, atLeast: all.length, atMost: all.length };
  const trailing = /0*$/.exec(all)?.[0].length ?? 0;
  return { text, value, place: lastPlace + trailing, atLeast: all.length - trailing, atMost: all.length };
}

/**
 * Counts the significant figures of a written number.
 * @returns the fewest and the most figures the text can claim, and the place (power of ten) of the last surely significant digit.
 * @example significantFigures('1500') // { atLeast: 2, atMost: 4, place: 2 }
 * @example significantFigures('0.0450') // { atLeast: 3, atMost: 3, place: -4 }
 */
export function significantFigures(text: string): { atLeast: number; atMost: number; place: number } {
  const { atLeast, atMost, place } = parseWrittenNumber(text);
  return { atLeast, atMost, place };
}
