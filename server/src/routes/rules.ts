import { newRules, type RulesShown } from '@green-beam/contract';
import { Router } from 'express';
import { checkNotArchived, classInReach, classKept } from '../auth/access.ts';
import { changeRules } from '../classes/change-rules.ts';
import { HouseRulesVersion } from '../models/classes.ts';
import { notFound } from '../refusal.ts';
import { rulesOf } from '../rules.ts';
import { validated } from '../validated.ts';

/** House rules: read by everybody in the class, changed by its teachers. */
export function rulesRoutes(): Router {
  const routes = Router();

  routes.get('/classes/:classId/rules', async (request, response) => {
    const { schoolClass } = await classInReach(request);
    const row = await HouseRulesVersion.findOne({
      where: { classId: schoolClass.id, version: schoolClass.rulesVersion },
    });
    if (!row) throw notFound();
    const shown: RulesShown = {
      name: row.name,
      version: row.version,
      rules: await rulesOf(schoolClass.id, row.version),
    };
    response.json(shown);
  });

  routes.post('/classes/:classId/rules', async (request, response) => {
    const { schoolClass } = await classKept(request);
    checkNotArchived(schoolClass);
    response.status(201).json(await changeRules(schoolClass, await validated(request, newRules)));
  });

  return routes;
}
