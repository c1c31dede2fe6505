import type { MicrometerPicture } from '@green-beam/core';
import { memo, useCallback, type ReactNode } from 'react';
import { Layer, SlidingLayer, type StageBox } from '../layers.tsx';
import type { Seen, Sight } from '../sight/sight.ts';
import { thingTint } from '../thing-tints.ts';
import { useDrawn } from '../sight/use-drawn.ts';

interface WholeMicrometerProps {
  readonly picture: MicrometerPicture;
  readonly sight: Sight;
  readonly between: boolean;
  readonly turned: boolean;
  readonly box: StageBox;
  /** Where its anvil’s face is drawn, and how large a millimetre is. */
  readonly at: { readonly x: number; readonly y: number; readonly scale: number };
}

/** Sizes in mm: the frame’s opening with its anvil at x = 0, the sleeve behind it, the thimble, and the ratchet at its end. */
const SLEEVE = { from: 34, length: 34 };
const THIMBLE = { at: 43, length: 40, radius: 8.4 };
/** The part of the stage it is drawn in, in the units of the drawing. */
const HEIGHT = 210;
const METAL = { fill: '#c9cfcc', stroke: '#6d8078', strokeWidth: 0.5, strokeLinejoin: 'round' } as const;

/** Thimble and ratchet as they are with the faces closed. */
const TheThimble = memo(function TheThimble(): ReactNode {
  return (
    <g {...METAL} transform={`translate(${THIMBLE.at} 0)`}>
      <path d={`M0 -7L4 ${-THIMBLE.radius}H${THIMBLE.length}V${THIMBLE.radius}H4L0 7Z`} />
      <g strokeWidth="0.35">
        {Array.from({ length: 12 }, (_, i) => (
          <line key={i} x1={20 + i * 1.5} x2={20 + i * 1.5} y1={-THIMBLE.radius} y2={THIMBLE.radius} />
        ))}
      </g>
      <rect x={THIMBLE.length} y="-4.6" width="9" height="9.2" rx="1" />
    </g>
  );
});

/** What is between the faces; what is soft, or forced, gives way to them. */
function Between({ picture, sight, turned }: Pick<WholeMicrometerProps, 'picture' | 'sight' | 'turned'>): ReactNode {
  const closed = picture.closedX ?? 0;
  const size = (turned ? (picture.held.turnedX ?? picture.openX) : picture.openX) - closed;
  const thing = useDrawn<SVGRectElement>(
    sight,
    useCallback(
      ({ markAt }: Seen) => ({ width: Math.max(0.1, Math.min(size, markAt - closed)).toFixed(3) }),
      [size, closed],
    ),
  );
  return (
    <rect
      ref={thing}
      x="0"
      y="-6"
      height="12"
      rx="1"
      fill={thingTint(picture.thing.name)}
      stroke="#13251f"
      strokeWidth="0.5"
    />
  );
}

/** A micrometer at true proportion: frame, anvil, spindle, sleeve, knurled thimble, and ratchet. Spindle and thimble slide as layers of their own. */
export function WholeMicrometer({ picture, sight, between, turned, box, at }: WholeMicrometerProps): ReactNode {
  const moved = useCallback(({ markAt }: Seen) => markAt * at.scale, [at]);
  const placed = `translate(${at.x} ${at.y}) scale(${at.scale})`;
  const window = { x: box.x, y: 30, width: box.width, height: HEIGHT };
  return (
    <>
      <Layer box={box}>
        <g transform={placed} {...METAL}>
          <path d="M-9 -6H0V6H-3C-3 30 31 30 31 6V-6H36V8C36 40 -9 40 -9 4Z" fill="#8fa198" />
          <rect x="-4" y="-3.2" width="4" height="6.4" />
          {between && <Between picture={picture} sight={sight} turned={turned} />}
        </g>
      </Layer>
      <SlidingLayer box={box} window={window} sight={sight} shift={moved} way="right">
        <g transform={placed} {...METAL}>
          <rect width={SLEEVE.from + 4} y="-3.2" height="6.4" />
        </g>
      </SlidingLayer>
      <Layer box={box}>
        <g transform={placed} {...METAL}>
          <rect x={SLEEVE.from} y="-6.4" width={SLEEVE.length} height="12.8" fill="#e3e8e5" />
          <line x1={SLEEVE.from + 4} x2={SLEEVE.from + SLEEVE.length} y1="0" y2="0" stroke="#13251f" />
        </g>
      </Layer>
      <SlidingLayer box={box} window={window} sight={sight} shift={moved} way="right">
        <g transform={placed}>
          <TheThimble />
        </g>
      </SlidingLayer>
    </>
  );
}
