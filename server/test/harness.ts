import { randomUUID } from 'node:crypto';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import type { DestinationStream } from 'pino';
import { createApp } from '../src/app.ts';
import { hashSecret } from '../src/auth/passwords.ts';
import { createClass } from '../src/classes/create-class.ts';
import { openDatabase } from '../src/database.ts';
import { drawingInThreads, type Drawing } from '../src/drawing/drawing.ts';
import { ClassEvents } from '../src/live/class-events.ts';
import { openLog } from '../src/logger.ts';
import { migrate } from '../src/migrate.ts';
import { Student, type SchoolClass } from '../src/models/classes.ts';
import { Account, Person, School } from '../src/models/people.ts';
import { holdToOneConnectionEach } from './one-connection-each.ts';

const ADMIN_URL = process.env['DATABASE_URL'] ?? '';

async function administer(...statements: string[]): Promise<void> {
  const client = new pg.Client({ connectionString: ADMIN_URL });
  await client.connect();
  for (const statement of statements) await client.query(statement);
  await client.end();
}

/** Ends what is still connected. PostgreSQL's own cleaning, which nobody here may end, is waited for by a plain drop, and by no other. */
function dropDatabase(name: string): Promise<void> {
  return administer(
    `select pg_terminate_backend(pid) from pg_stat_activity where datname = '${name}' and usename = current_user`,
    `drop database ${name}`,
  );
}

/** A running server on a database of its own. */
export interface TestServer {
  readonly base: string;
  readonly databaseUrl: string;
  readonly drawing: Drawing;
  /** Every route there is, such as `POST /classes/:classId/attempts`. */
  readonly routes: readonly string[];
  stop(): Promise<void>;
}

/** What a router keeps of a route, or of a router in it. */
interface Layer {
  readonly route?: { readonly path: string; readonly methods: Readonly<Record<string, boolean>> };
  readonly handle: { readonly stack?: readonly Layer[] };
}

function routesOf(layers: readonly Layer[]): string[] {
  return layers.flatMap(({ route, handle }) =>
    route
      ? Object.keys(route.methods).map((method) => `${method.toUpperCase()} ${route.path}`)
      : routesOf(handle.stack ?? []),
  );
}

/** A folder as the build makes it, with nothing in it. */
function emptyPages(): string {
  const pages = mkdtempSync(join(tmpdir(), 'green-beam-pages-'));
  mkdirSync(join(pages, 'assets'));
  return pages;
}

interface TestServerSettings {
  /** Where the server writes what it says; nowhere unless it is given. */
  readonly log?: DestinationStream;
  /** What is put into the empty database before anything else. */
  readonly before?: (databaseUrl: string) => Promise<void>;
}

export async function startTestServer({ log, before }: TestServerSettings = {}): Promise<TestServer> {
  if (!ADMIN_URL) throw new Error('The server tests need DATABASE_URL; run them with npm test.');
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  await administer(`create database ${name}`);
  const url = new URL(ADMIN_URL);
  url.pathname = `/${name}`;
  const databaseUrl = url.toString();
  const config = {
    databaseUrl,
    host: '127.0.0.1',
    port: 0,
    demo: false,
    sessionSecret: 'for tests only',
    secureCookies: false,
    proxies: 0,
    tls: null,
    processes: 1,
    connections: 12,
    drawingThreads: 1,
    pages: emptyPages(),
  };
  await before?.(databaseUrl);
  const sequelize = openDatabase(databaseUrl, config.connections);
  await migrate(sequelize);
  holdToOneConnectionEach(sequelize);
  const logger = log ? openLog('trace', log) : openLog('silent');
  const events = new ClassEvents(databaseUrl, logger);
  await events.start();
  const drawing = drawingInThreads({ count: config.drawingThreads, prepares: false, logger });
  const app = createApp({ config, sequelize, events, drawing, logger });
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  return {
    base: `http://127.0.0.1:${(server.address() as AddressInfo).port}/api`,
    databaseUrl,
    drawing,
    routes: routesOf(app.router.stack as readonly Layer[]),
    stop: async () => {
      server.closeAllConnections();
      server.close();
      await drawing.close();
      await events.stop();
      await sequelize.close();
      await dropDatabase(name);
      rmSync(config.pages, { recursive: true });
    },
  };
}

/** An event stream of a class, opened as a visitor. */
export interface HeardStream {
  /** Reads on until the text heard so far matches, and returns it. */
  until(pattern: RegExp): Promise<string>;
  close(): void;
}

export async function streamOf(visitor: Visitor, path: string): Promise<HeardStream> {
  const controller = new AbortController();
  const response = await fetch(visitor.base + path, {
    headers: { cookie: visitor.cookies },
    signal: controller.signal,
  });
  const reader = response.body!.getReader();
  const decoder = new TextDecoder();
  let heard = decoder.decode((await reader.read()).value);
  return {
    until: async (pattern) => {
      while (!pattern.test(heard)) {
        const { value, done } = await reader.read();
        if (done) throw new Error(`The stream ended before ${pattern} was heard.`);
        heard += decoder.decode(value);
      }
      return heard;
    },
    close: () => controller.abort(),
  };
}

export interface Answer {
  readonly status: number;
  readonly body: any;
  readonly text: string;
  readonly headers: Headers;
}

/** A browser as the server sees it: cookies and the token. */
export class Visitor {
  private readonly kept = new Map<string, string>();
  token = '';
  /** As the last answer set them. */
  setCookies: readonly string[] = [];

  constructor(readonly base: string) {}

  async send(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Answer> {
    const response = await fetch(this.base + path, {
      method,
      headers: {
        'content-type': 'application/json',
        'x-csrf-token': this.token,
        ...headers,
        ...(this.kept.size > 0 ? { cookie: this.cookies } : {}),
      },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    this.setCookies = response.headers.getSetCookie();
    for (const line of this.setCookies) {
      const [name = '', value = ''] = (line.split(';')[0] ?? '').split('=');
      this.kept.set(name, value);
    }
    const text = await response.text();
    let parsed: Answer['body'] = null;
    try {
      parsed = JSON.parse(text);
    } catch {
      parsed = null;
    }
    if (parsed?.csrfToken) this.token = parsed.csrfToken;
    return { status: response.status, body: parsed, text, headers: response.headers };
  }

  get = (path: string): Promise<Answer> => this.send('GET', path);
  post = (path: string, body: unknown = {}): Promise<Answer> => this.send('POST', path, body);

  async open(): Promise<this> {
    await this.get('/session');
    return this;
  }

  /** The raw cookie header, for streams. */
  get cookies(): string {
    return [...this.kept].map(([name, value]) => `${name}=${value}`).join('; ');
  }
}

/** A first reading of a task, which is wrong on every tool that is read here. */
export function firstReading(taskId: string | undefined, id: string = randomUUID()): object {
  const rest = { kind: 'reading', entry: '1 mL', eyeHeight: 0, actions: [], hints: 0, timeTaken: 1000 };
  return { id, taskId, ...rest };
}

/** A connection of a test’s own to the database of a server. */
export async function openClient({ databaseUrl }: TestServer): Promise<pg.Client> {
  const client = new pg.Client({ connectionString: databaseUrl });
  await client.connect();
  return client;
}

export const PASSWORD = 'a long enough one';
export const PIN = '1357';

interface SampleSchool {
  readonly school: School;
  readonly teacher: Account;
  readonly schoolClass: SchoolClass;
  readonly students: readonly string[];
}

/** A school with one teacher, one class and two students. */
export async function makeSchool(name: string): Promise<SampleSchool> {
  const school = await School.create({ id: randomUUID(), name });
  const teacher = await makeTeacher(school.id, `teacher@${name}.example`, 'teacher');
  const schoolClass = await createClass({ schoolId: school.id, teacherId: teacher.personId, name: `${name} 9` });
  const students = [await makeStudent(schoolClass, 'Ada', 'Moss'), await makeStudent(schoolClass, 'Ben', 'Reed')];
  return { school, teacher, schoolClass, students };
}

export async function makeTeacher(
  schoolId: string,
  email: string,
  role: 'teacher' | 'administrator',
): Promise<Account> {
  const person = await Person.create({ id: randomUUID(), schoolId, givenName: 'Tea', familyName: 'Cher' });
  return Account.create({ personId: person.id, schoolId, role, email, passwordHash: await hashSecret(PASSWORD) });
}

export async function makeStudent(
  { id: classId, schoolId }: SchoolClass,
  givenName: string,
  familyName: string,
): Promise<string> {
  const person = await Person.create({ id: randomUUID(), schoolId, givenName, familyName });
  await Student.create({ classId, schoolId, personId: person.id, pinHash: await hashSecret(PIN) });
  return person.id;
}

export async function asTeacher(base: string, email: string): Promise<Visitor> {
  const visitor = await new Visitor(base).open();
  const { status } = await visitor.post('/session/teacher', { email, password: PASSWORD });
  if (status !== 200) throw new Error(`signing in as ${email} answered ${status}`);
  return visitor;
}

export async function asStudent(base: string, code: string, studentId: string, pin = PIN): Promise<Visitor> {
  const visitor = await new Visitor(base).open();
  const { status } = await visitor.post('/session/student', { code, studentId, pin });
  if (status !== 200) throw new Error(`signing in as a student answered ${status}`);
  return visitor;
}

/** A server with a school, one of its students and its teacher signed in. */
export interface Classroom extends SampleSchool {
  readonly server: TestServer;
  readonly classId: string;
  readonly studentId: string;
  readonly student: Visitor;
  readonly teacherSignedIn: Visitor;
}

export async function openClassroom(): Promise<Classroom> {
  const server = await startTestServer();
  const world = await makeSchool('harbour');
  const [studentId = ''] = world.students;
  const student = await asStudent(server.base, world.schoolClass.code, studentId);
  return {
    ...world,
    server,
    classId: world.schoolClass.id,
    studentId,
    student,
    teacherSignedIn: await asTeacher(server.base, world.teacher.email),
  };
}
