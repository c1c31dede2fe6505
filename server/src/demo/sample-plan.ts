import type { PlanDraft } from '@green-beam/contract';
import {
  HOT_PLATE_WATTS,
  lessonOf,
  planLesson,
  problemOf,
  protocol,
  seededRandom,
  type PlannedStep,
} from '@green-beam/core';
import { Tool } from '../models/cabinet.ts';
import { LessonPlanRow } from '../models/lesson-plans.ts';
import { DEMO_CLASS, DEMO_TEACHER } from './people.ts';

const STATIONS = ['solid-by-displacement', 'thermometer-check'];
const [GROUPS, MINUTES, HOT_PLATES] = [8, 60, 4];
/** After so many orders the plan is as good as it gets. */
const ORDERS = 150;

/** A lesson that Heron 9 has next: eight groups, two laboratories, four hot plates. */
export async function seedPlan(): Promise<void> {
  const cabinet = await Tool.findAll({
    where: { classId: DEMO_CLASS, state: ['fit', 'watch'] },
    order: [['code', 'ASC']],
  });
  const found = lessonOf(STATIONS.map(protocol), cabinet, GROUPS);
  const lesson = {
    ...found,
    tools: found.tools.map((tool) => (tool.kind === 'hot plate' ? { ...tool, count: HOT_PLATES } : tool)),
  };
  let placed: readonly PlannedStep[] = [];
  for (const { plan, tried } of planLesson(problemOf(lesson), seededRandom(4))) {
    placed = plan.steps;
    if (tried >= ORDERS) break;
  }
  const draft = {
    title: 'Ingot and thermometers',
    begins: '10:00',
    minutes: MINUTES,
    groups: GROUPS,
    stations: STATIONS,
    watts: HOT_PLATE_WATTS,
    steps: lesson.steps,
    tools: lesson.tools,
    placed,
  } as PlanDraft;
  await LessonPlanRow.create({
    classId: DEMO_CLASS,
    id: 'c0ffee00-0000-4000-8000-00000000c1a5',
    madeBy: DEMO_TEACHER,
    draft,
  });
}
