import { newTogether, togetherAnswer, togetherTruth } from '@green-beam/contract';
import { Router, type Request } from 'express';
import { checkNotArchived, classInReach, classKept, classTaught, type ClassAccess } from '../auth/access.ts';
import { databaseOf } from '../database.ts';
import { TogetherRow } from '../models/together.ts';
import { checkRoom, withinRate } from '../quotas.ts';
import { notFound, Refusal } from '../refusal.ts';
import { rulesOf } from '../rules.ts';
import { answerTogether, tellTruth } from '../together/answer-together.ts';
import { beginTogether } from '../together/begin-together.ts';
import { frontTask } from '../together/task-of-room.ts';
import { isReader, togetherAtFront, togetherNow, togetherOf } from '../together/together-shown.ts';
import { idFrom, validated } from '../validated.ts';

async function roundIn({ schoolClass }: ClassAccess, request: Request): Promise<TogetherRow> {
  const row = await TogetherRow.findOne({ where: { classId: schoolClass.id, id: idFrom(request, 'roundId') } });
  if (!row) throw notFound();
  return row;
}

/** A reading of a class that one teaches. */
async function roundTaught(request: Request): Promise<TogetherRow> {
  return roundIn(await classTaught(request), request);
}

/** Readings that a whole class takes together. */
export function togetherRoutes(): Router {
  const routes = Router();

  routes.get('/classes/:classId/together', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    response.json(await togetherOf(schoolClass.id));
  });

  routes.post('/classes/:classId/together', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    await withinRate('together', access.caller.personId);
    await checkRoom('readings together', TogetherRow, { classId: access.schoolClass.id }, 1);
    const row = await beginTogether(access, await validated(request, newTogether));
    response.status(201).json(await togetherAtFront(row));
  });

  routes.get('/classes/:classId/together/now', async (request, response) => {
    const { schoolClass, caller, as } = await classInReach(request);
    response.json(await togetherNow(schoolClass.id, as === 'student' ? [caller.personId, ...caller.partners] : []));
  });

  routes.get('/classes/:classId/together/:roundId', async (request, response) => {
    response.json(await togetherAtFront(await roundTaught(request)));
  });

  routes.post('/classes/:classId/together/:roundId/stop', async (request, response) => {
    const row = await roundTaught(request);
    if (!row.stoppedAt) await row.update({ stoppedAt: new Date() });
    response.json(await togetherAtFront(row));
  });

  routes.post('/classes/:classId/together/:roundId/answer', async (request, response) => {
    const row = await roundTaught(request);
    if (!row.stoppedAt) throw new Refusal(409, 'Stop the reading first: some still read.');
    if (row.kind === 'front') {
      const { instrumentId, value } = await validated(request, togetherTruth);
      if (value === null) throw new Refusal(400, 'Write what the tool shows.', 'value');
      const rules = await rulesOf(row.classId, row.rulesVersion);
      if (instrumentId !== null) frontTask(instrumentId, value, row.unit, rules);
      await tellTruth(row, { instrumentId, value }, rules);
    } else await row.update({ shownAt: new Date() });
    response.json(await togetherAtFront(row));
  });

  routes.post('/classes/:classId/together/:roundId/end', async (request, response) => {
    const row = await roundTaught(request);
    await databaseOf(TogetherRow).query(
      `update together_rounds set stopped_at = coalesce(stopped_at, now()), ended_at = coalesce(ended_at, now())
       where class_id = :classId and series_id = :seriesId`,
      { replacements: { classId: row.classId, seriesId: row.seriesId } },
    );
    response.json(await togetherAtFront(await row.reload()));
  });

  routes.delete('/classes/:classId/together/:roundId', async (request, response) => {
    const row = await roundIn(await classKept(request), request);
    await row.destroy();
    response.status(204).end();
  });

  routes.post('/classes/:classId/together/:roundId/answers', async (request, response) => {
    const access = await classInReach(request);
    checkNotArchived(access.schoolClass);
    const row = await roundIn(access, request);
    const answer = await validated(request, togetherAnswer);
    const { caller } = access;
    if (
      ![caller.personId, ...caller.partners].includes(answer.personId) ||
      !(await isReader(row.classId, answer.personId))
    )
      throw new Refusal(403, 'Only a student at this screen can answer here.', 'personId');
    response.json(await answerTogether(row, await rulesOf(row.classId, row.rulesVersion), answer));
  });

  return routes;
}
