import { randomUUID } from 'node:crypto';
import type pg from 'pg';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { firstReading, openClassroom, openClient, PIN, Visitor, type Answer, type Classroom } from './harness.ts';

let room: Classroom;
let taskIds: string[];
let admin: pg.Client;

beforeAll(async () => {
  room = await openClassroom();
  admin = await openClient(room.server);
});
afterAll(async () => {
  await admin.end();
  await room.server.stop();
});
beforeEach(async () => {
  const { body } = await room.student.post(`/classes/${room.classId}/rounds`, { subjectIds: ['cylinder-50'] });
  taskIds = body.tasks.map((task: { id: string }) => task.id) as string[];
});

const attempt = (id: string): Promise<Answer> =>
  room.student.post(`/classes/${room.classId}/attempts`, firstReading(taskIds[0], id));

describe('a database that refuses to store an attempt', () => {
  afterEach(() => admin.query('drop trigger refusing on attempts; drop function refusing()'));

  it.each([
    ['a full disk', '53100', /no room left.*stays in this browser/],
    ['no memory left', '53200', /no room left/],
    ['too many connections', '53300', /very busy/],
    ['two in each other’s way', '40P01', /very busy/],
    ['a statement that takes too long', '57014', /very busy/],
    ['a stop in the middle', '57P01', /cannot reach its database/],
    ['a broken disk', '58030', /cannot reach its database/],
  ])('for %s says so in plain words, and takes it afterwards', async (_, code, message) => {
    const id = randomUUID();
    await admin.query(`create function refusing() returns trigger language plpgsql as
      $$ begin raise exception 'for a test' using errcode = '${code}'; end $$`);
    await admin.query('create trigger refusing before insert on attempts for each row execute function refusing()');
    const refused = await attempt(id);
    expect([refused.status, refused.body.message]).toEqual([503, expect.stringMatching(message)]);
    await admin.query('alter table attempts disable trigger refusing');
    expect((await attempt(id)).status).toBe(200);
  });
});

describe('a database that takes nothing new', () => {
  const readOnly = async (on: boolean): Promise<void> => {
    const name = new URL(room.server.databaseUrl).pathname.slice(1);
    await admin.query(`alter database ${name} set default_transaction_read_only = ${on ? 'on' : 'off'}`);
    await admin.query('set default_transaction_read_only = off');
    await admin.query(
      // The database looks after itself by processes of its own, which nobody else may end.
      'select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and usename = current_user and pid <> pg_backend_pid()',
    );
  };
  afterEach(() => readOnly(false));

  it('still shows what is there, says why it stores nothing, also to who signs in, and takes it afterwards', async () => {
    const id = randomUUID();
    await readOnly(true);
    await expect.poll(async () => (await room.student.get(`/classes/${room.classId}/record`)).status).toBe(200);
    expect((await attempt(id)).body.message).toMatch(/stores nothing new just now/);
    const guest = await new Visitor(room.server.base).open();
    const entered = { code: room.schoolClass.code, studentId: room.studentId, pin: PIN };
    const refused = await guest.post('/session/student', entered);
    expect([refused.status, refused.body.message]).toEqual([503, expect.stringMatching(/stores nothing new/)]);
    await readOnly(false);
    await expect.poll(async () => (await attempt(id)).status).toBe(200);
    expect((await guest.post('/session/student', entered)).status).toBe(200);
  });
});
