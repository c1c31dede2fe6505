import { newSheetAnswers } from '@green-beam/contract';
import { Router } from 'express';
import { checkNotArchived, classInReach, classTaught } from '../auth/access.ts';
import { printedRound, sheetShown, takeSheetAnswers } from '../bench/sheets.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { withinRate } from '../quotas.ts';
import { idFrom, validated } from '../validated.ts';

/** Rounds on paper: printed by the class’s teachers, typed in by them or by whose sheet it is. */
export function sheetRoutes(drawing: Drawing): Router {
  const routes = Router();

  routes.post('/classes/:classId/set-rounds/:setRoundId/sheets', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    await withinRate('sheets', access.caller.personId);
    response.json(await printedRound(access, idFrom(request, 'setRoundId'), drawing));
  });

  routes.get('/classes/:classId/sheets/:code', async (request, response) => {
    response.json(await sheetShown(await classInReach(request), request.params.code));
  });

  routes.post('/classes/:classId/sheets/:code/answers', async (request, response) => {
    const access = await classInReach(request);
    checkNotArchived(access.schoolClass);
    response.json(await takeSheetAnswers(access, request.params.code, await validated(request, newSheetAnswers)));
  });

  return routes;
}
