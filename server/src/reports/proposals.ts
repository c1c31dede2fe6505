import type { Drawing } from '../drawing/drawing.ts';
import { RunRow } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import { eventsOf, logOf } from '../notebook/log.ts';
import { rulesOf } from '../rules.ts';

type ReportKey = Pick<HandIn, 'classId' | 'runId' | 'author' | 'number'>;

/** Works out what the program sees of a report, in a thread of its own, and keeps it with the report. */
export async function keepProposal(key: ReportKey, drawing: Drawing): Promise<void> {
  const { classId, runId, author } = key;
  const [report, run] = await Promise.all([
    HandIn.findOne({ where: { ...key } }),
    RunRow.findOne({ where: { classId, id: runId } }),
  ]);
  if (!report || !run) return;
  const rows = (await logOf({ classId, runId })).filter(
    ({ serverOrder }) => Number(serverOrder) <= Number(report.upTo),
  );
  const proposal = await drawing.proposal({
    protocol: run.protocol,
    events: eventsOf(rows),
    rules: await rulesOf(classId, run.rulesVersion),
    student: { author, quantities: run.arrangement.byStudent },
  });
  await report.update({ proposal });
}
