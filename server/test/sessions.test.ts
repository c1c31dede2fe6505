import { randomUUID } from 'node:crypto';
import { setTimeout } from 'node:timers/promises';
import type { ClassDetails, FirstPin } from '@green-beam/contract';
import { QueryTypes } from 'sequelize';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { databaseOf } from '../src/database.ts';
import { Person, School } from '../src/models/people.ts';
import {
  asStudent,
  asTeacher,
  makeStudent,
  makeTeacher,
  openClassroom,
  PASSWORD,
  PIN,
  streamOf,
  Visitor,
  type Answer,
  type Classroom,
} from './harness.ts';

let room: Classroom;
let studentId: string;
const url = (path: string): string => `/classes/${room.classId}${path}`;
const guest = (): Promise<Visitor> => new Visitor(room.server.base).open();

beforeAll(async () => {
  room = await openClassroom();
});
afterAll(() => room.server.stop());
beforeEach(async () => {
  studentId = await makeStudent(room.schoolClass, 'Ilse', randomUUID().slice(0, 8));
});

const enter = (visitor: Visitor, entered: object): Promise<Answer> =>
  visitor.post('/session/student', { code: room.schoolClass.code, studentId, ...entered });
const signedInAs = (): Promise<Visitor> => asStudent(room.server.base, room.schoolClass.code, studentId);

async function firstPinOf(id: string): Promise<string> {
  const { body } = await room.teacherSignedIn.post(url('/first-pins'), { studentIds: [id] });
  return (body as FirstPin[])[0]?.pin ?? '';
}

async function count(table: 'sessions'): Promise<number> {
  const [row] = await databaseOf(Person).query<{ n: string }>(`select count(*) n from ${table}`, {
    type: QueryTypes.SELECT,
  });
  return Number(row?.n);
}

describe('a first PIN', () => {
  it('is handed out once, and serves only to choose one’s own', async () => {
    const pin = await firstPinOf(studentId);
    expect(pin).toMatch(/^\d{6}$/);
    const visitor = await guest();
    const asked = await enter(visitor, { pin });
    expect([asked.status, asked.body.field]).toEqual([409, 'newPin']);
    expect((await visitor.get(url('/rules'))).status).toBe(401);
    expect((await enter(visitor, { pin, newPin: '8642' })).status).toBe(200);
    expect((await visitor.get(url('/rules'))).status).toBe(200);
    expect((await enter(await guest(), { pin })).status).toBe(401);
    expect((await enter(await guest(), { pin, newPin: '9753' })).status).toBe(401);
    expect((await enter(await guest(), { pin: '8642' })).status).toBe(200);
  });

  it('is used by one of two who press at the same moment', async () => {
    const pin = await firstPinOf(studentId);
    const two = [await guest(), await guest()];
    const answers = await Promise.all(two.map((visitor, i) => enter(visitor, { pin, newPin: `864${i}` })));
    expect(answers.map(({ status }) => status).filter((status) => status === 200)).toHaveLength(1);
  });

  it('is not kept as the own one, and neither is one that anybody guesses', async () => {
    const pin = await firstPinOf(studentId);
    for (const newPin of [pin, '1111', '3456', '6543', '12'])
      expect((await enter(await guest(), { pin, newPin })).body.field, newPin).toBe('newPin');
    expect((await enter(await guest(), { pin, newPin: '2580' })).status).toBe(200);
  });

  it('takes the place of the one that was forgotten, and ends all sessions', async () => {
    const own = await signedInAs();
    const pin = await firstPinOf(studentId);
    expect((await own.get(url('/rules'))).status).toBe(401);
    expect((await enter(await guest(), { pin: PIN })).status).toBe(401);
    expect((await enter(await guest(), { pin, newPin: '2580' })).status).toBe(200);
  });

  it('is shown to the teacher as handed out, and to strangers not at all', async () => {
    const listed = async (): Promise<string | undefined> =>
      ((await room.teacherSignedIn.get(url(''))).body as ClassDetails).roster.find(({ id }) => id === studentId)?.pin;
    expect(await listed()).toBe('own');
    const pin = await firstPinOf(studentId);
    expect(await listed()).toBe('first');
    const door = await (await guest()).post('/session/class', { code: room.schoolClass.code });
    expect(Object.keys(door.body.students[0]).sort()).toEqual(['id', 'label']);
    expect((await enter(await guest(), { pin: '000000', newPin: '2580' })).body.field).toBe('pin');
    expect((await enter(await guest(), { pin, newPin: '2580' })).status).toBe(200);
    expect(await listed()).toBe('own');
  });

  it('is nobody’s before one is handed out', async () => {
    await room.teacherSignedIn.post(url('/students'), {
      rows: [{ id: randomUUID(), firstName: 'Newly', lastName: 'Arrived' }],
    });
    const { roster } = (await room.teacherSignedIn.get(url(''))).body as ClassDetails;
    const arrived = roster.find(({ firstName }) => firstName === 'Newly');
    expect(arrived?.pin).toBe('none');
    studentId = arrived?.id ?? '';
    expect((await enter(await guest(), { pin: '2580', newPin: '2581' })).status).toBe(401);
  });

  it('is refused to who is not in the class, and then nobody has a new one', async () => {
    const answer = await room.teacherSignedIn.post(url('/first-pins'), { studentIds: [studentId, randomUUID()] });
    expect([answer.status, answer.body.field]).toEqual([404, 'studentIds']);
    expect((await enter(await guest(), { pin: PIN })).status).toBe(200);
  });
});

describe('one’s own PIN or password', () => {
  it('is changed by a student, and all other sessions end', async () => {
    const [here, elsewhere] = [await signedInAs(), await signedInAs()];
    expect((await here.post('/session/pin', { pin: '9999', newPin: '2580' })).body.field).toBe('pin');
    expect((await here.post('/session/pin', { pin: PIN, newPin: '1234' })).body.field).toBe('newPin');
    expect((await here.post('/session/pin', { pin: PIN, newPin: '2580' })).status).toBe(200);
    expect((await here.get(url('/rules'))).status).toBe(200);
    expect((await elsewhere.get(url('/rules'))).status).toBe(401);
    expect((await enter(await guest(), { pin: PIN })).status).toBe(401);
    expect((await enter(await guest(), { pin: '2580' })).status).toBe(200);
  });

  it('is changed by a teacher, and all other sessions end', async () => {
    const { email } = await makeTeacher(room.school.id, 'changing@harbour.example', 'teacher');
    const [here, elsewhere] = [await asTeacher(room.server.base, email), await asTeacher(room.server.base, email)];
    const newPassword = 'quite another one';
    expect((await here.post('/session/password', { password: 'not the one', newPassword })).body.field).toBe(
      'password',
    );
    expect((await here.post('/session/password', { password: PASSWORD, newPassword: 'short' })).body.field).toBe(
      'newPassword',
    );
    expect((await here.post('/session/password', { password: PASSWORD, newPassword })).status).toBe(200);
    expect((await here.get('/classes')).status).toBe(200);
    expect((await elsewhere.get('/classes')).status).toBe(401);
    expect((await (await guest()).post('/session/teacher', { email, password: newPassword })).status).toBe(200);
  });

  it('is for those who have one', async () => {
    expect((await room.teacherSignedIn.post('/session/pin', { pin: PIN, newPin: '2580' })).status).toBe(403);
    const student = await signedInAs();
    expect((await student.post('/session/password', { password: PASSWORD, newPassword: PASSWORD })).status).toBe(403);
    expect((await (await guest()).post('/session/pin', { pin: PIN, newPin: '2580' })).status).toBe(401);
  });
});

describe('ending somebody’s sessions', () => {
  it('takes them out of those in which they are partners', async () => {
    const laptop = await asStudent(room.server.base, room.schoolClass.code, room.studentId);
    await laptop.post('/session/partners', { studentId, pin: PIN });
    const partners = async (): Promise<unknown[]> => (await laptop.get('/session')).body.signedIn.partners;
    expect(await partners()).toHaveLength(1);
    await firstPinOf(studentId);
    expect(await partners()).toEqual([]);
  });

  it('closes what they stream at once', async () => {
    const stream = await streamOf(await signedInAs(), url('/events'));
    const closed = stream.until(/never/).catch((error: unknown) => String(error));
    await firstPinOf(studentId);
    expect(await closed).toContain('The stream ended');
  });

  it('does not end anybody else’s', async () => {
    const other = await asStudent(room.server.base, room.schoolClass.code, room.studentId);
    await firstPinOf(studentId);
    expect((await other.get(url('/rules'))).status).toBe(200);
  });
});

describe('a session', () => {
  /** As if nothing had been asked for so long. */
  const later = (interval: string): Promise<unknown> =>
    databaseOf(Person).query(
      `update sessions set expire = expire - interval '${interval}' where sess -> 'identity' ->> 'personId' = :studentId`,
      { replacements: { studentId } },
    );

  it('on a shared laptop ends after as many idle minutes as the school says, and the cookie with the browser', async () => {
    await School.update({ idleMinutes: 30 }, { where: { id: room.school.id } });
    const visitor = await guest();
    await enter(visitor, { pin: PIN });
    expect(visitor.setCookies.find((line) => line.startsWith('green-beam='))).not.toMatch(/expires|max-age/i);
    await later('29 minutes');
    expect((await visitor.get(url('/rules'))).status).toBe(200);
    await later('31 minutes');
    expect((await visitor.get(url('/rules'))).status).toBe(401);
  });

  async function minutesLeft(): Promise<number> {
    const [row] = await databaseOf(Person).query<{ minutes: number }>(
      `select extract(epoch from expire - now()) / 60 as minutes from sessions
       where sess -> 'identity' ->> 'personId' = :studentId`,
      { replacements: { studentId }, type: QueryTypes.SELECT },
    );
    return Math.round(Number(row?.minutes));
  }

  it('moves on while it is in use, and not by what a page asks for with nobody before it', async () => {
    await School.update({ idleMinutes: 30 }, { where: { id: room.school.id } });
    const visitor = await signedInAs();
    await later('20 minutes');
    expect((await visitor.send('GET', url('/rules'), undefined, { 'x-left-alone': '1' })).status).toBe(200);
    await setTimeout(200);
    expect(await minutesLeft()).toBe(10);
    expect((await visitor.get(url('/rules'))).status).toBe(200);
    await expect.poll(minutesLeft).toBe(30);
  });

  it('on a device of one’s own stays for a week', async () => {
    const visitor = await guest();
    await enter(visitor, { pin: PIN, shared: false });
    expect(visitor.setCookies.find((line) => line.startsWith('green-beam='))).toMatch(/expires/i);
    await later('6 days');
    expect((await visitor.get(url('/rules'))).status).toBe(200);
  });

  it('is stored for nobody who only looks', async () => {
    const before = await count('sessions');
    const visitor = await guest();
    await visitor.post('/session/class', { code: room.schoolClass.code });
    await visitor.post('/session/student', { code: room.schoolClass.code, studentId, pin: '9999' });
    expect(await count('sessions')).toBe(before);
  });

  it('takes nothing without its own token', async () => {
    const [one, other] = [await signedInAs(), await signedInAs()];
    one.token = other.token;
    expect((await one.post(url('/rounds'), {})).body.staleToken).toBe(true);
    const visitor = await guest();
    visitor.token = '';
    expect((await enter(visitor, { pin: PIN })).status).toBe(403);
  });
});

describe('a class code that is closed or renewed', () => {
  it('lets nobody in who has the list of names open', async () => {
    const { code } = room.schoolClass;
    const visitor = await guest();
    expect((await visitor.post('/session/class', { code })).status).toBe(200);
    await room.teacherSignedIn.send('PATCH', url(''), { codeOpen: false });
    expect((await enter(visitor, { pin: PIN })).body.field).toBe('code');
    const renewed = (await room.teacherSignedIn.post(url('/code'))).body as ClassDetails;
    expect((await enter(visitor, { pin: PIN })).body.field).toBe('code');
    expect((await visitor.post('/session/student', { code: renewed.code, studentId, pin: PIN })).status).toBe(200);
    await room.schoolClass.reload();
  });
});
