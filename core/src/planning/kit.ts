import type { Protocol } from '../laboratories/protocol/protocol.ts';
import { isShared, type Lesson, type LessonTool } from './lesson.ts';

/** What stands where in a lesson. */
export interface LessonKit {
  /** On every bench. */
  readonly bench: readonly string[];
  /** For all groups together. */
  readonly shared: readonly LessonTool[];
}

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** Whether a line of a kit list is nothing but a tool: `0.01 g balance`, `one thermometer`. */
const isOnly = (line: string, { one }: LessonTool): boolean =>
  new RegExp(`^([\\d.]+ ?\\w* |an? |one )?${escaped(one)}$`, 'i').test(line);

/** What is to stand on each bench, without the tools that all groups share; and those. */
export function kitOf(lesson: Lesson, protocols: readonly Protocol[]): LessonKit {
  const shared = lesson.tools.filter((tool) => isShared(lesson, tool));
  const lines = new Map(protocols.flatMap(({ kit }) => kit).map((line) => [line.replace(/^(an?|one) /, ''), line]));
  return { bench: [...lines.values()].filter((line) => !shared.some((tool) => isOnly(line, tool))), shared };
}

/** Something that is done before the lesson. */
export interface ToPrepare {
  readonly text: string;
  /** Minutes before the lesson begins. */
  readonly minutesBefore: number;
}

/** What is begun before the lesson, the earliest first. */
export function toPrepare(protocols: readonly Protocol[]): ToPrepare[] {
  const all = new Map(protocols.flatMap(({ preparation = [] }) => preparation.map((one) => [one.text, one] as const)));
  return [...all.values()].sort((a, b) => b.minutesBefore - a.minutesBefore);
}
