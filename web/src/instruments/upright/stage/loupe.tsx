import { useCallback, useId, useMemo, type ReactNode } from 'react';
import { useSeen, type Sight } from '../../sight/sight.ts';
import { useDrawn, type Drawn } from '../../sight/use-drawn.ts';
import { apparentY, bodyShift, printedWidth } from '../geometry.ts';
import { PrintedScale, scaleShift } from '../printed-scale.tsx';
import type { Upright, View } from '../look.ts';

const MAGNIFICATION = 4;
const LENS = { width: 580, height: 250 };
/** The lens is flatter than a circle, so that the ends of the short lines and the middle of the surface are seen in it together. */
const ROUNDED = 84;
/** Lines under the lens are finer than its magnification would make them. */
const WEIGHT = 1.6;

interface LoupeProps {
  readonly picture: Upright;
  /** The close view it is held over. */
  readonly close: View;
  readonly sight: Sight;
  /** What the lens is held over. */
  readonly aim: Sight;
}

/** The tool near the mark as the lens shows it. */
function Magnified({
  picture,
  view,
  sight,
}: {
  readonly picture: Upright;
  readonly view: View;
  readonly sight: Sight;
}): ReactNode {
  const scale = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => ({ transform: `translate(0 ${scaleShift(picture, view, seen).toFixed(2)})` }),
      [picture, view],
    ),
  );
  const body = useDrawn<SVGGElement>(
    sight,
    useCallback(
      (seen): Drawn => ({ transform: `translate(0 ${bodyShift(picture, view, seen).toFixed(2)})` }),
      [picture, view],
    ),
  );
  return (
    <>
      <g ref={body}>{picture.look.still({ picture, view, weight: WEIGHT })}</g>
      {picture.look.moving({ picture, view, sight, weight: WEIGHT })}
      <g ref={scale}>
        <PrintedScale picture={picture} view={view} weight={WEIGHT} />
      </g>
    </>
  );
}

/** A reading glass over the mark, with the ends of the lines at its left and the middle of the surface at its right. */
export function Loupe({ picture, close, sight, aim }: LoupeProps): ReactNode {
  const id = useId();
  const apparent = apparentY(picture, useSeen(aim));
  const scale = close.scale * MAGNIFICATION;
  const view = useMemo(
    (): View => ({ scale, topY: apparent - LENS.height / 2 / scale, width: LENS.width, height: LENS.height }),
    [scale, apparent],
  );
  const width = printedWidth(picture) * close.scale;
  const focus = picture.look.lensAt(picture) * width;
  const frame = { x: -LENS.width / 2, y: -LENS.height / 2, width: LENS.width, height: LENS.height, rx: ROUNDED };
  return (
    <g transform={`translate(${focus} ${(apparent - close.topY) * close.scale})`} pointerEvents="none">
      <clipPath id={id}>
        <rect {...frame} />
      </clipPath>
      <rect {...frame} fill="var(--color-paper)" />
      <g clipPath={`url(#${id})`}>
        <g transform={`translate(${-focus * MAGNIFICATION} ${-LENS.height / 2})`}>
          <Magnified picture={picture} view={view} sight={sight} />
        </g>
      </g>
      <rect {...frame} fill="none" stroke="var(--color-ink)" strokeWidth="5" />
      <rect
        x={frame.x + 4}
        y={frame.y + 4}
        width={LENS.width - 8}
        height={LENS.height - 8}
        rx={ROUNDED - 4}
        fill="none"
        stroke="#c9cfcc"
        strokeWidth="2.5"
      />
    </g>
  );
}
