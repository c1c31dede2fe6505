import { metTool, type ShelfShown, type ToolStanding } from '@green-beam/contract';
import { Router } from 'express';
import { QueryTypes } from 'sequelize';
import { checkNotArchived, classInReach, classTaught } from '../auth/access.ts';
import { checkTool, meetTools, metTools, unmeetTool } from '../bench/met-tools.ts';
import { roundsAside } from '../bench/own-practice.ts';
import { databaseOf } from '../database.ts';
import { Attempt } from '../models/bench.ts';
import { SchoolClass } from '../models/classes.ts';
import { validated } from '../validated.ts';

/** How somebody has read each tool: how many readings, and how many of them right at the first try. */
async function standings(classId: string, personId: string): Promise<ToolStanding[]> {
  const sequelize = databaseOf(Attempt);
  return sequelize.query<ToolStanding>(
    `select subject_id "toolId", count(distinct task_id)::int readings, count(*) filter (where verdict = 'sound' and try_number = 1)::int "rightAtFirst"
     from attempts where class_id = :classId and person_id = :personId group by subject_id`,
    { replacements: { classId, personId }, type: QueryTypes.SELECT },
  );
}

async function shelfOf(classId: string, personId: string): Promise<ShelfShown> {
  const [schoolClass, aside, standing] = await Promise.all([
    SchoolClass.findByPk(classId, { attributes: ['id', 'metTools'], rejectOnEmpty: true }),
    roundsAside({ classId, personId }),
    standings(classId, personId),
  ]);
  return { met: metTools(schoolClass), aside, standing };
}

/** The shelf of tools: which the class has met, and how one stands with each. */
export function shelfRoutes(): Router {
  const routes = Router();

  routes.get('/classes/:classId/shelf', async (request, response) => {
    const { schoolClass, caller } = await classInReach(request);
    response.json(await shelfOf(schoolClass.id, caller.personId));
  });

  routes.post('/classes/:classId/shelf/met', async (request, response) => {
    const { schoolClass, caller } = await classTaught(request);
    checkNotArchived(schoolClass);
    const { toolId, met } = await validated(request, metTool);
    checkTool(toolId);
    await (met ? meetTools(schoolClass.id, [toolId]) : unmeetTool(schoolClass.id, toolId));
    response.json(await shelfOf(schoolClass.id, caller.personId));
  });

  return routes;
}
