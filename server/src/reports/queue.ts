import { NOT_MARKED, type ReportInQueue, type ReportQueue } from '@green-beam/contract';
import { GROUP } from '@green-beam/core';
import { literal, Op } from 'sequelize';
import { labelOf } from '../auth/labels.ts';
import { Opening, RunMember, RunRow } from '../models/notebook.ts';
import { Person } from '../models/people.ts';
import { HandIn } from '../models/reports.ts';
import { rubricOf } from '../hand-ins/rubric.ts';

/** So many of the teacher’s commonest comments are offered. */
const COMMONEST = 12;

/** A run as a list of reports needs it: its protocol is large, and only the title is said. */
type RunBehind = Pick<RunRow, 'id' | 'protocolId' | 'specimen' | 'openingId'> & { readonly title: string };

async function runsBehind(classId: string, ids: readonly string[]): Promise<Map<string, RunBehind>> {
  const rows = await RunRow.findAll({
    attributes: ['id', 'protocolId', 'specimen', 'openingId', [literal(`protocol ->> 'title'`), 'title']],
    where: { classId, id: [...ids] },
    raw: true,
  });
  return new Map((rows as unknown as RunBehind[]).map((row) => [row.id, row]));
}

async function labelsOf(members: readonly RunMember[]): Promise<Map<string, string>> {
  const people = await Person.findAll({ where: { id: [...new Set(members.map(({ personId }) => personId))] } });
  return new Map(people.map((person) => [person.id, labelOf(person, 'short')]));
}

/** Reports as the list shows them, in the order in which they are given. */
export async function inQueue(classId: string, reports: readonly HandIn[]): Promise<ReportInQueue[]> {
  const ids = [...new Set(reports.map(({ runId }) => runId))];
  const [runs, members, openings] = await Promise.all([
    runsBehind(classId, ids),
    RunMember.findAll({ where: { classId, runId: ids, joinedAt: { [Op.not]: null } } }),
    Opening.findAll({ where: { classId, dueAt: { [Op.not]: null } } }),
  ]);
  const labels = await labelsOf(members);
  return reports.flatMap((report): ReportInQueue[] => {
    const run = runs.get(report.runId);
    if (!run) return [];
    const group = members.filter(({ runId }) => runId === run.id).map(({ personId }) => personId);
    const names = (people: readonly string[]): string[] =>
      people.map((person) => labels.get(person) ?? '').sort((a, b) => a.localeCompare(b));
    const dueAt = openings.find(({ id }) => id === run.openingId)?.dueAt;
    return [
      {
        runId: run.id,
        author: report.author,
        number: report.number,
        label: report.author === GROUP ? names(group).join(', ') : (labels.get(report.author) ?? ''),
        partners: report.author === GROUP ? [] : names(group.filter((person) => person !== report.author)),
        protocolId: run.protocolId,
        title: run.title,
        specimen: run.specimen,
        handedInAt: report.handedInAt.toISOString(),
        isLate: dueAt != null && report.handedInAt > dueAt,
        proposal: report.proposal,
        marking: report.marking ?? NOT_MARKED,
        returnedAt: report.returnedAt?.toISOString() ?? null,
        isInForce: report.endedAt === null,
      },
    ];
  });
}

/** Texts of comments by how often they were written, those first that were written last where it is the same. */
function commonest(markings: readonly HandIn[]): string[] {
  const counts = new Map<string, number>();
  for (const { marking } of markings)
    for (const { text } of marking?.comments ?? []) counts.set(text, (counts.get(text) ?? 0) + 1);
  return [...counts]
    .sort(([, a], [, b]) => b - a)
    .slice(0, COMMONEST)
    .map(([text]) => text);
}

/** Reports of a class that are handed in or have come back, oldest first, with what they are marked by. */
export async function reportQueue(classId: string): Promise<ReportQueue> {
  const [rubric, reports, marked] = await Promise.all([
    rubricOf(classId),
    HandIn.findAll({
      // What came back and is gone on with keeps its mark.
      where: { classId, [Op.or]: [{ endedAt: null }, { returnedAt: { [Op.not]: null } }] },
      order: [['handedInAt', 'ASC']],
    }),
    HandIn.findAll({
      attributes: ['classId', 'runId', 'author', 'number', 'marking'],
      where: { classId, marking: { [Op.not]: null } },
      order: [['markedAt', 'DESC']],
      limit: 500,
    }),
  ]);
  return { rubric, reports: await inQueue(classId, reports), comments: commonest(marked) };
}
