import { instrumentById } from '../instruments/catalogue.ts';
import { diagnoseExercise, singleSlips } from '../exercises/diagnose-exercise.ts';
import { drawExercise, slipEntries } from '../exercises/draw-exercise.ts';
import { exerciseTask, LEVELS, type Exercise, type ExerciseTask, type Level } from '../exercises/exercise.ts';
import { isExerciseKind } from '../exercises/kinds.ts';
import { exerciseSlipById } from '../exercises/slips/registry.ts';
import { diagnose, singleExplanations, type Diagnosis } from '../reading/judging/diagnose.ts';
import { drawSituation } from '../reading/drawing/draw-task.ts';
import { drawTask, type DrawOptions } from '../reading/drawing/draw-task.ts';
import { predictedEntries } from '../reading/drawing/predictions.ts';
import { acceptedAnswers } from '../reading/indication/acceptance.ts';
import type { SlipHistory } from '../reading/judging/hypotheses.ts';
import { asLaid } from '../reading/bench.ts';
import { indicationOf, readingTask, type ReadingTask } from '../reading/reading-task.ts';
import type { Situation } from '../reading/situation.ts';
import { SLIPS } from '../reading/slips.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { Random } from '../simulation/random.ts';

/** One item of a round: a reading to be taken, or an exercise to be worked. */
export type PracticeTask = ReadingTask | ExerciseTask;

export function isExerciseTask(task: PracticeTask): task is ExerciseTask {
  return 'exercise' in task;
}

/** An item from what is stored of it. @param content the situation at a tool, or the exercise. */
export function practiceTask(
  subjectId: string,
  content: Situation | Exercise,
  rules?: Partial<HouseRules>,
): PracticeTask {
  return 'story' in content ? exerciseTask(content, rules) : readingTask(subjectId, content, rules);
}

export interface PracticeOptions extends DrawOptions {
  /** How hard an exercise is to be. */
  readonly level?: Level;
}

/** Draws one item on a subject. @throws as `drawTask` and `drawExercise` do. */
export function drawItem(subjectId: string, options: PracticeOptions): PracticeTask {
  return isExerciseKind(subjectId) ? drawExercise(subjectId, options) : drawTask(subjectId, options);
}

/** An item such as would be drawn, without the care for how well its slips are told apart: many are needed to choose one. */
export function sampleItem(subjectId: string, aim: readonly string[], rules: HouseRules, random: Random): PracticeTask {
  if (isExerciseKind(subjectId))
    return drawExercise(subjectId, {
      seed: random.below(2 ** 40),
      level: LEVELS[random.below(LEVELS.length)] ?? 1,
      aim,
      rules,
    });
  return asLaid(readingTask(subjectId, drawSituation(instrumentById(subjectId), random, aim, rules), rules));
}

/** What somebody with just this slip would enter; empty where it cannot be made. */
export function entriesWith(task: PracticeTask, slipId: string): string[] {
  if (isExerciseTask(task)) {
    const slip = exerciseSlipById(slipId);
    return slip ? slipEntries(task, slip) : [];
  }
  const slip = SLIPS.find(({ id }) => id === slipId);
  return slip ? predictedEntries(task, slip) : [];
}

/** Whether what a slip leads to counts as right all the same, since it lies within the band. */
export function isRightNumber(task: PracticeTask, slipId: string, entry: string): boolean {
  if (isExerciseTask(task)) return false;
  if (SLIPS.find(({ id }) => id === slipId)?.stage === 'form') return false;
  const accepted = acceptedAnswers(indicationOf(task));
  const number = Number.parseFloat(entry);
  return number >= (accepted[0] ?? 0) - HAIR && number <= (accepted.at(-1) ?? 0) + HAIR;
}

const HAIR = 1e-9;

/** Odds of each single slip, and under '' of none, given an entry; null when it cannot be read. */
export function explanationsFor(task: PracticeTask, entry: string): ReadonlyMap<string, number> | null {
  return isExerciseTask(task) ? singleSlips(task, entry) : singleExplanations(task, entry);
}

/** Diagnoses an entry on an item. */
export function diagnoseItem(task: PracticeTask, entry: string, history?: SlipHistory): Diagnosis {
  return isExerciseTask(task) ? diagnoseExercise(task, entry, history) : diagnose(task, entry, history);
}
