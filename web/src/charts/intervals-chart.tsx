import type { ReactNode } from 'react';
import { acrossScale, BottomAxis } from './axis.tsx';
import { ChartFrame } from './chart-frame.tsx';
import { useWidth } from './use-width.ts';

const LINE = 40;
const FOOT = 46;

/** A result to be compared: its value, and what is quoted after ±. */
export interface Interval {
  readonly name: string;
  readonly value: number;
  readonly size: number;
  /** As it is quoted. */
  readonly text: string;
}

interface IntervalsChartProps {
  readonly title: string;
  readonly summary: string;
  readonly intervals: readonly Interval[];
  readonly unit: string;
}

/** Results of one kind under each other on one scale, each with its uncertainty. */
export function IntervalsChart({ title, summary, intervals, unit }: IntervalsChartProps): ReactNode {
  const { ref, width } = useWidth<HTMLElement>(900);
  const x = acrossScale(
    intervals.flatMap(({ value, size }) => [value - size, value + size]),
    width,
  );
  const height = intervals.length * LINE + FOOT;
  return (
    <ChartFrame
      title={title}
      summary={summary}
      table={{ headings: ['', unit], rows: intervals.map(({ name, text }) => [name, text]) }}
      width={width}
      height={height}
      frame={ref}
    >
      {intervals.map(({ name, value, size }, i) => {
        const y = i * LINE + 28;
        const before = x(value + size) > width * 0.7;
        return (
          <g key={name}>
            <path
              d={`M${x(value - size)} ${y - 5}v10m0 -5H${x(value + size)}m0 -5v10`}
              stroke="var(--color-ink)"
              strokeWidth="2"
              fill="none"
            />
            <path d={`M${x(value)} ${y - 7}l6 7l-6 7l-6 -7Z`} fill="var(--color-beam)" />
            <text x={before ? x(value - size) : x(value + size)} y={y - 11} textAnchor={before ? 'start' : 'end'}>
              {name}
            </text>
          </g>
        );
      })}
      <BottomAxis scale={x} y={height - FOOT + 4} label={unit} />
    </ChartFrame>
  );
}
