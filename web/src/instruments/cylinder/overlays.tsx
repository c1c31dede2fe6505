import type { LiquidColumnPicture, PathPiece, RevealStep } from '@green-beam/core';
import type { ReactNode } from 'react';
import { apparentY, eyeY, type View } from './geometry.ts';

interface OnView {
  readonly picture: LiquidColumnPicture;
  readonly view: View;
}

interface BeamProps extends OnView {
  readonly eyeHeight: number;
  readonly eyeX: number;
  /** Whether it runs across the glass to the scale or ends at the wall. */
  readonly across: boolean;
  readonly wrong: boolean;
}

/** The line of sight, at its true slope: it meets the scale where the surface seems to stand. */
export function Beam({ picture, view, eyeHeight, eyeX, across, wrong }: BeamProps): ReactNode {
  const glass = (picture.bore + 2 * picture.wall) * view.scale;
  const scaleX = eyeX - 490;
  const at = (apparentY(picture, eyeHeight) - view.topY) * view.scale;
  const eye = eyeY(picture, view, eyeHeight);
  const slope = (eye - at) / (eyeX - scaleX);
  const fromX = across ? Math.max(scaleX, -glass / 2 + 4) : glass / 2;
  const yAt = (x: number): number => at + slope * (x - scaleX);
  const line = { x1: fromX, y1: yAt(fromX), x2: eyeX - 25, y2: yAt(eyeX - 25) };
  return (
    <g strokeLinecap="round" pointerEvents="none">
      <line {...line} stroke={wrong ? '#a8321f' : '#0a7f50'} strokeWidth="4.4" />
      <line {...line} stroke={wrong ? '#f0b6aa' : '#14c07c'} strokeWidth="2" />
    </g>
  );
}

interface WrongPathProps extends OnView {
  readonly pieces: readonly PathPiece[];
  readonly eyeX: number;
  readonly eyeHeight: number;
}

/** Where a slip went wrong: a level at the wall, or a stretch counted along the scale. */
export function WrongPath({ picture, view, pieces, eyeX, eyeHeight }: WrongPathProps): ReactNode {
  const glass = (picture.bore + 2 * picture.wall) * view.scale;
  const bore = picture.bore * view.scale;
  const y = (mm: number): number => (mm - view.topY) * view.scale;
  return (
    <g fill="#a8321f" stroke="#a8321f" fontSize="15" className="font-sans">
      {pieces.map((piece) => {
        if (piece.kind === 'level') {
          const at = y(piece.y) + y(apparentY(picture, eyeHeight)) - y(picture.surfaceY);
          return (
            <g key={piece.text}>
              <line x1={-bore / 2} x2={glass / 2 + 26} y1={at} y2={at} strokeWidth="2" strokeDasharray="6 4" />
              <text x={glass / 2 + 8} y={at - 9} stroke="none">{piece.text}</text>
            </g>
          );
        }
        if (piece.kind === 'span') {
          const x = -glass / 2 - 12;
          const [from, to] = [y(piece.fromY), y(piece.toY)].map((at) => Math.min(view.height - 4, Math.max(4, at))) as [number, number];
          return (
            <g key={piece.text}>
              <path d={`M${x + 7} ${from}H${x}V${to}`} fill="none" strokeWidth="2" />
              <path d={`M${x - 5} ${to + (to > from ? -9 : 9)}L${x} ${to}L${x + 5} ${to + (to > from ? -9 : 9)}`} fill="none" strokeWidth="2" />
              <text transform={`translate(${x - 10} ${(from + to) / 2}) rotate(-90)`} textAnchor="middle" stroke="none">{piece.text}</text>
            </g>
          );
        }
        return (
          <text key={piece.text} x={eyeX + 24} y={eyeY(picture, view, eyeHeight) - 38} textAnchor="end" stroke="none">{piece.text}</text>
        );
      })}
    </g>
  );
}

/** The right path, step by step: the division, the label below, the marks passed, the part estimated. */
export function RightPath({ picture, view, steps }: OnView & { readonly steps: readonly RevealStep[] }): ReactNode {
  const glass = (picture.bore + 2 * picture.wall) * view.scale;
  const y = (mm: number): number => (mm - view.topY) * view.scale;
  const x = -glass / 2 - 12;
  const inView = (at: number): number => Math.min(view.height - 2, Math.max(2, at));
  const marksBetween = (from: number, to: number): number[] => picture.marks.map((mark) => mark.y).filter((at) => at <= from + 1e-6 && at >= to - 1e-6);
  return (
    <g stroke="#0a7f50" fill="none" strokeWidth="3" pointerEvents="none">
      {steps.map(({ kind, fromY, toY }) => {
        if (fromY === null || toY === null) return null;
        if (kind === 'division') return <path key={kind} d={`M${x + 8} ${inView(y(fromY))}H${x}V${inView(y(toY))}H${x + 8}`} strokeWidth="2" strokeDasharray="3 4" />;
        if (kind === 'estimate') return <rect key={kind} x={-glass / 2} y={y(toY)} width={0.27 * glass} height={Math.max(2, y(fromY) - y(toY))} fill="#14c07c" fillOpacity="0.45" strokeWidth="1" />;
        return marksBetween(fromY, toY).map((at) => <line key={`${kind}${at}`} x1={-glass / 2 + 0.03 * glass} x2={-glass / 2 + (kind === 'label' ? 0.3 : 0.15) * glass} y1={y(at)} y2={y(at)} strokeWidth={kind === 'label' ? 4 : 3} />);
      })}
    </g>
  );
}
