import { memo, useId, type ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { printedWidth } from '../geometry.ts';
import type { Upright } from '../look.ts';

interface WholeToolProps {
  readonly picture: Upright;
  /** Pixels per millimetre. */
  readonly scale: number;
  /** The stretch that the close view shows, in mm below the top. */
  readonly shown: readonly [fromY: number, toY: number];
  readonly markAt: number;
}

const LENGTHS = { long: 0.42, medium: 0.3, short: 0.18 } as const;
/** Least room between two numerals and between two lines, in pixels; whatever is closer is left out. */
const ROOM = { label: 17, line: 2.2 };

/** Every so many lines or labels are shown, so that they can be told from each other at this size. */
function stepBetween(items: readonly { readonly y: number }[], scale: number, room: number): number {
  const [first, second] = items;
  if (!first || !second) return 1;
  const every = room / Math.max(1e-6, Math.abs(first.y - second.y) * scale);
  return [1, 2, 5, 10, 20, 50].find((step) => step >= every) ?? 100;
}

/** Numerals with room around them; round ones are kept. */
function sparseLabels(picture: Upright, scale: number): Upright['marks'] {
  const labels = picture.marks.filter((mark) => mark.label !== null);
  const [first, second] = labels;
  const each = Math.abs(Number(second?.label ?? 1) - Number(first?.label ?? 0));
  const step = stepBetween(labels, scale, ROOM.label);
  return step === 1 ? labels : labels.filter((mark) => Math.abs(Math.round(Number(mark.label) / each) % step) === 0);
}

/** The whole tool, small: where on it the close view looks, and the labels around. The axis is at x = 0, the top at y = 0. */
export const WholeTool = memo(function WholeTool({ picture, scale, shown, markAt }: WholeToolProps): ReactNode {
  const id = useId();
  const { inside, solid, halfWidth } = picture.look.silhouette(picture);
  const width = printedWidth(picture) * scale;
  const made = picture.look.whole(picture);
  const every = stepBetween(picture.marks, scale, ROOM.line);
  const lines = picture.marks.filter((_, i) => i % every === 0);
  const labels = sparseLabels(picture, scale);
  const numerals = useNumerals();
  return (
    <g>
      <clipPath id={id}>
        <path d={inside} transform={`scale(${scale})`} />
      </clipPath>
      <g transform={`scale(${scale})`} strokeWidth={1.2 / scale} stroke="#8fa198" strokeLinejoin="round">
        <path d={solid} fill={made.body} />
        <path d={inside} fill={made.inside} fillOpacity={made.insideOpacity} />
      </g>
      <rect
        clipPath={`url(#${id})`}
        x={-halfWidth * scale}
        width={2 * halfWidth * scale}
        y={markAt * scale}
        height={(picture.height - markAt) * scale + 4}
        fill={made.fill}
        fillOpacity={made.fillOpacity}
      />
      {lines.map(({ y, rank }) => (
        <line
          key={y}
          x1={-width / 2 + 1}
          x2={-width / 2 + 1 + LENGTHS[rank] * width}
          y1={y * scale}
          y2={y * scale}
          stroke="var(--color-ink)"
          strokeWidth={rank === 'long' ? 1.3 : 0.8}
        />
      ))}
      {labels.map(({ y, label }) => (
        <text
          key={y}
          x={width / 2 + (width < 60 ? 6 : -3)}
          y={y * scale}
          dy="0.36em"
          textAnchor={width < 60 ? 'start' : 'end'}
          fontSize="13"
          fill="var(--color-ink)"
          className="font-mono"
        >
          {label === null ? '' : numerals(label.replace('-', '−'))}
        </text>
      ))}
      <rect
        x={-Math.max(width / 2, 8) - 10}
        y={shown[0] * scale}
        width={Math.max(width, 16) + 20}
        height={(shown[1] - shown[0]) * scale}
        fill="none"
        stroke="var(--color-beam)"
        strokeWidth="1.6"
      />
    </g>
  );
});
