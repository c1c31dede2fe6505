import { markingChange, returning, rubricChange, type MarkingChange } from '@green-beam/contract';
import { Router, type Request } from 'express';
import type { Sequelize } from 'sequelize';
import { checkNotArchived, classKept } from '../auth/access.ts';
import { parentSheets } from '../reports/parent-sheets.ts';
import { changeRubric, rubricOf } from '../hand-ins/rubric.ts';
import { reportQueue } from '../reports/queue.ts';
import { mark, reportToMark, returnReports } from '../reports/to-mark.ts';
import { idFrom, validated } from '../validated.ts';

const keyFrom = (request: Request): { runId: string; author: string } => ({
  runId: idFrom(request, 'runId'),
  author: String(request.params['author']).slice(0, 60),
});

/** Reports that are handed in, and how they are marked. */
export function reportRoutes(sequelize: Sequelize): Router {
  const routes = Router();

  routes.get('/classes/:classId/reports', async (request, response) => {
    const { schoolClass } = await classKept(request);
    response.json(await reportQueue(schoolClass.id));
  });

  routes.get('/classes/:classId/reports/:runId/:author', async (request, response) => {
    response.json(await reportToMark(await classKept(request), keyFrom(request)));
  });

  routes.put('/classes/:classId/reports/:runId/:author/marking', async (request, response) => {
    const access = await classKept(request);
    checkNotArchived(access.schoolClass);
    await mark(access, keyFrom(request), (await validated(request, markingChange)) as MarkingChange);
    response.status(204).end();
  });

  routes.post('/classes/:classId/reports/return', async (request, response) => {
    const access = await classKept(request);
    checkNotArchived(access.schoolClass);
    await returnReports(access, await validated(request, returning));
    response.json(await reportQueue(access.schoolClass.id));
  });

  routes.get('/classes/:classId/parents', async (request, response) => {
    const { schoolClass } = await classKept(request);
    response.json(await parentSheets(sequelize, schoolClass.id));
  });

  routes.get('/classes/:classId/rubric', async (request, response) => {
    const { schoolClass } = await classKept(request);
    response.json(await rubricOf(schoolClass.id));
  });

  routes.put('/classes/:classId/rubric', async (request, response) => {
    const { schoolClass } = await classKept(request);
    checkNotArchived(schoolClass);
    await changeRubric(schoolClass.id, await validated(request, rubricChange));
    response.json(await rubricOf(schoolClass.id));
  });

  return routes;
}
