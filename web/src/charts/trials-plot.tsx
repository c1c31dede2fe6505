import { extent } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';
import { useNumerals } from '../numbers/decimal-mark.ts';
import { useWidth } from './use-width.ts';

const HEIGHT = 104;
const BASE = 76;

interface TrialsPlotProps {
  readonly values: readonly number[];
  readonly mean: number;
  readonly uncertainty: number;
  readonly accepted: { readonly name: string; readonly least: number; readonly most: number } | null;
  readonly unit: string;
}

/** The trials as ticks, their mean with its uncertainty above them, and the accepted range behind. */
export function TrialsPlot({ values, mean, uncertainty, accepted, unit }: TrialsPlotProps): ReactNode {
  const numerals = useNumerals();
  const { ref, width } = useWidth<HTMLDivElement>(620);
  const ticks = Math.max(2, Math.floor(width / 100));
  const [least = 0, most = 1] = extent([
    ...values,
    mean - uncertainty,
    mean + uncertainty,
    ...(accepted ? [accepted.least, accepted.most] : []),
  ]);
  const margin = (most - least || Math.abs(mean) || 1) * 0.08;
  const x = scaleLinear()
    .domain([least - margin, most + margin])
    .nice(5)
    .range([26, width - 26]);
  const band = accepted ? { from: x(accepted.least), to: Math.max(x(accepted.most), x(accepted.least) + 3) } : null;
  return (
    <div ref={ref} className="max-w-2xl overflow-hidden">
      <svg
        width={width}
        height={HEIGHT}
        className="block"
        role="img"
        aria-label={numerals(
          `${values.length} trials, mean ${mean.toPrecision(3)} ${unit}${accepted ? `, accepted ${accepted.name} ${accepted.least} to ${accepted.most}` : ''}`,
        )}
      >
        {band && accepted && (
          <>
            <rect x={band.from} width={band.to - band.from} y="14" height={BASE - 14} fill="#cfe5da" />
            <text
              x={band.to + 110 > width ? band.from - 6 : band.to + 6}
              y="20"
              textAnchor={band.to + 110 > width ? 'end' : 'start'}
              fontSize="14"
              fill="#0a7f50"
            >
              {accepted.name.toLowerCase()}
              {numerals(
                accepted.least === accepted.most ? `, ${accepted.least}` : `, ${accepted.least} to ${accepted.most}`,
              )}
            </text>
          </>
        )}
        <line x1={x(mean - uncertainty)} x2={x(mean + uncertainty)} y1="34" y2="34" stroke="#13251f" strokeWidth="2" />
        <path d={`M${x(mean)} 26l6 8l-6 8l-6 -8Z`} fill="#13251f" />
        {values.map((value, i) => (
          <line
            key={`${i}${value}`}
            x1={x(value)}
            x2={x(value)}
            y1={BASE - 24}
            y2={BASE}
            stroke="#13251f"
            strokeWidth="2.5"
          />
        ))}
        <line x1={x.range()[0]} x2={x.range()[1]} y1={BASE} y2={BASE} stroke="#13251f" strokeWidth="1.4" />
        {x.ticks(ticks).map((tick) => (
          <g key={tick}>
            <line x1={x(tick)} x2={x(tick)} y1={BASE} y2={BASE + 7} stroke="#13251f" strokeWidth="1.2" />
            <text x={x(tick)} y={HEIGHT - 6} textAnchor="middle" fontSize="14" fill="#52635c" className="font-mono">
              {numerals(x.tickFormat(ticks)(tick))}
            </text>
          </g>
        ))}
      </svg>
    </div>
  );
}
