import { quadtree } from 'd3-quadtree';
import { useMemo, useState, type PointerEvent, type ReactNode } from 'react';

/** Something in a chart that can be pointed at: where it is, in pixels, and what is said of it. */
export interface Point {
  readonly x: number;
  readonly y: number;
  readonly text: string;
}

interface PointedAtProps {
  readonly points: readonly Point[];
  readonly width: number;
  readonly height: number;
}

/** Nothing farther from the pointer than this is meant, in pixels. */
const NEAR = 28;
const UNDER_THE_TOP = 16;

/**
 * Says what the pointer or a finger is on. It lies over a chart; the chart itself is not drawn again. Who has no pointer finds the same
 * in the table of the chart.
 */
export function PointedAt({ points, width, height }: PointedAtProps): ReactNode {
  const tree = useMemo(
    () =>
      quadtree<Point>()
        .x(({ x }) => x)
        .y(({ y }) => y)
        .addAll([...points]),
    [points],
  );
  const [at, setAt] = useState<Point | null>(null);
  const point = (event: PointerEvent<SVGRectElement>): void => {
    const box = event.currentTarget.getBoundingClientRect();
    const scale = box.width / width || 1;
    setAt(tree.find((event.clientX - box.left) / scale, (event.clientY - box.top) / scale, NEAR) ?? null);
  };
  const toTheRight = at !== null && at.x < width / 2;
  return (
    <g aria-hidden="true">
      {at && (
        <>
          <circle cx={at.x} cy={at.y} r="9" fill="none" stroke="var(--color-beam)" strokeWidth="2.5" />
          <text
            x={at.x + (toTheRight ? 14 : -14)}
            y={Math.max(UNDER_THE_TOP, at.y - 10)}
            textAnchor={toTheRight ? 'start' : 'end'}
            fontWeight="700"
            stroke="var(--color-paper)"
            strokeWidth="5"
            paintOrder="stroke"
          >
            {at.text}
          </text>
        </>
      )}
      <rect
        width={width}
        height={height}
        fill="transparent"
        onPointerMove={point}
        onPointerDown={point}
        onPointerLeave={() => setAt(null)}
      />
    </g>
  );
}
