import { randomUUID } from 'node:crypto';
import { newRun, newRunEvents } from '@green-beam/contract';
import { protocol } from '@green-beam/core';
import { Router } from 'express';
import { checkNotArchived, classInReach, classTaught } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { rosterOf } from '../classes/roster.ts';
import { Student } from '../models/classes.ts';
import { RunMember, RunRow } from '../models/notebook.ts';
import { appendEvents } from '../notebook/append-events.ts';
import { changeRunRules } from '../notebook/change-run-rules.ts';
import { checkMayWrite, runInReach } from '../notebook/run-access.ts';
import { runPage, runSummaries } from '../notebook/show-run.ts';
import { Refusal } from '../refusal.ts';
import { validated } from '../validated.ts';

/** Laboratories done by groups. */
export function notebookRoutes(): Router {
  const routes = Router();

  routes.get('/classes/:classId/runs', async (request, response) => {
    const { schoolClass, caller, as } = await classInReach(request);
    const people = [caller.personId, ...caller.partners];
    const own =
      as === 'student' ? await RunMember.findAll({ where: { classId: schoolClass.id, personId: people } }) : [];
    const where = {
      classId: schoolClass.id,
      ...(as === 'student' ? { id: own.map((membership) => membership.runId) } : {}),
    };
    response.json(await runSummaries(await RunRow.findAll({ where, order: [['startedAt', 'DESC']] })));
  });

  routes.get('/classes/:classId/classmates', async (request, response) => {
    const { schoolClass } = await classInReach(request);
    const students = await rosterOf(schoolClass.id, 'present');
    response.json(students.map(({ personId, person }) => ({ id: personId, label: labelOf(person, 'short') })));
  });

  routes.post('/classes/:classId/runs', async (request, response) => {
    const { schoolClass, caller, as } = await classInReach(request);
    checkNotArchived(schoolClass);
    const { protocolId, specimen, memberIds } = await validated(request, newRun);
    const members = [...new Set([caller.personId, ...memberIds])];
    const students = await Student.count({ where: { classId: schoolClass.id, personId: members, archivedAt: null } });
    if (students < members.length - (caller.role === 'student' ? 0 : 1))
      throw new Refusal(400, 'Somebody in the group is not in this class.', 'memberIds');
    const lab = protocol(protocolId);
    const row = { classId: schoolClass.id, id: randomUUID(), schoolId: schoolClass.schoolId };
    const run = await RunRow.create({
      ...row,
      protocolId: lab.id,
      protocol: lab,
      specimen,
      rulesVersion: schoolClass.rulesVersion,
      startedBy: caller.personId,
      startedAt: new Date(),
      handedInAt: null,
    });
    await RunMember.bulkCreate(members.map((personId) => ({ classId: row.classId, runId: row.id, personId })));
    response.status(201).json(await runPage({ run, mayWrite: true, as, schoolClass }));
  });

  routes.get('/classes/:classId/runs/:runId', async (request, response) => {
    response.json(await runPage(await runInReach(request)));
  });

  routes.post('/classes/:classId/runs/:runId/events', async (request, response) => {
    const access = await runInReach(request);
    const { events } = await validated(request, newRunEvents);
    response.json({ events: await appendEvents(access, events) });
  });

  routes.post('/classes/:classId/runs/:runId/hand-in', async (request, response) => {
    const access = await runInReach(request);
    checkMayWrite(access);
    await access.run.update({ handedInAt: new Date() });
    response.json(await runPage({ ...access, mayWrite: false }));
  });

  routes.post('/classes/:classId/runs/:runId/rules', async (request, response) => {
    checkNotArchived((await classTaught(request)).schoolClass);
    await changeRunRules(await runInReach(request));
    response.json(await runPage(await runInReach(request)));
  });

  routes.post('/classes/:classId/runs/:runId/give-back', async (request, response) => {
    await classTaught(request);
    const { run } = await runInReach(request);
    await run.update({ handedInAt: null });
    response.json(await runPage(await runInReach(request)));
  });

  return routes;
}
