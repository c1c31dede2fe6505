import type { ToolChoice } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { Purpose, StepText } from './instructions.tsx';
import type { OnPage } from './on-page.ts';
import { PURPOSE, SECTIONS, SET_UP, type Parts } from './parts.ts';
import { SetUp, stepsOf } from './set-up.tsx';

interface CurrentPartProps extends OnPage {
  readonly cabinet: readonly ToolChoice[];
  readonly current: string;
  readonly parts: Parts;
  readonly onPart: (id: string) => void;
}

/** What is done just now: what the laboratory is for, its choices, or one step; and the way to the next. */
export function CurrentPart({ current, parts, onPart, ...on }: CurrentPartProps): ReactNode {
  if (SECTIONS.includes(current)) return null;
  const steps = stepsOf(on);
  const number = steps.findIndex(({ id }) => id === current);
  const step = steps[number];
  const next = parts[parts.findIndex(({ id }) => id === current) + 1];
  return (
    <section className="mt-4 border-l-[3px] border-beam py-1 pl-4" aria-label="What to do now">
      {current === PURPOSE && <Purpose protocol={on.page.protocol} />}
      {current === SET_UP && <SetUp {...on} />}
      {step && <StepText step={step} number={number + 1} />}
      {next && (
        <Button look="quiet" className="-ml-2" onClick={() => onPart(next.id)}>
          Next: {next.title}
        </Button>
      )}
    </section>
  );
}
