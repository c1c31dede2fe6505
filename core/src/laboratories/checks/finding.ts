import type { WorkedNumbers } from '../engine/evaluate.ts';
import type { Members } from '../run/address.ts';

/** Something in a run that a teacher would point at. */
export interface Finding {
  readonly kind: string;
  /** It cannot be so, or it is worth a second look. */
  readonly severity: 'wrong' | 'look';
  readonly at: { readonly quantity: string; readonly members: Members } | null;
  readonly message: string;
}

/** A check that protocols can ask for, by its name. */
export interface ProtocolCheck {
  /** What it has to be told, each the id of a quantity or a dimension, or a text. */
  readonly needs: readonly string[];
  /** What it can be told besides. */
  readonly takes?: readonly string[];
  find(run: WorkedNumbers, of: Readonly<Record<string, string>>, message: string): Finding[];
}
