import type { NewRunEvent } from '@green-beam/contract';
import { CORE_VERSION, type RunEvent } from '@green-beam/core';
import { Op, type Transaction } from 'sequelize';
import { databaseOf } from '../database.ts';
import { RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import { checkPlace } from './places.ts';
import { checkMayWrite, handedIn, type RunAccess } from './run-access.ts';
import { eventOf } from './show-run.ts';
import { withToolsOfCabinet } from './tools-of-cabinet.ts';

async function checkPeople(access: RunAccess, events: readonly NewRunEvent[]): Promise<void> {
  const here = new Set([access.caller.personId, ...access.caller.partners]);
  const stranger = events.find((event) => !here.has(event.person));
  if (stranger)
    throw new Refusal(403, 'The person who writes must sign in on this computer. Enter the PIN again.', 'person');
  const members = await RunMember.count({
    where: {
      classId: access.run.classId,
      runId: access.run.id,
      personId: [...new Set(events.map((event) => event.person))],
      joinedAt: { [Op.not]: null },
    },
  });
  if (members < new Set(events.map((event) => event.person)).size)
    throw new Refusal(403, 'The person who writes must belong to this group.', 'person');
}

async function storedOf(key: { classId: string; runId: string }, ids: readonly string[]): Promise<RunEvent[]> {
  const rows = await RunEventRow.findAll({ where: { ...key, id: [...ids] }, order: [['serverOrder', 'ASC']] });
  return rows.map(eventOf);
}

/** Entries and handing in wait for each other: none is stored after the page was handed in. */
async function checkStillOpen({ classId, id }: RunRow, transaction: Transaction): Promise<void> {
  const run = await RunRow.findOne({ where: { classId, id }, transaction, lock: transaction.LOCK.SHARE });
  if (!run || run.handedInAt) throw handedIn();
}

/**
 * Appends entries to a run's log. An entry sent twice is stored once. What it says it replaces must stand in the same slot.
 * @param clockAhead how far the clock of the device is ahead, in seconds.
 * @returns the entries as stored, in the server's order.
 */
export async function appendEvents(
  access: RunAccess,
  events: readonly NewRunEvent[],
  clockAhead: number | null,
): Promise<RunEvent[]> {
  const { run } = access;
  const ids = events.map((event) => event.id);
  const key = { classId: run.classId, runId: run.id };
  if (access.member && !access.mayWrite) {
    // What was stored before the page was handed in, and is sent again because the answer was lost, is there.
    const before = await storedOf(key, ids);
    if (before.length === ids.length) return before;
  }
  checkMayWrite(access);
  events.forEach((event) => checkPlace(run.protocol, event));
  await checkPeople(access, events);
  const replaced = events.flatMap((event) => (event.replaces ? [event.replaces] : []));
  const targets = new Map(
    (await RunEventRow.findAll({ where: { ...key, id: replaced } })).map((row) => [row.id, row.slot]),
  );
  for (const event of events) {
    const target =
      event.replaces === null
        ? event.slot
        : (targets.get(event.replaces) ?? events.find((other) => other.id === event.replaces)?.slot);
    if (target !== event.slot) throw new Refusal(400, 'The entry that you correct was not found here.', 'replaces');
  }
  const known = await withToolsOfCabinet(run.classId, events);
  await databaseOf(RunEventRow).transaction(async (transaction) => {
    await checkStillOpen(run, transaction);
    await RunEventRow.bulkCreate(
      known.map(({ id, slot, text, replaces, reason, person, deviceTime }) => ({
        ...key,
        id,
        schoolId: run.schoolId,
        personId: person,
        slot,
        text,
        replaces: replaces ?? null,
        reason: reason ?? null,
        deviceTime: new Date(deviceTime),
        clockAhead,
        coreVersion: CORE_VERSION,
      })),
      { ignoreDuplicates: true, transaction },
    );
  });
  const stored = await storedOf(key, ids);
  if (stored.length < ids.length)
    throw new Refusal(409, 'One of these entries has an id that is already in use.', 'id');
  return stored;
}
