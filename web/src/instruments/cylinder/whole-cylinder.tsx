import type { LiquidColumnPicture } from '@green-beam/core';
import { memo, type ReactNode } from 'react';
import { tintOf } from './tints.ts';

interface WholeCylinderProps {
  readonly picture: LiquidColumnPicture;
  /** Pixels per millimetre. */
  readonly scale: number;
  /** The stretch that the close view shows, in mm below the rim. */
  readonly shown: readonly [fromY: number, toY: number];
}

const LENGTHS = { long: 0.42, medium: 0.3, short: 0.18 } as const;

/** The whole tool, small: where on it the close view looks, and the labels around. The axis is at x = 0, the rim at y = 0. */
export const WholeCylinder = memo(function WholeCylinder({ picture, scale, shown }: WholeCylinderProps): ReactNode {
  const bore = picture.bore * scale;
  const glass = bore + 2 * picture.wall * scale;
  const y = (mm: number): number => mm * scale;
  const foot = glass * 0.9;
  return (
    <g>
      <path d={`M${-glass / 2 - 9} 0H${glass / 2 + 16}L${glass / 2} 12H${-glass / 2}Z`} fill="#e3eae5" stroke="#8fa198" strokeWidth="1.2" strokeLinejoin="round" />
      <rect x={-glass / 2} y="12" width={glass} height={y(picture.floorY) - 6} fill="#eef2ee" stroke="#8fa198" strokeWidth="1.2" />
      <rect x={-bore / 2} y={y(picture.surfaceY)} width={bore} height={y(picture.floorY - picture.surfaceY)} fill={tintOf(picture.liquid)} fillOpacity="0.42" />
      <path d={`M${-glass / 2} ${y(picture.floorY) + 6}H${glass / 2}L${foot} ${y(picture.height)}H${-foot}Z`} fill="#dfe7e1" stroke="#8fa198" strokeWidth="1.2" strokeLinejoin="round" />
      {picture.marks.map(({ y: at, rank, label }) => (
        <g key={at}>
          <line x1={-bore / 2 + 1} x2={-bore / 2 + 1 + LENGTHS[rank] * bore} y1={y(at)} y2={y(at)} stroke="#13251f" strokeWidth={rank === 'long' ? 1.3 : 0.8} />
          {label !== null && (
            <text x={bore / 2 - 3} y={y(at)} dy="0.36em" textAnchor="end" fontSize="13" fill="#13251f" className="font-mono">
              {label}
            </text>
          )}
        </g>
      ))}
      <rect x={-glass / 2 - 10} y={y(shown[0])} width={glass + 20} height={y(shown[1] - shown[0])} fill="none" stroke="#0a7f50" strokeWidth="1.6" />
    </g>
  );
});
