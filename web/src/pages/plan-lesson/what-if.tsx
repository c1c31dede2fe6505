import { isShared, problemOf, type Lesson, type LessonPlan } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { useWorker } from '../../ui/use-worker.ts';
import type { PlanOrder } from './plan-lesson.worker.ts';

/** What could be otherwise. */
export interface WhatIf {
  readonly name: string;
  readonly groups: number;
  readonly kind: string | null;
  readonly count: number | null;
}

const begin = (): Worker => new Worker(new URL('./plan-lesson.worker.ts', import.meta.url), { type: 'module' });

/** One more of each shared tool, one out of use, a group fewer. */
function possible(lesson: Lesson): WhatIf[] {
  const { groups, tools } = lesson;
  const shared = tools.filter((tool) => isShared(lesson, tool));
  return [
    ...shared.flatMap(({ kind, one, count }): WhatIf[] => {
      const now = count ?? groups;
      return [
        { name: `one more ${one}`, groups, kind, count: now + 1 < groups ? now + 1 : null },
        ...(now > 1 ? [{ name: `one ${one} out of use`, groups, kind, count: now - 1 }] : []),
      ];
    }),
    ...(groups > 1 ? [{ name: 'a group fewer', groups: groups - 1, kind: null, count: null }] : []),
    { name: 'a group more', groups: groups + 1, kind: null, count: null },
  ];
}

/** The lesson as it would be. */
function lessonIf(lesson: Lesson, { groups, kind, count }: WhatIf): Lesson {
  return {
    ...lesson,
    groups,
    tools: lesson.tools.map((tool) => (tool.kind === kind ? { ...tool, count } : tool)),
  };
}

/** The difference that it would make. */
function differenceInWords(now: number, then: number): string {
  if (then === now) return `${then} minutes, as long as now.`;
  return `${then} minutes, ${Math.abs(then - now)} ${then < now ? 'fewer' : 'more'}.`;
}

interface WhatIfProps {
  readonly lesson: Lesson;
  /** How long the present plan is. */
  readonly minutes: number;
  readonly onTake: (whatIf: WhatIf) => void;
}

/** Plans the lesson as it would be with one thing otherwise, and says what that comes to. */
export function WhatIfs({ lesson, minutes, onTake }: WhatIfProps): ReactNode {
  const [asked, setAsked] = useState<WhatIf | null>(null);
  const { state, start } = useWorker<PlanOrder & { readonly lesson: Lesson }, LessonPlan>(
    begin,
    'The lesson could not be planned. Load the page again.',
  );
  const ask = (whatIf: WhatIf): void => {
    setAsked(whatIf);
    start({ problem: problemOf(lessonIf(lesson, whatIf)), seed: 1, lesson });
  };
  const found = state.kind === 'done' && state.of.lesson === lesson ? state.outcome : null;
  return (
    <section aria-label="What if" className="mt-6">
      <h2 className="text-lg font-bold">What if?</h2>
      <div className="mt-1 flex flex-wrap gap-x-2">
        {possible(lesson).map((whatIf) => (
          <Button key={whatIf.name} look="quiet" onClick={() => ask(whatIf)}>
            {whatIf.name}
          </Button>
        ))}
      </div>
      <div role="status" className="mt-1 flex min-h-11 flex-wrap items-center gap-x-4">
        {state.kind === 'running' && <span className="text-muted">Planning “{asked?.name}” …</span>}
        {state.kind === 'failed' && <span className="text-slip">{state.message}</span>}
        {found && asked && (
          <>
            <span>
              With {asked.name}: <strong>{differenceInWords(minutes, found.minutes)}</strong>
            </span>
            <Button look="plain" onClick={() => onTake(asked)}>
              Plan it that way
            </Button>
          </>
        )}
      </div>
    </section>
  );
}
