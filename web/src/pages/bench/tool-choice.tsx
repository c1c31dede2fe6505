import { instrumentIds, instrumentById, SKILLS } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';

const TOOLS = instrumentIds().map(instrumentById);
const FAMILIES = SKILLS.map((skill) => ({ ...skill, tools: TOOLS.filter((tool) => tool.skill === skill.id) })).filter(
  ({ tools }) => tools.length > 0,
);

/** The tools of the next round: all, a family, or a single one. */
export function ToolChoice({ onChoose }: { readonly onChoose: (instrumentIds: readonly string[]) => void }): ReactNode {
  return (
    <section aria-labelledby="another-ten" className="mt-6">
      <h2 id="another-ten" className="font-semibold">
        Another ten
      </h2>
      <div className="mt-3">
        <Button onClick={() => onChoose([])}>Every tool</Button>
      </div>
      <ul className="mt-4">
        {FAMILIES.map(({ id, name, tools }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-4 border-t border-hairline py-1">
            <Button
              look="quiet"
              className="min-w-44 justify-start"
              onClick={() => onChoose(tools.map((tool) => tool.id))}
            >
              {name}
            </Button>
            {tools.length > 1 &&
              tools.map((tool) => (
                <Button key={tool.id} look="quiet" className="font-normal" onClick={() => onChoose([tool.id])}>
                  {tool.name}
                </Button>
              ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
