import { newPairs, pairNote } from '@green-beam/contract';
import { Router } from 'express';
import { classInReach, classTaught } from '../auth/access.ts';
import { classResults, groupsAlike, resultsOfClass } from '../class-results/class-results.ts';
import { endPair, openPairs, writePairNote } from '../class-results/pairs.ts';
import { withinRate } from '../quotas.ts';
import { idFrom, validated } from '../validated.ts';

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

  routes.post('/classes/:classId/class-results/:runId/pairs', async (request, response) => {
    const access = await classTaught(request);
    await withinRate('pairs', access.caller.personId);
    const runId = idFrom(request, 'runId');
    await openPairs(access, await groupsAlike(access, runId), await validated(request, newPairs));
    response.status(201).json(await classResults(access, runId));
  });

  routes.post('/classes/:classId/pairs/:pairId/end', async (request, response) => {
    await endPair(await classTaught(request), idFrom(request, 'pairId'));
    response.status(204).end();
  });

  routes.post('/classes/:classId/pairs/:pairId/notes', async (request, response) => {
    const access = await classInReach(request);
    await withinRate('pair-note', access.caller.personId);
    await writePairNote(access, idFrom(request, 'pairId'), await validated(request, pairNote));
    response.status(201).end();
  });

  return routes;
}
