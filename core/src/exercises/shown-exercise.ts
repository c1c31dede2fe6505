import { pictureOf, type Picture } from '../reading/bench.ts';
import { readingTask } from '../reading/reading-task.ts';
import {
  isChoice,
  isWorking,
  type Exercise,
  type ExerciseKind,
  type ExerciseTask,
  type Level,
  type RepeatsSeen,
} from './exercise.ts';

/** A piece of a story: words, or a quantity. */
export type StoryPart = string | { readonly text: string; readonly unit: string };

/** How an exercise is answered: a number with its unit, a count, one of several answers, marks in a table. */
export type Answered =
  | { readonly by: 'number' }
  | { readonly by: 'count' }
  | {
      readonly by: 'choice';
      readonly options: readonly string[];
      readonly seen: Picture | null;
      readonly repeats?: RepeatsSeen;
    }
  | { readonly by: 'marks'; readonly headings: readonly string[]; readonly rows: readonly (readonly string[])[] };

/** What is seen of an exercise before the answer: nothing of a right answer, of slips or of faults. */
export interface ExerciseShown {
  readonly kind: 'exercise';
  readonly exercise: ExerciseKind;
  readonly level: Level;
  readonly story: readonly StoryPart[];
  readonly answered: Answered;
}

const LASTING = /^0:(\d\d):(\d\d)$/;

/** A quantity as it is told: a time that something lasted in minutes and seconds. */
function told(quantity: string): StoryPart {
  const [, minutes, seconds] = LASTING.exec(quantity) ?? [];
  if (minutes !== undefined && seconds !== undefined) return `${Number(minutes)} min ${Number(seconds)} s`;
  const [text = '', ...unit] = quantity.split(' ');
  return unit.length === 0 ? text : { text, unit: unit.join(' ') };
}

function storyOf(exercise: Exercise): StoryPart[] {
  if (!isWorking(exercise)) return [exercise.story];
  return exercise.story
    .split(/\{(\w+)\}/)
    .flatMap((part, i): StoryPart[] =>
      i % 2 === 1 ? [told(exercise.given[part] ?? part)] : part === '' ? [] : [part],
    );
}

function answeredBy({ exercise, rules }: ExerciseTask): Answered {
  if (exercise.kind === 'count-figures') return { by: 'count' };
  if (exercise.kind === 'spot-the-error') return { by: 'marks', headings: exercise.headings, rows: exercise.rows };
  if (!isChoice(exercise)) return { by: 'number' };
  const { seen, options, repeats } = exercise;
  return {
    by: 'choice',
    options: options.map(({ text }) => text),
    seen: seen && pictureOf(readingTask(seen.instrumentId, seen.situation, rules)),
    ...(repeats && { repeats }),
  };
}

/** An exercise as a browser gets it before the answer. */
export function shownExercise(task: ExerciseTask): ExerciseShown {
  return {
    kind: 'exercise',
    exercise: task.exercise.kind,
    level: task.exercise.level,
    story: storyOf(task.exercise),
    answered: answeredBy(task),
  };
}
