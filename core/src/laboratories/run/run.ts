import { addressKey, type Address } from './address.ts';
import { foldLog, type LogEntry, type Standing } from './fold.ts';

/** One entry in a run’s log. */
export interface RunEvent extends LogEntry {
  readonly address: Address;
}

/** A run is its log. */
export interface Run {
  readonly events: readonly RunEvent[];
}

export type SlotState = Standing<RunEvent>;

/** What stands at each address of a run, by its key. */
export function foldRun({ events }: Run): Map<string, SlotState> {
  return foldLog(events, ({ address }) => addressKey(address));
}
