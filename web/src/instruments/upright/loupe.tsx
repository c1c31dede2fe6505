import type { LiquidColumnPicture } from '@green-beam/core';
import { useCallback, useId, useMemo, type ReactNode } from 'react';
import { useSeen, type Sight } from '../sight.ts';
import { useDrawn, type Drawn } from '../use-drawn.ts';
import { Moving, Still } from './body.tsx';
import { apparentY, MARK_INSET, MARK_LENGTHS, printedWidth, type View } from './geometry.ts';
import { PrintedScale, scaleShift } from './printed-scale.tsx';

const MAGNIFICATION = 4;
const LENS = { width: 580, height: 250 };
/** The lens is flatter than a circle, so that the ends of the short lines and the middle of the surface are seen in it together. */
const ROUNDED = 84;
/** Lines under the lens are finer than its magnification would make them. */
const WEIGHT = 1.6;

interface LoupeProps {
  readonly picture: LiquidColumnPicture;
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
  readonly picture: LiquidColumnPicture;
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
  return (
    <>
      <Still picture={picture} view={view} weight={WEIGHT} />
      <Moving picture={picture} view={view} sight={sight} weight={WEIGHT} />
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
  const focus =
    picture.vessel === 'thermometer'
      ? 0
      : picture.outline.length > 0
        ? ((MARK_INSET + MARK_LENGTHS.short - 1) / 2) * width
        : ((MARK_INSET + MARK_LENGTHS.short - 0.5) / 2 + 0.01) * width;
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
