import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
  asStudent,
  asTeacher,
  firstReading,
  makeSchool,
  openClassroom,
  streamOf,
  type TestServer,
  type Visitor,
} from './harness.ts';

let server: TestServer;
let student: Visitor;
let teacher: Visitor;
let classId = '';

beforeAll(async () => {
  ({ server, student, classId, teacherSignedIn: teacher } = await openClassroom());
});
afterAll(() => server.stop());

const events = (): string => `/classes/${classId}/events`;

async function attempt(): Promise<string> {
  const { body } = await student.post(`/classes/${classId}/rounds`, { subjectIds: ['cylinder-50'] });
  const id = randomUUID();
  await student.post(`/classes/${classId}/attempts`, firstReading(body.tasks[0].id, id));
  return id;
}

/** Cuts every connection that listens, as a restart of the database or a broken network would. */
async function cutListeners(): Promise<number> {
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  const { rowCount } = await client.query(
    `select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and usename = current_user and query ilike 'listen %'`,
  );
  await client.end();
  return rowCount ?? 0;
}

describe('the stream of a class', () => {
  it('carries ids and nothing else', async () => {
    const stream = await streamOf(teacher, events());
    const id = await attempt();
    const heard = await stream.until(new RegExp(id));
    stream.close();
    expect(heard.split('\n').filter((line) => line.startsWith('data:'))).toEqual([`data: {"id":"${id}"}`]);
  });

  it('tells students of laboratories and not of one another’s readings', async () => {
    const stream = await streamOf(student, events());
    await attempt();
    const { body } = await student.post(`/classes/${classId}/runs`, {
      id: randomUUID(),
      protocolId: 'solid-by-displacement',
      specimen: 'Tin ingot',
    });
    const heard = await stream.until(/event: run/);
    stream.close();
    expect(heard).toContain(body.id);
    expect(heard).not.toContain('event: attempt');
  });

  it('tells students of a round that is set, and of one that is taken back', async () => {
    const stream = await streamOf(student, events());
    const { body } = await teacher.post(`/classes/${classId}/set-rounds`, {
      title: 'Two cylinders',
      subjectIds: ['cylinder-50'],
      length: 2,
    });
    const told = `event: set-round\ndata: {"id":"${body[0].id}"}`;
    expect(await stream.until(/event: set-round/)).toContain(told);
    await teacher.post(`/classes/${classId}/set-rounds/${body[0].id}/withdraw`);
    expect((await stream.until(/event: set-round[^]*event: set-round/)).split(told)).toHaveLength(3);
    stream.close();
  });

  it('has every page fetch again after its connection broke, and goes on', async () => {
    const stream = await streamOf(teacher, events());
    expect(await cutListeners()).toBe(1);
    await stream.until(/event: refetch/);
    const id = await attempt();
    expect(await stream.until(new RegExp(id))).toContain('event: attempt');
    stream.close();
  });

  it('does not mix classes', async () => {
    const other = await makeSchool('inland');
    const elsewhere = await asTeacher(server.base, other.teacher.email);
    const stream = await streamOf(elsewhere, `/classes/${other.schoolClass.id}/events`);
    const here = await attempt();
    const guest = await asStudent(server.base, other.schoolClass.code, other.students[0]!);
    const { body } = await guest.post(`/classes/${other.schoolClass.id}/runs`, {
      id: randomUUID(),
      protocolId: 'solid-by-displacement',
      specimen: 'Slate',
    });
    const heard = await stream.until(new RegExp(body.id));
    stream.close();
    expect(heard).not.toContain(here);
  });
});
