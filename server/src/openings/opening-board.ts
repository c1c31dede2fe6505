import type { GroupAtWork, OpeningBoard, OpeningSummary } from '@green-beam/contract';
import { alike, calculationsDone, readingsDone, tooEven, type Setting } from '@green-beam/core';
import { labelOf } from '../auth/labels.ts';
import { rosterOf } from '../classes/roster.ts';
import { Opening, RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { Person } from '../models/people.ts';
import { HandIn } from '../models/reports.ts';
import { authorFor } from '../hand-ins/in-force.ts';
import { laboratoryAt } from '../lab-sheets/known.ts';
import { settingOfRun } from '../notebook/setting-of-run.ts';

async function summaryOf(
  opening: Opening,
  members: readonly RunMember[],
  runs: readonly RunRow[],
): Promise<OpeningSummary> {
  const { schoolId, protocolId, protocolVersion } = opening;
  return {
    id: opening.id,
    protocolId,
    title: (await laboratoryAt(schoolId, protocolId, protocolVersion)).title,
    specimen: opening.specimen,
    openedAt: opening.openedAt.toISOString(),
    dueAt: opening.dueAt?.toISOString() ?? null,
    groups: runs.map(({ id }) => members.filter(({ runId }) => runId === id).map(({ personId }) => personId)),
  };
}

async function runsOf(openings: readonly Opening[], classId: string): Promise<[RunRow[], RunMember[]]> {
  const runs = await RunRow.findAll({
    where: { classId, openingId: openings.map(({ id }) => id) },
    order: [
      ['startedAt', 'ASC'],
      ['id', 'ASC'],
    ],
  });
  return [runs, await RunMember.findAll({ where: { classId, runId: runs.map(({ id }) => id) } })];
}

/** Laboratories that were opened for a class, the latest first. */
export async function openingsOf(classId: string): Promise<OpeningSummary[]> {
  const openings = await Opening.findAll({ where: { classId }, order: [['openedAt', 'DESC']] });
  const [runs, members] = await runsOf(openings, classId);
  return Promise.all(
    openings.map((opening) =>
      summaryOf(
        opening,
        members,
        runs.filter(({ openingId }) => openingId === opening.id),
      ),
    ),
  );
}

/** The class at work on one of them: who is where, from nothing on. */
export async function openingBoard(opening: Opening): Promise<OpeningBoard> {
  const { classId } = opening;
  const [runs, members] = await runsOf([opening], classId);
  const [rows, students] = await Promise.all([
    RunEventRow.findAll({ where: { classId, runId: runs.map(({ id }) => id) }, order: [['serverOrder', 'ASC']] }),
    rosterOf(classId, 'present'),
  ]);
  const people = await Person.findAll({ where: { id: members.map(({ personId }) => personId) } });
  const reports = await HandIn.findAll({ where: { classId, runId: runs.map(({ id }) => id), endedAt: null } });
  const inAt = (run: RunRow, personId: string): Date | undefined =>
    reports.find(({ runId, author }) => runId === run.id && author === authorFor(run, personId))?.handedInAt;
  const labels = new Map(people.map((person) => [person.id, labelOf(person, 'short')]));
  const settings = await Promise.all(runs.map((run) => settingOfRun(run, rows)));
  const own = runs.flatMap(({ given }, i) => (given === null ? [i] : []));
  const even = new Map(tooEven(own.flatMap((i) => settings[i] ?? [])).map((found, i) => [own[i], found]));
  const groups = runs.map((run, i): GroupAtWork => {
    const setting = settings[i] as Setting;
    const { byStudent, ownWork } = run.arrangement;
    const alone = ownWork === 'each-student' && byStudent.length > 0;
    return {
      runId: run.id,
      specimen: run.specimen,
      members: members
        .filter(({ runId }) => runId === run.id)
        .map(({ personId }) => ({
          id: personId,
          label: labels.get(personId) ?? '',
          calculated: alone ? calculationsDone(setting, personId, byStudent) : null,
          handedInAt: inAt(run, personId)?.toISOString() ?? null,
        }))
        .sort((a, b) => a.label.localeCompare(b.label)),
      given: run.given,
      readings: readingsDone(setting),
      lastAt: lastOf(run, rows)?.toISOString() ?? null,
      handedInAt: run.handedInAt?.toISOString() ?? null,
      alike: own.includes(i)
        ? own.filter((j) => j !== i && alike(setting, settings[j] as Setting) !== null).map((j) => j + 1)
        : [],
      tooEven: even.get(i) ?? [],
    };
  });
  const inGroups = new Set(members.map(({ personId }) => personId));
  return {
    ...(await summaryOf(opening, members, runs)),
    atWork: groups,
    without: students
      .filter(({ personId }) => !inGroups.has(personId))
      .map(({ personId, person }) => ({
        id: personId,
        label: labelOf(person, 'short'),
        excused: opening.excused.includes(personId),
      })),
  };
}

/** When a group last wrote; what it was given is not its own. */
function lastOf(run: RunRow, rows: readonly RunEventRow[]): Date | undefined {
  return rows
    .filter(({ runId, personId }) => runId === run.id && (run.given === null || personId !== run.startedBy))
    .at(-1)?.createdAt;
}
