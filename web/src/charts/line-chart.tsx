import { line as lineThrough, type WorkedAggregate } from '@green-beam/core';
import { area } from 'd3-shape';
import type { ReactNode } from 'react';
import { BottomAxis, LeftAxis, scaleOver } from './axis.tsx';
import { ChartFrame } from './chart-frame.tsx';
import { useWidth } from './use-width.ts';

const HEIGHT = 320;
const EDGE = { top: 30, right: 22, bottom: 52, left: 66 };
/** So many standard uncertainties of the line lie on either side of it. */
const REACH = 2;
const STEPS = 40;

/** A number with so many figures, without a power of ten. */
const figures = (value: number, count: number): string => String(Number(value.toPrecision(count)));

interface LineChartProps {
  readonly title: string;
  readonly points: WorkedAggregate['rows'];
  /** What is drawn upwards and across, with the units. */
  readonly up: string;
  readonly across: string;
}

/** Points with the straight line through them, and a band of what the line may be off by. */
export function LineChart({ title, points, up, across }: LineChartProps): ReactNode {
  const { ref, width } = useWidth<HTMLElement>(620);
  const xs = points.map(({ values }) => values[1] ?? 0);
  const ys = points.map(({ values }) => values[0] ?? 0);
  const { slope, intercept, uSlope, uIntercept, correlation } = lineThrough(xs, ys);
  const x = scaleOver(xs, EDGE.left, width - EDGE.right);
  const [least = 0, most = 1] = x.domain();
  const onLine = (at: number): number => slope * at + intercept;
  const off = (at: number): number =>
    uSlope === null || uIntercept === null
      ? 0
      : REACH *
        Math.sqrt(Math.max(0, (uSlope * at) ** 2 + uIntercept ** 2 + 2 * correlation * uSlope * uIntercept * at));
  const steps = Array.from({ length: STEPS + 1 }, (_, i) => least + ((most - least) * i) / STEPS);
  const y = scaleOver(
    [...ys, ...[least, most].flatMap((at) => [onLine(at) - off(at), onLine(at) + off(at)])],
    HEIGHT - EDGE.bottom,
    EDGE.top,
  );
  const band = area<number>(
    (at) => x(at),
    (at) => y(onLine(at) - off(at)),
    (at) => y(onLine(at) + off(at)),
  )(steps);
  const summary = `${points.length} points. The line rises by ${figures(slope, 4)} for each unit across and meets zero at ${figures(intercept, 4)}.${
    uSlope === null
      ? ''
      : ` The slope is known to ± ${figures(uSlope, 2)}; the band shows two standard uncertainties of the line.`
  }`;
  return (
    <ChartFrame
      title={title}
      summary={summary}
      table={{ headings: ['', up, across], rows: points.map(({ name, numbers }) => [name, ...numbers]) }}
      width={width}
      height={HEIGHT}
      frame={ref}
    >
      {band !== null && uSlope !== null && <path d={band} fill="var(--color-beam)" fillOpacity="0.16" />}
      <line
        x1={x(least)}
        x2={x(most)}
        y1={y(onLine(least))}
        y2={y(onLine(most))}
        stroke="var(--color-beam)"
        strokeWidth="2"
      />
      {points.map(({ name }, i) => (
        <circle key={name} cx={x(xs[i] ?? 0)} cy={y(ys[i] ?? 0)} r="4.5" />
      ))}
      <LeftAxis scale={y} x={EDGE.left} label={up} />
      <BottomAxis scale={x} y={HEIGHT - EDGE.bottom} label={across} />
    </ChartFrame>
  );
}
