import type { PathPiece, RevealStep } from '@green-beam/core';
import { useCallback, type ReactNode } from 'react';
import { useSeen, type Sight } from '../../sight/sight.ts';
import { useDrawn, type Drawn } from '../../sight/use-drawn.ts';
import { apparentY, EYE_RUN, eyeY, MARK_INSET, MARK_LENGTHS, printedWidth } from '../geometry.ts';
import type { Upright, View } from '../look.ts';

/** Half the eye's width and half the beam's thickness, in pixels of the view. */
const EYE_WIDTH = 25;
const THICK = 1.1;

interface OnView {
  readonly picture: Upright;
  readonly view: View;
}

interface BeamProps extends OnView {
  readonly sight: Sight;
  readonly eyeX: number;
  /** Whether it runs across the glass to the scale or ends at the wall. */
  readonly across: boolean;
  readonly wrong: boolean;
}

/** The line of sight, at its true slope: it meets the scale where the surface seems to stand. */
export function Beam({ picture, view, sight, eyeX, across, wrong }: BeamProps): ReactNode {
  const beam = useDrawn<SVGPathElement>(
    sight,
    useCallback(
      (seen): Drawn => {
        const glass = printedWidth(picture) * view.scale;
        const scaleX = eyeX - EYE_RUN;
        const at = (apparentY(picture, seen) - view.topY) * view.scale;
        const slope = (eyeY(picture, view, seen) - at) / EYE_RUN;
        const fromX = across ? Math.max(scaleX, -glass / 2 + 4) : glass / 2;
        const [from, to] = [at + slope * (fromX - scaleX), at + slope * (EYE_RUN - EYE_WIDTH)];
        return {
          d: `M${fromX} ${from - THICK}L${eyeX - EYE_WIDTH} ${to - THICK}V${to + THICK}L${fromX} ${from + THICK}Z`,
        };
      },
      [picture, view, eyeX, across],
    ),
  );
  return (
    <path
      ref={beam}
      fill={wrong ? 'var(--color-slip-pale)' : 'var(--color-beam-bright)'}
      stroke={wrong ? 'var(--color-slip)' : 'var(--color-beam)'}
      strokeWidth="1.2"
      strokeLinejoin="round"
      pointerEvents="none"
    />
  );
}

interface WrongPathProps extends OnView {
  readonly pieces: readonly PathPiece[];
  readonly eyeX: number;
  readonly sight: Sight;
}

/** Where a slip went wrong: a level at the wall, or a stretch counted along the scale. */
export function WrongPath({ picture, view, pieces, eyeX, sight }: WrongPathProps): ReactNode {
  const seen = useSeen(sight);
  const glass = printedWidth(picture) * view.scale;
  const bore = picture.bore * view.scale;
  const y = (mm: number): number => (mm - view.topY) * view.scale;
  return (
    <g fill="var(--color-slip)" stroke="var(--color-slip)" fontSize="15" className="font-sans">
      {pieces.map((piece) => {
        if (piece.kind === 'level') {
          const at = y(piece.y) + y(apparentY(picture, seen)) - y(picture.surfaceY);
          return (
            <g key={piece.text}>
              <line x1={-bore / 2} x2={glass / 2 + 26} y1={at} y2={at} strokeWidth="2" strokeDasharray="6 4" />
              <text x={glass / 2 + 8} y={at - 9} stroke="none">
                {piece.text}
              </text>
            </g>
          );
        }
        if (piece.kind === 'span') {
          const x = -glass / 2 - 12;
          const [from, to] = [y(piece.fromY), y(piece.toY)].map((at) => Math.min(view.height - 4, Math.max(4, at))) as [
            number,
            number,
          ];
          return (
            <g key={piece.text}>
              <path d={`M${x + 7} ${from}H${x}V${to}`} fill="none" strokeWidth="2" />
              <path
                d={`M${x - 5} ${to + (to > from ? -9 : 9)}L${x} ${to}L${x + 5} ${to + (to > from ? -9 : 9)}`}
                fill="none"
                strokeWidth="2"
              />
              <text transform={`translate(${x - 10} ${(from + to) / 2}) rotate(-90)`} textAnchor="middle" stroke="none">
                {piece.text}
              </text>
            </g>
          );
        }
        return (
          <text key={piece.text} x={eyeX + 24} y={eyeY(picture, view, seen) - 38} textAnchor="end" stroke="none">
            {piece.text}
          </text>
        );
      })}
    </g>
  );
}

/** The right path, step by step: the division, the label below, the marks passed, the part estimated. */
export function RightPath({ picture, view, steps }: OnView & { readonly steps: readonly RevealStep[] }): ReactNode {
  const glass = printedWidth(picture) * view.scale;
  const y = (mm: number): number => (mm - view.topY) * view.scale;
  const x = -glass / 2 - 12;
  const inView = (at: number): number => Math.min(view.height - 2, Math.max(2, at));
  const marksBetween = (from: number, to: number): number[] =>
    picture.marks
      .map((mark) => mark.y)
      .filter((at) => at <= Math.max(from, to) + 1e-3 && at >= Math.min(from, to) - 1e-3);
  return (
    <g stroke="var(--color-beam)" fill="none" strokeWidth="3" pointerEvents="none">
      {steps.map(({ kind, fromY, toY }) => {
        if (fromY === null || toY === null) return null;
        if (kind === 'division')
          return (
            <path
              key={kind}
              d={`M${x + 8} ${inView(y(fromY))}H${x}V${inView(y(toY))}H${x + 8}`}
              strokeWidth="2"
              strokeDasharray="3 4"
            />
          );
        if (kind === 'estimate')
          return (
            <rect
              key={kind}
              x={-glass / 2}
              y={Math.min(y(fromY), y(toY))}
              width={(MARK_INSET + MARK_LENGTHS.long) * glass}
              height={Math.max(2, Math.abs(y(fromY) - y(toY)))}
              fill="var(--color-beam-bright)"
              fillOpacity="0.45"
              strokeWidth="1"
            />
          );
        return marksBetween(fromY, toY).map((at) => (
          <line
            key={`${kind}${at}`}
            x1={(MARK_INSET - 0.5) * glass}
            x2={(MARK_INSET + MARK_LENGTHS[kind === 'label' ? 'long' : 'short'] - 0.5) * glass}
            y1={y(at)}
            y2={y(at)}
            strokeWidth={kind === 'label' ? 4 : 3}
          />
        ));
      })}
    </g>
  );
}
