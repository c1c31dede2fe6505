import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';

/** Where rounds come from and entries go to: the server for who is signed in, core in the browser for visitors. */
export interface BenchSource {
  readonly round: BenchRound | null;
  /** Readings in the round; the last of them may still be drawn. */
  readonly length: number;
  readonly strip: readonly StripMark[];
  readonly error: Error | null;
  submit(task: BenchTask, attempt: NewAttempt): Promise<AttemptResult>;
  /** None named means all tools. */
  newRound(instrumentIds: readonly string[]): Promise<void>;
}
