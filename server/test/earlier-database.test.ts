import { readFileSync } from 'node:fs';
import { resolve } from 'node:path';
import { gunzipSync } from 'node:zlib';
import { instrumentIds } from '@green-beam/core';
import pg from 'pg';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { Task } from '../src/models/bench.ts';
import { asStudent, startTestServer, type TestServer, type Visitor } from './harness.ts';

/**
 * What the version of November 2026 stored of one student’s work on every tool, before situations were told apart by family: the rows as
 * pg_dump wrote them, what that version showed of the attempts, and how it judged entries on the tasks that were still open.
 */
const FOLDER = resolve(import.meta.dirname, 'earlier-database');

function stored(name: string): string {
  return gunzipSync(readFileSync(resolve(FOLDER, name))).toString();
}

/** An attempt as it was shown, as far as it is no question of wording. */
interface AttemptThen {
  readonly id: string;
  readonly subjectId: string;
  readonly entry: string;
  readonly verdict: string;
  readonly slips: readonly string[];
  readonly remarks: readonly string[];
  readonly expected: { readonly text: string; readonly unit: string } | null;
  readonly picture: unknown;
}

/** An entry on a task that was open, and what came of it. */
interface Entered {
  readonly attemptId: string;
  readonly taskId: string;
  readonly entry: string;
  readonly verdict: string;
  readonly closed: boolean;
  readonly slips: readonly string[];
  readonly answer: { readonly text: string; readonly unit: string } | null;
}

interface Shown {
  readonly studentId: string;
  readonly classId: string;
  readonly code: string;
  readonly attempts: readonly AttemptThen[];
  readonly answers: readonly Entered[];
}

const shown = JSON.parse(stored('shown.json.gz')) as Shown;
const { classId } = shown;
let server: TestServer;
let student: Visitor;

beforeAll(async () => {
  server = await startTestServer();
  const client = new pg.Client({ connectionString: server.databaseUrl });
  await client.connect();
  await client.query(stored('rows.sql.gz'));
  await client.end();
  student = await asStudent(server.base, shown.code, shown.studentId);
});
afterAll(() => server.stop());

const idsOf = (all: readonly { readonly id: string }[]): string[] => all.map(({ id }) => id);

interface AttemptNow extends Omit<AttemptThen, 'slips' | 'remarks'> {
  readonly slips: readonly { readonly id: string }[];
  readonly remarks: readonly { readonly id: string }[];
}

async function attemptsShown(): Promise<AttemptThen[]> {
  const attempts: AttemptNow[] = [];
  let next: string | null = '';
  while (next !== null) {
    const { body } = await student.get(`/classes/${classId}/record${next === '' ? '' : `?before=${next}`}`);
    attempts.push(...body.page.attempts);
    next = body.page.next;
  }
  return attempts.map((attempt) => ({ ...attempt, slips: idsOf(attempt.slips), remarks: idsOf(attempt.remarks) }));
}

it('an attempt that was stored earlier is shown as it was then, on every tool', async () => {
  const then = new Set(shown.attempts.map(({ subjectId }) => subjectId));
  expect(then.size).toBe(44);
  for (const id of then) expect(instrumentIds()).toContain(id);
  const now = await attemptsShown();
  expect(now).toHaveLength(shown.attempts.length);
  for (const [i, attempt] of shown.attempts.entries()) expect(now[i]).toMatchObject(attempt);
});

/** What an estimate that is off was called then, where the marks counted instead of the spaces happened to give the same. */
const NAMED_OTHERWISE: Readonly<Record<string, string>> = { 'marks-counted': 'estimate-off' };

it('a round that was begun earlier is gone on with, and judged as it was then', async () => {
  expect(await Task.count({ where: { classId, closedAt: null } })).toBe(44);
  for (const { attemptId, taskId, entry, verdict, closed, slips, answer } of shown.answers) {
    const { status, body } = await student.post(`/classes/${classId}/attempts`, {
      id: attemptId,
      taskId,
      kind: 'reading',
      entry,
      eyeHeight: 0,
      actions: [{ kind: 'eye', at: 900, to: 0 }],
      hints: 0,
      timeTaken: 60_000,
    });
    expect(status).toBe(200);
    expect({ verdict: body.verdict, closed: body.closed }).toEqual({ verdict, closed });
    const named = idsOf(body.slips);
    expect([slips, slips.map((id) => NAMED_OTHERWISE[id] ?? id)]).toContainEqual(named);
    expect(body.answer && { text: body.answer.text, unit: body.answer.unit }).toEqual(answer);
  }
});
