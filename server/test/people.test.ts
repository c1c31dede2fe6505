import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { offerAdministratorLink } from '../src/auth/first-administrator.ts';
import { Attempt } from '../src/models/bench.ts';
import { Student } from '../src/models/classes.ts';
import { Person } from '../src/models/people.ts';
import {
  asStudent,
  asTeacher,
  makeSchool,
  makeStudent,
  makeTeacher,
  PASSWORD,
  PIN,
  startTestServer,
  Visitor,
  type TestServer,
} from './harness.ts';

let server: TestServer;
let world: Awaited<ReturnType<typeof makeSchool>>;
let teacher: Visitor;
const visitor = (): Promise<Visitor> => new Visitor(server.base).open();
const url = (path: string): string => `/classes/${world.schoolClass.id}${path}`;

beforeAll(async () => {
  server = await startTestServer();
  world = await makeSchool('harbour');
  teacher = await asTeacher(server.base, world.teacher.email);
});
afterAll(() => server.stop());

describe('the first administrator', () => {
  it('comes in by a link that works once, then invites a teacher by another', async () => {
    const link = (await offerAdministratorLink())!;
    const head = await visitor();
    const path = link.path.replace('/link', '/links');
    expect((await head.get(path)).body.purpose).toBe('administrator');
    expect((await head.post(path, { password: 'short' })).body.field).toBe('password');
    expect(
      (await head.post(path, { password: PASSWORD, name: 'Hal Strand', email: 'hal@saltmarsh.example' })).body.field,
    ).toBe('schoolName');
    const body = { password: PASSWORD, name: 'Hal Strand', email: 'hal@saltmarsh.example', schoolName: 'Saltmarsh' };
    expect((await head.post(path, body)).body.signedIn.role).toBe('administrator');
    expect((await (await visitor()).post(path, { ...body, email: 'b@c.example' })).status).toBe(410);
    expect(await offerAdministratorLink()).toBeNull();

    const invited = await head.post('/school/invitations', {
      id: randomUUID(),
      name: 'Maren Oduya',
      email: 'maren@saltmarsh.example',
    });
    expect(invited.status).toBe(201);
    const guest = await visitor();
    expect(
      (await guest.post(invited.body.path.replace('/link', '/links'), { password: PASSWORD })).body.signedIn.role,
    ).toBe('teacher');
    expect(
      (await head.post('/school/invitations', { id: randomUUID(), name: 'Again', email: 'maren@saltmarsh.example' }))
        .body.field,
    ).toBe('email');
  });

  it('knows no forged link', async () => {
    expect((await (await visitor()).get('/links/forged')).status).toBe(404);
  });
});

describe('signing in', () => {
  it('shows first names and initials behind a class code, and nothing when it is closed or renewed', async () => {
    const guest = await visitor();
    const { code } = world.schoolClass;
    const { body, text } = await guest.post('/session/class', { code: code.toLowerCase() });
    expect(body.students.map((one: { label: string }) => one.label)).toEqual(['Ada M.', 'Ben R.']);
    expect(text).not.toContain('Moss');
    await teacher.send('PATCH', url(''), { codeOpen: false });
    expect((await guest.post('/session/class', { code })).body.field).toBe('code');
    const renewed = await teacher.post(url('/code'));
    expect(renewed.body.code).not.toBe(code);
    expect((await guest.post('/session/class', { code })).status).toBe(404);
    expect((await guest.post('/session/class', { code: renewed.body.code })).status).toBe(200);
  });

  it('has no demonstration door on a real installation', async () => {
    expect((await (await visitor()).post('/session/demo', { role: 'teacher' })).status).toBe(404);
  });
});

describe('a class list', () => {
  it('is checked row by row and added whole or not at all', async () => {
    const before = await Student.count({ where: { classId: world.schoolClass.id } });
    const wrong = await teacher.post(url('/students'), {
      rows: [
        { id: randomUUID(), firstName: 'Ilse', lastName: 'Okafor' },
        { id: randomUUID(), firstName: '', lastName: 'Nameless' },
        { id: randomUUID(), firstName: 'ilse', lastName: 'okafor' },
        { id: randomUUID(), firstName: 'Ada', lastName: 'Moss' },
      ],
    });
    expect(wrong.status).toBe(422);
    expect(wrong.body.errors.map((error: { row: number }) => error.row)).toEqual([2, 3, 4]);
    expect(await Student.count({ where: { classId: world.schoolClass.id } })).toBe(before);
    const right = await teacher.post(url('/students'), {
      rows: [
        { id: randomUUID(), firstName: 'Ilse', lastName: 'Okafor' },
        { id: randomUUID(), firstName: 'Juno' },
      ],
    });
    expect(right.body).toEqual({ added: 2, errors: [] });
  });
});

describe('co-teachers', () => {
  it('are added by e-mail within the school, and one always stays', async () => {
    const other = await makeSchool('inland');
    expect((await teacher.post(url('/teachers'), { email: other.teacher.email })).body.field).toBe('email');
    await makeTeacher(world.school.id, 'second@harbour.example', 'teacher');
    const { body } = await teacher.post(url('/teachers'), { email: 'second@harbour.example' });
    expect(body.teachers).toHaveLength(2);
    const second = await asTeacher(server.base, 'second@harbour.example');
    expect((await second.send('DELETE', url(`/teachers/${world.teacher.personId}`))).body.field).toBe('teacherId');
    expect((await teacher.get(url('/board'))).status).toBe(200);
    await teacher.send('DELETE', url(`/teachers/${world.teacher.personId}`));
    expect((await teacher.get(url('/board'))).status).toBe(403);
    const { body: left } = await second.get(url(''));
    expect((await second.send('DELETE', url(`/teachers/${left.teachers[0].id}`))).status).toBe(409);
    await second.post(url('/teachers'), { email: world.teacher.email });
  });
});

describe('what becomes of the data', () => {
  it('exports a student, deletes name, PIN and attempts, and leaves a neutral label in the group’s run', async () => {
    const { code } = (await teacher.get(url(''))).body;
    const [, studentId = ''] = world.students;
    const ben = await asStudent(server.base, code, studentId);
    const { body: run } = await ben.post(url('/runs'), {
      id: randomUUID(),
      protocolId: 'solid-by-displacement',
      specimen: 'Slate tile',
      memberIds: [world.students[0]],
    });
    await ben.post(url(`/runs/${run.id}/events`), {
      events: [
        {
          id: randomUUID(),
          address: { kind: 'cell', quantity: 'mass', members: { trial: '1' } },
          text: '31.42',
          person: studentId,
          deviceTime: new Date().toISOString(),
        },
      ],
    });
    const { body: round } = await ben.post(url('/rounds'), {});
    await ben.post(url('/attempts'), {
      id: randomUUID(),
      taskId: round.tasks[0].id,
      kind: 'reading',
      entry: '1 mL',
      eyeHeight: 0,
      timeTaken: 10,
    });

    const { body: exported } = await teacher.get(url(`/students/${studentId}/export`));
    expect(exported).toMatchObject({ format: 'green-beam-export', student: { name: 'Ben Reed' } });
    expect(exported.student.attempts).toHaveLength(1);
    expect(exported.runs[0].events[0].text).toBe('31.42');

    expect((await teacher.send('DELETE', url(`/students/${studentId}`))).status).toBe(204);
    expect((await Person.findByPk(studentId))!.givenName).toBeNull();
    expect(await Attempt.count({ where: { personId: studentId } })).toBe(0);
    expect((await ben.get(url('/rules'))).status).toBe(401);
    const { body: page, text } = await teacher.get(url(`/runs/${run.id}`));
    expect(page.people[studentId].label).toBe('A former member');
    expect(text).not.toContain('Ben');
  });

  it('puts a student away: no way in, not seen among the others, nothing lost, and back again', async () => {
    const { code } = (await teacher.get(url(''))).body;
    const left = await makeStudent(world.schoolClass, 'Dora', 'Finch');
    const dora = await asStudent(server.base, code, left);
    const labels = async (): Promise<string[]> =>
      (await (await visitor()).post('/session/class', { code })).body.students.map(
        (one: { label: string }) => one.label,
      );
    expect(await labels()).toContain('Dora F.');
    expect((await teacher.send('PATCH', url(`/students/${left}`), {})).body.field).toBe('archived');

    const away = await teacher.send('PATCH', url(`/students/${left}`), { archived: true });
    expect(away.body.roster.find((one: { id: string }) => one.id === left).archived).toBe(true);
    expect((await dora.get(url('/rules'))).status).toBe(401);
    expect(await labels()).not.toContain('Dora F.');
    expect((await (await visitor()).post('/session/student', { code, studentId: left, pin: PIN })).status).toBe(404);
    expect((await teacher.get(url('/board'))).text).not.toContain(left);
    expect((await teacher.get(url('/classmates'))).text).not.toContain(left);
    expect((await teacher.get(url(`/students/${left}/export`))).body.student.name).toBe('Dora Finch');
    expect((await teacher.get(url('/export'))).text).toContain('Dora Finch');
    expect(
      (await teacher.post(url('/students'), { rows: [{ id: randomUUID(), firstName: 'Dora', lastName: 'Finch' }] }))
        .status,
    ).toBe(422);

    await teacher.send('PATCH', url(`/students/${left}`), { archived: false });
    expect(await labels()).toContain('Dora F.');
    expect((await asStudent(server.base, code, left)).cookies).not.toBe('');
  });

  it('archives a class: it can be read, not written, and comes back', async () => {
    await teacher.send('PATCH', url(''), { archived: true });
    expect((await teacher.post(url('/rounds'), {})).status).toBe(409);
    expect((await teacher.get(url('/board'))).status).toBe(200);
    await teacher.send('PATCH', url(''), { archived: false });
    expect((await teacher.post(url('/rounds'), {})).status).toBe(201);
  });

  it('exports and deletes a whole class', async () => {
    const made = (await teacher.post('/classes', { id: randomUUID(), name: 'For a week' })).body;
    await teacher.post(`/classes/${made.id}/students`, {
      rows: [{ id: randomUUID(), firstName: 'Kim', lastName: 'Sol' }],
    });
    const { body: exported } = await teacher.get(`/classes/${made.id}/export`);
    expect(exported.students[0].name).toBe('Kim Sol');
    expect((await teacher.send('DELETE', `/classes/${made.id}`)).status).toBe(204);
    expect((await teacher.get(`/classes/${made.id}/board`)).status).toBe(404);
    expect(await Person.count({ where: { givenName: 'Kim' } })).toBe(0);
  });

  it('names what is wrong with a new class', async () => {
    expect((await teacher.post('/classes', { id: randomUUID(), name: ' ' })).body.field).toBe('name');
    expect((await teacher.post('/classes', { id: randomUUID(), name: 'x'.repeat(61) })).body.field).toBe('name');
  });
});
