import type { RunPage } from '@green-beam/contract';
import type { Address, Members, WorkedRun } from '@green-beam/core';

/** A place of a quantity. */
export interface CellPlace {
  readonly quantity: string;
  readonly members: Members;
}

/** A laboratory as its page is given it, and what can be done there. */
export interface OnPage {
  readonly page: RunPage;
  readonly run: WorkedRun;
  readonly onWrite: (address: Address, text: string, reason?: string | null) => void;
  /** Shows how a cell was worked out. */
  readonly onWorking: (place: CellPlace) => void;
  /** Opens what adds something to a reading. */
  readonly onAdjust: (place: CellPlace) => void;
}
