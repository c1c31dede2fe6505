import { Router } from 'express';
import { classInReach, classTaught } from '../auth/access.ts';
import { classResults, resultsOfClass } from '../class-results/class-results.ts';
import { idFrom } from '../validated.ts';

/** What groups of a class have found, put side by side. */
export function classResultsRoutes(): Router {
  const routes = Router();

  routes.get('/classes/:classId/class-results', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    response.json(await resultsOfClass(schoolClass.id));
  });

  routes.get('/classes/:classId/class-results/:runId', async (request, response) => {
    response.json(await classResults(await classInReach(request), idFrom(request, 'runId')));
  });

  return routes;
}
