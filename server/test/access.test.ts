import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createClass } from '../src/classes/create-class.ts';
import {
  asStudent,
  asTeacher,
  makeSchool,
  makeStudent,
  makeTeacher,
  startTestServer,
  Visitor,
  type TestServer,
} from './harness.ts';

let server: TestServer;
const who: Record<string, Visitor> = {};
let classId = '';
let studentId = '';

beforeAll(async () => {
  server = await startTestServer();
  const harbour = await makeSchool('harbour');
  const inland = await makeSchool('inland');
  classId = harbour.schoolClass.id;
  studentId = harbour.students[0]!;
  await makeTeacher(harbour.school.id, 'colleague@harbour.example', 'teacher');
  await makeTeacher(harbour.school.id, 'head@harbour.example', 'administrator');
  const parallel = await createClass({
    schoolId: harbour.school.id,
    teacherId: harbour.teacher.personId,
    name: 'harbour 10',
  });
  const parallelStudent = await makeStudent(parallel, 'Cleo', 'Fen');
  who['nobody'] = await new Visitor(server.base).open();
  who['student'] = await asStudent(server.base, harbour.schoolClass.code, studentId);
  who['student of another class'] = await asStudent(server.base, parallel.code, parallelStudent);
  who['teacher'] = await asTeacher(server.base, harbour.teacher.email);
  who['teacher of another class'] = await asTeacher(server.base, 'colleague@harbour.example');
  who['administrator'] = await asTeacher(server.base, 'head@harbour.example');
  who['teacher of another school'] = await asTeacher(server.base, inland.teacher.email);
  who['student of another school'] = await asStudent(server.base, inland.schoolClass.code, inland.students[0]!);
});
afterAll(() => server.stop());

const MEMBERS = {
  nobody: 401,
  'student of another class': 403,
  'teacher of another class': 403,
  'teacher of another school': 404,
  'student of another school': 404,
};
const TEACHERS = { ...MEMBERS, student: 403 };

const ROUTES: readonly [method: string, path: string, refused: Record<string, number>][] = [
  ['GET', '/rules', MEMBERS],
  ['POST', '/rules', TEACHERS],
  ['GET', '/tools', MEMBERS],
  ['GET', '/cabinet', TEACHERS],
  ['POST', '/cabinet', TEACHERS],
  ['POST', '/cabinet/list', TEACHERS],
  ['PATCH', `/cabinet/${randomUUID()}`, TEACHERS],
  ['POST', `/cabinet/${randomUUID()}/notes`, TEACHERS],
  ['DELETE', `/cabinet/${randomUUID()}`, TEACHERS],
  ['GET', '/set-rounds', MEMBERS],
  ['POST', '/set-rounds', TEACHERS],
  ['POST', `/set-rounds/${randomUUID()}/withdraw`, TEACHERS],
  ['POST', `/set-rounds/${randomUUID()}/sheets`, TEACHERS],
  ['GET', '/sheets/KTR-4827', MEMBERS],
  ['POST', '/sheets/KTR-4827/answers', MEMBERS],
  ['GET', '/shelf', MEMBERS],
  ['POST', '/shelf/met', TEACHERS],
  ['GET', '/rounds/current', MEMBERS],
  ['POST', '/rounds', MEMBERS],
  ['POST', '/rounds/taken-up', MEMBERS],
  ['POST', '/attempts', MEMBERS],
  ['GET', '/record', MEMBERS],
  ['GET', '/runs', MEMBERS],
  ['GET', '/classmates', MEMBERS],
  ['POST', '/runs', MEMBERS],
  ['POST', '/runs/import', TEACHERS],
  ['GET', `/runs/${randomUUID()}`, MEMBERS],
  ['POST', `/runs/${randomUUID()}/events`, MEMBERS],
  ['POST', `/runs/${randomUUID()}/hand-in`, MEMBERS],
  ['GET', '/runs/asked', MEMBERS],
  ['POST', `/runs/${randomUUID()}/members`, MEMBERS],
  ['DELETE', `/runs/${randomUUID()}/members/me`, MEMBERS],
  ['POST', `/runs/${randomUUID()}/take-back`, MEMBERS],
  ['POST', `/runs/${randomUUID()}/give-back`, TEACHERS],
  ['POST', `/runs/${randomUUID()}/rules`, TEACHERS],
  ['POST', `/runs/${randomUUID()}/methods`, TEACHERS],
  ['PUT', '/laboratories/solid-by-displacement', TEACHERS],
  ['GET', '/openings', TEACHERS],
  ['GET', '/reports', TEACHERS],
  ['GET', '/parents', TEACHERS],
  ['GET', `/reports/${randomUUID()}/group`, TEACHERS],
  ['PUT', `/reports/${randomUUID()}/group/marking`, TEACHERS],
  ['POST', '/reports/return', TEACHERS],
  ['GET', '/rubric', TEACHERS],
  ['PUT', '/rubric', TEACHERS],
  ['POST', '/openings', TEACHERS],
  ['GET', `/openings/${randomUUID()}`, TEACHERS],
  ['PATCH', `/openings/${randomUUID()}`, TEACHERS],
  ['POST', `/openings/${randomUUID()}/groups`, TEACHERS],
  ['PUT', `/openings/${randomUUID()}/groups/${randomUUID()}`, TEACHERS],
  ['GET', '/class-results', TEACHERS],
  ['GET', `/class-results/${randomUUID()}`, MEMBERS],
  ['POST', `/class-results/${randomUUID()}/pairs`, TEACHERS],
  ['POST', `/pairs/${randomUUID()}/end`, TEACHERS],
  ['POST', `/pairs/${randomUUID()}/notes`, MEMBERS],
  ['GET', '/plans', TEACHERS],
  ['POST', '/plans', TEACHERS],
  ['GET', `/plans/${randomUUID()}`, TEACHERS],
  ['PUT', `/plans/${randomUUID()}`, TEACHERS],
  ['POST', `/plans/${randomUUID()}/run`, TEACHERS],
  ['DELETE', `/plans/${randomUUID()}`, TEACHERS],
  ['GET', '/together', TEACHERS],
  ['POST', '/together', TEACHERS],
  ['GET', '/together/now', MEMBERS],
  ['GET', `/together/${randomUUID()}`, TEACHERS],
  ['POST', `/together/${randomUUID()}/stop`, TEACHERS],
  ['POST', `/together/${randomUUID()}/answer`, TEACHERS],
  ['POST', `/together/${randomUUID()}/end`, TEACHERS],
  ['DELETE', `/together/${randomUUID()}`, TEACHERS],
  ['POST', `/together/${randomUUID()}/answers`, MEMBERS],
  ['GET', '/laboratories', MEMBERS],
  ['GET', '/laboratories/solid-by-displacement', MEMBERS],
  [`GET`, '/lesson/2026-11-30', TEACHERS],
  ['PUT', `/absences/${randomUUID()}`, TEACHERS],
  ['POST', `/admissions/${randomUUID()}`, TEACHERS],
  ['POST', '/covers', TEACHERS],
  ['DELETE', `/covers/${randomUUID()}`, TEACHERS],
  ['GET', '/events', MEMBERS],
  ['GET', '', TEACHERS],
  ['PATCH', '', TEACHERS],
  ['POST', '/code', TEACHERS],
  ['GET', '/board', TEACHERS],
  ['GET', '/over-time', TEACHERS],
  ['GET', '/export', TEACHERS],
  ['GET', '/students-data', TEACHERS],
  ['GET', '/own-data', MEMBERS],
  ['POST', '/new-year', TEACHERS],
  ['POST', '/students', TEACHERS],
  ['POST', '/first-pins', TEACHERS],
  ['POST', '/students/:student/unlock', TEACHERS],
  ['GET', '/students/:student/record', TEACHERS],
  ['GET', '/students/:student/export', TEACHERS],
  ['PATCH', '/students/:student', TEACHERS],
  ['DELETE', '/students/:student', TEACHERS],
  ['POST', '/teachers', TEACHERS],
  ['DELETE', `/teachers/${randomUUID()}`, TEACHERS],
  ['DELETE', '', TEACHERS],
];

/** A route without what its address names. */
const shape = (route: string): string =>
  route.replace(
    /:\w+|(?<=\/reports\/[^/]*\/)group|\b[0-9a-f]{8}-[0-9a-f-]{27}\b|KTR-4827|2026-11-30|(?<=\/members\/)me|solid-by-displacement/g,
    '*',
  );

it('knows every route of a class there is', () => {
  const known = new Set(ROUTES.map(([method, path]) => shape(`${method} /classes/*${path}`)));
  const missing = server.routes
    .map((route) => shape(route))
    .filter((route) => route.includes('/classes/*') && !known.has(route));
  expect([...new Set(missing)]).toEqual([]);
});

describe('every route of a class refuses who does not belong', () => {
  it.each(
    ROUTES.flatMap(([method, path, refused]) =>
      Object.entries(refused).map(([name, status]) => [method, path, name, status] as const),
    ),
  )('%s class%s as %s: %i', async (method, path, name, status) => {
    const answer = await who[name]!.send(
      method,
      `/classes/${classId}${path.replace(':student', studentId)}`,
      method === 'GET' ? undefined : {},
    );
    expect(answer.status).toBe(status);
    expect(answer.body.message).toMatch(/\w/);
  });

  it.each(['teacher', 'administrator'])('lets a %s in', async (name) => {
    expect((await who[name]!.get(`/classes/${classId}/board`)).status).toBe(200);
  });

  it('lets a student into the class’s rules and rounds', async () => {
    expect((await who['student']!.get(`/classes/${classId}/rules`)).status).toBe(200);
    expect((await who['student']!.get(`/classes/${classId}/rounds/current`)).status).toBe(200);
  });

  it('has nothing at an id that is none', async () => {
    expect((await who['teacher']!.get('/classes/not-an-id/board')).status).toBe(404);
  });
});

describe('the school’s pages', () => {
  it.each([
    ['nobody', 401],
    ['student', 403],
    ['teacher', 403],
  ] as const)('refuse %s', async (name, status) => {
    expect((await who[name]!.get('/school')).status).toBe(status);
    expect(
      (await who[name]!.post('/school/invitations', { id: randomUUID(), name: 'X', email: 'x@y.example' })).status,
    ).toBe(status);
    expect((await who[name]!.send('PATCH', '/school', { idleMinutes: 30 })).status).toBe(status);
    for (const what of ['reset', 'unlock', 'removal'])
      expect((await who[name]!.post(`/school/teachers/${randomUUID()}/${what}`)).status).toBe(status);
  });

  it('are for the administrator, within the school', async () => {
    const { body } = await who['administrator']!.get('/school');
    expect(body.teachers.map((teacher: { email: string }) => teacher.email)).not.toContain('teacher@inland.example');
  });
});

it('refuses a change without the token', async () => {
  const visitor = who['teacher']!;
  const { token } = visitor;
  visitor.token = 'forged';
  expect((await visitor.send('PATCH', `/classes/${classId}`, { name: 'taken over' })).status).toBe(403);
  visitor.token = token;
  expect((await visitor.get(`/classes/${classId}`)).body.name).toBe('harbour 9');
});

it('answers health only through the database, and sets strict headers', async () => {
  const response = await fetch(`${server.base}/health`);
  expect(await response.json()).toEqual({ ok: true, delay: expect.any(Number) as number });
  expect(response.headers.get('content-security-policy')).toContain("script-src 'self'");
  expect(response.headers.get('content-security-policy')).not.toMatch(/unsafe-eval|script-src[^;]*unsafe-inline/);
});
