import { newTool, newToolNote, toolChange, toolImport } from '@green-beam/contract';
import { Router } from 'express';
import { checkNotArchived, classInReach, classKept, classTaught } from '../auth/access.ts';
import { addTool, changeTool, importTools, noteOnTool } from '../cabinet/change-tools.ts';
import { toolChoices, toolsShown } from '../cabinet/tools-shown.ts';
import { Tool, ToolNoteRow } from '../models/cabinet.ts';
import { checkRoom } from '../quotas.ts';
import { notFound } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

/** The class’s tools: kept by its teachers; whoever belongs to the class may know which there are to use. */
export function cabinetRoutes(): Router {
  const routes = Router();

  routes.get('/classes/:classId/tools', async (request, response) => {
    response.json(await toolChoices((await classInReach(request)).schoolClass.id));
  });

  routes.get('/classes/:classId/cabinet', async (request, response) => {
    response.json(await toolsShown((await classTaught(request)).schoolClass.id));
  });

  routes.post('/classes/:classId/cabinet', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    await checkRoom('tools', Tool, { classId: access.schoolClass.id }, 1);
    await addTool(access, await validated(request, newTool));
    response.status(201).json(await toolsShown(access.schoolClass.id));
  });

  routes.post('/classes/:classId/cabinet/list', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    const { rows } = await validated(request, toolImport);
    await checkRoom('tools', Tool, { classId: access.schoolClass.id }, rows.length);
    const result = await importTools(access, rows);
    response.status(result.errors.length > 0 ? 422 : 201).json(result);
  });

  routes.patch('/classes/:classId/cabinet/:toolId', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    await changeTool(access, idFrom(request, 'toolId'), await validated(request, toolChange));
    response.json(await toolsShown(access.schoolClass.id));
  });

  routes.post('/classes/:classId/cabinet/:toolId/notes', async (request, response) => {
    const access = await classTaught(request);
    checkNotArchived(access.schoolClass);
    const toolId = idFrom(request, 'toolId');
    await checkRoom('notes', ToolNoteRow, { classId: access.schoolClass.id, toolId }, 1);
    await noteOnTool(access, toolId, await validated(request, newToolNote));
    response.status(201).json(await toolsShown(access.schoolClass.id));
  });

  routes.delete('/classes/:classId/cabinet/:toolId', async (request, response) => {
    const { schoolClass } = await classKept(request);
    const removed = await Tool.destroy({ where: { classId: schoolClass.id, id: idFrom(request, 'toolId') } });
    if (removed === 0) throw notFound();
    response.json(await toolsShown(schoolClass.id));
  });

  return routes;
}
