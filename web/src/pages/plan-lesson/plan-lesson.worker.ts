import { planLesson, seededRandom, type LessonPlan, type PlanProblem } from '@green-beam/core';
import type { News } from '../../ui/use-worker.ts';

/** What is to be planned. */
export interface PlanOrder {
  readonly problem: PlanProblem;
  /** Another one makes another plan of the same. */
  readonly seed: number;
}

/** It is looked for a better plan for so long, in ms. */
const FOR = 1800;
/** Told so often, in ms. */
const EVERY = 60;

function tell(news: News<LessonPlan>): void {
  self.postMessage(news);
}

function plan({ problem, seed }: PlanOrder): void {
  const began = performance.now();
  let told = began;
  let best: LessonPlan | null = null;
  for (const { plan: found } of planLesson(problem, seededRandom(seed))) {
    best = found;
    const now = performance.now();
    if (now - began > FOR) break;
    if (now - told > EVERY) {
      tell({ kind: 'progress', done: (now - began) / FOR });
      told = now;
    }
  }
  if (best) tell({ kind: 'done', outcome: best });
}

self.addEventListener('message', ({ data }: MessageEvent<PlanOrder>) => {
  try {
    plan(data);
  } catch (error) {
    tell({ kind: 'failed', message: error instanceof Error ? error.message : 'The lesson could not be planned.' });
  }
});
