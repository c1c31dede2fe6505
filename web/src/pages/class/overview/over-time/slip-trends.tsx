import type { OverTime } from '@green-beam/contract';
import { practiceSlipById, SKILLS } from '@green-beam/core';
import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { line } from 'd3-shape';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { slipTrends, type SlipTrend } from './figures.ts';

const WIDTH = 260;
const HEIGHT = 44;
const MOST = 8;

const WAYS = { up: 'more often', down: 'less often', same: 'as often as before' } as const;

function skillName(id: string): string {
  return SKILLS.find((skill) => skill.id === id)?.name ?? id;
}

function Weeks({ trend, weeks }: { readonly trend: SlipTrend; readonly weeks: readonly string[] }): ReactNode {
  const x = scaleLinear()
    .domain([0, weeks.length - 1])
    .range([6, WIDTH - 6]);
  const y = scaleLinear()
    .domain([0, Math.max(10, max(trend.rates, (rate) => rate ?? 0) ?? 0)])
    .range([HEIGHT - 6, 6]);
  const path = line<number | null>()
    .defined((rate) => rate !== null)
    .x((_, i) => x(i))
    .y((rate) => y(rate ?? 0));
  const known = trend.rates.flatMap((rate, i) => (rate === null ? [] : [{ rate, i }]));
  const told = known
    .map(({ rate, i }) => `week of ${format(new Date(weeks[i] ?? ''), 'd MMM')}: ${Math.round(rate)} in 100`)
    .join('; ');
  return (
    <svg width={WIDTH} height={HEIGHT} role="img" aria-label={told || 'too few items in each week'} className="block">
      <path d={`M0 ${HEIGHT - 6}H${WIDTH}`} stroke="var(--color-hairline)" />
      <path d={path(trend.rates) ?? ''} fill="none" stroke="var(--color-muted)" strokeWidth="1.5" />
      {known.map(({ rate, i }) => (
        <circle key={i} cx={x(i)} cy={y(rate)} r="3.5" fill="var(--color-ink)">
          <title>{`${format(new Date(weeks[i] ?? ''), 'd MMM')}: ${Math.round(rate)} in 100`}</title>
        </circle>
      ))}
    </svg>
  );
}

/** The commonest slips week by week: how often each was made in 100 items of its kind. */
export function SlipTrends({ time }: { readonly time: OverTime }): ReactNode {
  const trends = slipTrends(time, MOST);
  if (trends.length === 0) return <p className="mt-2 text-muted">No slip has been found in these weeks.</p>;
  return (
    <ul className="mt-2">
      {trends.map((trend) => (
        <li
          key={`${trend.slip} ${trend.skill}`}
          className="flex flex-wrap items-center justify-between gap-x-6 border-t border-hairline py-1.5"
        >
          <span className="min-w-0">
            <span className="font-semibold">{practiceSlipById(trend.slip).name}</span>
            <span className="block text-small text-muted">
              {skillName(trend.skill)}, {trend.made} times{trend.way === null ? '' : `, ${WAYS[trend.way]}`}
            </span>
          </span>
          <Weeks trend={trend} weeks={time.weeks} />
        </li>
      ))}
    </ul>
  );
}
