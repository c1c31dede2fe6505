import { randomInt, randomUUID } from 'node:crypto';
import type { NewGroup, NewOpening } from '@green-beam/contract';
import { CORE_VERSION, type Arrangement, type GivenEntry, type Protocol } from '@green-beam/core';
import { addMilliseconds } from 'date-fns';
import type { Transaction } from 'sequelize';
import { checkNotArchived, type ClassAccess } from '../auth/access.ts';
import { databaseOf } from '../database.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { laboratoryAt, laboratoryToBegin } from '../lab-sheets/known.ts';
import { Student } from '../models/classes.ts';
import { Opening, RunMember, RunRow } from '../models/notebook.ts';
import { arrangementFor } from '../notebook/laboratories.ts';
import { storeEntries } from '../notebook/store-entries.ts';
import { checkRoom } from '../quotas.ts';
import { Refusal } from '../refusal.ts';
import { copiedReadings, drawnReadings } from './given-readings.ts';

/** Seeds lie below this. */
const SEEDS = 2 ** 48 - 1;

/** @throws Refusal where somebody is in two groups, or is no student of the class. */
async function checkMembers(classId: string, groups: readonly NewGroup[]): Promise<void> {
  const everybody = groups.flatMap(({ memberIds }) => memberIds);
  const different = [...new Set(everybody)];
  if (different.length < everybody.length) throw new Refusal(400, 'Somebody is in two groups.', 'groups');
  if ((await Student.count({ where: { classId, personId: different, archivedAt: null } })) < different.length)
    throw new Refusal(400, 'Somebody in a group is not in this class.', 'groups');
}

/** The readings that groups are given, by the id of their run. */
async function givenTo(
  { schoolClass }: ClassAccess,
  lab: Protocol,
  groups: readonly NewGroup[],
  drawing: Drawing,
): Promise<Map<string, readonly GivenEntry[]>> {
  const found = new Map<string, readonly GivenEntry[]>();
  const bySample = new Map<number, NewGroup[]>();
  for (const group of groups) {
    if (group.given === 'copied') {
      if (!group.from) throw new Refusal(400, 'Say from which page the readings are.', 'groups');
      found.set(group.runId, await copiedReadings(schoolClass.id, lab, group.from));
    }
    if (group.given === 'drawn') bySample.set(group.sample, [...(bySample.get(group.sample) ?? []), group]);
  }
  for (const [sample, drawn] of bySample) {
    const runs = await drawnReadings(
      schoolClass,
      lab,
      { sample, count: drawn.length, seed: randomInt(SEEDS) },
      drawing,
    );
    for (const [i, { runId }] of drawn.entries()) found.set(runId, runs[i] ?? []);
  }
  return found;
}

interface RunsWanted {
  readonly groups: readonly NewGroup[];
  readonly given: ReadonlyMap<string, readonly GivenEntry[]>;
  readonly lab: Protocol;
  readonly arrangement: Arrangement;
}

/**
 * Looks at groups before their runs are begun, and finds what they go by and what they are given.
 * @throws Refusal naming the groups.
 */
async function runsWanted(
  access: ClassAccess,
  lab: Protocol,
  groups: readonly NewGroup[],
  drawing: Drawing,
): Promise<RunsWanted> {
  const classId = access.schoolClass.id;
  checkNotArchived(access.schoolClass);
  await checkMembers(classId, groups);
  await checkRoom('laboratories', RunRow, { classId }, groups.length);
  const [given, arrangement] = await Promise.all([givenTo(access, lab, groups, drawing), arrangementFor(classId, lab)]);
  return { groups, given, lab, arrangement };
}

/** Begins the runs of groups. One that is there already, since the same was sent before, stays as it is. */
async function beginRuns(
  access: ClassAccess,
  opening: Opening,
  { groups, given, lab, arrangement }: RunsWanted,
  transaction: Transaction,
): Promise<void> {
  const { classId, schoolId, id: openingId, specimen } = opening;
  // Where everything is given and the page works out the rest, nothing would be left to do.
  const calculating = { ...arrangement, byStudent: leftToStudents(arrangement.byStudent, lab) };
  const before = await RunRow.findAll({ where: { classId, id: groups.map(({ runId }) => runId) }, transaction });
  if (before.some((run) => run.openingId !== openingId)) throw new Refusal(409, 'This id is in use already.', 'groups');
  const fresh = groups.filter(({ runId }) => !before.some(({ id }) => id === runId));
  const now = new Date();
  await RunRow.bulkCreate(
    fresh.map(({ runId, given: from }, i) => ({
      classId,
      id: runId,
      schoolId,
      protocolId: lab.id,
      protocol: lab,
      arrangement: given.has(runId) ? calculating : arrangement,
      specimen,
      rulesVersion: access.schoolClass.rulesVersion,
      startedBy: access.caller.personId,
      // In the order in which they were formed.
      startedAt: addMilliseconds(now, i),
      openingId,
      given: from ?? null,
    })),
    { transaction },
  );
  await RunMember.bulkCreate(
    fresh.flatMap(({ runId, memberIds }) => memberIds.map((personId) => ({ classId, runId, personId, joinedAt: now }))),
    { transaction },
  );
}

function leftToStudents(byStudent: readonly string[], { quantities }: Protocol): readonly string[] {
  if (byStudent.length > 0) return byStudent;
  return [...new Set(quantities.filter(({ kind }) => kind === 'computed').map(({ id }) => id))];
}

/** Writes the readings that were given into the runs they were given to, once. */
async function writeGiven(
  { caller, schoolClass }: ClassAccess,
  given: ReadonlyMap<string, readonly GivenEntry[]>,
  drawing: Drawing,
): Promise<void> {
  for (const [runId, entries] of given) {
    const key = { classId: schoolClass.id, runId };
    const run = await RunRow.findOne({ where: { classId: schoolClass.id, id: runId } });
    if (!run || run.resultsBy !== null) continue;
    const rows = entries.map(({ address, text, reason }) => ({
      ...key,
      id: randomUUID(),
      schoolId: run.schoolId,
      personId: caller.personId,
      address,
      text,
      replaces: null,
      reason: reason ?? null,
      deviceTime: new Date(),
      coreVersion: CORE_VERSION,
    }));
    await storeEntries(key, { entries: rows }, drawing);
  }
}

/** Opens a laboratory for a class: each of its groups finds its page. The same one sent twice is opened once. */
export async function openLaboratory(access: ClassAccess, wanted: NewOpening, drawing: Drawing): Promise<Opening> {
  const { schoolClass, caller } = access;
  const { id, protocolId, specimen, dueAt, groups } = wanted;
  const key = { classId: schoolClass.id, id };
  const before = await Opening.findOne({ where: key });
  if (before && before.protocolId !== protocolId) throw new Refusal(409, 'This id is in use already.', 'id');
  const lab = before
    ? await laboratoryAt(before.schoolId, protocolId, before.protocolVersion)
    : await laboratoryToBegin(schoolClass, protocolId);
  const wantedRuns = await runsWanted(access, lab, groups, drawing);
  const opening = await databaseOf(Opening).transaction(async (transaction) => {
    const [row] = await Opening.findOrCreate({
      where: key,
      defaults: {
        ...key,
        schoolId: schoolClass.schoolId,
        protocolId,
        protocolVersion: lab.version,
        specimen,
        openedBy: caller.personId,
        dueAt: dueAt ? new Date(dueAt) : null,
      },
      transaction,
    });
    await beginRuns(access, row, wantedRuns, transaction);
    return row;
  });
  await writeGiven(access, wantedRuns.given, drawing);
  return opening;
}

/** Lets more groups do a laboratory that is open: those who were away, or who came later. */
export async function addGroups(
  access: ClassAccess,
  opening: Opening,
  groups: readonly NewGroup[],
  drawing: Drawing,
): Promise<void> {
  const lab = await laboratoryAt(opening.schoolId, opening.protocolId, opening.protocolVersion);
  const wanted = await runsWanted(access, lab, groups, drawing);
  await databaseOf(Opening).transaction((transaction) => beginRuns(access, opening, wanted, transaction));
  await writeGiven(access, wanted.given, drawing);
  // Whoever looks at the board is told.
  await opening.update({ excused: opening.excused.filter((id) => !groups.some((one) => one.memberIds.includes(id))) });
}
