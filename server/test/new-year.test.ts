import { randomUUID } from 'node:crypto';
import type { ClassDetails } from '@green-beam/contract';
import { strFromU8, unzipSync } from 'fflate';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { deleteClass } from '../src/classes/removal.ts';
import { ClassTeacher, SchoolClass, Student } from '../src/models/classes.ts';
import { Person } from '../src/models/people.ts';
import { asStudent, makeStudent, makeTeacher, openClassroom, PIN, Visitor, type Classroom } from './harness.ts';

let room: Classroom;
const id = randomUUID();
/** Somebody who is in the old class and in the new one. */
async function goingOn(givenName: string, familyName: string): Promise<string> {
  const student = await makeStudent(room.schoolClass, givenName, familyName);
  await Student.create({ classId: id, personId: student, schoolId: room.school.id, pinHash: null });
  return student;
}

const url = (path: string, classId = room.classId): string => `/classes/${classId}${path}`;

beforeAll(async () => {
  room = await openClassroom();
  const second = await makeTeacher(room.school.id, 'second@harbour.example', 'teacher');
  await ClassTeacher.create({ classId: room.classId, personId: second.personId });
  const { teacherSignedIn: teacher } = room;
  await teacher.post(url('/rules'), { name: 'Ours', rules: { combine: 'plain-sum' }, after: 1 });
  const added = await teacher.post(url('/cabinet'), {
    code: 'B-07',
    instrumentId: 'digital-balance-hundredth',
    kind: 'real',
  });
  for (const reading of [0.05, 0.03])
    await teacher.post(url(`/cabinet/${added.body[0].id}/notes`), { id: randomUUID(), kind: 'zero', reading });
  await room.student.post(url('/rounds'), {});
});
afterAll(() => room.server.stop());

it('hands each student their own data, and the student their own alone', async () => {
  const response = await fetch(`${room.server.base}${url('/students-data')}`, {
    headers: { cookie: room.teacherSignedIn.cookies },
  });
  expect(response.headers.get('content-disposition')).toContain('.zip');
  const files = unzipSync(new Uint8Array(await response.arrayBuffer()));
  expect(Object.keys(files)).toEqual(['01-Ada-Moss.json', '02-Ben-Reed.json']);
  const [ada, ben] = Object.values(files).map(
    (file) => JSON.parse(strFromU8(file)) as { student: { rounds: unknown[] } },
  );
  expect([ada!.student.rounds.length, ben!.student.rounds.length]).toEqual([1, 0]);
  expect((await room.student.get(url('/own-data'))).body).toMatchObject({ student: { name: 'Ada Moss' } });
  expect((await room.teacherSignedIn.get(url('/own-data'))).status).toBe(403);
});

it('goes on with the same teachers, rules and equipment and with who was chosen; the old class is archived', async () => {
  const body = { id, name: 'harbour 10', studentIds: [room.studentId] };
  for (let i = 0; i < 2; i += 1) expect((await room.teacherSignedIn.post(url('/new-year'), body)).status).toBe(201);
  const next = (await room.teacherSignedIn.get(url('', id))).body as ClassDetails;
  expect(next).toMatchObject({ name: 'harbour 10', rulesName: 'Ours', archived: false });
  expect(next.roster.map((student) => student.firstName)).toEqual(['Ada']);
  expect(next.teachers).toHaveLength(2);
  expect(next.teachers.find(({ founder }) => founder)?.email).toBe(room.teacher.email);
  const { body: tools } = await room.teacherSignedIn.get(url('/cabinet', id));
  expect(tools).toMatchObject([{ code: 'B-07', zeroError: 0.03 }]);
  expect((await room.teacherSignedIn.get(url(''))).body.archived).toBe(true);

  // Whoever was signed in to the old class signs in to the new one, with the PIN they have.
  expect((await room.student.get(url('/rules'))).status).toBe(401);
  const student = await asStudent(room.server.base, next.code, room.studentId, PIN);
  expect((await student.get(url('/record', id))).body.page.attempts).toEqual([]);
  expect((await student.post(url('/rounds', id), {})).status).toBe(201);
});

it('is begun once, with students of the class, under an id of its own', async () => {
  const begin = (body: object) => room.teacherSignedIn.post(url('/new-year'), { name: 'x', studentIds: [], ...body });
  expect((await begin({ id: randomUUID() })).status).toBe(409);
  expect((await begin({ id: room.studentId, name: '' })).body.field).toBe('name');
  await room.teacherSignedIn.send('PATCH', url(''), { archived: false });
  expect((await begin({ id: randomUUID(), studentIds: [randomUUID()] })).body.field).toBe('studentIds');
  expect((await room.teacherSignedIn.get(url(''))).body.archived).toBe(false);
});

it('lets nothing of a student stay in earlier years who is deleted', async () => {
  const student = await goingOn('Lea', 'Sund');
  await room.teacherSignedIn.send('DELETE', url(`/students/${student}`, id));
  expect((await Person.findByPk(student))?.givenName).toBeNull();
  expect(await Student.count({ where: { personId: student } })).toBe(0);
});

it('keeps the name of who goes on when the old class is deleted, and forgets who does not', async () => {
  await deleteClass(await SchoolClass.findByPk(room.classId, { rejectOnEmpty: true }));
  expect((await Person.findByPk(room.studentId))?.givenName).toBe('Ada');
  expect((await Person.findByPk(room.students[1]))?.givenName).toBeNull();
  const guest = await new Visitor(room.server.base).open();
  const { code } = (await room.teacherSignedIn.get(url('', id))).body as ClassDetails;
  expect((await guest.post('/session/student', { code, studentId: room.studentId, pin: PIN })).status).toBe(200);
});
