import { scaleLinear } from 'd3-scale';
import type { ReactNode } from 'react';

interface BudgetBarsProps {
  readonly shares: readonly { readonly name: string; readonly share: number }[];
}

/** Where the uncertainty comes from: each contribution's share, largest first. */
export function BudgetBars({ shares }: BudgetBarsProps): ReactNode {
  const width = scaleLinear().domain([0, 1]).range([0, 100]).clamp(true);
  return (
    <dl className="grid grid-cols-[auto_1fr_4rem] items-center gap-x-4 gap-y-2">
      {shares.map(({ name, share }) => (
        <div key={name} className="contents">
          <dt>{name}</dt>
          <dd aria-hidden="true" className="h-3.5 bg-hairline/50">
            <span className="block h-full min-w-px bg-ink" style={{ width: `${width(share)}%` }} />
          </dd>
          <dd className="text-right font-mono">{Math.round(share * 100)} %</dd>
        </div>
      ))}
    </dl>
  );
}
