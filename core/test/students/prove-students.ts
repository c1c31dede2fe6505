import { expect } from 'vitest';
import {
  diagnoseExercise,
  drawExercise,
  LEVELS,
  type Exercise,
  type ExerciseKind,
  type HouseRules,
} from '../../src/index.ts';

/** What a student enters on an exercise. */
export type Student<E extends Exercise = Exercise> = (exercise: E) => string;

interface Proof {
  readonly kind: ExerciseKind;
  readonly many: number;
  readonly rules?: Partial<HouseRules>;
}

/** What came of the exercises that were not as they should be, one to a line. */
function failures(
  { kind, many, rules }: Proof,
  aim: string[],
  student: Student<never>,
  expected: (task: ReturnType<typeof drawExercise>, entry: string) => boolean,
): string[] {
  return Array.from({ length: many }, (_, i) =>
    drawExercise(kind, { seed: 700 + i, level: LEVELS[i % 3]!, aim, ...(rules ? { rules } : {}) }),
  ).flatMap((task) => {
    const entry = student(task.exercise as never);
    return expected(task, entry) ? [] : [`${JSON.stringify(task.exercise)} ← ${entry}`];
  });
}

/** At least 95 in 100 exercises aimed at a slip name it first, from what somebody with just this slip enters. */
export function expectNamed(slip: string, student: Student<never>, proof: Proof): void {
  const unnamed = failures(
    proof,
    [slip],
    student,
    (task, entry) => diagnoseExercise(task, entry).slips[0]?.ids.join() === slip,
  );
  expect(unnamed.length, unnamed.slice(0, 3).join('\n')).toBeLessThanOrEqual(proof.many * 0.05);
}

/** At least 99 in 100 exercises are judged sound from what a careful student enters. */
export function expectSound(student: Student<never>, proof: Proof): void {
  const unsound = failures(proof, [], student, (task, entry) => diagnoseExercise(task, entry).verdict === 'sound');
  expect(unsound.length, unsound.slice(0, 3).join('\n')).toBeLessThanOrEqual(proof.many * 0.01);
}
