import { createClass } from '../../src/classes/create-class.ts';
import { databaseOf } from '../../src/database.ts';
import { ClassTeacher } from '../../src/models/classes.ts';
import { Person } from '../../src/models/people.ts';
import { asStudent, asTeacher, makeSchool, makeStudent, makeTeacher, Visitor, type TestServer } from '../harness.ts';
import { TYPICAL, type Known } from './bodies.ts';

/** A school with something of everything in it, and somebody of every role signed in. */
export interface World {
  readonly known: Known;
  readonly who: Readonly<Record<string, Visitor>>;
}

async function made<Answer>(visitor: Visitor, path: string, body: object): Promise<Answer> {
  const { status, body: answer } = await visitor.post(path, body);
  if (status >= 300) throw new Error(`${path} answered ${status}: ${JSON.stringify(answer)}`);
  return answer as Answer;
}

/** @param number that no other world of the server has. */
export async function buildWorld({ base }: TestServer, number: number): Promise<World> {
  // All come from one address, and have used up by now what it may guess.
  await databaseOf(Person).query('delete from allowances');
  const harbour = await makeSchool(`harbour${number}`);
  const inland = await makeSchool(`inland${number}`);
  const { schoolClass, school, students } = harbour;
  const classId = schoolClass.id;
  const more = [await makeStudent(schoolClass, 'Cleo', 'Fen'), await makeStudent(schoolClass, 'Dora', 'Finch')];
  const all = [...students, ...more];
  const second = await makeTeacher(school.id, `second@harbour${number}.example`, 'teacher');
  const head = await makeTeacher(school.id, `head@harbour${number}.example`, 'administrator');
  const elsewhere = await makeTeacher(school.id, `elsewhere@harbour${number}.example`, 'teacher');
  await ClassTeacher.create({ classId, personId: second.personId });
  const parallel = await createClass({ schoolId: school.id, teacherId: elsewhere.personId, name: 'parallel' });
  const away = await makeStudent(parallel, 'Emil', 'Gray');
  const who = {
    nobody: await new Visitor(base).open(),
    student: await asStudent(base, schoolClass.code, all[0]!),
    'another student': await asStudent(base, schoolClass.code, all[1]!),
    'student of another class': await asStudent(base, parallel.code, away),
    'student of another school': await asStudent(base, inland.schoolClass.code, inland.students[0]!),
    teacher: await asTeacher(base, harbour.teacher.email),
    'teacher of another class': await asTeacher(base, elsewhere.email),
    'teacher of another school': await asTeacher(base, inland.teacher.email),
    administrator: await asTeacher(base, head.email),
  };
  const known: Known = {
    classId,
    otherClassId: inland.schoolClass.id,
    code: schoolClass.code,
    students: all,
    teachers: [harbour.teacher.personId, second.personId, elsewhere.personId],
    teacherEmail: second.email,
    taskIds: [],
    runId: '',
    setRoundId: '',
    toolId: '',
    sheetCode: 'KTR-4827',
    rulesVersion: 1,
  };
  const url = `/classes/${classId}`;
  const typical = (route: string): object => TYPICAL[route]?.(known) ?? {};
  const round = await made<{ tasks: { id: string }[] }>(who.student, `${url}/rounds`, {
    subjectIds: ['ruler-millimetre'],
  });
  const run = await made<{ id: string }>(who.student, `${url}/runs`, typical('POST /classes/:classId/runs'));
  const tools = await made<{ id: string }[]>(who.teacher, `${url}/cabinet`, typical('POST /classes/:classId/cabinet'));
  const sets = await made<{ id: string }[]>(who.teacher, `${url}/set-rounds`, {
    ...typical('POST /classes/:classId/set-rounds'),
    onPaper: true,
    studentIds: null,
  });
  const setRoundId = sets[0]?.id ?? '';
  const paper = await made<{ sheets: { code: string }[] }>(who.teacher, `${url}/set-rounds/${setRoundId}/sheets`, {});
  return {
    who,
    known: {
      ...known,
      taskIds: round.tasks.map(({ id }) => id),
      runId: run.id,
      toolId: tools[0]?.id ?? '',
      setRoundId,
      sheetCode: paper.sheets[0]?.code ?? '',
    },
  };
}
