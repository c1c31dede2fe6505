import { randomUUID } from 'node:crypto';
import autocannon from 'autocannon';
import pg from 'pg';

const BASE = process.env['BASE_URL'] ?? '';
const CONNECTIONS = 8;
const SECONDS = 8;

interface Session {
  readonly cookie: string;
  readonly token: string;
  readonly classId: string;
}

function cookieOf(response: Response, before: string): string {
  return (
    response.headers
      .getSetCookie()
      .map((line) => line.split(';')[0])
      .join('; ') || before
  );
}

async function signIn(): Promise<Session> {
  const first = await fetch(`${BASE}/api/session`);
  const { csrfToken } = (await first.json()) as { csrfToken: string };
  const cookie = cookieOf(first, '');
  const second = await fetch(`${BASE}/api/session/demo`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'application/json', 'x-csrf-token': csrfToken },
    body: '{"role":"student"}',
  });
  const state = (await second.json()) as { csrfToken: string; signedIn: { class: { id: string } } };
  return { cookie: cookieOf(second, cookie), token: state.csrfToken, classId: state.signedIn.class.id };
}

async function tasksFor({ cookie, token, classId }: Session, rounds: number): Promise<string[]> {
  const headers = { cookie, 'content-type': 'application/json', 'x-csrf-token': token };
  const all: string[] = [];
  for (let i = 0; i < rounds; i += 1) {
    const round = (await (
      await fetch(`${BASE}/api/classes/${classId}/rounds`, {
        method: 'POST',
        headers,
        body: '{"subjectIds":["cylinder-50"]}',
      })
    ).json()) as { tasks: { id: string }[] };
    all.push(...round.tasks.map((task) => task.id));
  }
  return all;
}

function body(taskId: string): string {
  return JSON.stringify({
    id: randomUUID(),
    taskId,
    kind: 'reading',
    entry: '12.3 mL',
    eyeHeight: 0,
    actions: [],
    hints: 0,
    timeTaken: 5000,
  });
}

/** Answered attempts through HTTP, judged and stored; each task takes two. */
async function throughHttp(session: Session): Promise<number> {
  const tasks = await tasksFor(session, 600);
  let next = 0;
  const result = await autocannon({
    url: BASE,
    connections: CONNECTIONS,
    duration: SECONDS,
    requests: [
      {
        method: 'POST',
        path: `/api/classes/${session.classId}/attempts`,
        headers: { cookie: session.cookie, 'content-type': 'application/json', 'x-csrf-token': session.token },
        setupRequest: (request) => ({ ...request, body: body(tasks[Math.floor(next++ / 2) % tasks.length] ?? '') }),
      },
    ],
  });
  if (result.non2xx > result['2xx'] / 100)
    throw new Error(`${result.non2xx} of the requests were refused; the figure would not count.`);
  return result['2xx'] / result.duration;
}

/** The same rows inserted with nothing else around them. */
async function bare(): Promise<number> {
  const pool = new pg.Pool({ connectionString: process.env['DATABASE_URL'], max: CONNECTIONS });
  const { rows } = await pool.query('select * from attempts order by server_order desc limit 1');
  const columns = Object.keys(rows[0]).filter((name) => name !== 'server_order' && name !== 'created_at');
  const values = columns.map((name) =>
    ['situation', 'picture', 'actions', 'diagnosis'].includes(name) ? JSON.stringify(rows[0][name]) : rows[0][name],
  );
  const statement = `insert into attempts (${columns.join(', ')}) values (${columns.map((_, i) => `$${i + 1}`).join(', ')})`;
  const start = performance.now();
  let done = 0;
  const work = async (): Promise<void> => {
    while (performance.now() - start < SECONDS * 1000) {
      await pool.query(
        statement,
        columns.map((name, i) => (name === 'id' ? randomUUID() : values[i])),
      );
      done += 1;
    }
  };
  await Promise.all(Array.from({ length: CONNECTIONS }, work));
  const perSecond = done / ((performance.now() - start) / 1000);
  await pool.end();
  return perSecond;
}

const session = await signIn();
const http = await throughHttp(session);
const alone = await bare();
process.stdout.write(`answered attempts through HTTP with storage: ${Math.round(http)} per second\n`);
process.stdout.write(
  `the same insert bare with pg: ${Math.round(alone)} per second (ratio ${(alone / http).toFixed(1)})\n`,
);
