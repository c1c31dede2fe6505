import type { NewRunEvent } from '@green-beam/contract';
import { CORE_VERSION, type RunEvent } from '@green-beam/core';
import { RunEventRow, RunMember } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import { checkPlace } from './places.ts';
import { checkMayWrite, type RunAccess } from './run-access.ts';
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
    },
  });
  if (members < new Set(events.map((event) => event.person)).size)
    throw new Refusal(403, 'The person who writes must belong to this group.', 'person');
}

/**
 * Appends entries to a run's log. An entry sent twice is stored once. What it says it replaces must stand in the same slot.
 * @returns the entries as stored, in the server's order.
 */
export async function appendEvents(access: RunAccess, events: readonly NewRunEvent[]): Promise<RunEvent[]> {
  const { run } = access;
  checkMayWrite(access);
  events.forEach((event) => checkPlace(run.protocol, event));
  await checkPeople(access, events);
  const ids = events.map((event) => event.id);
  const key = { classId: run.classId, runId: run.id };
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
      coreVersion: CORE_VERSION,
    })),
    { ignoreDuplicates: true },
  );
  const stored = await RunEventRow.findAll({ where: { ...key, id: ids }, order: [['serverOrder', 'ASC']] });
  if (stored.length < ids.length)
    throw new Refusal(409, 'One of these entries has an id that is already in use.', 'id');
  return stored.map(eventOf);
}
