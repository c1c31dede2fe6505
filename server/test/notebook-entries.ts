import { randomUUID } from 'node:crypto';
import { workOut, type Address, type RunEvent, type WorkedRun } from '@green-beam/core';

/** A quantity of a trial: `mass.1`; a tool, an exclusion or an answer by its kind: `tool.mass`. */
export function placeOf(place: string): Address {
  const [name = '', part = ''] = place.split('.');
  if (name === 'tool') return { kind: 'tool', quantity: part, members: {} };
  if (name === 'excluded') return { kind: 'excluded', dimension: 'trial', member: part, within: {} };
  if (name === 'answer') return { kind: 'answer', question: part };
  if (name === 'accepted') return { kind: 'accepted' };
  return { kind: 'cell', quantity: name, members: part === '' ? {} : { trial: part } };
}

/** A run’s page, worked out. */
export const worked = (body: { protocol: never; events: RunEvent[]; rules?: never }): WorkedRun =>
  workOut(body.protocol, { events: body.events }, body.rules);

/** An entry of somebody’s, as a browser sends it. */
export function entryOf(
  person: string | undefined,
  place: string | Address,
  text: string,
  more: object = {},
): Record<string, unknown> {
  return {
    id: randomUUID(),
    address: typeof place === 'string' ? placeOf(place) : place,
    text,
    replaces: null,
    reason: null,
    person,
    deviceTime: '2026-03-01T10:00:00.000Z',
    ...more,
  };
}
