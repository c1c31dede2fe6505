import { CORE_VERSION, type RunEvent } from '@green-beam/core';
import type { CreationAttributes, Transaction } from 'sequelize';
import { databaseOf } from '../database.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { RunEventRow, RunResultRow, RunRow } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import { rulesOf } from '../rules.ts';
import { eventOf, eventsOf, logOf } from './log.ts';

/** So often results are worked out anew when somebody else of the group has written meanwhile. */
const TRIES = 20;

interface RunKey {
  readonly classId: string;
  readonly runId: string;
}

/** What is to be written into a run’s log. */
export interface Writing {
  readonly entries: readonly CreationAttributes<RunEventRow>[];
  /** By which rules the results are; the run’s own where it is not said. */
  readonly rulesVersion?: number;
  /** Looks at the run, locked, before anything is written. */
  readonly check?: (run: RunRow, transaction: Transaction) => Promise<void>;
}

function asEvents(entries: Writing['entries'], after: number): RunEvent[] {
  return eventsOf(entries.map((entry, i) => RunEventRow.build({ ...entry, serverOrder: String(after + i + 1) })));
}

/**
 * Writes entries into a run’s log together with the results that it then has. Results are worked out beforehand, in a thread of their
 * own, and hold if nobody has written meanwhile; else they are worked out anew. An entry that is there already is not written again.
 */
export async function storeEntries(key: RunKey, writing: Writing, drawing: Drawing): Promise<void> {
  for (let tried = 0; tried < TRIES; tried += 1) if (await isStored(key, writing, drawing)) return;
  throw new Refusal(503, 'Your group is writing very fast. Send this again.');
}

const gone = (): Refusal => new Refusal(404, 'This page is not there any more.');

async function isStored({ classId, runId }: RunKey, writing: Writing, drawing: Drawing): Promise<boolean> {
  const run = await RunRow.findOne({ where: { classId, id: runId } });
  if (!run) throw gone();
  const key = { classId, runId };
  const rows = await logOf(key);
  const known = new Set(rows.map(({ id }) => id));
  const entries = writing.entries.filter(({ id }) => !known.has(id));
  const last = Number(rows.at(-1)?.serverOrder ?? 0);
  const rulesVersion = writing.rulesVersion ?? run.rulesVersion;
  const { results, tools, choices, compared } = await drawing.results({
    protocol: run.protocol,
    events: [...eventsOf(rows), ...asEvents(entries, last)],
    rules: await rulesOf(classId, rulesVersion),
  });
  return databaseOf(RunEventRow).transaction(async (transaction) => {
    const locked = await RunRow.findOne({ where: { classId, id: runId }, transaction, lock: transaction.LOCK.UPDATE });
    if (!locked) throw gone();
    await writing.check?.(locked, transaction);
    if (locked.rulesVersion !== run.rulesVersion || !(await isLast(key, last, transaction))) return false;
    await RunEventRow.bulkCreate([...entries], { ignoreDuplicates: true, transaction });
    const stored = await RunEventRow.count({ where: { ...key, id: entries.map(({ id }) => id) }, transaction });
    if (stored < entries.length) throw new Refusal(409, 'One of these entries has an id that is already in use.', 'id');
    await RunResultRow.destroy({ where: key, transaction });
    await RunResultRow.bulkCreate(
      results.map((result, position) => ({ ...key, ...result, position, rulesVersion })),
      { transaction },
    );
    await locked.update({ resultsBy: CORE_VERSION, rulesVersion, tools, choices, compared }, { transaction });
    return true;
  });
}

async function isLast(key: RunKey, last: number, transaction: Transaction): Promise<boolean> {
  const latest = await RunEventRow.max<string | null, RunEventRow>('serverOrder', { where: { ...key }, transaction });
  return Number(latest ?? 0) === last;
}

/** Entries of a run that are stored, in the server’s order. */
export async function storedEntries(key: RunKey, ids: readonly string[]): Promise<RunEvent[]> {
  const rows = await RunEventRow.findAll({ where: { ...key, id: [...ids] }, order: [['serverOrder', 'ASC']] });
  return rows.flatMap((row) => eventOf(row) ?? []);
}
