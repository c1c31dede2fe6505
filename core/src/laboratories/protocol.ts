/** A laboratory as data. One engine computes every protocol with places, units, uncertainty and working. */
export interface Protocol {
  readonly id: string;
  readonly version: number;
  readonly title: string;
  readonly purpose: string;
  readonly materials: readonly string[];
  readonly cautions: readonly string[];
  readonly steps: readonly ProtocolStep[];
  /** How many times the whole is repeated: at least, and at most. */
  readonly trials: { readonly least: number; readonly most: number };
  readonly quantities: readonly Quantity[];
  /** The computed quantity that the laboratory is for, repeated in every trial. */
  readonly result: string;
  readonly checks: readonly ProtocolCheck[];
  readonly questions: readonly { readonly id: string; readonly text: string }[];
}

export interface ProtocolStep {
  readonly id: string;
  readonly title: string;
  readonly text: string;
  /** Minutes it takes, and whether it needs hands or only waiting. */
  readonly minutes: number;
  readonly attention: 'hands' | 'waiting';
}

interface Named {
  readonly id: string;
  readonly name: string;
}

interface Measurable extends Named {
  /** Symbol in LaTeX. */
  readonly symbol: string;
  readonly unit: string;
}

/** Read on an instrument, once in every trial. The first instrument listed is the one the table is made for. */
export interface ReadQuantity extends Measurable {
  readonly kind: 'read';
  readonly instruments: readonly [string, ...string[]];
}

/** Worked out in every trial from other quantities. */
export interface ComputedQuantity extends Measurable {
  readonly kind: 'computed';
  readonly formula: string;
}

/** Taken from a table rather than measured. */
export interface LookedUpQuantity extends Measurable {
  readonly kind: 'looked-up';
  readonly source: 'water-density' | 'accepted-density';
}

/** Seen, not measured: one of a few things that can happen. */
export interface ObservedQuantity extends Named {
  readonly kind: 'observed';
  readonly choices: readonly { readonly id: string; readonly name: string }[];
}

export type Quantity = ReadQuantity | ComputedQuantity | LookedUpQuantity | ObservedQuantity;

/** What the engine looks for in a run beyond every reading being there and within its tool's range. */
export type ProtocolCheck =
  /** `later` cannot be below `earlier`. */
  | { readonly kind: 'order'; readonly earlier: string; readonly later: string; readonly message: string }
  /** A difference must be large enough against its own uncertainty, in percent. */
  | {
      readonly kind: 'resolvable';
      readonly quantity: string;
      readonly worstPercent: number;
      readonly piecesTogether: number;
    }
  /** What was seen of sinking or floating must agree with the result. */
  | { readonly kind: 'sink-or-float'; readonly observed: string; readonly sinks: string; readonly liquid: string };

/** No laboratory has this id. */
export class UnknownProtocolError extends Error {
  override readonly name = 'UnknownProtocolError';
  constructor(readonly offending: string) {
    super(`protocol: “${offending}” is not a laboratory known here.`);
  }
}
