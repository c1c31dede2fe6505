import type { CaliperPicture } from '@green-beam/core';
import { memo, useId, type ReactNode } from 'react';
import { Light } from '../light.tsx';
import { at, type View } from './geometry.ts';

interface ScaleProps {
  readonly picture: CaliperPicture;
  readonly view: View;
  /** Height of the half it is drawn in, in pixels. */
  readonly height: number;
  readonly weight?: number;
}

interface MainScaleProps extends ScaleProps {
  /** All of it is drawn, not only what the view shows: it will be moved. */
  readonly whole?: boolean;
}

/** Ends of the beam, in mm. */
const BEYOND = { from: -14, to: 206 };

/** Parts of the height that lines of each length take. */
const LENGTHS = { long: 0.62, medium: 0.48, short: 0.36 } as const;
const SIZE = 0.3;

/** The main scale: its lines stand on its lower edge, its numbers above them. */
export const MainScale = memo(function MainScale({
  picture,
  view,
  height,
  weight = 1,
  whole = false,
}: MainScaleProps): ReactNode {
  const id = useId();
  const [from, to] = whole ? [at(view, BEYOND.from), at(view, BEYOND.to)] : [0, view.width];
  return (
    <g className="own-ink" stroke="var(--color-ink)" fill="var(--color-ink)">
      <Light id={id} names={['bar']} />
      <rect x={from} width={to - from} height={height} fill={`url(#${id}-bar)`} stroke="none" />
      {picture.marks.map(({ x, rank, label }) => {
        const left = at(view, x);
        if (!whole && (left < -20 || left > view.width + 20)) return null;
        return (
          <g key={x} data-main={x}>
            <line x1={left} x2={left} y1={height} y2={height * (1 - LENGTHS[rank])} strokeWidth={1.5 * weight} />
            {label !== null && (
              <text
                x={left}
                y={height * 0.32}
                textAnchor="middle"
                stroke="none"
                fontSize={height * SIZE}
                className="font-mono"
              >
                {label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});

/** The vernier: its lines hang from its upper edge, its numbers below them. Its zero stands at a position of the main scale. */
export const VernierScale = memo(function VernierScale({
  picture,
  view,
  height,
  position,
  weight = 1,
}: ScaleProps & { readonly position: number }): ReactNode {
  const id = useId();
  return (
    <g className="own-ink" stroke="var(--color-ink)" fill="var(--color-ink)">
      <Light id={id} names={['slide']} />
      <rect
        x={at(view, position - picture.edge)}
        width={Math.max(
          0,
          at(view, position + (picture.vernierMarks.at(-1)?.x ?? 0) + picture.edge) - at(view, position - picture.edge),
        )}
        height={height}
        fill={`url(#${id}-slide)`}
        stroke="#8d9793"
        strokeWidth="1.2"
      />
      {picture.vernierMarks.map(({ x, rank, label }, line) => {
        const left = at(view, position + x);
        if (left < -20 || left > view.width + 20) return null;
        return (
          <g key={x} data-line={line}>
            <line x1={left} x2={left} y1={0} y2={height * LENGTHS[rank]} strokeWidth={1.5 * weight} />
            {label !== null && (
              <text
                x={left}
                y={height * 0.92}
                textAnchor="middle"
                stroke="none"
                fontSize={height * SIZE}
                className="font-mono"
              >
                {label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
});
