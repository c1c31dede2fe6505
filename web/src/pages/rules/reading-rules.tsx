import {
  instrumentById,
  readingStep,
  toolFamilies,
  type HouseRules,
  type Instrument,
  type ReadingUncertainty,
} from '@green-beam/core';
import type { ReactNode } from 'react';
import { optionsOf, RuleRow } from './rule-row.tsx';

interface ReadingRulesProps {
  readonly draft: HouseRules;
  readonly present: HouseRules;
  readonly onChange: (readingUncertaintyOf: HouseRules['readingUncertaintyOf']) => void;
}

/** What can be said of readings on a tool: parts of a division, or of the digit that a display shows. */
function choicesFor(tool: Instrument, rules: HouseRules, otherwise: string): [string, string][] {
  const isDisplay = readingStep(tool, rules).lastDigit === 'displayed';
  return [['', otherwise], ...optionsOf(isDisplay ? 'digitalUncertainty' : 'readingUncertainty')];
}

/** Families of tools, and single tools, whose readings are known otherwise than all others. */
export function ReadingRules({ draft, present, onChange }: ReadingRulesProps): ReactNode {
  const stated = draft.readingUncertaintyOf;
  const families = toolFamilies();
  const tools = families.flatMap((family) => family.tools);
  const own = tools.filter(({ id }) => stated[id] !== undefined);
  const change = (id: string, value: string): void => {
    const others = Object.fromEntries(Object.entries(stated).filter(([one]) => one !== id));
    onChange(value === '' ? others : { ...others, [id]: value as ReadingUncertainty });
  };
  const row = (id: string, name: string, tool: Instrument, otherwise: string): ReactNode => (
    <RuleRow
      key={id}
      label={name}
      value={stated[id] ?? ''}
      options={choicesFor(tool, draft, otherwise)}
      changed={stated[id] !== present.readingUncertaintyOf[id]}
      onChange={(value) => change(id, value)}
    />
  );
  return (
    <details className="border-t border-hairline">
      <summary className="min-h-11 cursor-pointer content-center font-semibold">
        Readings known otherwise, by family or by tool
      </summary>
      {families.map(({ id, name, tools: [tool] }) => row(id, name, tool, 'as all others'))}
      {own.map((tool) => row(tool.id, tool.name, tool, 'as its family'))}
      <label className="grid items-center gap-x-4 border-t border-hairline py-1 sm:grid-cols-[17rem_minmax(0,1fr)]">
        <span className="text-muted">One tool by itself</span>
        <select
          value=""
          className="min-h-11 bg-transparent"
          onChange={(event) => {
            const tool = instrumentById(event.target.value);
            change(tool.id, choicesFor(tool, draft, '')[1]?.[0] ?? '');
          }}
        >
          <option value="" disabled>
            choose
          </option>
          {tools
            .filter((tool) => !own.includes(tool))
            .map((tool) => (
              <option key={tool.id} value={tool.id}>
                {tool.name}
              </option>
            ))}
        </select>
      </label>
    </details>
  );
}
