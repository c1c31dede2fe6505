import { foldLog, type LogEntry, type Standing } from './run/fold.ts';

/**
 * One entry in a run's log. `slot` says where it belongs: `before.2` is the reading of `before` in trial 2; `behaviour`, `accepted`,
 * `specimen`, `temperature`, `excluded.2` and `answer.tool` belong to the run.
 */
export interface RunEvent extends LogEntry {
  readonly slot: string;
}

/** A run is its log. */
export interface Run {
  readonly events: readonly RunEvent[];
}

/** What stands in one slot: the entry in force, those struck through, and any rivals that replace the same entry. */
export type SlotState = Standing<RunEvent>;

/** What stands in each slot of a run. */
export function foldRun({ events }: Run): Map<string, SlotState> {
  return foldLog(events, ({ slot }) => slot);
}
