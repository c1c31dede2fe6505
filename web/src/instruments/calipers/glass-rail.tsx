import { useRef, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { useDrag } from '../sight/drag.ts';

interface GlassRailProps {
  /** Place of the vernier the glass is held over, in mm from its zero, and how far it reaches. */
  readonly over: number;
  readonly length: number;
  /** Pixels per millimetre of the middle view, and where the vernier's zero stands in it. */
  readonly scale: number;
  readonly zeroAt: number;
  readonly y: number;
  readonly height: number;
  readonly onMove: (over: number) => void;
}

/** Keys move the glass by tenths of a millimetre, or by whole ones with Shift. */
const PARTS = 10;

/** The reading glass over the vernier: dragged along it, or moved by keys. */
export function GlassRail({ over, length, scale, zeroAt, y, height, onMove }: GlassRailProps): ReactNode {
  const rail = useRef<SVGGElement>(null);
  const numerals = useNumerals();
  const place = (parts: number): void => onMove(Math.min(length, Math.max(0, parts / PARTS)));
  const handlers = useDrag(rail, {
    disabled: false,
    at: () => over * PARTS,
    place: (x) => ((x - zeroAt) / scale) * PARTS,
    move: place,
    reach: length * PARTS,
    onRest: place,
  });
  const width = 7.6 * scale;
  return (
    <g
      ref={rail}
      role="slider"
      tabIndex={0}
      aria-label="Where the reading glass is"
      aria-valuemin={0}
      aria-valuemax={Math.round(length)}
      aria-valuenow={Math.round(over)}
      aria-valuetext={numerals(`over ${over.toFixed(1)} millimetres of the vernier`)}
      className="cursor-ew-resize touch-none outline-none [&:focus-visible_.halo]:opacity-100"
      {...handlers}
    >
      <rect x={zeroAt - 20} y={y - 6} width={length * scale + 40} height={height + 12} fill="transparent" />
      <rect
        className="halo opacity-0"
        x={zeroAt + over * scale - width / 2 - 5}
        y={y - 5}
        width={width + 10}
        height={height + 10}
        rx="10"
        fill="none"
        stroke="var(--color-beam)"
        strokeWidth="3"
      />
      <rect
        x={zeroAt + over * scale - width / 2}
        y={y}
        width={width}
        height={height}
        rx="7"
        fill="none"
        stroke="var(--color-beam)"
        strokeWidth="2.4"
      />
    </g>
  );
}
