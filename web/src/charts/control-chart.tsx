import type { ControlLimits } from '@green-beam/core';
import { extent } from 'd3-array';
import { scaleLinear, scaleTime } from 'd3-scale';
import { line } from 'd3-shape';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { useWidth } from './use-width.ts';

const HEIGHT = 260;
const EDGE = { top: 18, right: 92, bottom: 34, left: 74 };

interface ControlChartProps {
  readonly points: readonly { readonly at: Date; readonly error: number }[];
  readonly limits: ControlLimits;
  readonly unit: string;
  readonly decimals: number;
}

/** Errors of a tool’s checks over time, with warning and action limits about their centre. What is beyond a limit has another shape. */
export function ControlChart({ points, limits, unit, decimals }: ControlChartProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width } = useWidth<HTMLDivElement>(700);
  const { centre, warning, action } = limits;
  const [first = new Date(), last = new Date()] = extent(points, ({ at }) => at);
  const margin = Math.max(12 * 3600 * 1000, (last.getTime() - first.getTime()) * 0.04);
  const x = scaleTime()
    .domain([first.getTime() - margin, last.getTime() + margin])
    .range([EDGE.left, width - EDGE.right]);
  const [least = 0, most = 0] = extent([...points.map(({ error }) => error), centre - action, centre + action]);
  const y = scaleLinear()
    .domain([least - 0.12 * (most - least), most + 0.12 * (most - least)])
    .range([HEIGHT - EDGE.bottom, EDGE.top]);
  const signed = (value: number, places: number): string =>
    numerals(`${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value).toFixed(places)}`);
  const limitLines = [
    { at: centre, name: 'centre', dash: undefined, colour: 'var(--color-beam)' },
    ...[-1, 1].flatMap((side) => [
      { at: centre + side * warning, name: 'warning', dash: '7 5', colour: 'var(--color-doubt)' },
      { at: centre + side * action, name: 'action', dash: undefined, colour: 'var(--color-slip)' },
    ]),
  ];
  const path = line<(typeof points)[number]>(
    ({ at }) => x(at),
    ({ error }) => y(error),
  )([...points]);
  const beyond = points.filter(({ error }) => Math.abs(error - centre) > warning + 1e-9).length;
  return (
    <div ref={ref} className="overflow-hidden">
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        role="img"
        aria-label={`${points.length} checks, the last off by ${signed(points.at(-1)?.error ?? 0, decimals)} ${unit}; ${beyond === 0 ? 'none' : beyond} beyond the warning limits`}
      >
        {limitLines.map(({ at, name, dash, colour }) => (
          <g key={`${name}${at}`}>
            <line
              x1={EDGE.left}
              x2={width - EDGE.right}
              y1={y(at)}
              y2={y(at)}
              stroke={colour}
              strokeWidth="1.5"
              strokeDasharray={dash}
            />
            <text x={width - EDGE.right + 8} y={y(at)} dy="0.35em" fontSize="14" fill={colour}>
              {name}
            </text>
            <text
              x={EDGE.left - 8}
              y={y(at)}
              dy="0.35em"
              textAnchor="end"
              fontSize="14"
              fill="var(--color-muted)"
              className="font-mono"
            >
              {signed(at, decimals + 1)}
            </text>
          </g>
        ))}
        {path !== null && <path d={path} fill="none" stroke="var(--color-ink)" strokeOpacity="0.4" strokeWidth="1.4" />}
        {points.map(({ at, error }) => {
          const [cx, cy] = [x(at), y(error)];
          const off = Math.abs(error - centre);
          return off > warning + 1e-9 ? (
            <path
              key={at.getTime()}
              d={`M${cx - 6} ${cy - 6}l12 12M${cx + 6} ${cy - 6}l-12 12`}
              stroke={off > action + 1e-9 ? 'var(--color-slip)' : 'var(--color-doubt)'}
              strokeWidth="3"
            />
          ) : (
            <circle key={at.getTime()} cx={cx} cy={cy} r="4.5" fill="var(--color-ink)" />
          );
        })}
        {x.ticks(Math.max(2, Math.floor(width / 130))).map((tick) => (
          <text
            key={tick.getTime()}
            x={x(tick)}
            y={HEIGHT - 10}
            textAnchor="middle"
            fontSize="14"
            fill="var(--color-muted)"
          >
            {format(tick, 'd MMM')}
          </text>
        ))}
      </svg>
    </div>
  );
}
