import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';
import type { EntryMade } from './use-made.ts';

/** Where rounds come from and entries go to: the server for who is signed in, core in the browser for visitors. */
export interface BenchSource {
  readonly round: BenchRound | null;
  /** Readings in the round; the last of them may still be drawn. */
  readonly length: number;
  readonly strip: readonly StripMark[];
  readonly error: Error | null;
  /** What was entered on each reading, and what came of it. */
  readonly made: ReadonlyMap<string, readonly EntryMade[]>;
  /** Readings with an entry that is kept here, since the server cannot be reached. */
  readonly notChecked: ReadonlySet<string>;
  submit(task: BenchTask, attempt: NewAttempt): Promise<AttemptResult>;
  /** None named means all tools. */
  newRound(instrumentIds: readonly string[]): Promise<void>;
}

/** Whether nothing more can be entered on a reading. */
export function isFinished({ made }: BenchSource, task: BenchTask): boolean {
  return task.state === 'closed' || (made.get(task.id)?.at(-1)?.result.closed ?? false);
}
