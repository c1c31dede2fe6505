import { isShared, type Lesson, type LessonTool, type PlannedStep } from '@green-beam/core';
import { groupName, toolName, toolsInWords } from '../in-words.ts';

/** A step as it stands on a row of the timeline. */
export interface Block {
  readonly key: string;
  readonly planned: PlannedStep;
  readonly label: string;
  /** At a tool that groups share, by the hands, or by itself. */
  readonly look: 'shared' | 'hands' | 'waiting';
}

/** One line of the timeline. */
export interface Row {
  readonly key: string;
  readonly name: string;
  readonly blocks: readonly Block[];
}

const keyOf = ({ group, step }: PlannedStep): string => `${group} ${step}`;

/** A line for each group, with what it does. */
export function rowsByGroup(lesson: Lesson, plan: readonly PlannedStep[]): Row[] {
  const known = new Map(lesson.steps.map((step) => [step.id, step]));
  return Array.from({ length: lesson.groups }, (_, group) => ({
    key: String(group),
    name: groupName(group),
    blocks: plan
      .filter((planned) => planned.group === group)
      .map((planned): Block => {
        const step = known.get(planned.step);
        const tools = toolsInWords(lesson, planned.tools);
        return {
          key: keyOf(planned),
          planned,
          label: [step?.name ?? planned.step, ...tools].join(' · '),
          look: step?.attention === 'waiting' ? 'waiting' : tools.length > 0 ? 'shared' : 'hands',
        };
      }),
  }));
}

/** A line for each of the tools that groups share, with who is at it. */
export function rowsByTool(lesson: Lesson, plan: readonly PlannedStep[]): Row[] {
  const known = new Map(lesson.steps.map((step) => [step.id, step]));
  const rowOf = (tool: LessonTool, index: number): Row => ({
    key: `${tool.kind} ${index}`,
    name: toolName(tool, index),
    blocks: plan
      .filter(({ tools }) => tools[tool.kind] === index)
      .map((planned): Block => {
        const step = known.get(planned.step);
        return {
          key: keyOf(planned),
          planned,
          label: `${groupName(planned.group)} · ${step?.name ?? planned.step}`,
          look: step?.attention === 'waiting' ? 'waiting' : 'shared',
        };
      }),
  });
  return lesson.tools
    .filter((tool) => isShared(lesson, tool))
    .flatMap((tool) => Array.from({ length: tool.count ?? 0 }, (_, index) => rowOf(tool, index)));
}
