import { decimalOf } from '../numbers/decimal.ts';
import type { Measured } from './measured.ts';

/** How many guard digits are shown behind the digits that count. */
const GUARD = 3;
/** An exact number whose digits do not end is cut after so many. */
const SHOWN = 12;

/** A measured number with its guard digits: the digits that count, and up to three more. */
export function withGuardDigits({ value, place }: Measured): { kept: string; guard: string } {
  if (place === -Infinity) return { kept: decimalOf(value).toSignificantDigits(SHOWN).toFixed(), guard: '' };
  const decimals = Math.max(0, -place);
  const long = value.toFixed(decimals + GUARD);
  const point = long.indexOf('.');
  const cut = decimals > 0 ? point + 1 + decimals : Math.max(long.startsWith('-') ? 1 : 0, point - place);
  // Zeros that only fill up to the third guard digit say nothing.
  return { kept: long.slice(0, cut), guard: long.slice(cut).replace(cut > point ? /0+$/ : /\.0*$|(?<=\..*)0+$/, '') };
}
