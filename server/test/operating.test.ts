import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import type pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { firstReading, openClassroom, openClient, streamOf, type Answer, type Classroom } from './harness.ts';

const DOCS = resolve(import.meta.dirname, '..', '..', 'docs', 'operating.md');
let room: Classroom;
let client: pg.Client;

beforeAll(async () => {
  room = await openClassroom();
  client = await openClient(room.server);
});
afterAll(async () => {
  await client.end();
  await room.server.stop();
});

const url = (path: string): string => `/classes/${room.classId}${path}`;

async function attempt(): Promise<Answer> {
  const { body } = await room.student.post(url('/rounds'), { subjectIds: ['cylinder-50'] });
  return room.student.post(url('/attempts'), firstReading(body.tasks[0].id));
}

it('the lines that part the attempts by class leave everything as it was, and the server goes on', async () => {
  const [, lines = ''] = /```sql\n([\s\S]*?)```/.exec(readFileSync(DOCS, 'utf8')) ?? [];
  expect(lines).toContain('partition by hash (class_id)');
  for (let i = 0; i < 3; i += 1) expect((await attempt()).status).toBe(200);
  const everything = async (): Promise<unknown> =>
    (await client.query('select * from attempts order by server_order')).rows;
  const before = await everything();
  await client.query(lines);
  expect(await everything()).toEqual(before);
  const { rows } = await client.query<{ relkind: string }>(`select relkind from pg_class where relname = 'attempts'`);
  expect(rows).toEqual([{ relkind: 'p' }]);

  const stream = await streamOf(room.teacherSignedIn, url('/events'));
  expect((await attempt()).status).toBe(200);
  expect(await stream.until(/event: attempt/)).toContain('id');
  stream.close();
  const { body: record } = await room.student.get(url('/record'));
  expect(record.page.attempts).toHaveLength(4);
  await expect(client.query(`update attempts set entry = 'changed'`)).rejects.toThrow();
  expect((await room.teacherSignedIn.get(url('/board'))).status).toBe(200);
});
