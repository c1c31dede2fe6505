import {
  completeRules,
  drawItem,
  exerciseSubject,
  EXERCISE_KINDS,
  hintsAbout,
  isExerciseTask,
  levelAfter,
  plannedItems,
  questionOn,
  shownItem,
  TRIES,
} from '@green-beam/core';
import { newId } from '../../outbox/new-id.ts';
import type { WorkedItem, VisitorItems } from '../bench/visitor/visitor-bench.ts';

/** How the exercises of a kind went, oldest first. */
function went(done: readonly WorkedItem[], kind: string): boolean[] {
  return done.filter(({ task }) => isExerciseTask(task) && task.exercise.kind === kind).map(({ right }) => right);
}

/** Rounds of exercises for who looks in without signing in: chosen first, and harder as they go right. */
export const VISITOR_EXERCISES: VisitorItems = {
  opening: null,
  plan: (kinds, seed) =>
    plannedItems(
      (kinds.length > 0 ? kinds : EXERCISE_KINDS.map(({ id }) => id)).map(exerciseSubject),
      seed,
      completeRules(),
    ),
  drawn: ({ subjectId, seed, aim }, position, done) => {
    const task = drawItem(subjectId, { seed, aim, level: levelAfter(went(done, subjectId)) });
    return {
      task,
      shown: {
        id: newId(),
        position,
        question: questionOn(task),
        picture: shownItem(task),
        hints: hintsAbout(task),
        cautions: [],
        unit: '',
        tries: TRIES,
        toolCode: null,
        state: 'open',
        rightAtFirst: false,
      },
    };
  },
};
