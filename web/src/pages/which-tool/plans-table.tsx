import type { ToolPlan } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { minutesText, sizeText } from './in-words.ts';

interface PlansTableProps {
  readonly plans: readonly ToolPlan[];
  readonly wanted: number;
  /** Of the result in the example. */
  readonly value: number;
  readonly unit: string;
}

function Tools({ chosen }: Pick<ToolPlan, 'chosen'>): ReactNode {
  const numerals = useNumerals();
  return (
    <ul>
      {chosen.map(({ what, tool, available }) => (
        <li key={what}>
          <span className="text-muted">{what}:</span> {numerals(tool.instrument.name)}{' '}
          <span className="text-small text-muted">
            {available === 0 ? '(none in the cabinet)' : `(${available} there)`}
          </span>
        </li>
      ))}
    </ul>
  );
}

/** Ways to choose tools, those that do on top. */
export function PlansTable({ plans, wanted, value, unit }: PlansTableProps): ReactNode {
  const numerals = useNumerals();
  return (
    <div className="relative overflow-x-auto">
      <table className="mt-3 w-full max-w-4xl">
        <thead>
          <tr className="border-b-[1.5px] border-ink text-left text-small">
            <th scope="col" className="py-2 pr-6">
              Tools
            </th>
            <th scope="col" className="pr-6 text-right">
              ± {unit}
            </th>
            <th scope="col" className="pr-6 text-right">
              ± %
            </th>
            <th scope="col" className="pr-6 text-right">
              Readings take
            </th>
            <th scope="col">Will it do?</th>
          </tr>
        </thead>
        <tbody>
          {plans.map((plan) => {
            const does = plan.uncertainty <= wanted * (1 + 1e-9);
            return (
              <tr
                key={plan.chosen.map(({ tool }) => tool.instrument.id).join()}
                className="border-b border-hairline align-top"
              >
                <td className="py-2 pr-6">
                  <Tools chosen={plan.chosen} />
                </td>
                <td className="py-2 pr-6 text-right font-mono">{numerals(sizeText(plan.uncertainty))}</td>
                <td className="py-2 pr-6 text-right font-mono">
                  {value === 0 ? '–' : numerals(sizeText((100 * plan.uncertainty) / Math.abs(value)))}
                </td>
                <td className="py-2 pr-6 text-right whitespace-nowrap">{minutesText(plan.seconds)}</td>
                <td className={`py-2 font-semibold ${does ? 'text-beam' : 'text-slip'}`}>{does ? '✓ yes' : '✗ no'}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
