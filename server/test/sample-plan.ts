import type { PlanDraft } from '@green-beam/contract';
import { HOT_PLATE_WATTS, lessonOf, planLesson, problemOf, protocol, seededRandom } from '@green-beam/core';

/** A small lesson with its first plan. */
export function samplePlan(): PlanDraft {
  const stations = ['solid-by-displacement'];
  const lesson = lessonOf(stations.map(protocol), [{ instrumentId: 'digital-balance-hundredth', code: 'B-01' }], 2);
  const first = planLesson(problemOf(lesson), seededRandom(1)).next();
  return {
    title: 'Monday',
    begins: '10:00',
    minutes: 55,
    groups: 2,
    stations,
    watts: HOT_PLATE_WATTS,
    steps: lesson.steps,
    tools: lesson.tools,
    placed: first.done ? [] : first.value.plan.steps,
  } as PlanDraft;
}
