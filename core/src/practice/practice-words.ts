import { rightAnswer } from '../exercises/answer.ts';
import { hintsOn } from '../exercises/hints.ts';
import { shownExercise, type ExerciseShown } from '../exercises/shown-exercise.ts';
import { exerciseSlipById } from '../exercises/slips/registry.ts';
import { wordsOn } from '../exercises/slips/words.ts';
import { solutionOf, type Solution } from '../exercises/solution.ts';
import { instrumentById } from '../instruments/catalogue.ts';
import { cautionsFor } from '../reading/in-words.ts';
import type { SlipFound } from '../reading/judging/diagnose.ts';
import { expectedReading } from '../reading/expected-reading.ts';
import { writtenUnitOf } from '../reading/indication/written.ts';
import { explainSlips, type SlipExplained } from '../reading/judging/explain.ts';
import { hintsFor } from '../reading/in-words.ts';
import { pictureOf, type Picture } from '../reading/bench.ts';
import { questionFor } from '../reading/in-words.ts';
import { isExerciseTask, type PracticeTask } from './practice-task.ts';

/** What is seen of an item before the answer. */
export type ItemShown = Picture | ExerciseShown;

export function shownItem(task: PracticeTask): ItemShown {
  return isExerciseTask(task) ? shownExercise(task) : pictureOf(task);
}

export function questionOn(task: PracticeTask): string {
  return isExerciseTask(task) ? task.exercise.question : questionFor(task);
}

export function hintsAbout(task: PracticeTask): readonly string[] {
  return isExerciseTask(task) ? hintsOn(task.exercise) : hintsFor(task);
}

/** What to beware of where such a tool or liquid is handled; paper and pencil hurt nobody. */
export function cautionsAbout(task: PracticeTask): readonly string[] {
  return isExerciseTask(task) ? [] : cautionsFor(task);
}

/** The unit an answer is expected in; empty for a count, a choice and marks, and where giving it away would answer half the question. */
export function unitAsked(task: PracticeTask): string {
  return isExerciseTask(task) ? '' : writtenUnitOf(instrumentById(task.instrumentId), task.rules);
}

/** The right answer, with its unit. */
export function answerTo(task: PracticeTask): { readonly text: string; readonly unit: string } {
  if (isExerciseTask(task)) return rightAnswer(task);
  const { text, unit } = expectedReading(task);
  return { text, unit };
}

/** How the answer of an exercise is worked out; null for a reading, which shows it on the picture. */
export function solutionTo(task: PracticeTask): Solution | null {
  return isExerciseTask(task) ? solutionOf(task) : null;
}

/** Puts the slips of one finding into words for the person who made them. */
export function explainFinding(task: PracticeTask, found: Pick<SlipFound, 'ids'>): SlipExplained[] {
  if (!isExerciseTask(task)) return explainSlips(task, found);
  return found.ids.flatMap((id) => {
    const slip = exerciseSlipById(id);
    const words = slip && wordsOn(task, slip);
    return words ? [{ id, name: slip.name, ...words, path: [] }] : [];
  });
}
