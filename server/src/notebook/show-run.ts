import type { RunPage, RunSummary } from '@green-beam/contract';
import { GROUP } from '@green-beam/core';
import { labelOf } from '../auth/labels.ts';
import { HouseRulesVersion } from '../models/classes.ts';
import { Opening, RunMember, type RunRow } from '../models/notebook.ts';
import { Person } from '../models/people.ts';
import { HandIn } from '../models/reports.ts';
import { isPaired } from '../class-results/pairs.ts';
import { authorFor, inForce, mayTakeBack } from '../hand-ins/in-force.ts';
import { returnedTo } from '../hand-ins/returned.ts';
import { rulesOf } from '../rules.ts';
import { alikeRuns } from './alike-runs.ts';
import { eventsOf, logOf } from './log.ts';
import { visibleTo } from './own-work.ts';
import type { RunAccess } from './run-access.ts';

function summaryFrom(
  run: RunRow,
  group: readonly RunMember[],
  labels: ReadonlyMap<string, string>,
  dueAt: Date | null,
): RunSummary {
  const named = (joined: boolean): string[] =>
    group
      .filter(({ joinedAt }) => (joinedAt !== null) === joined)
      .map(({ personId }) => labels.get(personId) ?? '')
      .sort((a, b) => a.localeCompare(b));
  return {
    id: run.id,
    protocolId: run.protocolId,
    title: run.protocol.title,
    specimen: run.specimen,
    members: named(true),
    asked: named(false),
    startedAt: run.startedAt.toISOString(),
    handedInAt: run.handedInAt?.toISOString() ?? null,
    isBack: false,
    dueAt: dueAt?.toISOString() ?? null,
    openingId: run.openingId,
    isGiven: run.given !== null,
  };
}

/** Until when each of some runs is to be handed in, by the id of the run; those that are begun by groups are not there. */
async function duesOf(runs: readonly RunRow[]): Promise<Map<string, Date>> {
  const ids = runs.flatMap(({ openingId }) => openingId ?? []);
  const openings = ids.length === 0 ? [] : await Opening.findAll({ where: { id: ids } });
  return new Map(
    runs.flatMap((run) => {
      const dueAt = openings.find(({ id, classId }) => id === run.openingId && classId === run.classId)?.dueAt;
      return dueAt ? [[run.id, dueAt]] : [];
    }),
  );
}

/** How a student’s own report of a run stands: when it was handed in, and whether it has come back. */
function ownReport(run: RunRow, reports: readonly HandIn[], reader: string): Partial<RunSummary> {
  const own = reports.find(({ runId, author }) => runId === run.id && author === authorFor(run, reader));
  if (!own) return {};
  const isBack = own.returnedAt !== null && own.returnedAt <= new Date();
  return { handedInAt: own.handedInAt.toISOString(), isBack };
}

/** Runs as a list shows them. @param reader the student who looks at them; null for a teacher. */
export async function runSummaries(runs: readonly RunRow[], reader: string | null): Promise<RunSummary[]> {
  const reports =
    reader === null
      ? []
      : await HandIn.findAll({ where: { runId: runs.map(({ id }) => id), author: [reader, GROUP], endedAt: null } });
  const members = await RunMember.findAll({ where: { runId: runs.map((run) => run.id) } });
  const people = await Person.findAll({ where: { id: members.map((member) => member.personId) } });
  const labels = new Map(people.map((person) => [person.id, labelOf(person, 'short')]));
  const dues = await duesOf(runs);
  return runs.map((run) => ({
    ...summaryFrom(
      run,
      members.filter((member) => member.runId === run.id),
      labels,
      dues.get(run.id) ?? null,
    ),
    ...(reader === null ? {} : ownReport(run, reports, reader)),
  }));
}

type Seen = Pick<RunAccess, 'run' | 'member' | 'mayWrite' | 'as' | 'schoolClass' | 'caller'>;

/** A whole run, with its log, as somebody may see it; for a teacher with other groups’ runs that are the same. */
export async function runPage(access: Seen): Promise<RunPage> {
  const [page, alike] = await Promise.all([runAlone(access), access.as === 'teacher' ? alikeRuns(access.run) : []]);
  return { ...page, alike };
}

/** The same without looking at other groups. */
export async function runAlone({ run, member, mayWrite, as, schoolClass, caller }: Seen): Promise<RunPage> {
  const { classId, id: runId } = run;
  const [rows, members, rules, versions] = await Promise.all([
    logOf({ classId, runId }),
    RunMember.findAll({ where: { classId, runId } }),
    rulesOf(classId, run.rulesVersion),
    HouseRulesVersion.findAll({ attributes: ['classId', 'version', 'name'], where: { classId } }),
  ]);
  const dues = await duesOf([run]);
  const reports = await inForce(run);
  const people = [caller.personId, ...caller.partners];
  const present = people.filter((id) => members.some(({ personId }) => personId === id));
  const authors = run.arrangement.ownWork === 'group' ? [GROUP] : present;
  const now = new Date();
  const handIns = reports.map((report) => ({
    author: report.author,
    number: report.number,
    at: report.handedInAt.toISOString(),
    mayTakeBack: member && authors.includes(report.author) && !schoolClass.archivedAt && mayTakeBack(report, now),
  }));
  const visible =
    as === 'teacher'
      ? rows
      : visibleTo(
          present.length > 0 ? present : people,
          rows,
          reports.map(({ author }) => author),
        );
  const nameOf = (version: number): string => versions.find((row) => row.version === version)?.name ?? '';
  const memberIds = members.map((member) => member.personId);
  const named = await Person.findAll({
    where: { id: [...new Set([...memberIds, ...rows.map((row) => row.personId)])] },
  });
  const byId = new Map(
    named.map((person) => [person.id, { label: labelOf(person, 'short'), initials: labelOf(person, 'initials') }]),
  );
  return {
    ...summaryFrom(run, members, new Map([...byId].map(([id, { label }]) => [id, label])), dues.get(run.id) ?? null),
    protocol: run.protocol,
    arrangement: run.arrangement,
    rules,
    rulesName: nameOf(run.rulesVersion),
    newerRules:
      as === 'teacher' && reports.length === 0 && run.rulesVersion !== schoolClass.rulesVersion
        ? nameOf(schoolClass.rulesVersion)
        : null,
    rulesChanges: rows
      .filter(({ address }) => address.kind === 'rules')
      .map(({ personId, createdAt, text }) => ({
        by: byId.get(personId)?.label ?? '',
        at: createdAt.toISOString(),
        name: nameOf(Number(text)),
      })),
    people: Object.fromEntries(byId),
    group: members.filter(({ joinedAt }) => joinedAt !== null).map(({ personId }) => personId),
    events: eventsOf(visible),
    showsMethods: as === 'teacher' || run.methodsShared,
    sharesMethods: as === 'teacher' ? run.methodsShared : null,
    alike: [],
    mayWrite,
    handIns,
    returned: as === 'teacher' ? [] : await returnedTo(run, authors),
    mayGiveBack: as === 'teacher' && reports.length > 0,
    isPaired: member && (await isPaired(classId, runId)),
  };
}
