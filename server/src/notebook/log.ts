import type { RunEvent } from '@green-beam/core';
import { RunEventRow } from '../models/notebook.ts';

/** Clocks that differ by less, in seconds, need no mention: the way to the server takes time too. */
const CLOCKS_AGREE = 120;

/** An entry of a run’s log as it is shown; null for a change of the rules, which is told beside it. */
export function eventOf(row: RunEventRow): RunEvent | null {
  const { id, address, text, replaces, reason, personId, deviceTime, clockAhead, serverOrder } = row;
  if (address.kind === 'rules') return null;
  return {
    id,
    address,
    text,
    replaces,
    reason,
    person: personId,
    deviceTime: deviceTime.toISOString(),
    clockAhead: clockAhead !== null && Math.abs(clockAhead) > CLOCKS_AGREE ? clockAhead : null,
    order: Number(serverOrder),
  };
}

export function eventsOf(rows: readonly RunEventRow[]): RunEvent[] {
  return rows.flatMap((row) => eventOf(row) ?? []);
}

/** All entries of a run, in the server’s order. */
export function logOf(key: { classId: string; runId: string }): Promise<RunEventRow[]> {
  return RunEventRow.findAll({ where: key, order: [['serverOrder', 'ASC']] });
}
