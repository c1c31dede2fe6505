import { randomUUID } from 'node:crypto';
import type { ClassDetails, SchoolDetails } from '@green-beam/contract';
import { subDays, subMonths } from 'date-fns';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { createClass } from '../src/classes/create-class.ts';
import { deleteOutdated } from '../src/classes/removal.ts';
import { ClassTeacher, SchoolClass } from '../src/models/classes.ts';
import { Account, Person } from '../src/models/people.ts';
import {
  asTeacher,
  makeSchool,
  makeStudent,
  makeTeacher,
  openClassroom,
  openClient,
  PASSWORD,
  Visitor,
  type Answer,
  type Classroom,
} from './harness.ts';

let room: Classroom;
let head: Visitor;
let headId: string;
let number = 0;
let teacher: Account;
let schoolClass: SchoolClass;

beforeAll(async () => {
  room = await openClassroom();
  ({ personId: headId } = await makeTeacher(room.school.id, 'head@harbour.example', 'administrator'));
  head = await asTeacher(room.server.base, 'head@harbour.example');
});
afterAll(() => room.server.stop());
beforeEach(async () => {
  number += 1;
  teacher = await newTeacher();
  schoolClass = await classOf(teacher.personId);
});

const newTeacher = (): Promise<Account> =>
  makeTeacher(room.school.id, `${randomUUID().slice(0, 8)}@harbour.example`, 'teacher');
const classOf = (teacherId: string): Promise<SchoolClass> =>
  createClass({ schoolId: room.school.id, teacherId, name: `harbour ${number}` });
const remove = (id: string, heirId: string): Promise<Answer> => head.post(`/school/teachers/${id}/removal`, { heirId });
const teachersOf = async (classId: string): Promise<string[]> =>
  (await ClassTeacher.findAll({ where: { classId } })).map(({ personId }) => personId);

describe('a teacher who is removed from the school', () => {
  it('is signed out and forgotten, and the classes pass on', async () => {
    const own = await asTeacher(room.server.base, teacher.email);
    const heir = await newTeacher();
    const { status, body } = await remove(teacher.personId, heir.personId);
    expect(status).toBe(200);
    expect((body as SchoolDetails).teachers.map(({ id }) => id)).not.toContain(teacher.personId);
    expect((await own.get('/classes')).status).toBe(401);
    const again = await (
      await new Visitor(room.server.base).open()
    ).post('/session/teacher', {
      email: teacher.email,
      password: PASSWORD,
    });
    expect(again.status).toBe(401);
    expect(await Person.findByPk(teacher.personId)).toMatchObject({ givenName: null, familyName: null });
    expect(await teachersOf(schoolClass.id)).toEqual([heir.personId]);
    expect((await schoolClass.reload()).founderId).toBe(heir.personId);
  });

  it('leaves classes that others teach to those', async () => {
    const other = await newTeacher();
    await ClassTeacher.create({ classId: schoolClass.id, personId: other.personId });
    const before = ((await head.get('/school')).body as SchoolDetails).teachers;
    expect(before.find(({ id }) => id === teacher.personId)?.classes).toEqual([
      { name: schoolClass.name, alone: false },
    ]);
    await remove(teacher.personId, headId);
    expect(await teachersOf(schoolClass.id)).toEqual([other.personId]);
    expect((await schoolClass.reload()).founderId).toBe(other.personId);
  });

  it('is not the administrator at the screen, nobody of another school, and no heir of their own', async () => {
    const inland = await makeSchool(`inland-${number}`);
    expect((await remove(headId, teacher.personId)).body.field).toBe('teacherId');
    expect((await remove(inland.teacher.personId, headId)).status).toBe(404);
    expect((await remove(teacher.personId, inland.teacher.personId)).body.field).toBe('heirId');
    expect((await remove(teacher.personId, teacher.personId)).body.field).toBe('heirId');
    expect((await remove(teacher.personId, 'nobody')).body.field).toBe('heirId');
    expect(await teachersOf(schoolClass.id)).toEqual([teacher.personId]);
  });

  it('is one of two administrators who remove each other at the same moment: the other stays', async () => {
    const world = await makeSchool(`estuary-${number}`);
    const emails = ['one', 'two'].map((name) => `${name}@estuary-${number}.example`);
    const accounts = [];
    for (const email of emails) accounts.push(await makeTeacher(world.school.id, email, 'administrator'));
    const [one, two] = await Promise.all(emails.map((email) => asTeacher(room.server.base, email)));
    const ids = accounts.map(({ personId }) => personId);
    await Promise.all([
      one!.post(`/school/teachers/${ids[1]!}/removal`, { heirId: world.teacher.personId }),
      two!.post(`/school/teachers/${ids[0]!}/removal`, { heirId: world.teacher.personId }),
    ]);
    expect(await Account.count({ where: { schoolId: world.school.id, role: 'administrator' } })).toBe(1);
  });
});

describe('the teachers of a class', () => {
  const leave = (visitor: Visitor, personId: string): Promise<Answer> =>
    visitor.send('DELETE', `/classes/${schoolClass.id}/teachers/${personId}`);

  it('keep whoever made it, who may go, and whom the administrator may remove', async () => {
    const other = await newTeacher();
    await ClassTeacher.create({ classId: schoolClass.id, personId: other.personId });
    const [founder, second] = [
      await asTeacher(room.server.base, teacher.email),
      await asTeacher(room.server.base, other.email),
    ];
    const details = (await second.get(`/classes/${schoolClass.id}`)).body as ClassDetails;
    expect(details.teachers.find(({ id }) => id === teacher.personId)?.founder).toBe(true);
    expect((await leave(second, teacher.personId)).status).toBe(403);
    expect((await leave(founder, teacher.personId)).status).toBe(200);
    expect((await schoolClass.reload()).founderId).toBe(other.personId);
    await ClassTeacher.create({ classId: schoolClass.id, personId: teacher.personId });
    expect((await leave(head, other.personId)).status).toBe(200);
    expect(await teachersOf(schoolClass.id)).toEqual([teacher.personId]);
  });

  it('are at least one, also when all leave at the same moment', async () => {
    const others = await Promise.all([newTeacher(), newTeacher(), newTeacher()]);
    for (const { personId } of others) await ClassTeacher.create({ classId: schoolClass.id, personId });
    const all = [teacher, ...others];
    const answers = await Promise.all(all.map(({ personId }) => leave(head, personId)));
    expect(answers.filter(({ status }) => status === 409)).toHaveLength(1);
    expect(await teachersOf(schoolClass.id)).toHaveLength(1);
  });
});

describe('a class that is deleted while one of its teachers is taken out', () => {
  it('is told as removed, and breaks nothing', async () => {
    const { server } = room;
    const client = await openClient(server);
    await client.query('begin');
    await client.query('select 1 from classes where id = $1 for update', [schoolClass.id]);
    const asked = head.send('DELETE', `/classes/${schoolClass.id}/teachers/${teacher.personId}`);
    const isHeldUp = async (): Promise<boolean> =>
      (await client.query('select 1 from pg_locks where not granted')).rowCount !== 0;
    await expect.poll(isHeldUp, { timeout: 10_000 }).toBe(true);
    await client.query('delete from classes where id = $1', [schoolClass.id]);
    await client.query('commit');
    await client.end();
    const { status, body } = await asked;
    expect(status).toBe(409);
    expect((body as { message: string }).message).toMatch(/has been removed/);
  });
});

describe('an invitation', () => {
  const invite = (body: object): Promise<Answer> =>
    head.post('/school/invitations', { id: randomUUID(), name: 'Maren Oduya', ...body });

  it('does not tell whether another school knows the address, and both may have it', async () => {
    const inland = await makeSchool(`shared-${number}`);
    const { email } = inland.teacher;
    const invited = await invite({ email });
    expect(invited.status).toBe(201);
    const password = 'another long enough one';
    const link = invited.body.path.replace('/link', '/links') as string;
    const taken = await (await new Visitor(room.server.base).open()).post(link, { password });
    expect(taken.body.signedIn.school.name).toBe('harbour');
    const enter = async (body: object): Promise<Answer> =>
      (await new Visitor(room.server.base).open()).post('/session/teacher', { email, ...body });
    expect((await enter({ password })).body.signedIn.school.name).toBe('harbour');
    expect((await enter({ password: PASSWORD })).body.signedIn.school.name).toBe(`shared-${number}`);
  });

  it('asks which school where the password is the same', async () => {
    const inland = await makeSchool(`twice-${number}`);
    const { email } = inland.teacher;
    const link = (await invite({ email })).body.path.replace('/link', '/links') as string;
    await (await new Visitor(room.server.base).open()).post(link, { password: PASSWORD });
    const enter = async (body: object): Promise<Answer> =>
      (await new Visitor(room.server.base).open()).post('/session/teacher', { email, password: PASSWORD, ...body });
    const asked = await enter({});
    expect([asked.status, asked.body.field]).toEqual([409, 'school']);
    expect(asked.body.message).toContain('harbour');
    expect((await enter({ school: 'Nowhere' })).body.field).toBe('school');
    expect((await enter({ school: `Twice-${number}` })).body.signedIn.school.name).toBe(`twice-${number}`);
  });

  it('is made once, however often it is sent, and once for each address of the school', async () => {
    const id = randomUUID();
    const email = `${id}@harbour.example`;
    expect((await invite({ id, email })).status).toBe(201);
    expect((await invite({ id, email })).status).toBe(201);
    expect(await Account.count({ where: { email } })).toBe(1);
    expect((await invite({ email })).body.field).toBe('email');
    const racing = await Promise.all([1, 2, 3].map(() => invite({ email: `race-${number}@harbour.example` })));
    expect(racing.map(({ status }) => status).sort()).toEqual([201, 409, 409]);
  });
});

describe('a teacher whose password was guessed at too often', () => {
  it('is seen by the administrator, who lets them in again', async () => {
    const stranger = await new Visitor(room.server.base).open();
    const { email, personId } = teacher;
    for (let i = 0; i < 4; i += 1) await stranger.post('/session/teacher', { email, password: 'not this one' });
    const locked = (details: SchoolDetails): boolean | undefined =>
      details.teachers.find(({ id }) => id === personId)?.locked;
    expect(locked((await head.get('/school')).body as SchoolDetails)).toBe(true);
    expect(locked((await head.post(`/school/teachers/${personId}/unlock`)).body as SchoolDetails)).toBe(false);
    expect((await stranger.post('/session/teacher', { email, password: PASSWORD })).status).toBe(200);
  });
});

describe('classes that were archived', () => {
  it('are deleted after the months that the school says, with everything named, and never before', async () => {
    const studentId = await makeStudent(schoolClass, 'Ilse', 'Okafor');
    const monthsAgo = (months: number): Date => subDays(subMonths(new Date(), months), 1);
    await schoolClass.update({ archivedAt: monthsAgo(13) });
    await deleteOutdated();
    expect(await SchoolClass.count({ where: { id: schoolClass.id } })).toBe(1);

    await head.send('PATCH', '/school', { idleMinutes: 60, keepArchivedMonths: 14 });
    const details = (await head.get(`/classes/${schoolClass.id}`)).body as ClassDetails;
    expect(new Date(details.deletedOn ?? '').getTime()).toBeGreaterThan(Date.now());
    await deleteOutdated();
    expect(await SchoolClass.count({ where: { id: schoolClass.id } })).toBe(1);

    await head.send('PATCH', '/school', { idleMinutes: 60, keepArchivedMonths: 12 });
    const other = await classOf(teacher.personId);
    await deleteOutdated();
    expect(await SchoolClass.count({ where: { id: schoolClass.id } })).toBe(0);
    expect(await Person.findByPk(studentId)).toMatchObject({ givenName: null, familyName: null });
    expect(await SchoolClass.count({ where: { id: other.id } })).toBe(1);
    await head.send('PATCH', '/school', { idleMinutes: 60, keepArchivedMonths: null });
  });
});

describe('the idle time of a school', () => {
  it('is changed within bounds', async () => {
    expect((await head.send('PATCH', '/school', { idleMinutes: 45 })).body).toMatchObject({ idleMinutes: 45 });
    for (const idleMinutes of [4, 481, 7.5, 'long', null])
      expect((await head.send('PATCH', '/school', { idleMinutes })).body.field, String(idleMinutes)).toBe(
        'idleMinutes',
      );
    expect((await head.get('/school')).body.idleMinutes).toBe(45);
  });
});

describe('what is sent twice', () => {
  it('makes one class', async () => {
    const id = randomUUID();
    const own = await asTeacher(room.server.base, teacher.email);
    const answers = await Promise.all([1, 2, 3].map(() => own.post('/classes', { id, name: 'Once' })));
    expect(answers.map(({ status }) => status)).toEqual([201, 201, 201]);
    expect(await SchoolClass.count({ where: { name: 'Once' } })).toBe(1);
    expect((await head.post('/classes', { id, name: 'Not mine' })).body.field).toBe('id');
  });

  it('adds a list once, and says of an id that is somebody else’s that it is in use', async () => {
    const rows = ['Ilse', 'Juno'].map((firstName) => ({ id: randomUUID(), firstName }));
    const students = `/classes/${schoolClass.id}/students`;
    for (let i = 0; i < 2; i += 1) expect((await head.post(students, { rows })).body).toEqual({ added: 2, errors: [] });
    expect(((await head.get(`/classes/${schoolClass.id}`)).body as ClassDetails).roster).toHaveLength(2);
    const foreign = await head.post(students, { rows: [{ id: room.studentId, firstName: 'Kim' }] });
    expect(foreign.status).toBe(409);
    const double = await head.post(students, {
      rows: ['Lea', 'Mia'].map((firstName) => ({ id: rows[0]!.id.replace(/^./, '0'), firstName })),
    });
    expect(double.body.errors).toMatchObject([{ row: 2, field: 'id' }]);
  });
});
