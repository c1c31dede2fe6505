import { needsWholeWidth } from '@green-beam/core';
import { useId, useMemo, type ReactNode } from 'react';
import { createSight } from '../../sight/sight.ts';
import { closeView, printedWidth } from '../geometry.ts';
import { PrintedScale } from '../printed-scale.tsx';
import { WholeTool } from './whole-tool.tsx';
import type { Upright } from '../look.ts';

const HEIGHT = 330;
const WHOLE = { width: 112, height: 318 };
/** Lines and numerals are finer than on the bench: paper is looked at from near by. */
const LINES = 0.8;
/** A close view with room at its sides for what stands beside the glass. */
const CLOSE = { width: 290, side: 16, gap: 18 };
const CLOSE_SPAN = CLOSE.width + 2 * CLOSE.side;

interface CloseProps {
  readonly picture: Upright;
  /** Where the surface stands in this view, in mm below the top. */
  readonly markAt: number;
  readonly caption: string | null;
}

/** Part of the tool around a surface, seen from the level. Its left edge is at x = 0. */
function Close({ picture, markAt, caption }: CloseProps): ReactNode {
  const id = useId();
  const room = caption === null ? HEIGHT : HEIGHT - 26;
  const view = useMemo(() => closeView(picture, markAt, CLOSE.width, room), [picture, markAt, room]);
  const sight = useMemo(() => createSight({ height: 0, markAt }), [markAt]);
  return (
    <g>
      <clipPath id={id}>
        <rect width={CLOSE_SPAN} height={room} />
      </clipPath>
      <g clipPath={`url(#${id})`}>
        <g transform={`translate(${CLOSE_SPAN / 2} 0)`}>
          {picture.look.still({ picture, view })}
          {picture.look.moving({ picture, view, sight })}
          <PrintedScale picture={picture} view={view} weight={LINES} />
        </g>
      </g>
      {caption !== null && (
        <text x={CLOSE_SPAN / 2} y={HEIGHT - 4} textAnchor="middle" fontSize="17" fill="var(--color-ink)">
          {caption}
        </text>
      )}
    </g>
  );
}

/** An upright tool as it is printed: the whole of it small, and close views of the surface, at the start and the end where both are read. */
export function UprightOnPaper({ picture, label }: { readonly picture: Upright; readonly label: string }): ReactNode {
  const { startY, surfaceY, height } = picture;
  const closeUps =
    startY !== null && needsWholeWidth(picture)
      ? [
          { markAt: startY, caption: 'at the start' },
          { markAt: surfaceY, caption: 'at the end' },
        ]
      : [{ markAt: surfaceY, caption: null }];
  const view = closeView(picture, surfaceY, CLOSE.width, HEIGHT);
  const { halfWidth } = picture.look.silhouette(picture);
  const scale = Math.min(WHOLE.height / height, (WHOLE.width - 34) / (2 * halfWidth));
  const axis = Math.max(halfWidth, printedWidth(picture) / 2 + 8 / scale) * scale + 2;
  return (
    <svg
      viewBox={`0 0 ${WHOLE.width + closeUps.length * (CLOSE_SPAN + CLOSE.gap)} ${HEIGHT}`}
      className="block h-full w-full"
      role="img"
      aria-label={label}
    >
      <g transform={`translate(${axis} ${(HEIGHT - height * scale) / 2})`}>
        <WholeTool
          picture={picture}
          scale={scale}
          shown={[view.topY, view.topY + view.height / view.scale]}
          markAt={surfaceY}
        />
      </g>
      {closeUps.map(({ markAt, caption }, i) => (
        <g key={caption} transform={`translate(${WHOLE.width + CLOSE.gap + i * (CLOSE_SPAN + CLOSE.gap)} 0)`}>
          <Close picture={picture} markAt={markAt} caption={caption} />
        </g>
      ))}
    </svg>
  );
}
