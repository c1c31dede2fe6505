import type { RULE_CHOICES } from '../../rules/house-rules.ts';

/**
 * A laboratory as data: what is measured over which dimensions, what is computed from it, and what is judged. One engine runs every
 * protocol. Ids are a letter, then letters, digits and underscores.
 */
export interface Protocol {
  readonly id: string;
  readonly version: number;
  readonly title: string;
  /** What it is done with in the sample world, in a few words. */
  readonly setting: string;
  readonly purpose: string;
  readonly kit: readonly string[];
  readonly cautions: readonly string[];
  /** What is begun before the lesson. */
  readonly preparation?: readonly Preparation[];
  readonly options: readonly Option[];
  readonly dimensions: readonly Dimension[];
  readonly quantities: readonly Quantity[];
  /** The computed quantities that the laboratory is for. */
  readonly results: readonly ResultOf[];
  readonly comparisons: readonly Comparison[];
  readonly checks: readonly Check[];
  readonly steps: readonly Step[];
  readonly statements: readonly Statement[];
  readonly questions: readonly Question[];
  /** Computed quantities that are left to the student where a teacher decides nothing else. */
  readonly byStudent?: readonly string[];
  /** Believable runs, the first one with the usual choices. */
  readonly samples: readonly [SampleRun, ...SampleRun[]];
}

/** The choices of options under which something belongs to the laboratory: `{ vessel: ['fresh'] }`. All that are named must hold. */
export type When = Readonly<Record<string, readonly string[]>>;

interface Switched {
  readonly when?: When;
}

interface Named {
  readonly id: string;
  readonly name: string;
}

/** A choice about the whole laboratory, made when a run begins. The first choice is the usual one. */
export interface Option extends Named {
  readonly choices: readonly Named[];
  /** A class rule that decides the usual choice, by its value. */
  readonly rule?: { readonly name: keyof typeof RULE_CHOICES; readonly choices: Readonly<Record<string, string>> };
}

/**
 * What a quantity stands over.
 * - `repeat`: the same thing again. With `places`, its members are the same places every time.
 * - `sample`: several pieces taken as examples of one kind.
 * - `case`: different things, each with a name.
 * - `sequence`: one after another; neighbours may share a reading.
 */
export type Dimension = CountedDimension | CaseDimension;

export interface CountedDimension extends Named, Switched {
  readonly kind: 'repeat' | 'sample' | 'sequence';
  readonly least: number;
  readonly most: number;
  readonly places?: boolean;
}

export interface CaseDimension extends Named, Switched {
  readonly kind: 'case';
  /** The members, or those that can be chosen. */
  readonly members: readonly Member[];
  /** How many are chosen when a run begins; all of them belong to it where nothing is chosen. */
  readonly choose?: { readonly least: number; readonly most: number };
  /** Members that are tools of the cabinet: any tool of these kinds can be one. */
  readonly tools?: readonly string[];
}

/** @property tool the kind of tool it is, where the members of a dimension are tools. */
export interface Member extends Named {
  readonly tool?: string;
}

/** Something with a place in the tables. */
interface Column extends Named, Switched {
  /** Ids of the dimensions it stands over. */
  readonly over: readonly string[];
  /** Members it stands at, where it does not stand at all of a dimension. */
  readonly only?: Readonly<Record<string, readonly string[]>>;
  /** The step in which it is entered, or the steps by the member of a dimension. */
  readonly step?: string | { readonly by: string; readonly of: Readonly<Record<string, string>> };
  /** The run is complete without it; what needs it is worked out with its usual value, or left out. */
  readonly optional?: boolean;
}

interface Measurable extends Column {
  /** In LaTeX. */
  readonly symbol: string;
  readonly unit: string;
  /** The value, in its unit, that is taken where nothing is entered: exactly that. */
  readonly usual?: string;
}

/** The kinds of tools a quantity can be read on, the usual one first. */
export type Tools =
  | { readonly kinds: readonly string[] }
  /** By the member of a dimension. */
  | { readonly by: string; readonly of: Readonly<Record<string, readonly string[]>> }
  /** On the member of a dimension, which is a tool itself. */
  | { readonly member: string }
  /** On the tool of another quantity. */
  | { readonly sameAs: string };

/** Read on an instrument. */
export interface ReadQuantity extends Measurable {
  readonly kind: 'read';
  readonly tools: Tools;
  /** It is the zero of a tool, which replaces the cabinet’s for these quantities. */
  readonly zeroOf?: readonly string[];
  /** It is the mass of an empty container, to be subtracted from the full one. */
  readonly container?: boolean;
}

export interface CountedQuantity extends Measurable {
  readonly kind: 'counted';
  readonly halfWidth: number;
}

/** A time of day (unit `h:min` or `h:min:s`), or a duration. */
export interface TimedQuantity extends Measurable {
  readonly kind: 'timed';
  readonly as: 'time-of-day' | 'duration';
  readonly halfWidth: number;
}

export interface ObservedQuantity extends Column {
  readonly kind: 'observed';
  readonly choices: readonly Named[];
}

/** Stated by somebody, with its half-width; `value` where the protocol states it. */
export interface GivenQuantity extends Measurable {
  readonly kind: 'given';
  readonly value?: string;
  readonly halfWidth?: number;
}

/** Taken from a table or a known law, by a function of the register. */
export interface LookedUpQuantity extends Measurable {
  readonly kind: 'looked-up';
  readonly lookUp: string;
  /** The quantities, the dimension of tools or the quantity whose tool it is about. */
  readonly of: readonly string[];
}

export interface ComputedQuantity extends Measurable {
  readonly kind: 'computed';
  readonly formula: string;
  /** Spreads of two repeats are pooled over these dimensions. */
  readonly pooledOver?: readonly string[];
}

/** Written before something is measured, and locked when it is. */
export interface PredictedQuantity extends Measurable {
  readonly kind: 'predicted';
  readonly of: string;
  /** At these members of its dimensions only. */
  readonly at?: Readonly<Record<string, string>>;
}

export type Quantity =
  | ReadQuantity
  | CountedQuantity
  | TimedQuantity
  | ObservedQuantity
  | GivenQuantity
  | LookedUpQuantity
  | ComputedQuantity
  | PredictedQuantity;

export type QuantityWithUnit = Exclude<Quantity, ObservedQuantity>;

/** A quantity, at certain members of its dimensions where it is not meant at all of them. */
export interface Place {
  readonly quantity: string;
  readonly at?: Readonly<Record<string, string>>;
}

export interface ResultOf extends Switched {
  readonly quantity: string;
  /** What it is compared with: a material that the group chooses or types, or another quantity. */
  readonly accepted?: { readonly kind: 'material' } | { readonly kind: 'quantity'; readonly quantity: string };
  /** Percent, where the protocol has its own. */
  readonly goodPercentError?: number;
}

export type Comparison = Switched & { readonly id: string; readonly name: string } & (
    | { readonly kind: 'agree'; readonly of: readonly Place[] }
    | { readonly kind: 'rank'; readonly quantity: string; readonly over: string }
    | { readonly kind: 'identify'; readonly of: Place; readonly among: readonly string[] }
  );

/** A check of the register, with what it needs to know. */
export interface Check extends Switched {
  readonly check: string;
  readonly of: Readonly<Record<string, string>>;
  readonly message?: string;
}

export interface Step extends Switched {
  readonly id: string;
  readonly title: string;
  readonly text: string;
  readonly minutes: number;
  readonly attention: 'hands' | 'waiting';
  /** Steps earlier in the list that must be done before; the one before it where nothing is said. */
  readonly after?: readonly string[];
  /** The step it begins with the end of, as what boils is read at once. What both use is kept in between. */
  readonly follows?: string;
  /** What it needs beside tools that are read, and what groups may share: `hot plate`. */
  readonly apparatus?: readonly string[];
  /** Water that heats or cools meanwhile: how long it takes follows from how much there is. */
  readonly water?: Water;
}

/** Water that is brought from one temperature to another. */
export interface Water {
  readonly millilitres: number;
  /** In °C. */
  readonly from: number;
  readonly to: number;
}

/** Something that is done before the lesson. */
export interface Preparation {
  readonly text: string;
  /** So many minutes before the lesson begins. */
  readonly minutesBefore: number;
}

/** A statement on technique or concept, judged before or after. */
export interface Statement extends Switched {
  readonly id: string;
  readonly text: string;
  readonly holds: boolean;
  /** What a false one could say instead, the right one first; why, for everybody. */
  readonly corrections: readonly string[];
  readonly because: string;
}

export interface Question extends Switched {
  readonly id: string;
  readonly text: string;
  /** The run’s own number that answers it, or the choice that is right. */
  readonly answer?:
    | ({ readonly kind: 'number' } & Place)
    | { readonly kind: 'choice'; readonly choices: readonly string[]; readonly right: string };
}

/** A believable run: for previews, given data and tests. */
export interface SampleRun {
  readonly options?: Readonly<Record<string, string>>;
  /** Members of the dimensions where they are chosen. */
  readonly members?: Readonly<Record<string, readonly string[]>>;
  readonly accepted?: string;
  /**
   * Entries by quantity: one text for a quantity over nothing; else a list along its last dimension, nested or keyed by member for
   * those before it.
   */
  readonly entries: Readonly<Record<string, SampleEntries>>;
}

export type SampleEntries = string | readonly string[] | { readonly [member: string]: SampleEntries };
