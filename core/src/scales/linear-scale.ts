import { withoutDustBeyond } from '../numbers/rounding.ts';

/** A graduation with equal divisions, in the instrument's unit. `down` means that the numbers grow downward. */
export interface LinearScale {
  readonly from: number;
  readonly to: number;
  readonly division: number;
  /** A label stands at every multiple of this. */
  readonly labelEvery: number;
  /** A medium line stands at every multiple of this. */
  readonly mediumEvery: number;
  readonly direction: 'up' | 'down';
  /** Decimals printed on the labels, where they are more than the numbers need. */
  readonly labelDecimals?: number;
}

export type MarkRank = 'long' | 'medium' | 'short';

/** One engraved line: where it stands on the scale, how long it is, and the number beside it. */
export interface Mark {
  readonly at: number;
  readonly rank: MarkRank;
  readonly label: string | null;
}

/** Decimals needed to write a division exactly: 0.1 → 1, 2 → 0, 0.5 → 1. */
export function decimalsOf(step: number): number {
  const known = DECIMALS.get(step);
  if (known !== undefined) return known;
  const [, decimals = '', exponent = '0'] = /^\d+(?:\.(\d+))?(?:e([+-]\d+))?$/.exec(String(step)) ?? [];
  const count = Math.max(0, decimals.length - Number(exponent));
  DECIMALS.set(step, count);
  return count;
}

/** The steps in use are few: every division of the catalogue and its parts. */
const DECIMALS = new Map<number, number>();

/** The first digit of a division: 0.1 → 1, 2 → 2, 0.5 → 5. It decides how a space is estimated. */
export function leadingDigit(division: number): 1 | 2 | 5 {
  const digit = Math.round(division / 10 ** Math.floor(Math.log10(division) + 1e-9));
  if (digit !== 1 && digit !== 2 && digit !== 5)
    throw new RangeError(`division: ${division} does not start with 1, 2 or 5.`);
  return digit;
}

/** The multiple of `step` numbered `count`, free of the dust that repeated addition of doubles leaves. */
export function multipleOf(step: number, count: number): number {
  return withoutDustBeyond(step * count, decimalsOf(step));
}

/** Every mark of a scale from its lower to its upper end. */
export function marksOf(scale: LinearScale): Mark[] {
  const first = Math.round(scale.from / scale.division);
  const last = Math.round(scale.to / scale.division);
  const perLabel = Math.round(scale.labelEvery / scale.division);
  const perMedium = Math.round(scale.mediumEvery / scale.division);
  return Array.from({ length: last - first + 1 }, (_, i): Mark => {
    const count = first + i;
    const at = multipleOf(scale.division, count);
    if (count % perLabel === 0)
      return {
        at,
        rank: 'long',
        label: scale.labelDecimals === undefined ? String(at) : at.toFixed(scale.labelDecimals),
      };
    return { at, rank: count % perMedium === 0 ? 'medium' : 'short', label: null };
  });
}

/** The last multiple passed, counting away from zero, below zero too; a hair's breadth short of it counts as on it. */
function lastPassed(step: number, value: number): number {
  return Math.sign(value) * multipleOf(step, Math.floor(Math.abs(value) / step + 1e-9)) + 0;
}

/** The last mark passed on the way from zero to a value: 3.4 → 3, −3.4 → −3 on a scale by ones. */
export function lastMarkPassed(scale: LinearScale, value: number): number {
  return lastPassed(scale.division, value);
}

/** The last label passed on the way from zero to a value. */
export function labelPassed(scale: LinearScale, value: number): number {
  return lastPassed(scale.labelEvery, value);
}

/** The next multiple of a step that is not reached yet, away from zero. */
export function nextBeyond(step: number, value: number): number {
  return multipleOf(step, Math.round((lastPassed(step, value) + (value < 0 ? -step : step)) / step));
}
