import { settingOf, type Setting } from '@green-beam/core';
import type { RunEventRow, RunRow } from '../models/notebook.ts';
import { rulesOf } from '../rules.ts';
import { eventsOf } from './log.ts';

/** What a run’s log says about everything but its readings. @param rows entries of this run, in the server’s order, and of others. */
export async function settingOfRun(run: RunRow, rows: readonly RunEventRow[]): Promise<Setting> {
  const own = rows.filter(({ runId }) => runId === run.id);
  return settingOf(run.protocol, { events: eventsOf(own) }, await rulesOf(run.classId, run.rulesVersion));
}
