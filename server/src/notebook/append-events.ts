import type { NewRunEvent } from '@green-beam/contract';
import { addressKey, CORE_VERSION, type RunEvent } from '@green-beam/core';
import { Op, type Transaction } from 'sequelize';
import type { Drawing } from '../drawing/drawing.ts';
import { RunMember } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import { checkNotHandedIn } from '../hand-ins/in-force.ts';
import { rulesOf } from '../rules.ts';
import { eventsOf, logOf } from './log.ts';
import { checkAuthors, checkGiven } from './own-work.ts';
import { checkPlaces } from './places.ts';
import { checkMayWrite, type RunAccess } from './run-access.ts';
import { storedEntries, storeEntries } from './store-entries.ts';
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

/** What an entry says it replaces stands at the same place. */
function checkReplaced(log: readonly RunEvent[], events: readonly NewRunEvent[]): void {
  const places = new Map([...log, ...events].map(({ id, address }) => [id, addressKey(address)]));
  for (const { replaces, address } of events)
    if (replaces && places.get(replaces) !== addressKey(address))
      throw new Refusal(400, 'The entry that you correct was not found here.', 'replaces');
}

/**
 * Appends entries to a run's log. An entry sent twice is stored once. What it says it replaces must stand at the same place.
 * @param clockAhead how far the clock of the device is ahead, in seconds.
 * @returns the entries as stored, in the server's order.
 */
export async function appendEvents(
  access: RunAccess,
  events: readonly NewRunEvent[],
  clockAhead: number | null,
  drawing: Drawing,
): Promise<RunEvent[]> {
  const { run } = access;
  const { classId, protocol } = run;
  const ids = events.map((event) => event.id);
  const key = { classId, runId: run.id };
  if (access.member && !access.mayWrite) {
    // What was stored before the page was handed in, and is sent again because the answer was lost, is there.
    const before = await storedEntries(key, ids);
    if (before.length === ids.length) return before;
  }
  checkMayWrite(access);
  const log = eventsOf(await logOf(key));
  const sent = new Set(log.map(({ id }) => id));
  const unseen = events.filter(({ id }) => !sent.has(id));
  checkGiven(run, unseen);
  checkPlaces(protocol, log, unseen, await rulesOf(classId, run.rulesVersion));
  await checkPeople(access, events);
  checkAuthors(run.arrangement, unseen);
  checkReplaced(log, events);
  const entries = (await withToolsOfCabinet(classId, unseen)).map(
    ({ id, address, text, replaces, reason, person, deviceTime }) => ({
      ...key,
      id,
      schoolId: run.schoolId,
      personId: person,
      address,
      text,
      replaces: replaces ?? null,
      reason: reason ?? null,
      deviceTime: new Date(deviceTime),
      clockAhead,
      coreVersion: CORE_VERSION,
    }),
  );
  const people = [...new Set(events.map(({ person }) => person))];
  const check = (locked: typeof run, transaction: Transaction): Promise<void> =>
    checkNotHandedIn(locked, people, transaction);
  if (entries.length > 0) await storeEntries(key, { entries, check }, drawing);
  return storedEntries(key, ids);
}
