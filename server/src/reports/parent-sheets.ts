import { LETTERS, type ParentExample, type ParentSheet, type Rubric } from '@green-beam/contract';
import { MOST_POINTS, subjectById } from '@green-beam/core';
import { Op, QueryTypes, type Sequelize } from 'sequelize';
import { labelOf } from '../auth/labels.ts';
import { attemptShown } from '../bench/show.ts';
import { boardOf } from '../classes/board.ts';
import { rosterOf } from '../classes/roster.ts';
import { Attempt } from '../models/bench.ts';
import { RunMember } from '../models/notebook.ts';
import { HandIn } from '../models/reports.ts';
import { rulesOf } from '../rules.ts';
import { inQueue } from './queue.ts';
import { rubricOf } from '../hand-ins/rubric.ts';

/** So many reports are told of. */
const REPORTS = 3;

/** The last entry of each student in which a slip was named, of reading or of writing, at an item that is closed. */
async function examplesOf(sequelize: Sequelize, classId: string): Promise<Map<string, ParentExample>> {
  const last = await sequelize.query<{ id: string }>(
    `select distinct on (attempts.person_id) attempts.id from attempts
     join tasks on tasks.class_id = attempts.class_id and tasks.id = attempts.task_id and tasks.closed_at is not null
     where attempts.class_id = :classId and attempts.verdict in ('slip', 'record')
     order by attempts.person_id, attempts.server_order desc`,
    { replacements: { classId }, type: QueryTypes.SELECT },
  );
  const attempts = await Attempt.findAll({ where: { classId, id: last.map(({ id }) => id) } });
  const found = new Map<string, ParentExample>();
  for (const attempt of attempts) {
    const { slips, question, entry, expected, subjectId } = attemptShown(
      attempt,
      await rulesOf(classId, attempt.rulesVersion),
      true,
    );
    const [slip] = slips;
    if (!slip || !expected) continue;
    found.set(attempt.personId, {
      tool: subjectById(subjectId).name,
      question,
      wrote: entry,
      right: `${expected.text} ${expected.unit}`.trim(),
      slip: slip.name,
      why: slip.why,
      help: slip.lookAt,
    });
  }
  return found;
}

/** Points of a report as parents read them. */
function marksOf({ criteria, scale }: Rubric, points: Readonly<Record<string, number>>): [string, string][] {
  if (scale === 'comments') return [];
  return criteria.flatMap(({ id, name }): [string, string][] => {
    const number = points[id];
    if (number === undefined) return [];
    return [[name, scale === 'letters' ? (LETTERS[number] ?? '') : `${number} of ${MOST_POINTS}`]];
  });
}

/** Reports that have come back to each student, their own and those of their groups, the latest first. */
async function returnedReports(classId: string): Promise<Map<string, ParentSheet['reports']>> {
  const rubric = await rubricOf(classId);
  const handIns = await HandIn.findAll({
    where: { classId, returnedAt: { [Op.lte]: new Date() } },
    order: [['returnedAt', 'DESC']],
  });
  const [queued, members] = await Promise.all([
    inQueue(classId, handIns),
    RunMember.findAll({ where: { classId, joinedAt: { [Op.not]: null } } }),
  ]);
  const found = new Map<string, ParentSheet['reports']>();
  for (const { runId, author, specimen, title, returnedAt, marking } of queued) {
    const people =
      author === 'group'
        ? members.filter((member) => member.runId === runId).map(({ personId }) => personId)
        : [author];
    const report = {
      specimen,
      title,
      returnedAt: returnedAt ?? '',
      marks: marksOf(rubric, marking.points),
      comments: marking.comments.map(({ text }) => text),
    };
    for (const person of people) {
      const before = found.get(person) ?? [];
      if (before.length < REPORTS) found.set(person, [...before, report]);
    }
  }
  return found;
}

/** What parents are told of each student of a class. */
export async function parentSheets(sequelize: Sequelize, classId: string): Promise<ParentSheet[]> {
  const [students, board, examples, reports] = await Promise.all([
    rosterOf(classId, 'present'),
    boardOf(sequelize, classId),
    examplesOf(sequelize, classId),
    returnedReports(classId),
  ]);
  return students.map(({ personId, person }) => ({
    id: personId,
    name: labelOf(person, 'full'),
    skills: board.find(({ id }) => id === personId)?.skills ?? [],
    example: examples.get(personId) ?? null,
    reports: reports.get(personId) ?? [],
  }));
}
