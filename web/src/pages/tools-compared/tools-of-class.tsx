import { poolTools, type HouseRules, type PooledTool, type ToolCompared } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { placeOf, signed, toleranceInWords } from './in-words.ts';
import { classInWords } from './class-in-words.ts';
import { ToolsOnAxes } from './tools-on-axes.tsx';
import { ToolsTable } from './tools-table.tsx';

interface ToolsOfClassProps {
  readonly groups: readonly { readonly letter: string; readonly compared: readonly ToolCompared[] }[];
  readonly rules: HouseRules;
  /** The member of the tool that is looked at more closely; the first one where it is none of them. */
  readonly chosen: string;
  readonly onChoose: (member: string) => void;
}

/** What a whole class found of the tools it compared: on two axes, in numbers, and in words. */
export function ToolsOfClass({ groups, rules, chosen: asked, onChoose }: ToolsOfClassProps): ReactNode {
  const numerals = useNumerals();
  const tools = useMemo(
    () => poolTools(groups.map(({ letter, compared }) => ({ group: letter, tools: compared }))),
    [groups],
  );
  const [first] = tools;
  const chosen = tools.find(({ member }) => member === asked) ?? first;
  if (!chosen || tools.length < 2) return null;
  const unit = unitText(chosen.unit);
  const place = (tool: PooledTool): number => placeOf(tool.spread, tool.error);
  return (
    <section aria-label="The tools beside each other">
      <p className="mt-3 max-w-4xl text-lg">{numerals(classInWords(tools))}</p>
      <div className="mt-4 grid grid-cols-[minmax(0,1fr)] items-start gap-x-12 gap-y-8 wide:grid-cols-[minmax(0,1.15fr)_minmax(0,1fr)]">
        <ToolsOnAxes tools={tools} chosen={chosen.member} onChoose={onChoose} />
        <div className="flex min-w-0 flex-col gap-4">
          <ToolsTable
            lines={tools.map((tool) => ({
              ...tool,
              key: tool.member,
              averageDeviation: null,
              standardError: null,
            }))}
            unit={unit}
            rules={rules}
            chosen={chosen.member}
            onChoose={onChoose}
          />
          <p>
            The {numerals(chosen.name)}, in {chosen.groups} {chosen.groups === 1 ? 'group' : 'groups'}: off by{' '}
            {numerals(signed(chosen.error, place(chosen)).replace('-', '−'))} {unit} on average, and{' '}
            {toleranceInWords(chosen.byTolerance)}
            {chosen.tolerance === null ? '' : numerals(` (± ${chosen.tolerance} ${unit})`)}.
          </p>
          <p className="text-small text-muted">
            Each group counts the same. Bars: 95 % interval of the mean error, by what lies between the groups. Scatter:
            within the groups.
          </p>
        </div>
      </div>
    </section>
  );
}
