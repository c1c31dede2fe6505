import {
  arrangementChange,
  handingIn,
  joining,
  methodsSharing,
  newRun,
  newRunEvents,
  runImport,
  type NewRunEvents,
} from '@green-beam/contract';
import { Router, type Request } from 'express';
import { Op } from 'sequelize';
import { checkNotArchived, classInReach, classKept, classTaught } from '../auth/access.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { labelOf } from '../auth/labels.ts';
import { laboratoryInUse } from '../lab-sheets/known.ts';
import { rosterOf } from '../classes/roster.ts';
import { RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { appendEvents } from '../notebook/append-events.ts';
import { beginRun } from '../notebook/begin-run.ts';
import { changeRunRules } from '../notebook/change-run-rules.ts';
import { importRun } from '../notebook/import-run.ts';
import { arrange, laboratoriesOf } from '../notebook/laboratories.ts';
import { askedToJoin, declineToJoin, joinGroup } from '../notebook/joining.ts';
import { checkMayHandIn, runInReach, runOrAsked } from '../notebook/run-access.ts';
import { runPage, runSummaries } from '../notebook/show-run.ts';
import { handIn, openedByTeacher, reopen, takeBack } from '../reports/hand-in.ts';
import { checkRoom, withinRate } from '../quotas.ts';
import { Refusal } from '../refusal.ts';
import { validated } from '../validated.ts';

/** How far the clock of a device is ahead, in seconds, if it says what time it has. */
function clockAheadOf(request: Request): number | null {
  const seconds = (Date.parse(request.header('x-device-time') ?? '') - Date.now()) / 1000;
  return Number.isFinite(seconds) ? Math.round(seconds) : null;
}

/** Laboratories done by groups. */
export function notebookRoutes(drawing: Drawing): Router {
  const routes = Router();

  routes.get('/classes/:classId/runs', async (request, response) => {
    const { schoolClass, caller, as } = await classInReach(request);
    const people = [caller.personId, ...caller.partners];
    const own =
      as === 'student'
        ? await RunMember.findAll({
            where: { classId: schoolClass.id, personId: people, joinedAt: { [Op.not]: null } },
          })
        : [];
    const where = {
      classId: schoolClass.id,
      ...(as === 'student' ? { id: own.map((membership) => membership.runId) } : {}),
    };
    const runs = await RunRow.findAll({ where, order: [['startedAt', 'DESC']] });
    response.json(await runSummaries(runs, as === 'student' ? caller.personId : null));
  });

  routes.get('/classes/:classId/classmates', async (request, response) => {
    const { schoolClass } = await classInReach(request);
    const students = await rosterOf(schoolClass.id, 'present');
    response.json(students.map(({ personId, person }) => ({ id: personId, label: labelOf(person, 'short') })));
  });

  routes.get('/classes/:classId/laboratories', async (request, response) => {
    const { schoolClass } = await classInReach(request);
    response.json(await laboratoriesOf(schoolClass));
  });

  routes.get('/classes/:classId/laboratories/:protocolId', async (request, response) => {
    const { schoolClass } = await classInReach(request);
    response.json(await laboratoryInUse(schoolClass, request.params.protocolId));
  });

  routes.put('/classes/:classId/laboratories/:protocolId', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    checkNotArchived(schoolClass);
    const change = await validated(request, arrangementChange);
    await arrange(schoolClass, request.params.protocolId, change);
    response.json(await laboratoriesOf(schoolClass));
  });

  routes.post('/classes/:classId/runs/import', async (request, response) => {
    const access = await classKept(request);
    checkNotArchived(access.schoolClass);
    await withinRate('opening', access.caller.personId);
    const body = await validated(request, runImport);
    await checkRoom('laboratories', RunRow, { classId: access.schoolClass.id }, 1);
    const faults = await importRun(access, body, drawing);
    if (faults.length > 0) {
      response.status(422).json({ message: 'The laboratory in this file has faults.', field: 'file', faults });
      return;
    }
    response.status(201).json({ id: body.id });
  });

  routes.post('/classes/:classId/runs', async (request, response) => {
    const access = await classInReach(request);
    checkNotArchived(access.schoolClass);
    await withinRate('run', access.caller.personId);
    await checkRoom('laboratories', RunRow, { classId: access.schoolClass.id }, 1);
    const run = await beginRun(access, await validated(request, newRun));
    response.status(201).json(await runPage({ ...access, run, member: true, mayWrite: true }));
  });

  routes.get('/classes/:classId/runs/asked', async (request, response) => {
    const { schoolClass, caller } = await classInReach(request);
    const asked = await askedToJoin(schoolClass.id, caller.personId);
    const where = { classId: schoolClass.id, id: asked.map(({ runId }) => runId) };
    const runs = await RunRow.findAll({ where, order: [['startedAt', 'DESC']] });
    response.json(await runSummaries(runs, null));
  });

  routes.post('/classes/:classId/runs/:runId/members', async (request, response) => {
    const access = await runOrAsked(request);
    const { personId } = await validated(request, joining);
    await joinGroup(access, personId);
    response.json(await runPage(await runInReach(request)));
  });

  routes.delete('/classes/:classId/runs/:runId/members/me', async (request, response) => {
    const { caller, run } = await runOrAsked(request);
    await declineToJoin(caller, run);
    response.status(204).end();
  });

  routes.get('/classes/:classId/runs/:runId', async (request, response) => {
    const access = await runInReach(request);
    if (access.as === 'teacher') await openedByTeacher(access.run);
    response.json(await runPage(access));
  });

  routes.post('/classes/:classId/runs/:runId/events', async (request, response) => {
    const access = await runInReach(request);
    const { events } = (await validated(request, newRunEvents)) as NewRunEvents;
    const { classId, id: runId } = access.run;
    await checkRoom('entries', RunEventRow, { classId, runId }, events.length);
    response.json({ events: await appendEvents(access, events, clockAheadOf(request), drawing) });
  });

  routes.post('/classes/:classId/runs/:runId/hand-in', async (request, response) => {
    const access = await runInReach(request);
    checkMayHandIn(access);
    const { personId } = await validated(request, handingIn);
    await handIn(access, personId, drawing);
    response.json(await runPage(await runInReach(request)));
  });

  routes.post('/classes/:classId/runs/:runId/take-back', async (request, response) => {
    const access = await runInReach(request);
    checkNotArchived(access.schoolClass);
    if (!access.member) throw new Refusal(403, 'Only the group takes its page back. Return it instead.');
    const { personId } = await validated(request, handingIn);
    await takeBack(access, personId);
    response.json(await runPage(await runInReach(request)));
  });

  routes.post('/classes/:classId/runs/:runId/rules', async (request, response) => {
    checkNotArchived((await classTaught(request)).schoolClass);
    await changeRunRules(await runInReach(request), drawing);
    response.json(await runPage(await runInReach(request)));
  });

  routes.post('/classes/:classId/runs/:runId/methods', async (request, response) => {
    await classTaught(request);
    const { run } = await runInReach(request);
    const { shared } = await validated(request, methodsSharing);
    await run.update({ methodsShared: shared });
    response.json(await runPage(await runInReach(request)));
  });

  routes.post('/classes/:classId/runs/:runId/give-back', async (request, response) => {
    await classTaught(request);
    const { run } = await runInReach(request);
    await reopen(run);
    response.json(await runPage(await runInReach(request)));
  });

  return routes;
}
