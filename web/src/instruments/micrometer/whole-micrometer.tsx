import type { ReactNode } from 'react';
import { thingTint } from '../thing-tints.ts';

interface WholeMicrometerProps {
  readonly open: number;
  readonly thing: string;
  /** Nothing lies between the faces. */
  readonly closed: boolean;
}

/** Sizes in mm: the frame’s opening with its anvil at x = 0, the sleeve behind it, the thimble, and the ratchet at its end. */
const SLEEVE = { from: 34, length: 34 };
const THIMBLE = { length: 40, radius: 8.4 };
const METAL = '#c9cfcc';
const EDGE = '#6d8078';

/** A micrometer at true proportion: frame, anvil, spindle, sleeve, knurled thimble, and ratchet. Its axis is at y = 0. */
export function WholeMicrometer({ open, thing, closed }: WholeMicrometerProps): ReactNode {
  const thimble = SLEEVE.from + 9 + open;
  return (
    <g fill={METAL} stroke={EDGE} strokeWidth="0.5" strokeLinejoin="round">
      <path d="M-9 -6H0V6H-3C-3 30 31 30 31 6V-6H36V8C36 40 -9 40 -9 4Z" fill="#8fa198" />
      <rect x="-4" y="-3.2" width="4" height="6.4" />
      {!closed && <rect x="0" y="-6" width={Math.max(0, open)} height="12" rx="1" fill={thingTint(thing)} stroke="#13251f" />}
      <rect x={open} y="-3.2" width={SLEEVE.from - open} height="6.4" />
      <rect x={SLEEVE.from} y="-6.4" width={SLEEVE.length} height="12.8" fill="#e3e8e5" />
      <line x1={SLEEVE.from + 4} x2={thimble} y1="0" y2="0" stroke="#13251f" />
      <path d={`M${thimble} -7L${thimble + 4} ${-THIMBLE.radius}H${thimble + THIMBLE.length}V${THIMBLE.radius}H${thimble + 4}L${thimble} 7Z`} />
      <g strokeWidth="0.35">
        {Array.from({ length: 12 }, (_, i) => (
          <line key={i} x1={thimble + 20 + i * 1.5} x2={thimble + 20 + i * 1.5} y1={-THIMBLE.radius} y2={THIMBLE.radius} />
        ))}
      </g>
      <rect x={thimble + THIMBLE.length} y="-4.6" width="9" height="9.2" rx="1" />
    </g>
  );
}
