import { randomUUID } from 'node:crypto';
import { CORE_VERSION } from '@green-beam/core';
import { databaseOf } from '../database.ts';
import { RunEventRow } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import type { RunAccess } from './run-access.ts';

/** Where a run's log says by which version of the class's rules it goes on. */
export const RULES_SLOT = 'rules';

/**
 * Has an open laboratory go on by the rules the class works by now. The change is an entry in its log, with who made it and when; what
 * was written before stays as it was typed.
 * @throws Refusal (409) once the page is handed in, or when it is worked by these rules already.
 */
export async function changeRunRules({ run, schoolClass, caller }: RunAccess): Promise<void> {
  if (run.handedInAt)
    throw new Refusal(409, 'This page has been handed in, so its rules stay as they are. Return it first.');
  if (run.rulesVersion === schoolClass.rulesVersion)
    throw new Refusal(409, 'This page already uses the present class rules.');
  const sequelize = databaseOf(RunEventRow);
  const key = { classId: run.classId, runId: run.id };
  await sequelize.transaction(async (transaction) => {
    const before = await RunEventRow.findOne({
      where: { ...key, slot: RULES_SLOT },
      order: [['serverOrder', 'DESC']],
      transaction,
    });
    await RunEventRow.create(
      {
        ...key,
        id: randomUUID(),
        schoolId: run.schoolId,
        personId: caller.personId,
        slot: RULES_SLOT,
        text: String(schoolClass.rulesVersion),
        replaces: before?.id ?? null,
        reason: null,
        deviceTime: new Date(),
        coreVersion: CORE_VERSION,
      },
      { transaction },
    );
    await run.update({ rulesVersion: schoolClass.rulesVersion }, { transaction });
  });
}
