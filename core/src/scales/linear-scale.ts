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

/** The multiple of `step` numbered `count`, free of the dust that repeated addition of doubles leaves. */
export function multipleOf(step: number, count: number): number {
  return Number((step * count).toFixed(decimalsOf(step)));
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
    if (count % perLabel === 0) return { at, rank: 'long', label: String(at) };
    return { at, rank: count % perMedium === 0 ? 'medium' : 'short', label: null };
  });
}

/** The last mark at or before a value, counted from zero (a hair's breadth short of a mark counts as on it). */
export function lastMarkPassed(scale: LinearScale, value: number): number {
  return multipleOf(scale.division, Math.floor(value / scale.division + 1e-9));
}

/** The label at or below a value. */
export function labelBelow(scale: LinearScale, value: number): number {
  return multipleOf(scale.labelEvery, Math.floor(value / scale.labelEvery + 1e-9));
}
