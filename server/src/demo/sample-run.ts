import type { Address, Arrangement } from '@green-beam/core';

/** One entry of a sample log: who (index in the group), where, what, and for a correction the reason. */
export type Line = readonly [who: number, address: Address, text: string, reason?: string];

export interface SampleRun {
  readonly protocolId: string;
  readonly specimen: string;
  /** Indices in the roster of Heron 9. */
  readonly group: readonly number[];
  readonly daysAgo: number;
  readonly handedIn: boolean;
  /** What it was opened with; nothing where the group began it. */
  readonly openingId?: string;
  /** What is left to the students; nothing where it is not said. */
  readonly arrangement?: Arrangement;
  readonly lines: readonly Line[];
}
