import { line } from 'd3-shape';
import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { BottomAxis } from './axis.tsx';
import { ChartFrame } from './chart-frame.tsx';
import { useWidth } from './use-width.ts';

const HEIGHT = 240;
const BASE = 192;
const TOP = 12;
const CURVE = 80;

/** How often results fell into each of many equal steps. */
export interface Bins {
  readonly from: number;
  readonly step: number;
  /** Shares of all draws. */
  readonly shares: readonly number[];
}

interface HistogramProps {
  readonly title: string;
  readonly summary: string;
  readonly bins: Bins;
  /** What the slopes say: a normal curve about this value. */
  readonly linear: { readonly value: number; readonly standard: number };
  readonly interval: readonly [number, number];
  readonly unit: string;
}

/** The results of a simulation, with the curve of the linear result over them. */
export function Histogram({ title, summary, bins, linear, interval, unit }: HistogramProps): ReactNode {
  const { ref, width } = useWidth<HTMLElement>(620);
  const { from, step, shares } = bins;
  const to = from + step * shares.length;
  const x = scaleLinear()
    .domain([from, to])
    .range([16, width - 16]);
  const density = (at: number): number =>
    (step * Math.exp(-0.5 * ((at - linear.value) / linear.standard) ** 2)) / (linear.standard * Math.sqrt(2 * Math.PI));
  const tallest = Math.max(...shares, linear.standard > 0 ? density(linear.value) : 0);
  const y = scaleLinear().domain([0, tallest]).range([BASE, TOP]);
  const curve = Array.from({ length: CURVE + 1 }, (_, i) => from + ((to - from) * i) / CURVE);
  const path =
    linear.standard > 0
      ? line<number>(
          (at) => x(at),
          (at) => y(density(at)),
        )(curve)
      : null;
  return (
    <ChartFrame
      title={title}
      summary={summary}
      table={{
        headings: [`from, ${unit}`, 'share of the draws'],
        rows: shares.map((share, i) => [(from + step * i).toPrecision(4), `${(share * 100).toFixed(1)} %`]),
      }}
      width={width}
      height={HEIGHT}
      frame={ref}
    >
      {shares.map((share, i) => (
        <rect
          key={i}
          x={x(from + step * i) + 0.5}
          width={Math.max(1, x(from + step * (i + 1)) - x(from + step * i) - 1)}
          y={y(share)}
          height={BASE - y(share)}
          fill="var(--color-muted)"
          fillOpacity="0.5"
        />
      ))}
      {path !== null && <path d={path} fill="none" stroke="var(--color-beam)" strokeWidth="2.5" />}
      <path
        d={`M${x(interval[0])} ${BASE + 1}v-14M${x(interval[1])} ${BASE + 1}v-14`}
        stroke="var(--color-doubt)"
        strokeWidth="3"
        fill="none"
      />
      <BottomAxis scale={x} y={BASE} label={unit} />
    </ChartFrame>
  );
}
