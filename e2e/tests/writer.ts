import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { request, type APIRequestContext } from '@playwright/test';
import pg from 'pg';
import { expect } from './world.ts';

/** Of Heron 9, in the sample school. */
const CLASS_ID = '5a17a4b0-0000-4000-8000-000000000010';
const STUDENTS = ['Amara Q.', 'Freya O.', 'Hana B.', 'Jovana A.', 'Leila N.', 'Pilar W.'];

/** Somebody who writes as fast as answers come, each entry again and again until it is taken. */
export class Writer {
  readonly acknowledged = new Set<string>();
  /** How often the server said “not now”. */
  putOff = 0;
  readonly runId = randomUUID();
  private token = '';

  private constructor(
    private readonly context: APIRequestContext,
    private readonly studentId: string,
  ) {}

  static async signedIn(base: string, label: string): Promise<Writer> {
    const context = await request.newContext({ baseURL: base });
    const { csrfToken } = await (await context.get('/api/session')).json();
    const headers = { 'x-csrf-token': csrfToken };
    const door = await context.post('/api/session/class', { headers, data: { code: 'HRN-947' } });
    const { students } = (await door.json()) as { students: { id: string; label: string }[] };
    const studentId = students.find((student) => student.label === label)?.id ?? '';
    const writer = new Writer(context, studentId);
    const entered = await context.post('/api/session/student', {
      headers,
      data: { code: 'HRN-947', studentId, pin: '2468' },
    });
    writer.token = (await entered.json()).csrfToken;
    return writer;
  }

  /**
   * As the browser's outbox does: sent until it is answered with anything but “not now”.
   * @param done what the answer is as well where it had been done already, and only the answer was lost.
   */
  private async send<Answer>(path: string, data: object, done: readonly number[] = []): Promise<Answer> {
    for (;;) {
      try {
        const answer = await this.context.post(`/api/classes/${CLASS_ID}${path}`, {
          data,
          headers: { 'x-csrf-token': this.token },
          timeout: 8000,
        });
        if (done.includes(answer.status())) return (await answer.json()) as Answer;
        if (answer.status() < 500) {
          expect(answer.status(), await answer.text()).toBeLessThan(300);
          return (await answer.json()) as Answer;
        }
        expect(answer.status(), await answer.text()).toBe(503);
        this.putOff += 1;
      } catch (error) {
        if (!/ECONN|hang up|closed|Timeout|EPIPE/i.test(String(error))) throw error;
      }
      await pause(100);
    }
  }

  async writeWhile(goesOn: () => boolean): Promise<void> {
    const run = `/runs/${this.runId}`;
    const own = { personId: this.studentId };
    await this.send('/runs', { id: this.runId, protocolId: 'solid-by-displacement', specimen: 'Basalt pebble' });
    for (let n = 0; goesOn(); n += 1) {
      const events = ['mass', 'before', 'after'].map((quantity) => ({
        id: randomUUID(),
        address: { kind: 'cell', quantity, members: { trial: String((n % 5) + 1) } },
        text: `${n}.50`,
        person: this.studentId,
        deviceTime: new Date().toISOString(),
      }));
      await this.send(`${run}/events`, { events });
      for (const { id } of events) this.acknowledged.add(id);
      const { tasks } = await this.send<{ tasks: { id: string }[] }>('/rounds', { subjectIds: ['ruler-millimetre'] });
      for (const task of tasks.slice(0, 3)) {
        const id = randomUUID();
        const entered = { id, taskId: task.id, kind: 'reading', entry: '12.3 mm', eyeHeight: 0, timeTaken: 900 };
        await this.send('/attempts', entered);
        this.acknowledged.add(id);
      }
      if (n % 4 !== 3) continue;
      await this.send(`${run}/hand-in`, own, [409]);
      await this.send(`${run}/take-back`, own, [409]);
    }
    await this.send(`${run}/hand-in`, own);
    await this.context.dispose();
  }
}

/** Six students of the sample class. */
export function someWriters(base: string): Promise<Writer[]> {
  return Promise.all(STUDENTS.map((label) => Writer.signedIn(base, label)));
}

/** Waits until each of them has had answers to more than one page of entries. */
export async function allHaveWritten(writers: readonly Writer[]): Promise<void> {
  const least = (): number => Math.min(...writers.map(({ acknowledged }) => acknowledged.size));
  await expect.poll(least, { timeout: 60_000 }).toBeGreaterThan(6);
}

/** Looks for everything acknowledged in the database: each entry is there once, and on no page is anything that was not. */
export async function expectAllStored(url: string, writers: readonly Writer[]): Promise<void> {
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  for (const { acknowledged, runId } of writers) {
    const ids = [...acknowledged];
    const { rows } = await client.query<{ id: string }>(
      `select id from attempts where id = any($1) union all select id from run_events where id = any($1)`,
      [ids],
    );
    expect(rows.map(({ id }) => id).sort()).toEqual(ids.sort());
    const runs = await client.query('select 1 from runs where id = $1', [runId]);
    expect(runs.rowCount).toBe(1);
    const entries = await client.query<{ id: string }>('select id from run_events where run_id = $1', [runId]);
    for (const { id } of entries.rows) expect(acknowledged).toContain(id);
    // It is handed in once, with everything that was written.
    const reports = await client.query<{ all: boolean }>(
      `select up_to = (select max(server_order) from run_events where run_id = $1) as all
       from hand_ins where run_id = $1 and ended_at is null`,
      [runId],
    );
    expect(reports.rows).toEqual([{ all: true }]);
  }
  await client.end();
}
