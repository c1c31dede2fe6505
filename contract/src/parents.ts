import type { BoardCell } from './classes.ts';

/** An item that went wrong, for parents to see what it is about. */
export interface ParentExample {
  readonly tool: string;
  readonly question: string;
  readonly wrote: string;
  readonly right: string;
  readonly slip: string;
  readonly why: string;
  /** Where to look, to do it right. */
  readonly help: string;
}

/** What parents are told of one student, on one page. */
export interface ParentSheet {
  readonly id: string;
  readonly name: string;
  readonly skills: readonly BoardCell[];
  readonly example: ParentExample | null;
  /** Reports that have come back, the latest first. */
  readonly reports: readonly {
    readonly specimen: string;
    readonly title: string;
    readonly returnedAt: string;
    /** Names of criteria with their points, as the class writes them. */
    readonly marks: readonly (readonly [criterion: string, mark: string])[];
    readonly comments: readonly string[];
  }[];
}
