import { isDeepStrictEqual } from 'node:util';
import type { NewPlan, PlanChange, PlanPage, PlanSummary } from '@green-beam/contract';
import type { ClassAccess } from '../auth/access.ts';
import { LessonPlanRow } from '../models/lesson-plans.ts';
import { notFound, Refusal } from '../refusal.ts';
import { realTimes } from './real-times.ts';

function summaryOf({ id, draft, savedAt, beganAt }: LessonPlanRow): PlanSummary {
  const { title, begins, groups } = draft;
  return {
    id,
    title,
    begins,
    groups,
    savedAt: savedAt.toISOString(),
    beganAt: beganAt?.toISOString() ?? null,
  };
}

/** The plans of a class, the one saved last first. */
export async function plansOf(classId: string): Promise<PlanSummary[]> {
  const plans = await LessonPlanRow.findAll({ where: { classId }, order: [['savedAt', 'DESC']] });
  return plans.map(summaryOf);
}

export async function planPage(plan: LessonPlanRow): Promise<PlanPage> {
  const { draft, revision } = plan;
  return { ...summaryOf(plan), draft, revision, real: await realTimes(plan) };
}

/** Keeps a new plan. The same one sent twice is kept once. */
export async function makePlan({ schoolClass, caller }: ClassAccess, { id, draft }: NewPlan): Promise<LessonPlanRow> {
  const [plan, isNew] = await LessonPlanRow.findOrCreate({
    where: { classId: schoolClass.id, id },
    defaults: { classId: schoolClass.id, id, madeBy: caller.personId, draft },
  });
  if (!isNew && !isDeepStrictEqual(plan.draft, draft)) throw new Refusal(409, 'This id is in use already.', 'id');
  return plan;
}

/** Keeps a plan as it was changed. @throws Refusal (409) where it was saved elsewhere since it was seen. */
export async function changePlan(plan: LessonPlanRow, { revision, draft }: PlanChange): Promise<LessonPlanRow> {
  const { classId, id } = plan;
  const [changed] = await LessonPlanRow.update(
    { draft, revision: revision + 1, savedAt: new Date() },
    { where: { classId, id, revision } },
  );
  const now = await LessonPlanRow.findOne({ where: { classId, id } });
  if (!now) throw notFound();
  // The same, sent again since its answer was lost, is saved already.
  if (changed === 0 && !isDeepStrictEqual(now.draft, draft))
    throw new Refusal(
      409,
      'This plan was changed in another window. Load the page again to see it. What you changed here was not saved.',
      'revision',
    );
  return now;
}
