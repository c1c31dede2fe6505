import type { SkillId } from '../skills/skills.ts';
import type { Exercise, ExerciseKind } from './exercise.ts';
import { ACCURACY_AND_PRECISION } from './templates/accuracy-and-precision.ts';
import { CONVERSIONS, PERCENT_ERRORS } from './templates/conversions.ts';
import { EXACT_OR_MEASURED, WRITTEN_READINGS } from './templates/choices.ts';
import { COUNTS, ROUNDINGS } from './templates/figures.ts';
import { ERRORS_AND_CURES } from './templates/errors-and-cures.ts';
import { MIXED } from './templates/mixed.ts';
import { PRODUCTS } from './templates/products.ts';
import { STATEMENTS } from './templates/statements.ts';
import { SUMS } from './templates/sums.ts';
import type { Template } from './templates/template.ts';

/** A kind of exercise: what it is called, what skill it counts to, and the ways in which it is set. */
export interface ExerciseKindEntry {
  readonly id: ExerciseKind;
  readonly name: string;
  readonly skill: SkillId;
  /** Empty for tables, which are built around their faults. */
  readonly templates: readonly Template[];
}

const templates = <E extends Exercise>(all: readonly Template<E>[]): readonly Template[] => all;

export const EXERCISE_KINDS: readonly ExerciseKindEntry[] = [
  { id: 'count-figures', name: 'Counting figures', skill: 'significant-figures', templates: templates(COUNTS) },
  {
    id: 'write-reading',
    name: 'Writing a reading',
    skill: 'significant-figures',
    templates: templates(WRITTEN_READINGS),
  },
  { id: 'round-number', name: 'Rounding', skill: 'significant-figures', templates: templates(ROUNDINGS) },
  {
    id: 'exact-or-measured',
    name: 'Exact or measured',
    skill: 'significant-figures',
    templates: templates(EXACT_OR_MEASURED),
  },
  { id: 'add-subtract', name: 'Sums and differences', skill: 'calculations', templates: templates(SUMS) },
  { id: 'multiply-divide', name: 'Products and quotients', skill: 'calculations', templates: templates(PRODUCTS) },
  { id: 'mixed-steps', name: 'Several steps', skill: 'calculations', templates: templates(MIXED) },
  { id: 'percent-error', name: 'Percent errors', skill: 'calculations', templates: templates(PERCENT_ERRORS) },
  { id: 'convert-units', name: 'Conversions', skill: 'conversions', templates: templates(CONVERSIONS) },
  { id: 'choose-statement', name: 'True statements', skill: 'judging', templates: templates(STATEMENTS) },
  {
    id: 'accuracy-and-precision',
    name: 'Accuracy and precision',
    skill: 'judging',
    templates: templates([...ACCURACY_AND_PRECISION, ...ERRORS_AND_CURES]),
  },
  { id: 'spot-the-error', name: 'Errors in a table', skill: 'judging', templates: [] },
];

const BY_ID: ReadonlyMap<string, ExerciseKindEntry> = new Map(EXERCISE_KINDS.map((entry) => [entry.id, entry]));

export function isExerciseKind(id: string): id is ExerciseKind {
  return BY_ID.has(id);
}

/** No exercise is of this kind. */
export class UnknownExerciseError extends Error {
  override readonly name = 'UnknownExerciseError';
  constructor(readonly offending: string) {
    super(`kind: “${offending}” is no kind of exercise known here.`);
  }
}

/** @throws UnknownExerciseError naming the id. */
export function exerciseKindById(id: string): ExerciseKindEntry {
  const entry = BY_ID.get(id);
  if (!entry) throw new UnknownExerciseError(id);
  return entry;
}
