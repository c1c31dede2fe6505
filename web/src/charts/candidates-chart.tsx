import type { Candidate } from '@green-beam/core';
import type { ReactNode } from 'react';
import { acrossScale, BottomAxis } from './axis.tsx';
import { ChartFrame } from './chart-frame.tsx';
import { useWidth } from './use-width.ts';

const LINE = 26;
const HEAD = 20;
const FOOT = 46;
/** As many are shown: beyond the nearest ones nothing is to be told apart. */
const MOST = 8;

interface CandidatesChartProps {
  readonly title: string;
  readonly candidates: readonly Candidate[];
  readonly value: number;
  /** Two standard uncertainties on either side. */
  readonly size: number;
  readonly unit: string;
}

const ranged = ({ density: [least, most] }: Candidate): string => (least === most ? `${least}` : `${least} to ${most}`);

/** What a thing could be made of: the accepted ranges of the nearest materials, against the result with its uncertainty. */
export function CandidatesChart({ title, candidates, value, size, unit }: CandidatesChartProps): ReactNode {
  const { ref, width } = useWidth<HTMLElement>(620);
  const nearest = candidates.slice(0, MOST);
  const x = acrossScale([...nearest.flatMap(({ density }) => density), value - size, value + size], width - 150);
  const height = HEAD + nearest.length * LINE + FOOT;
  const possible = candidates.filter((one) => one.possible).map(({ name }) => name.toLowerCase());
  const summary =
    possible.length === 0
      ? 'No material of the list agrees with the result.'
      : `The result agrees with ${possible.join(', ')}${possible.length > 1 ? ': more than one, so it cannot tell them apart' : ''}.`;
  return (
    <ChartFrame
      title={title}
      summary={summary}
      table={{
        headings: ['material', unit, ''],
        rows: nearest.map((one) => [one.name, ranged(one), one.possible ? 'possible' : 'too far off']),
      }}
      width={width}
      height={height}
      frame={ref}
    >
      <rect
        x={x(value - size)}
        width={x(value + size) - x(value - size)}
        y={HEAD - 6}
        height={nearest.length * LINE + 8}
        fill="var(--color-band)"
      />
      <line
        x1={x(value)}
        x2={x(value)}
        y1={HEAD - 6}
        y2={HEAD + nearest.length * LINE + 2}
        stroke="var(--color-beam)"
        strokeWidth="2"
      />
      <text x={x(value)} y="11" textAnchor="middle" fill="var(--color-beam)">
        your result
      </text>
      {nearest.map((one, i) => {
        const y = HEAD + i * LINE + 12;
        const [least, most] = one.density;
        return (
          <g key={one.name} fillOpacity={one.possible ? 1 : 0.55}>
            <rect x={x(least)} width={Math.max(3, x(most) - x(least))} y={y - 6} height="9" />
            <text x={width - 142} y={y + 3} fontWeight={one.possible ? 700 : 400}>
              {one.possible ? '✓ ' : ''}
              {one.name}
            </text>
          </g>
        );
      })}
      <BottomAxis scale={x} y={HEAD + nearest.length * LINE + 4} label={unit} />
    </ChartFrame>
  );
}
