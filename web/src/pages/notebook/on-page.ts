import type { RunPage } from '@green-beam/contract';
import type { Address, Members, OwnWork, WorkedRun } from '@green-beam/core';

/** A place of a quantity. */
export interface CellPlace {
  readonly quantity: string;
  readonly members: Members;
}

/** Whether the group enters readings there: they have not been given, and nothing is handed in. */
export function mayEnter({ mayWrite, isGiven }: RunPage): boolean {
  return mayWrite && !isGiven;
}

/** Who looks at a page: one of the class’s teachers, or a student. */
export type Seen = 'teacher' | 'student';

/** A laboratory as its page is given it, and what can be done there. */
export interface OnPage {
  readonly page: RunPage;
  /** Worked out with the own calculations of whose work is looked at. */
  readonly run: WorkedRun;
  readonly ownWork: OwnWork;
  /** Whose calculations and answers these are. */
  readonly author: string;
  /** Worked out by the book, for a teacher; null for everybody else. */
  readonly book: WorkedRun | null;
  readonly onWrite: (address: Address, text: string, reason?: string | null) => void;
  /** Shows how a cell was worked out. */
  readonly onWorking: (place: CellPlace) => void;
  /** Opens what adds something to a reading. */
  readonly onAdjust: (place: CellPlace) => void;
  /** The cell of one’s own that is worked on. */
  readonly opened: CellPlace | null;
  readonly onOpen: (place: CellPlace | null) => void;
}
