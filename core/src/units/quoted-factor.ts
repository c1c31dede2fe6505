import { plainText } from '../numbers/plain-text.ts';
import { Rational } from '../numbers/rational.ts';
import { parseWrittenNumber, shortened, UnreadableNumberError } from '../numbers/written-number.ts';
import type { QuotedFactor } from './chain.ts';
import {
  conversionFactor,
  parseUnit,
  temperatureScale,
  termsOf,
  UnitMismatchError,
  UnknownUnitError,
  type Unit,
} from './unit.ts';

/** A relation a class may quote is not one: it cannot be read, mixes kinds, or is far from the truth. */
export class QuotedFactorError extends Error {
  override readonly name = 'QuotedFactorError';
  constructor(text: string, reason: string) {
    super(`“${shortened(text)}” ${reason}`);
  }
}

const FORM = /^([\d.]+)\s*(\D[^=]*)=\s*([\d.]+)\s*(\D.*)$/;
/** A rounded factor is at most so far from the exact one. */
const FARTHEST = 0.05;

function sideOf(count: string, unit: Unit, text: string): QuotedFactor['first'] {
  const [term, ...others] = termsOf(unit);
  if (!term || others.length > 0 || term.power < 1)
    throw new QuotedFactorError(text, 'has to relate two single units.');
  parseWrittenNumber(count);
  return { count, ...term };
}

/**
 * Reads a relation a class quotes: `1 lb = 454 g`. Its digits count as written.
 * @throws QuotedFactorError naming the text.
 */
export function parseQuotedFactor(text: string): QuotedFactor {
  const parts = FORM.exec(plainText(text));
  if (!parts) throw new QuotedFactorError(text, 'is not of the form 1 lb = 454 g.');
  const [, firstCount = '', firstUnit = '', secondCount = '', secondUnit = ''] = parts;
  try {
    const [from, to] = [parseUnit(firstUnit), parseUnit(secondUnit)];
    if (temperatureScale(from) !== null)
      throw new QuotedFactorError(text, 'is about temperatures, whose scales are fixed by definition.');
    const first = sideOf(firstCount, from, text);
    const second = sideOf(secondCount, to, text);
    const ratio = Rational.of(secondCount)
      .dividedBy(Rational.of(firstCount))
      .dividedBy(conversionFactor(from, to))
      .toNumber();
    if (!(Math.abs(ratio - 1) <= FARTHEST))
      throw new QuotedFactorError(text, 'is more than 5 % from the exact relation.');
    return { first, second, quoted: true };
  } catch (error) {
    if (
      error instanceof UnknownUnitError ||
      error instanceof UnitMismatchError ||
      error instanceof UnreadableNumberError ||
      error instanceof RangeError
    )
      throw new QuotedFactorError(text, `cannot be used: ${error.message}`);
    throw error;
  }
}
