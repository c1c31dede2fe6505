import {
  isShared,
  type Lesson,
  type LessonTool,
  type NarrowPlace,
  type PlanConflict,
  type PlannedStep,
} from '@green-beam/core';
import { clockAt } from './lesson-draft.ts';

const minutesInWords = (minutes: number): string => (minutes === 1 ? '1 minute' : `${minutes} minutes`);

/** `2 balances`, `1 hot plate`. */
export const countInWords = ({ one, many }: Pick<LessonTool, 'one' | 'many'>, count: number): string =>
  count === 1 ? `1 ${one}` : `${count} ${many}`;

/** Whether the lesson is long enough. */
export function fitsInWords(needed: number, minutes: number, groups: number): { title: string; isTooLong: boolean } {
  const isTooLong = needed > minutes;
  return {
    isTooLong,
    title: isTooLong
      ? `${minutesInWords(needed)}: ${needed - minutes} too many`
      : `${needed} of ${minutesInWords(minutes)}, ${groups} ${groups === 1 ? 'group' : 'groups'}`,
  };
}

/** How long the groups have nothing to do. */
export function waitsInWords(waits: readonly number[]): string {
  const [least, most] = [Math.min(...waits), Math.max(...waits)];
  if (most === 0) return 'Nobody waits.';
  if (least === most) return `Each group waits ${minutesInWords(most)}.`;
  const mean = Math.round(waits.reduce((sum, one) => sum + one, 0) / waits.length);
  return mean === 0
    ? `No group waits more than ${minutesInWords(most)}.`
    : `Each group waits about ${minutesInWords(mean)}, at most ${most}.`;
}

/** Where groups meet, as a heading. */
export function narrowInWords({ tool, count, minutes }: NarrowPlace): string {
  return `${countInWords(tool, count)}, ${minutesInWords(minutes)}${count === 1 ? '' : ' each'}`;
}

/** What one of the tools is called: by its code, or by its number. */
export function toolName({ one, codes }: Pick<LessonTool, 'one' | 'codes'>, index: number): string {
  return codes[index] ?? `${one} ${index + 1}`;
}

/** The shared tools that a step uses, named. */
export function toolsInWords({ tools, groups }: Lesson, used: PlannedStep['tools']): string[] {
  return Object.entries(used).flatMap(([kind, index]) => {
    const tool = tools.find((one) => one.kind === kind);
    return tool && isShared({ groups }, tool) ? [toolName(tool, index)] : [];
  });
}

export const groupName = (group: number): string => `Group ${group + 1}`;

/** What cannot be so, and where: `Group 2, Mass: Group 1 is at balance 1 until 10:08.` */
export function conflictInWords(
  { kind, group, step, against }: PlanConflict,
  { steps }: Pick<Lesson, 'steps'>,
  plan: readonly PlannedStep[],
  begins: string,
): string {
  const named = (id: string): string => steps.find((one) => one.id === id)?.name ?? id;
  const placed = (of: { group: number; step: string }): PlannedStep | undefined =>
    plan.find((one) => one.group === of.group && one.step === of.step);
  const until = clockAt(begins, placed(against)?.end ?? 0);
  const other = `“${named(against.step)}”`;
  const what: Record<PlanConflict['kind'], string> = {
    hands: `they are still at ${other} until ${until}`,
    tool: `${groupName(against.group)} is at the same tool for ${other} until ${until}`,
    'too-early': `${other} must be done first; it ends at ${until}`,
    'too-late': `it has to begin when ${other} ends, at ${until}`,
    'other-tool': `it is another tool than for ${other}; a group keeps to one`,
  };
  return `${groupName(group)}, ${named(step)}: ${what[kind]}.`;
}
