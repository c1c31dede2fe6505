import type { StageBox } from '../layers.tsx';

/** Where the parts of a beam balance stand on its stage, in pixels. */
export interface BalanceLayout {
  readonly box: StageBox;
  /** Pixels for a millimetre of the balance. */
  readonly scale: number;
  readonly pivot: { readonly x: number; readonly y: number };
  /** Top of the first beam’s bar, and how far below it the next one is. */
  readonly barY: number;
  readonly pitch: number;
  readonly bar: number;
  readonly baseY: number;
  readonly glass: {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
    readonly scale: number;
  };
  readonly pointer: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

/** How far right of the knife edge the scales begin, in mm. */
export const ZERO_AT = 18;

export const WIDE: BalanceLayout = {
  box: { x: 0, width: 840, height: 560 },
  scale: 1.88,
  pivot: { x: 238, y: 166 },
  barY: 62,
  pitch: 54,
  bar: 30,
  baseY: 366,
  glass: { x: 20, y: 408, width: 800, height: 138, scale: 13 },
  pointer: { x: 706, y: 40, width: 118, height: 326 },
};

export const NARROW: BalanceLayout = {
  box: { x: 0, width: 460, height: 640 },
  scale: 1.2,
  pivot: { x: 132, y: 150 },
  barY: 54,
  pitch: 50,
  bar: 28,
  baseY: 306,
  glass: { x: 8, y: 350, width: 444, height: 138, scale: 13 },
  pointer: { x: 8, y: 506, width: 444, height: 126 },
};

/** While a reading is typed on a phone: the beams and the glass, close together. */
export const TYPED: BalanceLayout = {
  ...NARROW,
  pivot: { x: 132, y: 130 },
  barY: 34,
  pitch: 47,
  bar: 25,
  glass: { ...NARROW.glass, y: 206, height: 122 },
  pointer: { ...NARROW.pointer, y: 400 },
};

/** How far the beam turns for one division of the pointer’s scale, in degrees. */
export const PER_DIVISION = 0.22;

/** Where a place on a beam stands, level. */
export function beamX({ pivot, scale }: BalanceLayout, x: number): number {
  return pivot.x + (ZERO_AT + x) * scale;
}

export function barTop({ barY, pitch }: BalanceLayout, beam: number): number {
  return barY + beam * pitch;
}

/** What the glass over the sliding rider shows: the place at its left edge, so that the rider is in its middle but for the ends. */
export function glassFrom({ glass }: BalanceLayout, riderX: number, length: number): number {
  const shown = glass.width / glass.scale;
  return Math.min(length + 6 - shown, Math.max(-6, riderX - shown / 2));
}

/** Nearer to a notch than this part of the way to the next, a rider that is let go drops into it. */
const DROPS_IN = 0.09;

/** Where a rider comes to stand when it is let go. */
export function letGo(notches: readonly number[], x: number): number {
  const spacing = (notches[1] ?? 1) - (notches[0] ?? 0);
  return notches.find((notch) => Math.abs(notch - x) <= DROPS_IN * spacing) ?? x;
}
