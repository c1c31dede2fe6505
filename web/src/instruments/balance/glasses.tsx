import type { BeamPicture, DrawnBeam } from '@green-beam/core';
import { memo, useCallback, useId, type ReactNode } from 'react';
import type { Balance, BalanceNow } from './balance.ts';
import { glassFrom, type BalanceLayout } from './geometry.ts';
import { useWeighed } from './use-balance.ts';

const INK = '#13251f';
/** Height of the bar’s face in the glass, and of the rider’s tongue over it. */
const FACE = 92;

/** The sliding rider’s beam, much enlarged; x in pixels from the beam’s zero. */
export const SlidingFace = memo(function SlidingFace({ beam, scale }: { readonly beam: DrawnBeam; readonly scale: number }): ReactNode {
  return (
    <g className="own-ink" stroke={INK} fill={INK}>
      <rect x={-10 * scale} y="0" width={(beam.length + 20) * scale} height={FACE} fill="#e7ebe8" stroke="#8d9793" />
      {beam.marks.map(({ x, rank, label }) => (
        <g key={x} data-line={x}>
          <line x1={x * scale} x2={x * scale} y1="0" y2={rank === 'long' ? 42 : rank === 'medium' ? 33 : 24} strokeWidth="2.2" />
          {label !== null && (
            <text x={x * scale} y="74" textAnchor="middle" stroke="none" fontSize="26" className="font-mono">
              {label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
});

/** The tongue of the sliding rider, much enlarged; its point is at the origin. */
export function Tongue({ lit = false }: { readonly lit?: boolean }): ReactNode {
  return <path d="M0 0L-9 -22H-80V-60H80V-22H9Z" fill={lit ? 'var(--color-beam)' : '#7c8b84'} stroke="#2c3d36" strokeWidth="1.6" strokeLinejoin="round" />;
}

interface GlassProps {
  readonly picture: BeamPicture;
  readonly layout: BalanceLayout;
  readonly balance: Balance;
}

/** A reading glass over the sliding rider, that goes along with it. */
export function SlidingGlass({ picture, layout, balance, lit }: GlassProps & { readonly lit: boolean }): ReactNode {
  const clip = useId();
  const { glass } = layout;
  const beam = picture.beams.at(-1);
  const length = beam?.length ?? 0;
  const at = useCallback(({ riderX }: BalanceNow): number => riderX.at(-1) ?? 0, []);
  const face = useWeighed<SVGGElement>(balance, useCallback((now: BalanceNow) => ({ transform: `translate(${(-glassFrom(layout, at(now), length) * glass.scale).toFixed(2)} ${glass.height - FACE})` }), [layout, at, length, glass]));
  const tongue = useWeighed<SVGGElement>(balance, useCallback((now: BalanceNow) => ({ transform: `translate(${((at(now) - glassFrom(layout, at(now), length)) * glass.scale).toFixed(2)} ${glass.height - FACE})` }), [layout, at, length, glass]));
  return (
    <g transform={`translate(${glass.x} ${glass.y})`}>
      <clipPath id={clip}>
        <rect width={glass.width} height={glass.height} rx="10" />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <rect width={glass.width} height={glass.height} fill="var(--color-surface)" />
        <g ref={face}>{beam && <SlidingFace beam={beam} scale={glass.scale} />}</g>
        <g ref={tongue}>
          <Tongue lit={lit} />
        </g>
      </g>
      <rect width={glass.width} height={glass.height} rx="10" fill="none" stroke="var(--color-beam)" strokeWidth="2.4" />
    </g>
  );
}

/** The end of the beam before its plate, much enlarged: lines to both sides of the mark, and the pointer that swings about it. */
export function PointerGlass({ picture, layout, balance }: GlassProps): ReactNode {
  const clip = useId();
  const { x, y, width, height } = layout.pointer;
  const per = (height - 20) / (2 * picture.swing.stops);
  const tip = useWeighed<SVGGElement>(balance, useCallback(({ pointer }: BalanceNow) => ({ transform: `translate(0 ${(height / 2 - pointer.at * per).toFixed(2)})` }), [height, per]));
  const plate = width - 52;
  return (
    <g transform={`translate(${x} ${y})`} className="own-ink">
      <clipPath id={clip}>
        <rect width={width} height={height} rx="10" />
      </clipPath>
      <g clipPath={`url(#${clip})`}>
        <rect width={width} height={height} fill="#e7ebe8" />
        <rect x={plate} width="52" height={height} fill="#cfd6d2" />
        {Array.from({ length: 2 * picture.swing.stops - 1 }, (_, i) => i + 1 - picture.swing.stops).map((line) => (
          <line key={line} x1={plate} x2={plate + (line === 0 ? 46 : line % 5 === 0 ? 28 : 18)} y1={height / 2 + line * per} y2={height / 2 + line * per} stroke={line === 0 ? 'var(--color-beam)' : INK} strokeWidth={line === 0 ? 4 : 1.8} />
        ))}
        <g ref={tip} data-pointer="tip">
          <path d={`M-4 -13H${plate - 34}L${plate - 4} 0L${plate - 34} 13H-4Z`} fill="#5f6b66" stroke={INK} strokeWidth="1.4" />
        </g>
      </g>
      <rect width={width} height={height} rx="10" fill="none" stroke="var(--color-beam)" strokeWidth="2.4" />
    </g>
  );
}
