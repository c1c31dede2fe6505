import type { ReactNode } from 'react';
import { EyeSlider } from './eye-slider.tsx';
import type { Seen, Sight } from './sight.ts';

interface EyeAcrossProps {
  readonly sight: Sight;
  readonly disabled: boolean;
  readonly reach: number;
  /** What the eye is looking at, in words: “the end”. */
  readonly lookedAt: string;
  /** Ends and height of the rail, in units of the drawing. */
  readonly rail: { readonly left: number; readonly right: number; readonly y: number };
  readonly drawnAt: (seen: Seen) => readonly [x: number, y: number];
  readonly place: (x: number) => number;
  readonly onRest: (aside: number) => void;
}

/** How far above and below its rail, and beyond its ends, the eye can be taken hold of. */
const HOLD = 34;

/** The eye over a tool that lies: straight above what is read, or to the left or the right of it. */
export function EyeAcross({ lookedAt, rail: { left, right, y }, ...eye }: EyeAcrossProps): ReactNode {
  const inWords = (aside: number): string => {
    const distance = Math.round(Math.abs(aside));
    return distance === 0
      ? `straight over ${lookedAt}`
      : `${distance} millimetres to the ${aside > 0 ? 'right' : 'left'} of ${lookedAt}`;
  };
  return (
    <EyeSlider label="How far your eye is to the side" across valueText={inWords} {...eye}>
      <rect x={left - HOLD} y={y - HOLD} width={right - left + 2 * HOLD} height={2 * HOLD} fill="transparent" />
      <line x1={left} x2={right} y1={y} y2={y} stroke="var(--color-rail)" strokeWidth="2" />
    </EyeSlider>
  );
}
