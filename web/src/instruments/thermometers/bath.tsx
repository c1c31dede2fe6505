import type { LiquidColumnPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import type { Bulb } from './bulb-place.ts';

interface BathProps {
  readonly picture: LiquidColumnPicture;
  readonly scale: number;
  readonly bulb: Bulb;
}

/** How deep the thermometer hangs in the vessel, in mm: over it, in the liquid, or on its floor. */
const DEPTH = { air: -14, liquid: 36, bottom: 57 } as const;
const VESSEL = { halfWidth: 30, height: 62, liquid: 8 };

const CUBES = [
  [-22, 6],
  [-6, 11],
  [10, 5],
  [22, 13],
] as const;
const BUBBLES = [
  [-20, 40],
  [-9, 30],
  [6, 44],
  [16, 26],
  [22, 38],
  [-15, 20],
] as const;

/** The vessel a thermometer is lowered into, with ice or rising bubbles. The axis is at x = 0, the thermometer’s top at y = 0. */
export function Bath({ picture, scale, bulb }: BathProps): ReactNode {
  const { height, liquid } = picture;
  const { halfWidth, height: deep, liquid: surface } = VESSEL;
  return (
    <g
      transform={`scale(${scale}) translate(0 ${height - DEPTH[bulb]})`}
      stroke="#6d8078"
      strokeWidth={1.2 / scale}
      strokeLinejoin="round"
      data-bulb={bulb}
    >
      <path
        d={`M${-halfWidth} ${surface}V${deep - 3}Q${-halfWidth} ${deep} ${-halfWidth + 3} ${deep}H${halfWidth - 3}Q${halfWidth} ${deep} ${halfWidth} ${deep - 3}V${surface}Z`}
        fill="#2f7ea8"
        fillOpacity="0.28"
        stroke="none"
      />
      <path
        d={`M${-halfWidth - 3} -8L${-halfWidth} -5V${deep - 3}Q${-halfWidth} ${deep} ${-halfWidth + 3} ${deep}H${halfWidth - 3}Q${halfWidth} ${deep} ${halfWidth} ${deep - 3}V-5L${halfWidth + 3} -8`}
        fill="none"
      />
      {liquid.includes('ice') &&
        CUBES.map(([x, y]) => (
          <rect
            key={x}
            x={x - 5}
            y={y - 4}
            width="10"
            height="9"
            rx="1.5"
            transform={`rotate(${x * 2} ${x} ${y})`}
            fill="#ffffff"
            fillOpacity="0.85"
          />
        ))}
      {liquid === 'boiling water' &&
        BUBBLES.map(([x, y]) => (
          <circle
            key={x}
            cx={x}
            cy={y}
            r={1.6 + (y % 3) * 0.7}
            fill="#ffffff"
            fillOpacity="0.9"
            strokeWidth={0.8 / scale}
          />
        ))}
    </g>
  );
}
