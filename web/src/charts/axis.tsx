import { extent } from 'd3-array';
import { scaleLinear, type ScaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { useNumerals } from '../numbers/decimal-mark.ts';

export type Scale = ScaleLinear<number, number>;

/** Free space at either end of an axis, in pixels. */
const SIDE = 26;

/** A scale over all of some values, with a little room at the ends. */
export function scaleOver(values: readonly number[], from: number, to: number): Scale {
  const [least = 0, most = 1] = extent(values);
  const margin = (most - least || Math.abs(most) || 1) * 0.08;
  return scaleLinear()
    .domain([least - margin, most + margin])
    .nice(5)
    .range([from, to]);
}

export function acrossScale(values: readonly number[], width: number): Scale {
  return scaleOver(values, SIDE, width - SIDE);
}

const minus = (text: string): string => text.replace('-', '−');

/** A line along the bottom with its numbers. */
export function BottomAxis({
  scale,
  y,
  label,
}: {
  readonly scale: Scale;
  readonly y: number;
  readonly label: string;
}): ReactNode {
  const numerals = useNumerals();
  const [from = 0, to = 0] = scale.range();
  const count = Math.max(2, Math.floor((to - from) / 100));
  return (
    <g>
      <line x1={from} x2={to} y1={y} y2={y} stroke="var(--color-ink)" strokeWidth="1.4" />
      {scale.ticks(count).map((tick) => (
        <g key={tick}>
          <line x1={scale(tick)} x2={scale(tick)} y1={y} y2={y + 6} stroke="var(--color-ink)" strokeWidth="1.2" />
          <text x={scale(tick)} y={y + 21} textAnchor="middle" fill="var(--color-muted)">
            {numerals(minus(scale.tickFormat(count)(tick)))}
          </text>
        </g>
      ))}
      <text x={to} y={y + 38} textAnchor="end" fill="var(--color-muted)">
        {label}
      </text>
    </g>
  );
}

/** A line along the left with its numbers. */
export function LeftAxis({
  scale,
  x,
  label,
}: {
  readonly scale: Scale;
  readonly x: number;
  readonly label: string;
}): ReactNode {
  const numerals = useNumerals();
  const [from = 0, to = 0] = scale.range();
  return (
    <g>
      <line x1={x} x2={x} y1={from} y2={to} stroke="var(--color-ink)" strokeWidth="1.4" />
      {scale.ticks(5).map((tick) => (
        <g key={tick}>
          <line x1={x - 6} x2={x} y1={scale(tick)} y2={scale(tick)} stroke="var(--color-ink)" strokeWidth="1.2" />
          <text x={x - 9} y={scale(tick)} dy="0.35em" textAnchor="end" fill="var(--color-muted)">
            {numerals(minus(scale.tickFormat(5)(tick)))}
          </text>
        </g>
      ))}
      <text x={x - 40} y={to - 8} fill="var(--color-muted)">
        {label}
      </text>
    </g>
  );
}
