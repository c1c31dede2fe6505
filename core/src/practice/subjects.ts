import { instrumentIds } from '../instruments/catalogue.ts';
import { exerciseSubject } from './exercise-subject.ts';
import { EXERCISE_KINDS, isExerciseKind } from '../exercises/kinds.ts';
import { toolSubject } from './tool-subject.ts';
import type { Subject } from './subject.ts';

/** Ids of everything a round can be made of: the tools of the bench, and the kinds of exercises. */
export function subjectIds(): string[] {
  return [...instrumentIds(), ...EXERCISE_KINDS.map(({ id }) => id)];
}

/** @throws UnknownInstrumentError naming an id that is neither a tool nor a kind of exercise. */
export function subjectById(id: string): Subject {
  return isExerciseKind(id) ? exerciseSubject(id) : toolSubject(id);
}

/** The subjects of a round; none named means every tool of the bench. */
export function subjectsNamed(ids: readonly string[]): Subject[] {
  return (ids.length > 0 ? ids : instrumentIds()).map(subjectById);
}
