import { randomUUID } from 'node:crypto';
import { Agent, request as send } from 'node:http';
import { seededRandom } from '@green-beam/core';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { startTestServer, type TestServer } from '../harness.ts';
import { TYPICAL, type Known } from './bodies.ts';
import { Chance, NASTY_TEXTS, nastyValue, spoilt } from './nasty.ts';
import { buildWorld, type World } from './world.ts';

/** `npm run fuzz` sends more. */
const REQUESTS = Number(process.env['FUZZED_REQUESTS'] ?? 2000);
const SEED = Number(process.env['FUZZ_SEED'] ?? 1);
/** Whole classes are deleted on the way: so often there is a new school. */
const WORLD_EVERY = 500;
const AT_ONCE = 6;

let server: TestServer;
const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });

beforeAll(async () => {
  server = await startTestServer();
});
afterAll(async () => {
  agent.destroy();
  await server.stop();
});

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly headers: Record<string, string>;
  readonly body: string | null;
}

interface Answered {
  readonly status: number;
  readonly text: string;
  readonly type: string;
}

/** As the network would carry it, whatever a browser would say to it. */
function deliver({ method, path, headers, body }: Sent): Promise<Answered> {
  const { hostname, port } = new URL(server.base);
  return new Promise((resolve, reject) => {
    const request = send({ agent, hostname, port, method, path: `/api${path}`, headers }, (response) => {
      const type = response.headers['content-type'] ?? '';
      const answered = (text: string): void => resolve({ status: response.statusCode ?? 0, text, type });
      if (type.startsWith('text/event-stream')) {
        answered('');
        request.destroy();
        return;
      }
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (chunk: string) => (text += chunk));
      response.on('end', () => answered(text));
    });
    request.on('error', reject);
    request.end(body ?? undefined);
  });
}

/** A text as it can stand in an address, where no half of a pair can. */
function inAddress(text: string): string {
  return encodeURIComponent(Buffer.from(text.slice(0, 300)).toString());
}

function parameter(name: string, known: Known, chance: Chance): string {
  if (chance.happens(0.12)) return inAddress(chance.of(NASTY_TEXTS));
  if (chance.happens(0.08)) return randomUUID();
  const ids: Readonly<Record<string, string | undefined>> = {
    classId: chance.happens(0.1) ? known.otherClassId : known.classId,
    studentId: chance.of(known.students),
    teacherId: chance.of(known.teachers),
    runId: known.runId,
    setRoundId: known.setRoundId,
    toolId: known.toolId,
    tapeId: randomUUID(),
    code: known.sheetCode,
    token: 'A'.repeat(32),
  };
  return ids[name] ?? randomUUID();
}

function bodyFor(route: string, known: Known, chance: Chance): string | null {
  const typical = TYPICAL[route]?.(known);
  if (route.startsWith('GET') || chance.happens(0.03)) return null;
  if (chance.happens(0.04))
    return chance.of(['{', '[]', '"text"', '17', 'null', '{"a":1}}', '\u0000', '{"__proto__":{"x":1}}']);
  if (!typical || chance.happens(0.06)) return JSON.stringify(nastyValue(chance));
  return JSON.stringify(chance.happens(0.25) ? typical : spoilt(typical, chance));
}

function headersFor(visitor: World['who'][string], chance: Chance, body: string | null): Record<string, string> {
  const type = chance.happens(0.04)
    ? chance.of([
        'text/plain',
        'application/xml',
        'application/json; charset=utf-7',
        'multipart/form-data',
        '',
        'application/json;charset',
      ])
    : 'application/json';
  const token = chance.happens(0.02) ? chance.of(['', 'forged', 'a.b', '.']) : visitor.token;
  return {
    'x-csrf-token': token,
    ...(body === null ? {} : { 'content-type': type, 'content-length': String(Buffer.byteLength(body)) }),
    ...(visitor.cookies === '' || chance.happens(0.02) ? {} : { cookie: visitor.cookies }),
    ...(chance.happens(0.03)
      ? { cookie: chance.of(['green-beam=s%3Aforged.x', 'green-beam=%', 'green-beam-device=;;', '=']) }
      : {}),
    ...(chance.happens(0.03) ? { 'x-device-time': chance.of(['yesterday', '', now()]) } : {}),
    ...(chance.happens(0.02) ? { 'content-encoding': chance.of(['gzip', 'br', 'nonsense']) } : {}),
    ...(chance.happens(0.02) ? { accept: chance.of(['text/html', '*/*;q=0', '']) } : {}),
  };
}

const now = (): string => new Date().toISOString();

function drawn({ known, who }: World, chance: Chance): { readonly sent: Sent; readonly as: string } {
  const route = chance.of(server.routes.filter((one) => !/\*|health/.test(one)));
  const as = chance.of(Object.keys(who));
  const [method = '', pattern = ''] = route.split(' ');
  const body = bodyFor(route, known, chance);
  const path = pattern.replace(/:(\w+)/g, (_, name: string) => parameter(name, known, chance));
  const query = chance.happens(0.1)
    ? `?${chance.of(['before', 'place', 'a[b]', '__proto__[x]'])}=${inAddress(chance.of(NASTY_TEXTS))}`
    : '';
  return {
    as,
    sent: {
      method: chance.happens(0.03)
        ? chance.of(['PUT', 'PATCH', 'DELETE', 'OPTIONS', 'HEAD', 'PROPFIND', 'POST'])
        : method,
      path:
        (chance.happens(0.02)
          ? chance.of(['/nowhere', '//', '/%', '/classes/%E0%A4%A', '/classes//runs', `/${'x'.repeat(3000)}`])
          : path) + query,
      headers: headersFor(who[as]!, chance, body),
      body,
    },
  };
}

/** What is wrong with an answer, if anything is. */
function complaint({ status, text, type }: Answered, { method }: Sent): string | null {
  if (status < 200 || status >= 500) return `${status}`;
  if (status < 400 || method === 'HEAD') return null;
  const { message } = (type.startsWith('application/json') ? JSON.parse(text) : {}) as {
    message?: unknown;
    errors?: unknown;
  };
  const { errors } = (type.startsWith('application/json') ? JSON.parse(text) : {}) as { errors?: unknown };
  return (typeof message === 'string' && message !== '') || Array.isArray(errors) ? null : `${status} without a word`;
}

describe('requests that nobody means', () => {
  it('know every route that takes something', () => {
    const takes = server.routes.filter((route) => /^(POST|PUT|PATCH)/.test(route));
    for (const route of Object.keys(TYPICAL)) expect(takes).toContain(route);
  });

  it(
    `are all answered, ${REQUESTS} of them, and none breaks anything`,
    async () => {
      const chance = new Chance(seededRandom(SEED));
      const complaints: string[] = [];
      const counts = new Map<number, number>();
      for (let done = 0; done < REQUESTS; done += WORLD_EVERY) {
        const world = await buildWorld(server, SEED * 100_000 + done);
        const planned = Array.from({ length: Math.min(WORLD_EVERY, REQUESTS - done) }, () => drawn(world, chance));
        const work = async (): Promise<void> => {
          for (let next = planned.shift(); next; next = planned.shift()) {
            const { sent, as } = next;
            const answered = await deliver(sent);
            counts.set(answered.status, (counts.get(answered.status) ?? 0) + 1);
            const wrong = complaint(answered, sent);
            if (wrong)
              complaints.push(
                `${wrong}: ${sent.method} ${sent.path} as ${as}\n${sent.body ?? ''}\n${answered.text.slice(0, 300)}`,
              );
          }
        };
        await Promise.all(Array.from({ length: AT_ONCE }, work));
      }
      expect(complaints.slice(0, 5).join('\n\n'), `${complaints.length} in all`).toBe('');
      // Enough got through to have met what lies behind the checks.
      expect(counts.get(200) ?? 0).toBeGreaterThan(REQUESTS / 40);
      expect(counts.get(400) ?? 0).toBeGreaterThan(REQUESTS / 40);
    },
    REQUESTS * 100,
  );
});
