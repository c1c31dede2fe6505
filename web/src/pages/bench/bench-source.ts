import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';
import type { ExerciseShown, Picture } from '@green-beam/core';
import type { EntryMade } from './entry/use-made.ts';

/** An item of a round at a tool, and one on paper. */
export type ReadingTask = BenchTask & { readonly picture: Picture };
export type ExerciseTask = BenchTask & { readonly picture: ExerciseShown };

export function isReading(task: BenchTask): task is ReadingTask {
  return task.picture.kind !== 'exercise';
}

export function isExercise(task: BenchTask): task is ExerciseTask {
  return task.picture.kind === 'exercise';
}

/** Where rounds come from and entries go to: the server for who is signed in, core in the browser for visitors. */
export interface BenchSource {
  readonly round: BenchRound | null;
  /** No round is under way, and none begins by itself. */
  readonly idle: boolean;
  /** Items in the round; the last of them may still be drawn. */
  readonly length: number;
  readonly strip: readonly StripMark[];
  readonly error: Error | null;
  /** What was entered on each reading, and what came of it. */
  readonly made: ReadonlyMap<string, readonly EntryMade[]>;
  /** Readings with an entry that is kept here, since the server cannot be reached. */
  readonly notChecked: ReadonlySet<string>;
  submit(task: BenchTask, attempt: NewAttempt): Promise<AttemptResult>;
  /** Of tools and kinds of exercises; none named means all tools. */
  newRound(subjectIds: readonly string[]): Promise<void>;
}

/** Whether nothing more can be entered on a reading. */
export function isFinished({ made }: BenchSource, task: BenchTask): boolean {
  return task.state === 'closed' || (made.get(task.id)?.at(-1)?.result.closed ?? false);
}

/** How many items of a round went right at the first try. */
export function rightAtFirst({ round, made }: BenchSource): number {
  return (round?.tasks ?? []).filter(
    (task) =>
      made.get(task.id)?.find(({ result }) => result.verdict !== 'unreadable')?.result.verdict === 'sound' ||
      task.rightAtFirst,
  ).length;
}
