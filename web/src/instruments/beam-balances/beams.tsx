import type { BeamPicture, DrawnBeam } from '@green-beam/core';
import { memo, useId, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { Light } from '../light.tsx';
import { barTop, beamX, ZERO_AT, type BalanceLayout } from './geometry.ts';

const INK = '#13251f';
const EDGE = '#6d8078';
/** Depth of a notch in a beam’s upper edge, in pixels. */
export const NOTCH = 5;
/** How far the bars go on beyond their scales, in mm. */
const END = 14;

interface BeamProps {
  readonly beam: DrawnBeam;
  readonly y: number;
  readonly layout: BalanceLayout;
  readonly face: string;
}

/** One bar with its scale on its face and its notches in its upper edge. */
function Bar({ beam, y, layout, face }: BeamProps): ReactNode {
  const numerals = useNumerals();
  const x = (mm: number): number => beamX(layout, mm);
  const { bar } = layout;
  const edge = beam.notches
    .map((notch) => `L${x(notch) - 4} ${y}L${x(notch)} ${y + NOTCH}L${x(notch) + 4} ${y}`)
    .join('');
  // A hundred lines are drawn for the look of it; they are read under the glass.
  const weight = beam.notches.length > 0 ? 1.6 : 0.8;
  return (
    <g stroke={INK} fill={INK}>
      <path
        d={`M${x(-ZERO_AT)} ${y}${edge}L${x(beam.length + END)} ${y}V${y + bar}H${x(-ZERO_AT)}Z`}
        fill={face}
        stroke={EDGE}
        strokeWidth="1.2"
      />
      {beam.marks.map(({ x: at, rank, label }) => (
        <g key={at} data-beam-mark={at}>
          <line
            x1={x(at)}
            x2={x(at)}
            y1={y + NOTCH + 1}
            y2={y + NOTCH + (rank === 'long' ? 8 : rank === 'medium' ? 6 : 4)}
            strokeWidth={weight}
          />
          {label !== null && (
            <text x={x(at)} y={y + bar - 3} textAnchor="middle" stroke="none" fontSize="13" className="font-mono">
              {numerals(label)}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}

/** Everything that tilts: the arm to the pan, the bars, and the tip that is watched. */
export const Beams = memo(function Beams({
  picture,
  layout,
}: {
  readonly picture: BeamPicture;
  readonly layout: BalanceLayout;
}): ReactNode {
  const id = useId();
  const { pivot, scale } = layout;
  const [top, bottom] = [barTop(layout, 0), barTop(layout, picture.beams.length - 1) + layout.bar];
  const end = beamX(layout, (picture.beams[0]?.length ?? 0) + END);
  const tip = barTop(layout, 0) + (bottom - top) / 2;
  return (
    <g className="own-ink" strokeLinejoin="round">
      <Light id={id} names={['bar', 'jaw', 'rider']} />
      <path
        d={`M${pivot.x - picture.arm * scale - 16} ${pivot.y - 5}H${pivot.x}V${pivot.y + 5}H${pivot.x - picture.arm * scale - 16}Z`}
        fill={`url(#${id}-bar)`}
        stroke={EDGE}
      />
      <rect
        x={pivot.x - picture.arm * scale - 30}
        y={pivot.y - 9}
        width="14"
        height="18"
        rx="2"
        fill={`url(#${id}-rider)`}
        stroke={EDGE}
      />
      <rect
        x={beamX(layout, -ZERO_AT) - 6}
        y={top - 8}
        width="14"
        height={bottom - top + 16}
        rx="3"
        fill={`url(#${id}-jaw)`}
        stroke={EDGE}
      />
      {picture.beams.map((beam, i) => (
        <Bar key={i} beam={beam} y={barTop(layout, i)} layout={layout} face={`url(#${id}-bar)`} />
      ))}
      <rect
        x={end - 6}
        y={top - 8}
        width="12"
        height={bottom - top + 16}
        rx="3"
        fill={`url(#${id}-jaw)`}
        stroke={EDGE}
      />
      <path d={`M${end + 6} ${tip - 4}L${end + 22} ${tip}L${end + 6} ${tip + 4}Z`} fill="#8fa198" />
      <path
        d={`M${pivot.x} ${pivot.y - 9}L${pivot.x + 8} ${pivot.y + 7}H${pivot.x - 8}Z`}
        fill="#f6f6f1"
        stroke={INK}
        strokeWidth="1.2"
      />
    </g>
  );
});

/** What stands still: the base, its pillar, and the plate with the mark at the beam’s end. */
export const Stand = memo(function Stand({
  picture,
  layout,
}: {
  readonly picture: BeamPicture;
  readonly layout: BalanceLayout;
}): ReactNode {
  const id = useId();
  const { pivot, baseY, scale } = layout;
  const end = beamX(layout, (picture.beams[0]?.length ?? 0) + END);
  const middle = (barTop(layout, 0) + barTop(layout, picture.beams.length - 1) + layout.bar) / 2;
  return (
    <g fill={`url(#${id}-casting)`} stroke="#53665d" strokeWidth="1.2" strokeLinejoin="round">
      <Light id={id} names={['casting']} />
      <path d={`M${pivot.x - 14} ${pivot.y + 8}H${pivot.x + 14}L${pivot.x + 26} ${baseY - 16}H${pivot.x - 26}Z`} />
      <path d={`M${end + 26} ${middle - 40}H${end + 38}V${baseY - 16}H${end + 26}Z`} />
      <line x1={end + 24} x2={end + 40} y1={middle} y2={middle} stroke="var(--color-beam)" strokeWidth="2.5" />
      <path
        d={`M${pivot.x - picture.arm * scale - 40} ${baseY}V${baseY - 10}Q${pivot.x - picture.arm * scale - 40} ${baseY - 16} ${pivot.x - picture.arm * scale - 30} ${baseY - 16}H${end + 46}V${baseY}Z`}
      />
    </g>
  );
});
