import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import type { Situation } from '../reading/situation.ts';

/** From numbers as they come, over results that end in zeros or are rounded up through a nine, to powers of ten and figures that vanish. */
export type Level = 1 | 2 | 3;
export const LEVELS: readonly Level[] = [1, 2, 3];

export type ExerciseKind =
  | 'count-figures'
  | 'write-reading'
  | 'round-number'
  | 'add-subtract'
  | 'multiply-divide'
  | 'mixed-steps'
  | 'exact-or-measured'
  | 'convert-units'
  | 'percent-error'
  | 'choose-statement'
  | 'accuracy-and-precision'
  | 'spot-the-error';

interface Asked {
  readonly level: Level;
  /** What is known; `{name}` stands for a given quantity. */
  readonly story: string;
  readonly question: string;
}

/** A result to be worked out from given quantities. */
export interface WorkingExercise extends Asked {
  readonly kind: 'add-subtract' | 'multiply-divide' | 'mixed-steps' | 'convert-units' | 'percent-error';
  /** Written quantities by the part they play: `{ full: '48.62 g', empty: '12.30 g' }`. */
  readonly given: Readonly<Record<string, string>>;
  /** A line of working in those names, as `workOut` takes it: `(full - empty) / volume`, `start - end -> min`. */
  readonly formula: string;
}

/** A number whose significant figures are to be counted. */
export interface CountingExercise extends Asked {
  readonly kind: 'count-figures';
  readonly number: string;
}

/** A number to be rounded to so many significant figures, or so many decimals. */
export interface RoundingExercise extends Asked {
  readonly kind: 'round-number';
  readonly number: string;
  readonly unit: string;
  readonly to: { readonly figures: number } | { readonly decimals: number };
}

/** An answer to choose from; a wrong one is what a slip leads to. */
export interface Option {
  readonly text: string;
  /** Null for the right one. */
  readonly slip: string | null;
  /** Why it is right, or is not. */
  readonly why: string;
}

/** Repeats of one tool or of several on a thing of known size, as they are seen: written, and as dots against the true value. */
export interface RepeatsSeen {
  readonly unit: string;
  readonly truth: string;
  readonly tools: readonly {
    /** A letter; empty where there is one tool alone. */
    readonly name: string;
    readonly readings: readonly string[];
  }[];
}

/** One right answer among several, about a story, about a tool that is seen, or about repeats. */
export interface ChoiceExercise extends Asked {
  readonly kind: 'write-reading' | 'exact-or-measured' | 'choose-statement' | 'accuracy-and-precision';
  readonly options: readonly Option[];
  /** The tool that is read; null where the story says it all. */
  readonly seen: { readonly instrumentId: string; readonly situation: Situation } | null;
  /** Only where the question is about them. */
  readonly repeats?: RepeatsSeen;
}

/** A fault planted in a table. Cells are numbered from 1, through the headings and on row by row. */
export interface Fault {
  /** Any of them may be marked for it; the first is where it is shown. */
  readonly cells: readonly number[];
  /** Names under which it may go; the first is its own. */
  readonly called: readonly string[];
  /** What should stand there. */
  readonly right: string;
  readonly why: string;
}

/** A table of results, or a working line by line, in which something is wrong. */
export interface TableExercise extends Asked {
  readonly kind: 'spot-the-error';
  readonly headings: readonly string[];
  readonly rows: readonly (readonly string[])[];
  readonly faults: readonly Fault[];
}

export type Exercise = WorkingExercise | CountingExercise | RoundingExercise | ChoiceExercise | TableExercise;

/** One exercise and the rules it is judged by. Plain data, safe to store. */
export interface ExerciseTask<E extends Exercise = Exercise> {
  readonly exercise: E;
  readonly rules: HouseRules;
}

/** @throws HouseRuleError naming the field. */
export function exerciseTask(exercise: Exercise, rules?: Partial<HouseRules>): ExerciseTask {
  return { exercise, rules: completeRules(rules) };
}

export function isWorking(exercise: Exercise): exercise is WorkingExercise {
  return 'formula' in exercise;
}

export function isChoice(exercise: Exercise): exercise is ChoiceExercise {
  return 'options' in exercise;
}

/** Given quantities put in the place of their names, as far as the unit of the result; one that is raised to a power is bracketed. */
export function withGiven(formula: string, given: Readonly<Record<string, string>>): string {
  const [working = '', unit] = formula.split('->');
  const names = new RegExp(`\\b(${Object.keys(given).join('|')})\\b(\\s*\\^)?`, 'g');
  const filled = working.replace(names, (_, name: string, raised: string | undefined) =>
    raised === undefined ? (given[name] ?? name) : `(${given[name] ?? name})^`,
  );
  return unit === undefined ? filled : `${filled}->${unit}`;
}
