import type { DrawnMark } from '@green-beam/core';
import { memo, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import type { Seen } from '../sight/sight.ts';
import { MARK_INSET, printedWidth, rise, scaleDepth } from './geometry.ts';
import type { Upright, View } from './look.ts';

const WEIGHTS = { long: 2.2, medium: 2, short: 1.8 } as const;

/** How far a line reaches across what it is printed on; two scales leave room for both numerals between them. */
export function markLength({ look, secondMarks }: Upright, rank: DrawnMark['rank']): number {
  return secondMarks.length > 0 ? { long: 0.27, medium: 0.22, short: 0.17 }[rank] : look.markLength(rank);
}

interface MarksProps {
  readonly picture: Upright;
  readonly marks: readonly DrawnMark[];
  readonly view: View;
  readonly side: 'left' | 'right';
  readonly weight: number;
  readonly size: number;
}

/** The engraved lines that lie in the view, with their numerals. */
function Marks({ picture, marks, view, side, weight, size }: MarksProps): ReactNode {
  const numerals = useNumerals();
  const sign = side === 'left' ? 1 : -1;
  const width = printedWidth(picture) * view.scale;
  return (
    <g stroke="var(--color-ink)" fill="var(--color-ink)" className={picture.look.ownInk ? 'own-ink' : ''}>
      {marks.map(({ y, rank, label }) => {
        const at = (y - view.topY) * view.scale;
        if (at < -40 || at > view.height + 40) return null;
        const across = 2 * widthAt(picture, y) * view.scale;
        const start = -sign * (0.5 - MARK_INSET) * (across || width);
        const end = start + sign * markLength(picture, rank) * width;
        return (
          <g key={y} data-mark={label ?? ''}>
            <line x1={start} x2={end} y1={at} y2={at} strokeWidth={WEIGHTS[rank] * weight} />
            {label !== null && (
              <text
                x={end + sign * 10}
                y={at}
                dy="0.35em"
                stroke="none"
                fontSize={size}
                className="font-mono"
                textAnchor={side === 'left' ? 'start' : 'end'}
              >
                {numerals(label.replace('-', '−'))}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Half the outer width of a flask at a height; 0 for tools with straight sides. */
function widthAt(picture: Upright, y: number): number {
  if (picture.outline.length === 0) return 0;
  const after = picture.outline.findIndex(([at]) => at <= y);
  return (picture.outline[after]?.[1] ?? picture.bore / 2) + picture.wall;
}

interface PrintedScaleProps {
  readonly picture: Upright;
  readonly view: View;
  readonly weight?: number;
}

/** The printed scale, and the second one where there is one. */
export const PrintedScale = memo(function PrintedScale({ picture, view, weight = 1 }: PrintedScaleProps): ReactNode {
  return (
    <>
      <Marks
        picture={picture}
        marks={picture.marks}
        view={view}
        side="left"
        weight={weight}
        size={picture.look.labelSize * weight}
      />
      {picture.secondMarks.length > 0 && (
        <Marks
          picture={picture}
          marks={picture.secondMarks}
          view={view}
          side="right"
          weight={weight * 0.9}
          size={22 * weight}
        />
      )}
    </>
  );
});

/** How far down the printed scale seems to lie when the eye is off the level, in pixels of the view: what its depth does. */
export function scaleShift(picture: Upright, view: View, seen: Seen): number {
  return -rise(picture, seen, scaleDepth(picture)) * view.scale;
}
