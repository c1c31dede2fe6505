import type { LiquidColumnPicture } from '@green-beam/core';
import { useId, type ReactNode } from 'react';
import { tintOf } from '../upright/tints.ts';

/** A small funnel left in the top of a burette. The axis is at x = 0, the burette’s top at y = 0; drawn at the scale of the whole tool. */
export function Funnel({
  picture,
  scale,
}: {
  readonly picture: LiquidColumnPicture;
  readonly scale: number;
}): ReactNode {
  const stem = (picture.bore / 2) * 0.6;
  return (
    <g
      transform={`scale(${scale})`}
      strokeWidth={1.2 / scale}
      stroke="#6d8078"
      strokeLinejoin="round"
      data-left="funnel"
    >
      <path d={`M-30 -40L${-stem} -6V34L${stem} 40V-6L30 -40Z`} fill="#e6ece7" />
      <path
        d={`M-21 -30L${-stem + 0.6} -7V20H${stem - 0.6}V-7L21 -30Z`}
        fill={tintOf(picture.liquid)}
        fillOpacity="0.3"
        stroke="none"
      />
      <path d="M-30 -40H30" strokeWidth={2.4 / scale} />
    </g>
  );
}

/** The top of a burette, magnified, where the whole tool is not shown: whether something stands in it. */
export function TopLens({
  x,
  y,
  liquid,
  funnel,
}: {
  readonly x: number;
  readonly y: number;
  readonly liquid: string;
  readonly funnel: boolean;
}): ReactNode {
  const id = useId();
  return (
    <g transform={`translate(${x} ${y})`} data-left={funnel ? 'funnel' : undefined}>
      <clipPath id={id}>
        <circle r={RADIUS} />
      </clipPath>
      <circle r={RADIUS} fill="var(--color-surface)" />
      <g clipPath={`url(#${id})`} stroke="#6d8078" strokeWidth="1.4" strokeLinejoin="round">
        <path d="M-11 0V50H11V0" fill="#f1f4f0" />
        {funnel && <path d="M-30 -26L-5 -2V28H5V-2L30 -26Z" fill={tintOf(liquid)} fillOpacity="0.35" />}
      </g>
      <circle r={RADIUS} fill="none" stroke="var(--color-muted)" strokeWidth="1.6" />
    </g>
  );
}

interface TipLensProps {
  readonly x: number;
  readonly y: number;
  readonly liquid: string;
  readonly bubble: boolean;
  readonly dripping: boolean;
}

const RADIUS = 42;

/** The tap and the tip below it, magnified: whether there is air in it, and how it drips. */
export function TipLens({ x, y, liquid, bubble, dripping }: TipLensProps): ReactNode {
  const id = useId();
  const tint = tintOf(liquid);
  return (
    <g transform={`translate(${x} ${y})`} data-left={bubble ? 'bubble' : undefined}>
      <clipPath id={id}>
        <circle r={RADIUS} />
      </clipPath>
      <circle r={RADIUS} fill="var(--color-surface)" />
      <g clipPath={`url(#${id})`}>
        <path
          d="M-9 -50V-22H-26V-10H-9V-2L-5 18V24H5V18L9 -2V-10H26V-22H9V-50Z"
          fill="#e6ece7"
          stroke="#6d8078"
          strokeWidth="1.4"
          strokeLinejoin="round"
        />
        <path d="M-5 -50V-3L-2 18V24H2V18L5 -3V-50Z" fill={tint} fillOpacity="0.5" />
        <circle cx="20" cy="-16" r="3.4" fill="#8fa198" />
        {bubble && (
          <path
            d="M0 -4C3.6 -2 3.4 6 2 13C1 17 -1 17 -2 13C-3.4 6 -3.6 -2 0 -4Z"
            fill="#ffffff"
            stroke="#13251f"
            strokeWidth="1"
          />
        )}
        {dripping && (
          <path
            className="animate-[fall_0.5s_ease-in_infinite]"
            d="M0 24C3 29 4 31 4 34A4 4 0 0 1 -4 34C-4 31 -3 29 0 24Z"
            fill={tint}
            fillOpacity="0.75"
          />
        )}
      </g>
      <circle r={RADIUS} fill="none" stroke="var(--color-muted)" strokeWidth="1.6" />
    </g>
  );
}
