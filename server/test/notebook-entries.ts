import { randomUUID } from 'node:crypto';
import { BY_THE_BOOK, workOut, type Address, type Arrangement, type RunEvent, type WorkedRun } from '@green-beam/core';
import { expect } from 'vitest';
import type { SchoolClass } from '../src/models/classes.ts';
import {
  asStudent,
  asTeacher,
  makeSchool,
  makeStudent,
  startTestServer,
  type TestServer,
  type Visitor,
} from './harness.ts';

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

/** A class whose students Ada and Ben share a laboratory, with their teacher and a student of another group. */
export interface Notebook {
  readonly server: TestServer;
  readonly ada: Visitor;
  readonly ben: Visitor;
  readonly stranger: Visitor;
  readonly teacher: Visitor;
  readonly classId: string;
  readonly schoolClass: SchoolClass;
  /** Ids of Ada and of Ben. */
  readonly students: readonly string[];
  readonly runId: string;
}

/** Begins a laboratory as Ada with Ben, who joins at once. @returns its id. */
export async function beginTogether(
  { ada, ben, classId, students }: Pick<Notebook, 'ada' | 'ben' | 'classId' | 'students'>,
  protocolId = 'solid-by-displacement',
): Promise<string> {
  const { status, body } = await ada.post(`/classes/${classId}/runs`, {
    id: randomUUID(),
    protocolId,
    specimen: 'Bronze deck nail',
    memberIds: [students[1]],
  });
  expect(status).toBe(201);
  await ben.post(`/classes/${classId}/runs/${body.id as string}/members`, { personId: students[1] });
  return body.id;
}

/** @param arranged what is decided of the laboratory before it is begun; null for what it has by itself. */
export async function openNotebook(arranged: Arrangement | null = BY_THE_BOOK): Promise<Notebook> {
  const server = await startTestServer();
  const { schoolClass, students, teacher: person } = await makeSchool('harbour');
  const third = await makeStudent(schoolClass, 'Cleo', 'Fen');
  const signIn = (id: string): Promise<Visitor> => asStudent(server.base, schoolClass.code, id);
  const [ada, ben, stranger] = await Promise.all([signIn(students[0] ?? ''), signIn(students[1] ?? ''), signIn(third)]);
  const teacher = await asTeacher(server.base, person.email);
  const classId = schoolClass.id;
  if (arranged) await teacher.send('PUT', `/classes/${classId}/laboratories/solid-by-displacement`, arranged);
  const runId = await beginTogether({ ada, ben, classId, students });
  return { server, ada, ben, stranger, teacher, classId, schoolClass, students, runId };
}
