import type { KeptResult, ToolCompared } from '@green-beam/core';
import type { ResultPairShown } from './result-pairs.ts';

/** A result of a group as it is compared with others. */
export type ResultToPool = Pick<
  KeptResult,
  'quantity' | 'members' | 'name' | 'unit' | 'value' | 'place' | 'variance' | 'accepted'
>;

/** A group’s results, and what they were made with. */
export interface GroupToPool {
  /** A letter, by lot: on the wall and for other groups it stands for the name. */
  readonly letter: string;
  /** Who they are; null for who is not to know. */
  readonly names: readonly string[] | null;
  /** Their page; null for who may not read it. */
  readonly runId: string | null;
  readonly isOwn: boolean;
  /** Whether it has handed in, so that it can look at what others found. */
  readonly isHandedIn: boolean;
  /** Codes of the cabinet’s tools. */
  readonly tools: readonly string[];
  /** The choice of each option, by the option’s id. */
  readonly choices: Readonly<Record<string, string>>;
  readonly results: readonly ResultToPool[];
  /** Tools they compared with each other, by their repeats. */
  readonly compared: readonly ToolCompared[];
}

/** What groups found who did the same laboratory with the same thing. */
export interface ClassResults {
  readonly title: string;
  readonly specimen: string;
  readonly groups: readonly GroupToPool[];
  /** Pairs that look at each other’s results: all of them for a teacher, one’s own for a student; the latest first. */
  readonly pairs: readonly ResultPairShown[];
  /** Groups that have no result yet. */
  readonly without: number;
  /** Names of the options and of their choices. */
  readonly options: readonly {
    readonly id: string;
    readonly name: string;
    readonly choices: readonly { readonly id: string; readonly name: string }[];
  }[];
}

/** A laboratory that groups of a class have done, in a list. */
export interface ClassResultsSummary {
  /** A page of one of the groups: by it the results are asked for. */
  readonly runId: string;
  readonly title: string;
  readonly specimen: string;
  readonly startedAt: string;
  readonly groups: number;
}
