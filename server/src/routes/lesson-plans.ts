import { newPlan, planChange, planRun } from '@green-beam/contract';
import { Router, type Request } from 'express';
import { checkNotArchived, classKept, classTaught, type ClassAccess } from '../auth/access.ts';
import { changePlan, makePlan, planPage, plansOf } from '../lesson-plans/plans.ts';
import { LessonPlanRow } from '../models/lesson-plans.ts';
import { checkRoom, withinRate } from '../quotas.ts';
import { notFound } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

async function planIn({ schoolClass }: ClassAccess, request: Request): Promise<LessonPlanRow> {
  const plan = await LessonPlanRow.findOne({ where: { classId: schoolClass.id, id: idFrom(request, 'planId') } });
  if (!plan) throw notFound();
  return plan;
}

/** Lessons that are planned for a class. */
export function lessonPlanRoutes(): Router {
  const routes = Router();

  routes.get('/classes/:classId/plans', async (request, response) => {
    response.json(await plansOf((await classTaught(request)).schoolClass.id));
  });

  routes.post('/classes/:classId/plans', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    const wanted = await validated(request, newPlan);
    await withinRate('lesson-plan', access.caller.personId);
    await checkRoom('plans of lessons', LessonPlanRow, { classId: access.schoolClass.id }, 1);
    response.status(201).json(await planPage(await makePlan(access, wanted)));
  });

  routes.get('/classes/:classId/plans/:planId', async (request, response) => {
    response.json(await planPage(await planIn(await classTaught(request), request)));
  });

  routes.put('/classes/:classId/plans/:planId', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    const plan = await planIn(access, request);
    response.json(await planPage(await changePlan(plan, await validated(request, planChange))));
  });

  routes.post('/classes/:classId/plans/:planId/run', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    const plan = await planIn(access, request);
    const { runs } = await validated(request, planRun);
    // Who presses twice, or at two screens, begins it once.
    await plan.update({ beganAt: runs ? (plan.beganAt ?? new Date()) : null });
    response.json(await planPage(plan));
  });

  routes.delete('/classes/:classId/plans/:planId', async (request, response) => {
    await (await planIn(await classKept(request), request)).destroy();
    response.status(204).end();
  });

  return routes;
}
