import { NOT_MARKED, type ReturnedReport } from '@green-beam/contract';
import { Op } from 'sequelize';
import type { RunRow } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import { rubricOf } from './rubric.ts';

/** What has come back to these authors of a page, the latest of each. */
export async function returnedTo(
  { classId, id: runId }: RunRow,
  authors: readonly string[],
): Promise<(ReturnedReport & { author: string })[]> {
  const reports = await HandIn.findAll({
    where: { classId, runId, author: [...authors], returnedAt: { [Op.lte]: new Date() } },
    order: [['number', 'DESC']],
  });
  if (reports.length === 0) return [];
  const rubric = await rubricOf(classId);
  const latest = reports.filter((report, i) => reports.findIndex(({ author }) => author === report.author) === i);
  return latest.map(({ author, number, returnedAt, mayImprove, marking }) => ({
    author,
    number,
    returnedAt: returnedAt?.toISOString() ?? '',
    mayImprove,
    rubric,
    marking: marking ?? NOT_MARKED,
  }));
}
