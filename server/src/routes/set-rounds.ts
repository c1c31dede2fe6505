import { newSetRound } from '@green-beam/contract';
import { Router } from 'express';
import { checkNotArchived, classInReach, classTaught } from '../auth/access.ts';
import { setRound, setRoundsShown } from '../bench/set-rounds.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { SetRound } from '../models/bench.ts';
import { checkRoom, withinRate } from '../quotas.ts';
import { notFound } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

/** Rounds that teachers set: seen by whom they are for, set and taken back by the class’s teachers. */
export function setRoundRoutes(drawing: Drawing): Router {
  const routes = Router();

  routes.get('/classes/:classId/set-rounds', async (request, response) => {
    response.json(await setRoundsShown(await classInReach(request)));
  });

  routes.post('/classes/:classId/set-rounds', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    await withinRate('practice-set', access.caller.personId);
    await checkRoom('practice sets', SetRound, { classId: access.schoolClass.id }, 1);
    await setRound(access, await validated(request, newSetRound), drawing);
    response.status(201).json(await setRoundsShown(access));
  });

  routes.post('/classes/:classId/set-rounds/:setRoundId/withdraw', async (request, response) => {
    const access = await classTaught(request);
    const round = await SetRound.findOne({
      where: { classId: access.schoolClass.id, id: idFrom(request, 'setRoundId') },
    });
    if (!round) throw notFound();
    await round.update({ withdrawnAt: new Date() });
    response.json(await setRoundsShown(access));
  });

  return routes;
}
