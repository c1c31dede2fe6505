import type { DrawnMark, LiquidColumnPicture } from '@green-beam/core';
import { memo, useId, type ReactNode } from 'react';
import { tintOf } from './tints.ts';
import { liquidOutline, rise, scaleDepth, type View } from './geometry.ts';

const LENGTHS = { long: 0.27, medium: 0.19, short: 0.12 } as const;
const WEIGHTS = { long: 2.2, medium: 2, short: 1.8 } as const;

interface MarksProps {
  readonly marks: readonly DrawnMark[];
  readonly view: View;
  readonly glass: number;
  readonly side: 'left' | 'right';
  readonly weight: number;
  readonly size: number;
}

/** The engraved lines that lie in the view, with their numerals. */
const Marks = memo(function Marks({ marks, view, glass, side, weight, size }: MarksProps): ReactNode {
  const sign = side === 'left' ? 1 : -1;
  const start = -sign * (glass / 2 - 0.03 * glass);
  return (
    <g stroke="#13251f" fill="#13251f">
      {marks.map(({ y, rank, label }) => {
        const at = (y - view.topY) * view.scale;
        if (at < -40 || at > view.height + 40) return null;
        const end = start + sign * LENGTHS[rank] * glass;
        return (
          <g key={y} data-mark={label ?? ''}>
            <line x1={start} x2={end} y1={at} y2={at} strokeWidth={WEIGHTS[rank] * weight} />
            {label !== null && (
              <text x={end + sign * 10} y={at} dy="0.35em" stroke="none" fontSize={size} className="font-mono" textAnchor={side === 'left' ? 'start' : 'end'}>
                {label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});

/** They never change, so a moving eye leaves them alone. */
const Gradients = memo(function Gradients({ id }: { readonly id: string }): ReactNode {
  return (
    <defs>
      <linearGradient id={`${id}-glass`}>
        <stop offset="0" stopColor="#b9c6bf" stopOpacity="0.75" />
        <stop offset="0.5" stopColor="#eef3ef" stopOpacity="0.5" />
        <stop offset="1" stopColor="#a9b8b0" stopOpacity="0.8" />
      </linearGradient>
      <linearGradient id={`${id}-round`}>
        <stop offset="0" stopColor="#0d3247" stopOpacity="0.3" />
        <stop offset="0.07" stopColor="#ffffff" stopOpacity="0.5" />
        <stop offset="0.16" stopColor="#0d3247" stopOpacity="0.13" />
        <stop offset="0.45" stopColor="#ffffff" stopOpacity="0.12" />
        <stop offset="0.82" stopColor="#0d3247" stopOpacity="0.1" />
        <stop offset="0.93" stopColor="#ffffff" stopOpacity="0.35" />
        <stop offset="1" stopColor="#0d3247" stopOpacity="0.32" />
      </linearGradient>
      <linearGradient id={`${id}-air`}>
        <stop offset="0" stopColor="#7f938a" stopOpacity="0.28" />
        <stop offset="0.06" stopColor="#ffffff" stopOpacity="0.95" />
        <stop offset="0.18" stopColor="#ffffff" stopOpacity="0.25" />
        <stop offset="0.85" stopColor="#ffffff" stopOpacity="0.3" />
        <stop offset="0.94" stopColor="#ffffff" stopOpacity="0.9" />
        <stop offset="1" stopColor="#7f938a" stopOpacity="0.3" />
      </linearGradient>
    </defs>
  );
});

interface LiquidProps {
  readonly picture: LiquidColumnPicture;
  readonly view: View;
  readonly eyeHeight: number;
  readonly gradients: string;
  readonly weight: number;
}

function Liquid({ picture, view, eyeHeight, gradients, weight }: LiquidProps): ReactNode {
  const { body, film, curve, ring } = liquidOutline(picture, view, eyeHeight);
  const tint = tintOf(picture.liquid);
  return (
    <g>
      <path d={film} fill={tint} fillOpacity="0.2" />
      <path d={body} fill={tint} fillOpacity="0.4" />
      <path d={body} fill={`url(#${gradients}-round)`} />
      {ring.ry > 0.4 && (
        <>
          <ellipse cx="0" cy={ring.cy} rx={ring.rx} ry={ring.ry} fill={eyeHeight > 0 ? '#ffffff' : '#0d3247'} fillOpacity={eyeHeight > 0 ? 0.28 : 0.12} />
          <ellipse cx="0" cy={ring.cy} rx={ring.rx} ry={ring.ry} fill="none" stroke="#1d5673" strokeOpacity="0.55" strokeWidth={1.2 * weight} />
        </>
      )}
      <path d={curve} fill="none" stroke="#174a63" strokeWidth={2.2 * weight} strokeOpacity="0.85" strokeLinecap="round" />
    </g>
  );
}

interface CloseUpProps {
  readonly picture: LiquidColumnPicture;
  readonly view: View;
  readonly eyeHeight: number;
  /** Line weight and size of numerals, relative to the close view; the loupe draws finer lines than its magnification. */
  readonly weight?: number;
}

/** The glass near the surface, drawn from the picture's positions: what the eye sees from its height. The axis is at x = 0. */
export function CloseUp({ picture, view, eyeHeight, weight = 1 }: CloseUpProps): ReactNode {
  const id = useId();
  const bore = picture.bore * view.scale;
  const wall = picture.wall * view.scale;
  const glass = bore + 2 * wall;
  const scaleShift = -rise(picture, eyeHeight, scaleDepth(picture)) * view.scale;
  const top = Math.max(0, -view.topY * view.scale);
  return (
    <g>
      <Gradients id={id} />
      <rect x={-bore / 2} y={top} width={bore} height={view.height - top} fill={`url(#${id}-air)`} />
      <Liquid picture={picture} view={view} eyeHeight={eyeHeight} gradients={id} weight={weight} />
      {[-bore / 2 - wall, bore / 2].map((x) => (
        <rect key={x} x={x} y={top} width={wall} height={view.height - top} fill={`url(#${id}-glass)`} />
      ))}
      {[-glass / 2, glass / 2].map((x) => (
        <line key={x} x1={x} x2={x} y1={top} y2={view.height} stroke="#6d8078" strokeWidth={1.4 * weight} />
      ))}
      <g transform={`translate(0 ${scaleShift})`} className="will-change-transform">
        <Marks marks={picture.marks} view={view} glass={glass} side="left" weight={weight} size={26 * weight} />
        {picture.secondMarks.length > 0 && <Marks marks={picture.secondMarks} view={view} glass={glass} side="right" weight={weight * 0.9} size={22 * weight} />}
      </g>
    </g>
  );
}
