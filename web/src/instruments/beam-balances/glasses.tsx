import type { BeamPicture, DrawnBeam } from '@green-beam/core';
import { memo, useCallback, useMemo, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Layer, SlidingLayer } from '../layers.tsx';
import type { Balance, BalanceNow } from './balance.ts';
import { glassFrom, type BalanceLayout } from './geometry.ts';

const INK = '#13251f';
/** Height of the bar’s face in the glass, and of the rider’s tongue over it. */
const FACE = 92;

/** The sliding rider’s beam, much enlarged; x in pixels from the beam’s zero. */
export const SlidingFace = memo(function SlidingFace({
  beam,
  scale,
}: {
  readonly beam: DrawnBeam;
  readonly scale: number;
}): ReactNode {
  const numerals = useNumerals();
  return (
    <g className="own-ink" stroke={INK} fill={INK}>
      <rect x={-10 * scale} y="0" width={(beam.length + 20) * scale} height={FACE} fill="#e7ebe8" stroke="#8d9793" />
      {beam.marks.map(({ x, rank, label }) => (
        <g key={x} data-line={x}>
          <line
            x1={x * scale}
            x2={x * scale}
            y1="0"
            y2={rank === 'long' ? 42 : rank === 'medium' ? 33 : 24}
            strokeWidth="2.2"
          />
          {label !== null && (
            <text x={x * scale} y="74" textAnchor="middle" stroke="none" fontSize="26" className="font-mono">
              {numerals(label)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
});

/** The tongue of the sliding rider, much enlarged; its point is at the origin. */
export function Tongue({ lit = false }: { readonly lit?: boolean }): ReactNode {
  return (
    <path
      d="M0 0L-9 -22H-80V-60H80V-22H9Z"
      fill={lit ? 'var(--color-beam)' : '#7c8b84'}
      stroke="#2c3d36"
      strokeWidth="1.6"
      strokeLinejoin="round"
    />
  );
}

interface GlassProps {
  readonly picture: BeamPicture;
  readonly layout: BalanceLayout;
  readonly balance: Balance;
}

/** A balance as something that moves. */
function useMoving(balance: Balance): { readonly seen: () => BalanceNow; readonly subscribe: Balance['subscribe'] } {
  return useMemo(() => ({ seen: balance.now, subscribe: balance.subscribe }), [balance]);
}

const CORNER = 10;

/** A reading glass over the sliding rider, that goes along with it. */
export function SlidingGlass({ picture, layout, balance, lit }: GlassProps & { readonly lit: boolean }): ReactNode {
  const { glass, box } = layout;
  const beam = picture.beams.at(-1);
  const length = beam?.length ?? 0;
  const moving = useMoving(balance);
  const face = useCallback(
    ({ riderX }: BalanceNow): number => -glassFrom(layout, riderX.at(-1) ?? 0, length) * glass.scale,
    [layout, length, glass],
  );
  const tongue = useCallback(
    ({ riderX }: BalanceNow): number =>
      ((riderX.at(-1) ?? 0) - glassFrom(layout, riderX.at(-1) ?? 0, length)) * glass.scale,
    [layout, length, glass],
  );
  const placed = `translate(${glass.x} ${glass.y + glass.height - FACE})`;
  return (
    <>
      <Layer box={box}>
        <rect
          x={glass.x}
          y={glass.y}
          width={glass.width}
          height={glass.height}
          rx={CORNER}
          fill="var(--color-surface)"
        />
      </Layer>
      <SlidingLayer box={box} window={glass} rounded={CORNER} sight={moving} shift={face} way="right">
        <g transform={placed}>{beam && <SlidingFace beam={beam} scale={glass.scale} />}</g>
      </SlidingLayer>
      <SlidingLayer box={box} window={glass} rounded={CORNER} sight={moving} shift={tongue} way="right">
        <g transform={placed}>
          <Tongue lit={lit} />
        </g>
      </SlidingLayer>
    </>
  );
}

/** The end of the beam before its plate, much enlarged: lines to both sides of the mark, and the pointer that swings about it. */
export function PointerGlass({ picture, layout, balance }: GlassProps): ReactNode {
  const { box, pointer } = layout;
  const { x, y, width, height } = pointer;
  const per = (height - 20) / (2 * picture.swing.stops);
  const plate = width - 52;
  const moving = useMoving(balance);
  const tip = useCallback(({ pointer: { at } }: BalanceNow): number => -at * per, [per]);
  return (
    <>
      <Layer box={box}>
        <g transform={`translate(${x} ${y})`} className="own-ink">
          <rect width={width} height={height} rx={CORNER} fill="#e7ebe8" />
          <path
            d={`M${plate} 0H${width - CORNER}Q${width} 0 ${width} ${CORNER}V${height - CORNER}Q${width} ${height} ${width - CORNER} ${height}H${plate}Z`}
            fill="#cfd6d2"
          />
          {Array.from({ length: 2 * picture.swing.stops - 1 }, (_, i) => i + 1 - picture.swing.stops).map((line) => (
            <line
              key={line}
              x1={plate}
              x2={plate + (line === 0 ? 46 : line % 5 === 0 ? 28 : 18)}
              y1={height / 2 + line * per}
              y2={height / 2 + line * per}
              stroke={line === 0 ? 'var(--color-beam)' : INK}
              strokeWidth={line === 0 ? 4 : 1.8}
            />
          ))}
        </g>
      </Layer>
      <SlidingLayer box={box} window={pointer} rounded={CORNER} sight={moving} shift={tip}>
        <g transform={`translate(${x} ${y + height / 2})`} className="own-ink" data-pointer="tip">
          <path
            d={`M-4 -13H${plate - 34}L${plate - 4} 0L${plate - 34} 13H-4Z`}
            fill="#5f6b66"
            stroke={INK}
            strokeWidth="1.4"
          />
        </g>
      </SlidingLayer>
    </>
  );
}

/** The rims of both glasses, over what moves in them. */
export function Rims({ layout: { glass, pointer } }: Pick<GlassProps, 'layout'>): ReactNode {
  return (
    <g fill="none" stroke="var(--color-beam)" strokeWidth="2.4">
      {[glass, pointer].map(({ x, y, width, height }) => (
        <rect key={x} x={x} y={y} width={width} height={height} rx={CORNER} />
      ))}
    </g>
  );
}
