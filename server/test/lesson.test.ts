import { randomUUID } from 'node:crypto';
import type { CoverLink, LessonShown, Presence } from '@green-beam/contract';
import { format } from 'date-fns';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { databaseOf } from '../src/database.ts';
import { forgetUnanswered } from '../src/lesson/admissions.ts';
import { forgetEnded } from '../src/lesson/covers.ts';
import { Student } from '../src/models/classes.ts';
import { Person } from '../src/models/people.ts';
import {
  asStudent,
  makeSchool,
  makeStudent,
  openClassroom,
  PIN,
  streamOf,
  Visitor,
  type Classroom,
} from './harness.ts';

let room: Classroom;
const today = format(new Date(), 'yyyy-MM-dd');
const url = (path: string): string => `/classes/${room.classId}${path}`;
const guest = (): Promise<Visitor> => new Visitor(room.server.base).open();

beforeAll(async () => {
  room = await openClassroom();
});
afterAll(() => room.server.stop());

async function lesson(day = today): Promise<LessonShown> {
  return (await room.teacherSignedIn.get(url(`/lesson/${day}`))).body as LessonShown;
}

async function presenceOf(id: string): Promise<Presence | undefined> {
  return (await lesson()).students.find((student) => student.id === id)?.presence;
}

describe('who is in', () => {
  it('is whoever has a session, of their own or at a partner’s screen, and the wall hears of it', async () => {
    const [id, partner] = [
      await makeStudent(room.schoolClass, 'Ilse', 'Okafor'),
      await makeStudent(room.schoolClass, 'Otto', 'Quist'),
    ];
    expect(await presenceOf(id)).toBe('not-yet');
    const stream = await streamOf(room.teacherSignedIn, url('/events'));
    const own = await asStudent(room.server.base, room.schoolClass.code, id);
    expect(await stream.until(/event: lesson/)).toContain(id);
    stream.close();
    expect(await presenceOf(id)).toBe('in');
    await own.post('/session/partners', { studentId: partner, pin: PIN });
    expect(await presenceOf(partner)).toBe('in');
    await room.teacherSignedIn.post(url('/first-pins'), { studentIds: [partner] });
    expect(await presenceOf(partner)).toBe('not-yet');
    const leaving = await streamOf(room.teacherSignedIn, url('/events'));
    await own.send('DELETE', '/session');
    expect(await leaving.until(/event: lesson/)).toContain(id);
    leaving.close();
    expect(await presenceOf(id)).toBe('not-yet');
  });

  it('is not told to students', async () => {
    expect((await room.student.get(url(`/lesson/${today}`))).status).toBe(403);
    const stream = await streamOf(room.student, url('/events'));
    await asStudent(room.server.base, room.schoolClass.code, room.students[1]!);
    await room.teacherSignedIn.post(url('/rules'), { name: 'Ours', rules: { combine: 'plain-sum' }, after: 1 });
    expect(await stream.until(/event: rules/)).not.toContain('event: lesson');
    stream.close();
  });
});

describe('who is away', () => {
  const mark = (id: string, body: object) => room.teacherSignedIn.send('PUT', url(`/absences/${id}`), body);

  it('is marked and unmarked for a day, and no other', async () => {
    const id = await makeStudent(room.schoolClass, 'Vaida', 'Ferreira');
    for (let i = 0; i < 2; i += 1) expect((await mark(id, { day: today, away: true })).status).toBe(200);
    expect(await presenceOf(id)).toBe('away');
    const other = await lesson('2031-05-06');
    expect(other.students.find((student) => student.id === id)?.presence).toBe('not-yet');
    await mark(id, { day: today, away: false });
    expect(await presenceOf(id)).toBe('not-yet');
    // Whoever comes in after all is in.
    await mark(id, { day: today, away: true });
    await asStudent(room.server.base, room.schoolClass.code, id);
    expect(await presenceOf(id)).toBe('in');
  });

  it.each(['yesterday', '2026-02-31', '2026-13-01', '1999-01-01', 17, null])(
    'is on a day that there is, not %j',
    async (day) => {
      expect((await mark(room.studentId, { day, away: true })).body.field).toBe('day');
    },
  );

  it('is in the class', async () => {
    expect((await mark(randomUUID(), { day: today, away: true })).status).toBe(404);
  });
});

describe('who is not on the list', () => {
  const asking = (): { id: string; code: string; firstName: string; lastName: string; pin: string } => ({
    id: randomUUID(),
    code: room.schoolClass.code,
    firstName: 'Wren',
    lastName: 'Adeyemi',
    pin: '8642',
  });
  const stateOf = async (visitor: Visitor, id: string): Promise<string> =>
    (await visitor.get(`/session/admission/${room.schoolClass.code}/${id}`)).body.state as string;

  it('asks, is let in by the teacher, and signs in with the PIN they chose', async () => {
    const [visitor, asked] = [await guest(), asking()];
    for (let i = 0; i < 2; i += 1) expect((await visitor.post('/session/admission', asked)).status).toBe(202);
    expect((await lesson()).asking).toMatchObject([{ id: asked.id, name: 'Wren Adeyemi' }]);
    expect(await stateOf(visitor, asked.id)).toBe('waiting');
    expect((await visitor.post('/session/student', { ...asked, studentId: asked.id })).status).toBe(404);
    expect((await room.teacherSignedIn.post(url(`/admissions/${asked.id}`), { admit: true })).status).toBe(204);
    expect(await stateOf(visitor, asked.id)).toBe('admitted');
    expect((await visitor.post('/session/student', { ...asked, studentId: asked.id })).status).toBe(200);
    expect(await lesson()).toMatchObject({ asking: [] });
    expect(await presenceOf(asked.id)).toBe('in');
    expect((await room.teacherSignedIn.post(url(`/admissions/${asked.id}`), { admit: true })).status).toBe(404);
  });

  it('is forgotten when the teacher says no, or nobody says anything for a day', async () => {
    const [visitor, one, other] = [await guest(), asking(), asking()];
    for (const asked of [one, other]) await visitor.post('/session/admission', asked);
    await room.teacherSignedIn.post(url(`/admissions/${one.id}`), { admit: false });
    expect(await stateOf(visitor, one.id)).toBe('refused');
    expect(await Person.findByPk(one.id)).toBeNull();
    await forgetUnanswered();
    expect(await stateOf(visitor, other.id)).toBe('waiting');
    await databaseOf(Person).query(`update admissions set asked_at = now() - interval '25 hours'`);
    await forgetUnanswered();
    expect(await Person.findByPk(other.id)).toBeNull();
    expect(await Student.count({ where: { personId: [one.id, other.id] } })).toBe(0);
  });

  it('gives a name and a PIN that nobody guesses, behind a code that is open', async () => {
    const visitor = await guest();
    for (const [field, wrong] of Object.entries({ firstName: ' ', pin: '1234', id: 'me', code: 'AAA-222' }))
      expect((await visitor.post('/session/admission', { ...asking(), [field]: wrong })).body.field).toBe(field);
    expect((await visitor.post('/session/admission', { ...asking(), id: room.studentId })).status).toBe(409);
  });

  it('is one of thirty at most who wait', async () => {
    const visitor = await guest();
    const statuses: number[] = [];
    for (let i = 0; i < 31; i += 1) statuses.push((await visitor.post('/session/admission', asking())).status);
    expect(statuses.slice(-1)).toEqual([429]);
    await databaseOf(Person).query('delete from admissions');
  });
});

describe('whoever covers a class', () => {
  const until = (hours: number): string => new Date(Date.now() + hours * 3_600_000).toISOString();
  async function cover(): Promise<{ id: string; visitor: Visitor }> {
    const id = randomUUID();
    const { body } = await room.teacherSignedIn.post(url('/covers'), { id, name: 'Sefa Holloway', until: until(6) });
    const visitor = await guest();
    const entered = await visitor.post(`/session/cover/${(body as CoverLink).path.split('/').at(-1)!}`);
    expect(entered.body.signedIn).toMatchObject({ role: 'teacher', person: { name: 'Sefa Holloway' } });
    return { id, visitor };
  }

  it('teaches it for the day, and nothing of it can be taken away by them', async () => {
    const { visitor } = await cover();
    for (const path of ['/board', '/cabinet', '/set-rounds', `/lesson/${today}`, '/runs'])
      expect([path, (await visitor.get(url(path))).status]).toEqual([path, 200]);
    expect((await visitor.get('/classes')).body.map(({ id }: { id: string }) => id)).toEqual([room.classId]);
    expect((await visitor.post(url('/first-pins'), { studentIds: [room.students[1]] })).status).toBe(201);
    const refused = [
      await visitor.send('DELETE', url('')),
      await visitor.send('PATCH', url(''), { archived: true }),
      await visitor.send('DELETE', url(`/cabinet/${randomUUID()}`)),
      await visitor.send('DELETE', url(`/together/${randomUUID()}`)),
      await visitor.get(url('/export')),
      await visitor.get(url(`/students/${room.studentId}/export`)),
      await visitor.send('DELETE', url(`/students/${room.studentId}`)),
      await visitor.post(url('/teachers'), { email: room.teacher.email }),
      await visitor.send('DELETE', url(`/teachers/${room.teacher.personId}`)),
      await visitor.post(url('/rules'), { name: 'Mine', rules: {}, after: 1 }),
      await visitor.post(url('/covers'), { id: randomUUID(), name: 'A friend', until: until(1) }),
      await visitor.post('/classes', { id: randomUUID(), name: 'Another' }),
      await visitor.post('/session/password', { password: 'x', newPassword: 'long enough at last' }),
      await visitor.get('/school'),
      await visitor.get('/lab-sheets'),
      await visitor.post(url('/runs/import'), {}),
      await visitor.get(url('/reports')),
      await visitor.get(url('/rubric')),
      await visitor.get(url('/parents')),
      await visitor.post(url('/reports/return'), { reports: [], at: null, mayImprove: false }),
    ];
    expect(refused.map(({ status }) => status)).toEqual(refused.map(() => 403));
  });

  it('reaches no other class, of the school or of another', async () => {
    const { visitor } = await cover();
    const inland = await makeSchool('inland');
    expect((await visitor.get(`/classes/${inland.schoolClass.id}/board`)).status).toBe(404);
  });

  it('is out when the teacher ends it, or the time is over, and is forgotten', async () => {
    const [one, other] = [await cover(), await cover()];
    await room.teacherSignedIn.send('DELETE', url(`/covers/${one.id}`));
    expect((await one.visitor.get(url('/board'))).status).toBe(401);
    expect((await other.visitor.get(url('/board'))).status).toBe(200);
    await databaseOf(Person).query(`update covers set until = now() - interval '1 minute'`);
    expect((await other.visitor.get(url('/board'))).status).toBe(401);
    await forgetEnded();
    expect((await Person.findByPk(other.id))?.givenName).toBeNull();
    expect((await lesson()).covers).toEqual([]);
  });

  it('has a link that ends within a day', async () => {
    const make = (body: object) =>
      room.teacherSignedIn.post(url('/covers'), { id: randomUUID(), name: 'Sefa', ...body });
    for (const wrong of [until(25), until(-1), 'tomorrow'])
      expect((await make({ until: wrong })).body.field).toBe('until');
    expect((await (await guest()).post('/session/cover/unknown')).status).toBe(410);
  });
});
