import { expectedReading, instrumentById, readingTask, type HouseRules } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';

/** Points on scales whose reading depends on the method. */
const EXAMPLES: readonly { readonly tool: string; readonly situation: { value: number; from?: number } }[] = [
  { tool: 'cylinder-50', situation: { value: 37.43 } },
  { tool: 'cylinder-500', situation: { value: 263 } },
  { tool: 'burette-50', situation: { value: 24.38 } },
  { tool: 'burette-50', situation: { value: 24.38, from: 1.12 } },
  { tool: 'thermometer-degree', situation: { value: -3.4 } },
  { tool: 'ruler-millimetre', situation: { value: 84.62 } },
  { tool: 'hydrometer-1000', situation: { value: 1.0243 } },
];

/** What the rules make of a few readings, while they are being chosen. */
export function RuleExamples({ rules }: { readonly rules: HouseRules }): ReactNode {
  const numerals = useNumerals();
  return (
    <aside aria-label="Examples" className="self-start border-l border-hairline pl-6 wide:sticky wide:top-6">
      <h2 className="text-lg font-bold">By these rules</h2>
      <dl className="mt-2">
        {EXAMPLES.map(({ tool, situation }) => {
          const { text, unit, accepts } = expectedReading(readingTask(tool, situation, rules));
          const difference = situation.from !== undefined;
          return (
            <div key={tool + String(difference)} className="border-t border-hairline py-2">
              <dt className="text-small text-muted">
                {numerals(
                  instrumentById(tool).name +
                    (difference
                      ? `, from ${situation.from ?? 0} to ${situation.value} mL`
                      : `, ${situation.value} ${instrumentById(tool).unit}`.replace('-', '−')),
                )}
              </dt>
              <dd className="flex items-baseline justify-between">
                <MeasuredNumber text={text} unit={unit} className="text-xl" />
                <span className="font-mono text-small text-muted">
                  {accepts[0] === accepts[1]
                    ? 'only this'
                    : numerals(`${accepts[0]} to ${accepts[1]}`.replaceAll('-', '−'))}
                </span>
              </dd>
            </div>
          );
        })}
      </dl>
    </aside>
  );
}
