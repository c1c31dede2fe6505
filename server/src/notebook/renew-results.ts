import { CORE_VERSION } from '@green-beam/core';
import { Op } from 'sequelize';
import type { Drawing } from '../drawing/drawing.ts';
import { RunRow } from '../models/notebook.ts';
import { storeEntries } from './store-entries.ts';

/**
 * Works out anew, one run after the other, the results that another version of the science has worked out, or none yet.
 * @throws AggregateError with what went wrong in some of them, after all others.
 */
export async function renewResults(drawing: Drawing): Promise<void> {
  const where = { resultsBy: { [Op.or]: [{ [Op.is]: null }, { [Op.ne]: CORE_VERSION }] } };
  const runs = await RunRow.findAll({ attributes: ['classId', 'id'], where });
  const failures: unknown[] = [];
  for (const { classId, id } of runs) {
    try {
      await storeEntries({ classId, runId: id }, { entries: [] }, drawing);
    } catch (error) {
      failures.push(error);
    }
  }
  if (failures.length > 0) throw new AggregateError(failures, `${failures.length} laboratories have no results.`);
}
