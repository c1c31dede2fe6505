import {
  NOT_MARKED,
  type MarkingChange,
  type ReportToMark,
  type ResultOfGroup,
  type Returning,
} from '@green-beam/contract';
import { Op } from 'sequelize';
import type { ClassAccess } from '../auth/access.ts';
import { databaseOf } from '../database.ts';
import { RunResultRow, RunRow } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import { runAlone } from '../notebook/show-run.ts';
import { notFound, Refusal } from '../refusal.ts';
import { inQueue } from './queue.ts';
import { rubricOf } from '../hand-ins/rubric.ts';

interface ReportKey {
  readonly runId: string;
  readonly author: string;
}

/** A report that is handed in. @throws Refusal where there is none. */
async function reportOf({ schoolClass }: ClassAccess, { runId, author }: ReportKey): Promise<HandIn> {
  const report = await HandIn.findOne({ where: { classId: schoolClass.id, runId, author, endedAt: null } });
  if (!report) throw notFound();
  return report;
}

/** A report with everything that is needed to mark it, as it was handed in: it is opened by that. */
export async function reportToMark(access: ClassAccess, key: ReportKey): Promise<ReportToMark> {
  const { schoolClass } = access;
  const classId = schoolClass.id;
  const report = await reportOf(access, key);
  await HandIn.update({ openedAt: new Date() }, { where: { ...keyOf(report), openedAt: null } });
  const run = await RunRow.findOne({ where: { classId, id: key.runId } });
  const [queued] = await inQueue(classId, [report]);
  if (!run || !queued) throw notFound();
  const page = await runAlone({ ...access, run, member: false, mayWrite: false });
  const before = await HandIn.findAll({
    where: { classId, ...key, number: { [Op.lt]: report.number } },
    order: [['number', 'DESC']],
  });
  return {
    ...queued,
    others: await othersOf(run),
    page: { ...page, events: page.events.filter(({ order }) => order !== null && order <= Number(report.upTo)) },
    earlier: before.map(({ number, handedInAt, marking, upTo }) => ({
      number,
      handedInAt: handedInAt.toISOString(),
      marking: marking ?? NOT_MARKED,
      upTo: Number(upTo),
    })),
  };
}

/** What the other groups of the same opening have found. */
async function othersOf({ classId, id, openingId }: RunRow): Promise<ResultOfGroup[]> {
  if (openingId === null) return [];
  const runs = await RunRow.findAll({
    attributes: ['id', 'specimen'],
    where: { classId, openingId, id: { [Op.ne]: id } },
    order: [['startedAt', 'ASC']],
  });
  const results = await RunResultRow.findAll({ where: { classId, runId: runs.map((run) => run.id), position: 0 } });
  return runs.flatMap((run) => {
    const first = results.find(({ runId }) => runId === run.id);
    return first ? [{ runId: run.id, specimen: run.specimen, value: first.value, unit: first.unit }] : [];
  });
}

function keyOf({ classId, runId, author, number }: HandIn): Pick<HandIn, 'classId' | 'runId' | 'author' | 'number'> {
  return { classId, runId, author, number };
}

/**
 * Keeps how a report is marked.
 * @throws Refusal where another one has been handed in meanwhile, or for points that the class does not give.
 */
export async function mark(access: ClassAccess, key: ReportKey, change: MarkingChange): Promise<void> {
  const report = await reportOf(access, key);
  if (report.number !== change.number)
    throw new Refusal(409, 'Another report has been handed in meanwhile. Open it again.', 'number');
  const { criteria } = await rubricOf(report.classId);
  const unknown = Object.keys(change.points).find((id) => !criteria.some((one) => one.id === id));
  if (unknown !== undefined) throw new Refusal(400, `“${unknown}” is not marked in this class.`, 'points');
  const { points, comments, isDone } = change;
  await report.update({
    marking: { points, comments, isDone },
    markedBy: access.caller.personId,
    markedAt: new Date(),
  });
}

/** Returns reports, now or at a time: from then on their authors see the marks. @throws Refusal naming what is not there. */
export async function returnReports(
  { schoolClass }: ClassAccess,
  { reports, at, mayImprove }: Returning,
): Promise<void> {
  const classId = schoolClass.id;
  const returnedAt = at === null ? new Date() : new Date(at);
  await databaseOf(HandIn).transaction(async (transaction) => {
    for (const { runId, author, number } of reports) {
      const [returned] = await HandIn.update(
        { returnedAt, mayImprove },
        { where: { classId, runId, author, number, endedAt: null }, transaction },
      );
      if (returned === 0) throw new Refusal(409, 'One of these reports has been taken back meanwhile.', 'reports');
    }
  });
}
