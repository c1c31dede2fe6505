import { diagnoseExercise, drawExercise, type ExerciseTask } from '../../src/index.ts';
import { LEVELS, type Exercise, type ExerciseKind } from '../../src/exercises/exercise.ts';
import type { HouseRules } from '../../src/rules/house-rules.ts';
import * as proof from '../prove.ts';

/** What a student enters on an exercise. */
export type Student<E extends Exercise = Exercise> = (exercise: E) => string;

interface Exercises {
  readonly kind: ExerciseKind;
  readonly many: number;
  readonly rules?: Partial<HouseRules>;
}

function proofOf(student: Student<never>, { kind, many, rules }: Exercises, aim: string[]): proof.Proof<ExerciseTask> {
  const items = Array.from({ length: many }, (_, i) =>
    drawExercise(kind, { seed: 700 + i, level: LEVELS[i % 3]!, aim, ...(rules ? { rules } : {}) }),
  );
  return { items, enters: ({ exercise }) => student(exercise as never), diagnosed: diagnoseExercise };
}

/** At least 95 in 100 exercises aimed at a slip name it first, from what somebody with just this slip enters. */
export function expectNamed(slip: string, student: Student<never>, exercises: Exercises): void {
  proof.expectNamed(slip, proofOf(student, exercises, [slip]));
}

/** At least 99 in 100 exercises, unless more are asked for, are judged sound from what a careful student enters. */
export function expectSound(student: Student<never>, exercises: Exercises, inHundred = 99): void {
  proof.expectSound(proofOf(student, exercises, []), inHundred);
}
