import { spawnSync } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import type pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { openClassroom, openClient, type Answer, type Classroom } from './harness.ts';

const SCRIPTS = resolve(import.meta.dirname, '..', '..', 'scripts');
const folder = mkdtempSync(join(tmpdir(), 'green-beam-backup-'));
let room: Classroom;
let client: pg.Client;

beforeAll(async () => {
  room = await openClassroom();
  client = await openClient(room.server);
});
afterAll(async () => {
  await client.end();
  await room.server.stop();
  rmSync(folder, { recursive: true });
});

function run(script: 'backup' | 'restore', file: string): { readonly status: number | null; readonly said: string } {
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(SCRIPTS, `${script}.mjs`), file], {
    env: { ...process.env, DATABASE_URL: room.server.databaseUrl },
    encoding: 'utf8',
  });
  return { status, said: stdout + stderr };
}

/** Every table with a sum over all its rows, whatever their order. */
async function everything(): Promise<Record<string, string>> {
  const { rows } = await client.query<{ name: string }>(
    `select tablename as name from pg_tables where schemaname = 'public' order by 1`,
  );
  const sums: Record<string, string> = {};
  for (const { name } of rows) {
    const sum = await client.query<{ sum: string }>(
      `select count(*) || ' ' || coalesce(sum(hashtextextended(t::text, 0)), 0) as sum from ${name} t`,
    );
    sums[name] = sum.rows[0]?.sum ?? '';
  }
  return sums;
}

const begin = (): Promise<Answer> =>
  room.student.post(`/classes/${room.classId}/rounds`, { subjectIds: ['cylinder-50'] });

it('a backup holds all that was stored, is made while the server runs, and is restored whole', async () => {
  await begin();
  await room.student.post(`/classes/${room.classId}/runs`, {
    id: randomUUID(),
    protocolId: 'solid-by-displacement',
    specimen: 'Cork bung',
  });
  const before = await everything();
  expect(Object.keys(before).length).toBeGreaterThan(15);
  const file = join(folder, 'school.backup');
  expect(run('backup', file)).toMatchObject({ status: 0 });
  expect(readdirSync(folder)).toEqual(['school.backup']);

  await begin();
  await room.teacherSignedIn.send('DELETE', `/classes/${room.classId}/students/${room.studentId}`);
  expect(await everything()).not.toEqual(before);

  const restored = run('restore', file);
  expect(restored).toMatchObject({ status: 0 });
  expect(await everything()).toEqual(before);
  // The server that ran all the while goes on, and whoever was signed in then is again.
  await expect.poll(async () => (await begin()).status).toBe(201);
  const kept = /is in (\S+\.backup)\./.exec(restored.said)?.[1] ?? '';
  expect(run('restore', kept)).toMatchObject({ status: 0 });
  expect((await room.student.get('/session')).body.signedIn).toBeNull();
});

it('what is no backup changes nothing, and a place that cannot be written leaves nothing behind', async () => {
  const before = await everything();
  const file = join(folder, 'no.backup');
  writeFileSync(file, 'not a backup');
  expect(run('restore', file)).toMatchObject({ status: 1, said: expect.stringContaining('pg_restore failed') });
  expect(run('restore', join(folder, 'nowhere.backup'))).toMatchObject({
    status: 1,
    said: expect.stringContaining('There is no file'),
  });
  expect(await everything()).toEqual(before);
  expect(run('backup', join(folder, 'no.backup', 'inside.backup')).status).toBe(1);
  expect(run('backup', '').said).toContain('Name one file');
});
