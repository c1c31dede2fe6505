import { isShared, type Lesson, type PlannedStep } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import { groupName, toolName } from './in-words.ts';
import { clockAt } from './lesson-draft.ts';
import type { StepAt } from './timeline/timeline.tsx';

const SELECT = 'min-h-11 min-w-0 border-b-2 border-ink bg-surface px-2 text-base font-normal';

interface MoveStepProps {
  readonly lesson: Lesson;
  readonly plan: readonly PlannedStep[];
  readonly begins: string;
  readonly selected: StepAt;
  readonly onSelect: (at: StepAt) => void;
  readonly onMove: (at: StepAt, start: number) => void;
  readonly onTool: (group: number, kind: string, tool: number) => void;
}

/** Moves a step by buttons: what dragging does, without a pointer. */
export function MoveStep({ lesson, plan, begins, selected, onSelect, onMove, onTool }: MoveStepProps): ReactNode {
  const { group, step } = selected;
  const placed = plan.find((one) => one.group === group && one.step === step);
  const shared = lesson.tools.filter((tool) => isShared(lesson, tool) && placed?.tools[tool.kind] !== undefined);
  return (
    <section aria-label="Move a step" className="mt-3 flex flex-wrap items-end gap-x-5 gap-y-2">
      <label className="flex flex-col gap-1 text-small font-semibold">
        Group
        <select
          value={group}
          onChange={(event) => onSelect({ group: Number(event.target.value), step })}
          className={SELECT}
        >
          {Array.from({ length: lesson.groups }, (_, one) => (
            <option key={one} value={one}>
              {groupName(one)}
            </option>
          ))}
        </select>
      </label>
      <label className="flex min-w-0 flex-col gap-1 text-small font-semibold">
        Step
        <select value={step} onChange={(event) => onSelect({ group, step: event.target.value })} className={SELECT}>
          {lesson.steps.map(({ id, name, station }) => (
            <option key={id} value={id}>
              {station === null ? name : `${name} (${station})`}
            </option>
          ))}
        </select>
      </label>
      {placed && (
        <>
          <p className="min-h-11 content-center font-mono">
            {clockAt(begins, placed.start)} to {clockAt(begins, placed.end)}
          </p>
          <div className="flex gap-2">
            <Button look="plain" onClick={() => onMove(selected, placed.start - 1)}>
              1 minute earlier
            </Button>
            <Button look="plain" onClick={() => onMove(selected, placed.start + 1)}>
              1 minute later
            </Button>
          </div>
          {shared.map((tool) => (
            <label key={tool.kind} className="flex flex-col gap-1 text-small font-semibold">
              {tool.one.charAt(0).toUpperCase() + tool.one.slice(1)}
              <select
                value={placed.tools[tool.kind]}
                onChange={(event) => onTool(group, tool.kind, Number(event.target.value))}
                className={SELECT}
              >
                {Array.from({ length: tool.count ?? 0 }, (_, index) => (
                  <option key={index} value={index}>
                    {toolName(tool, index)}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </>
      )}
    </section>
  );
}
