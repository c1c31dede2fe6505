import { randomUUID } from 'node:crypto';
import { CORE_VERSION } from '@green-beam/core';
import type { Transaction } from 'sequelize';
import type { Drawing } from '../drawing/drawing.ts';
import { RunEventRow } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import { inForce } from '../hand-ins/in-force.ts';
import type { RunAccess } from './run-access.ts';
import { storeEntries } from './store-entries.ts';

const handedIn = (): Refusal =>
  new Refusal(409, 'This page has been handed in, so its rules stay as they are. Return it first.');

/**
 * Has an open laboratory go on by the rules the class works by now. The change is an entry in its log, with who made it and when; what
 * was written before stays as it was typed.
 * @throws Refusal (409) once the page is handed in, or when it is worked by these rules already.
 */
export async function changeRunRules({ run, schoolClass, caller }: RunAccess, drawing: Drawing): Promise<void> {
  const { rulesVersion } = schoolClass;
  if (run.handedInAt) throw handedIn();
  if (run.rulesVersion === rulesVersion) throw new Refusal(409, 'This page already uses the present class rules.');
  const key = { classId: run.classId, runId: run.id };
  const before = await RunEventRow.findOne({
    where: { ...key, address: { kind: 'rules' } },
    order: [['serverOrder', 'DESC']],
  });
  const change = {
    ...key,
    id: randomUUID(),
    schoolId: run.schoolId,
    personId: caller.personId,
    address: { kind: 'rules' } as const,
    text: String(rulesVersion),
    replaces: before?.id ?? null,
    reason: null,
    deviceTime: new Date(),
    coreVersion: CORE_VERSION,
  };
  // Somebody’s report is marked by the rules that it was handed in under.
  const check = async (locked: typeof run, transaction: Transaction): Promise<void> => {
    if ((await inForce(locked, transaction)).length > 0) throw handedIn();
  };
  await storeEntries(key, { entries: [change], rulesVersion, check }, drawing);
}
