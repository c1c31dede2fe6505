import { isExerciseKind } from '@green-beam/core';

/** Where a round is worked: one of nothing but exercises in the place of numbers, any other on the bench. */
export function placeOf(subjectIds: readonly string[]): 'bench' | 'numbers' {
  return subjectIds.length > 0 && subjectIds.every(isExerciseKind) ? 'numbers' : 'bench';
}
