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

/** A report with everything that is needed to mark it. */
export interface ReportToMark extends ReportInQueue {
  /** The page as it was handed in. */
  readonly page: RunPage;
  /** The last one first. */
  readonly earlier: readonly EarlierReport[];
}
