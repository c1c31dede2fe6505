import { groupChange, moreGroups, newOpening, openingChange } from '@green-beam/contract';
import { Router, type Request } from 'express';
import { checkNotArchived, classTaught, type ClassAccess } from '../auth/access.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { Opening, RunRow } from '../models/notebook.ts';
import { changeGroup, changeOpening } from '../openings/change-opening.ts';
import { addGroups, openLaboratory } from '../openings/open-laboratory.ts';
import { openingBoard, openingsOf } from '../openings/opening-board.ts';
import { withinRate } from '../quotas.ts';
import { notFound } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

/** An opening of a class that one teaches. */
async function openingTaught(request: Request): Promise<ClassAccess & { readonly opening: Opening }> {
  const access = await classTaught(request);
  const opening = await Opening.findOne({
    where: { classId: access.schoolClass.id, id: idFrom(request, 'openingId') },
  });
  if (!opening) throw notFound();
  return { ...access, opening };
}

/** Laboratories that a teacher opens for a class. */
export function openingRoutes(drawing: Drawing): Router {
  const routes = Router();

  routes.get('/classes/:classId/openings', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    response.json(await openingsOf(schoolClass.id));
  });

  routes.post('/classes/:classId/openings', async (request, response) => {
    const access = await classTaught(request);
    await withinRate('opening', access.caller.personId);
    const opening = await openLaboratory(access, await validated(request, newOpening), drawing);
    response.status(201).json(await openingBoard(opening));
  });

  routes.get('/classes/:classId/openings/:openingId', async (request, response) => {
    const { opening } = await openingTaught(request);
    response.json(await openingBoard(opening));
  });

  routes.patch('/classes/:classId/openings/:openingId', async (request, response) => {
    const { schoolClass, opening } = await openingTaught(request);
    checkNotArchived(schoolClass);
    await changeOpening(opening, await validated(request, openingChange));
    response.json(await openingBoard(opening));
  });

  routes.post('/classes/:classId/openings/:openingId/groups', async (request, response) => {
    const access = await openingTaught(request);
    await withinRate('opening', access.caller.personId);
    const { groups } = await validated(request, moreGroups);
    await addGroups(access, access.opening, groups, drawing);
    response.status(201).json(await openingBoard(access.opening));
  });

  routes.put('/classes/:classId/openings/:openingId/groups/:runId', async (request, response) => {
    const { schoolClass, opening } = await openingTaught(request);
    checkNotArchived(schoolClass);
    const where = { classId: schoolClass.id, openingId: opening.id, id: idFrom(request, 'runId') };
    const run = await RunRow.findOne({ where });
    if (!run) throw notFound();
    await changeGroup(run, await validated(request, groupChange));
    response.json(await openingBoard(opening));
  });

  return routes;
}
