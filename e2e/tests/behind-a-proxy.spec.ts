import { randomUUID } from 'node:crypto';
import { createServer, request, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { copyCluster, ownDatabase, removeCluster } from '../../scripts/postgres.mjs';
import { freePort } from '../../scripts/processes.mjs';
import { serverEnvironment, startServer } from '../../scripts/serve.mjs';
import { mayOwnDatabases } from './own-server.ts';
import { expect, test } from './world.ts';

test.skip(!mayOwnDatabases, 'two servers need a database of their own');
test.setTimeout(300_000);

const CLASS_ID = '5a17a4b0-0000-4000-8000-000000000010';

/** Spreads requests over some servers, one after the other; one that is gone is passed over. It says which address asks, and that it has TLS. */
function proxyTo(ports: readonly number[]): Promise<Server> {
  let next = 0;
  const server = createServer((incoming, outgoing) => {
    const forward = (triesLeft: number): void => {
      const port = ports[(next += 1) % ports.length];
      const headers = {
        ...incoming.headers,
        'x-forwarded-for': String(incoming.headers['x-test-address'] ?? '192.0.2.1'),
        'x-forwarded-proto': 'https',
      };
      const onward = request({ port, method: incoming.method, path: incoming.url, headers }, (answer) => {
        outgoing.writeHead(answer.statusCode ?? 502, { ...answer.headers, 'x-test-server': String(port) });
        answer.pipe(outgoing);
      });
      onward.on('error', () => (triesLeft > 0 && !outgoing.headersSent ? forward(triesLeft - 1) : outgoing.destroy()));
      incoming.pipe(onward);
    };
    forward(ports.length);
  });
  return new Promise((done) => server.listen(0, '127.0.0.1', () => done(server)));
}

/** A browser behind the proxy: keeps its cookies, and knows which servers have answered it. */
class Client {
  readonly answeredBy = new Set<string>();
  private readonly cookies = new Map<string, string>();
  private token = '';

  constructor(
    private readonly base: string,
    private readonly address: string,
  ) {}

  get headers(): Record<string, string> {
    const cookie = [...this.cookies].map(([name, value]) => `${name}=${value}`).join('; ');
    return {
      cookie,
      'content-type': 'application/json',
      'x-csrf-token': this.token,
      'x-test-address': this.address,
    };
  }

  async ask(method: string, path: string, body?: unknown): Promise<{ status: number; body: Record<string, unknown> }> {
    const answer = await fetch(`${this.base}/api${path}`, {
      method,
      headers: this.headers,
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    this.answeredBy.add(answer.headers.get('x-test-server') ?? '');
    for (const line of answer.headers.getSetCookie()) {
      expect(line).toContain('Secure');
      const [name = '', value = ''] = (line.split(';')[0] ?? '').split('=');
      this.cookies.set(name, value);
    }
    const said = (await answer.json().catch(() => ({}))) as Record<string, unknown>;
    if (typeof said['csrfToken'] === 'string') this.token = said['csrfToken'];
    return { status: answer.status, body: said };
  }
}

test('two servers on one database behind a proxy are one: sessions, live events and limits are shared, and one may go', async () => {
  const cluster = `proxy-${process.pid}`;
  const sample = process.env['SAMPLE_CLUSTER'];
  if (sample) copyCluster(sample, cluster);
  const database = await ownDatabase(cluster);
  const ports = [await freePort(), await freePort()];
  const servers = ports.map((port) =>
    startServer(
      serverEnvironment(database.url, { GREEN_BEAM_DEMO: '1', PORT: String(port), PROCESSES: '1', PROXIES: '1' }),
      { stdio: ['ignore', 'pipe', 'inherit'] },
    ),
  );
  await Promise.all(
    servers.map(
      (server) =>
        new Promise<void>((ready) =>
          server.stdout?.on('data', (chunk) => String(chunk).includes('is ready') && ready()),
        ),
    ),
  );
  const proxy = await proxyTo(ports);
  const base = `http://127.0.0.1:${(proxy.address() as AddressInfo).port}`;
  try {
    const teacher = new Client(base, '192.0.2.10');
    await teacher.ask('GET', '/session');
    expect((await teacher.ask('POST', '/session/demo', { role: 'teacher' })).status).toBe(200);
    const student = new Client(base, '192.0.2.11');
    await student.ask('GET', '/session');
    expect((await student.ask('POST', '/session/demo', { role: 'student' })).status).toBe(200);
    for (let i = 0; i < 6; i += 1) expect((await student.ask('GET', `/classes/${CLASS_ID}/rules`)).status).toBe(200);
    expect(student.answeredBy.size).toBe(2);

    // What either server is told, is heard at the other.
    const hearing = new AbortController();
    const stream = await fetch(`${base}/api/classes/${CLASS_ID}/events`, {
      headers: teacher.headers,
      signal: hearing.signal,
    });
    const listener = stream.headers.get('x-test-server');
    const reader = stream.body!.getReader();
    const heard = (async () => {
      let text = '';
      while ((text.match(/event: attempt/g) ?? []).length < 2)
        text += new TextDecoder().decode((await reader.read()).value);
      return text;
    })();
    const told = new Set<string>();
    const { body: round } = await student.ask('POST', `/classes/${CLASS_ID}/rounds`, {
      subjectIds: ['ruler-millimetre'],
    });
    const [{ id: taskId }] = round['tasks'] as [{ id: string }];
    while (told.size < 2) {
      student.answeredBy.clear();
      const entered = { id: randomUUID(), taskId, kind: 'reading', entry: '1 mm', eyeHeight: 0, timeTaken: 9 };
      expect((await student.ask('POST', `/classes/${CLASS_ID}/attempts`, entered)).status).toBe(200);
      for (const server of student.answeredBy) told.add(server);
      await student.ask('GET', '/session');
      await student.ask('GET', `/classes/${CLASS_ID}/rules`);
    }
    expect(told).toContain(listener);
    await heard;
    hearing.abort();

    // A stranger has the same few guesses, whichever server they reach.
    const stranger = new Client(base, '198.51.100.7');
    await stranger.ask('GET', '/session');
    const door = await stranger.ask('POST', '/session/class', { code: 'HRN-947' });
    const [{ id: studentId }] = door.body['students'] as [{ id: string }];
    const statuses: number[] = [];
    for (let i = 0; i < 5; i += 1)
      statuses.push(
        (await stranger.ask('POST', '/session/student', { code: 'HRN-947', studentId, pin: '9999' })).status,
      );
    expect(statuses).toEqual([401, 401, 401, 401, 429]);
    expect(stranger.answeredBy.size).toBe(2);

    servers[0]?.kill('SIGKILL');
    for (let i = 0; i < 6; i += 1) expect((await student.ask('GET', `/classes/${CLASS_ID}/rules`)).status).toBe(200);
  } finally {
    proxy.closeAllConnections();
    proxy.close();
    for (const server of servers) {
      if (server.exitCode !== null || server.signalCode !== null) continue;
      const gone = new Promise((done) => server.once('exit', done));
      server.kill('SIGTERM');
      await gone;
    }
    database.stop();
    removeCluster(cluster);
  }
});
