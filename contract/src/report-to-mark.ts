import type { RunPage } from './notebook.ts';
import type { Marking, ReportInQueue } from './reports.ts';

/** What was handed in before by the same author. */
export interface EarlierReport {
  readonly number: number;
  readonly handedInAt: string;
  readonly marking: Marking;
  /** The last entry of the log that belonged to it. */
  readonly upTo: number;
}

/** The first result of another group’s page of the same laboratory, by the book. */
export interface ResultOfGroup {
  readonly runId: string;
  readonly specimen: string;
  readonly value: number;
  readonly unit: string;
}

/** A report with everything that is needed to mark it. */
export interface ReportToMark extends ReportInQueue {
  /** The page as it was handed in. */
  readonly page: RunPage;
  /** The last one first. */
  readonly earlier: readonly EarlierReport[];
  /** Of the groups for whom it was opened together; none where a group began it by itself. */
  readonly others: readonly ResultOfGroup[];
}
