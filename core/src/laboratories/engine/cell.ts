import { decimalOf } from '../../numbers/decimal.ts';
import type { Rational } from '../../numbers/rational.ts';
import type { Measured } from '../../calculations/measured.ts';
import type { PartsJudged } from '../../reading/parts/judge-parts.ts';
import type { Members } from '../run/address.ts';
import type { RunEvent } from '../run/run.ts';
import type { ToolInRun } from '../run/tool-in-run.ts';

/** A quantity at members of all its dimensions. */
export interface Place {
  readonly quantity: string;
  readonly members: Members;
}

interface Entered {
  readonly text: string;
  readonly event: RunEvent;
  readonly struck: readonly RunEvent[];
  readonly rivals: readonly RunEvent[];
}

/** Something added to a reading. */
export interface Adjustment {
  readonly text: string;
  readonly reason: string | null;
  /** In the unit of the quantity: what it may be off by; zero where nothing is stated. */
  readonly halfWidth: number;
}

/** What stands at one place of a quantity. */
export type Cell =
  /** `event` is the entry that left it empty, where one did. */
  | { readonly kind: 'empty'; readonly event?: RunEvent }
  | (Entered & {
      readonly kind: 'entry';
      /** As what follows from it is reckoned: without the tool’s error, with what was added. */
      readonly number: Measured;
      readonly tool: ToolInRun | null;
      /** Something to look at again, in words; the entry counts all the same. */
      readonly remark: string | null;
      /** The parts it was read in; null where it was read at once. */
      readonly parts: PartsJudged | null;
      /** The reading that this one is, where it was not taken again. */
      readonly linkedTo: Place | null;
      /** What was added to the reading, and why. */
      readonly adjustment: Adjustment | null;
    })
  /** What a student has worked out: in the unit of the quantity, to the place it was written to. */
  | (Entered & {
      readonly kind: 'own';
      readonly number: Measured;
      /** A unit of another kind was written: what follows goes on by the book. */
      readonly wrongKind: boolean;
    })
  | (Entered & { readonly kind: 'chosen'; readonly choice: string })
  | (Entered & { readonly kind: 'unusable'; readonly reason: string })
  /** Stated by the protocol, or looked up. */
  | { readonly kind: 'known'; readonly number: Measured; readonly text: string }
  | { readonly kind: 'computed'; readonly number: Measured; readonly text: string }
  /** Not worked out: what it needs is missing, or the calculation has no result. */
  | { readonly kind: 'pending'; readonly reason: string | null };

/** The number of a cell that has one. */
export function numberOf(cell: Cell | undefined): Measured | undefined {
  return cell?.kind === 'entry' || cell?.kind === 'known' || cell?.kind === 'computed' || cell?.kind === 'own'
    ? cell.number
    : undefined;
}

/** So many digits of an exact number are written where they do not end. */
const DIGITS = 12;

/** A number that is exact. */
export function writtenExactly(value: Rational): string {
  return decimalOf(value).toSignificantDigits(DIGITS).toFixed();
}
