import {
  classChange,
  coTeacher,
  firstPins,
  newClass,
  newYear,
  rosterImport,
  studentChange,
  type ClassDetails,
  type ClassSummary,
  type FirstPin,
} from '@green-beam/contract';
import { Router, type Response } from 'express';
import { Op, type Sequelize } from 'sequelize';
import {
  checkNotArchived,
  classInReach,
  classKept,
  classTaught,
  signedInTeacher,
  signedInWithAccount,
} from '../auth/access.ts';
import { renew, usedUp } from '../auth/allowances.ts';
import { labelOf } from '../auth/labels.ts';
import { handOutFirstPins } from '../classes/pins.ts';
import { endSessionsOf } from '../auth/session.ts';
import { accountOf } from '../auth/sign-in-limits.ts';
import { boardOf } from '../classes/board.ts';
import { overTime } from '../classes/over-time.ts';
import { newClassCode } from '../classes/codes.ts';
import { createClass } from '../classes/create-class.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { exportClass, exportStudent } from '../export/export.ts';
import { exportStudents, fileName } from '../export/each-student.ts';
import { importRoster } from '../classes/import-roster.ts';
import { beginYear } from '../classes/new-year.ts';
import { rosterOf } from '../classes/roster.ts';
import { deleteClass, deletedOn, deleteStudent } from '../classes/removal.ts';
import { removeFromClass } from '../classes/teachers.ts';
import { ClassTeacher, HouseRulesVersion, SchoolClass, Student } from '../models/classes.ts';
import { Cover } from '../models/lesson.ts';
import { Account, Person, School } from '../models/people.ts';
import { checkRoom, withinRate } from '../quotas.ts';
import { notFound, Refusal } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

async function summaryOf(schoolClass: SchoolClass): Promise<ClassSummary> {
  return {
    id: schoolClass.id,
    name: schoolClass.name,
    archived: Boolean(schoolClass.archivedAt),
    students: await Student.count({ where: { classId: schoolClass.id, archivedAt: null } }),
  };
}

async function detailsOf(schoolClass: SchoolClass): Promise<ClassDetails> {
  const { id: classId } = schoolClass;
  const [summary, school, roster, teachers, rules] = await Promise.all([
    summaryOf(schoolClass),
    School.findByPk(schoolClass.schoolId, { rejectOnEmpty: true }),
    rosterOf(classId, 'all'),
    ClassTeacher.findAll({
      where: { classId },
      include: [
        { model: Person, as: 'person', required: true },
        { model: Account, as: 'account', required: true },
      ],
    }),
    HouseRulesVersion.findOne({ where: { classId, version: schoolClass.rulesVersion } }),
  ]);
  const locked = await usedUp(roster.map(({ personId }) => accountOf('student', personId)));
  return {
    ...summary,
    code: schoolClass.code,
    codeOpen: schoolClass.codeOpen,
    deletedOn: deletedOn(schoolClass, school)?.toISOString() ?? null,
    rulesName: rules?.name ?? '',
    roster: roster.map(({ personId, pinHash, pinIsFirst, archivedAt, person }) => ({
      id: personId,
      firstName: person.givenName ?? '',
      lastName: person.familyName ?? '',
      label: labelOf(person, 'short'),
      pin: pinHash === null ? 'none' : pinIsFirst ? 'first' : 'own',
      locked: locked.has(accountOf('student', personId)),
      archived: archivedAt !== null,
    })),
    teachers: teachers.flatMap(({ personId, person, account }) =>
      person && account
        ? [
            {
              id: personId,
              name: labelOf(person, 'full'),
              email: account.email,
              founder: personId === schoolClass.founderId,
            },
          ]
        : [],
    ),
  };
}

function download(response: Response, name: string, data: unknown): void {
  response.attachment(`${fileName(name)}.json`).json(data);
}

async function studentOf(classId: string, personId: string): Promise<Student> {
  const student = await Student.findOne({ where: { classId, personId } });
  if (!student) throw notFound();
  return student;
}

/** Classes, their roster, code and teachers, the board, and what becomes of the data. */
export function classRoutes(sequelize: Sequelize, drawing: Drawing): Router {
  const routes = Router();

  routes.get('/classes', async (request, response) => {
    const caller = await signedInTeacher(request);
    const { personId } = caller;
    const taught = caller.coversUntil
      ? await Cover.findAll({ where: { personId, until: { [Op.gt]: new Date() } } })
      : await ClassTeacher.findAll({ where: { personId } });
    const where = {
      schoolId: caller.schoolId,
      ...(caller.role === 'administrator' ? {} : { id: taught.map((one) => one.classId) }),
    };
    const classes = await SchoolClass.findAll({ where, order: [['name', 'ASC']] });
    response.json(await Promise.all(classes.map(summaryOf)));
  });

  routes.post('/classes', async (request, response) => {
    const caller = await signedInWithAccount(request);
    await withinRate('class', caller.personId);
    const { id, name } = await validated(request, newClass);
    response
      .status(201)
      .json(await summaryOf(await createClass({ schoolId: caller.schoolId, teacherId: caller.personId, id, name })));
  });

  routes.get('/classes/:classId', async (request, response) => {
    response.json(await detailsOf((await classTaught(request)).schoolClass));
  });

  routes.patch('/classes/:classId', async (request, response) => {
    const { schoolClass } = await classKept(request);
    const { name, codeOpen, archived } = await validated(request, classChange);
    await schoolClass.update({
      ...(name === undefined ? {} : { name }),
      ...(codeOpen === undefined ? {} : { codeOpen }),
      ...(archived === undefined ? {} : { archivedAt: archived ? new Date() : null }),
    });
    response.json(await detailsOf(schoolClass));
  });

  routes.delete('/classes/:classId', async (request, response) => {
    await deleteClass((await classKept(request)).schoolClass);
    response.status(204).end();
  });

  routes.post('/classes/:classId/code', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    await schoolClass.update({ code: newClassCode(), codeOpen: true });
    response.json(await detailsOf(schoolClass));
  });

  routes.get('/classes/:classId/board', async (request, response) => {
    response.json(await boardOf(sequelize, (await classTaught(request)).schoolClass.id));
  });

  routes.get('/classes/:classId/over-time', async (request, response) => {
    response.json(await overTime(sequelize, (await classTaught(request)).schoolClass.id));
  });

  routes.get('/classes/:classId/export', async (request, response) => {
    const { schoolClass, caller } = await classKept(request);
    await withinRate('export', caller.personId);
    download(response, schoolClass.name, await exportClass(schoolClass, drawing));
  });

  routes.get('/classes/:classId/students-data', async (request, response) => {
    const { schoolClass, caller } = await classKept(request);
    await withinRate('export', caller.personId);
    response.attachment(`${fileName(schoolClass.name)}.zip`).send(await exportStudents(schoolClass, drawing));
  });

  routes.get('/classes/:classId/own-data', async (request, response) => {
    const { schoolClass, caller, as } = await classInReach(request);
    if (as === 'teacher') throw new Refusal(403, 'Only students have data of their own here.');
    await withinRate('export', caller.personId);
    download(response, `${schoolClass.name} my data`, await exportStudent(schoolClass, caller.personId, drawing));
  });

  routes.post('/classes/:classId/new-year', async (request, response) => {
    const access = await classKept(request);
    await withinRate('class', access.caller.personId);
    response.status(201).json(await summaryOf(await beginYear(access, await validated(request, newYear))));
  });

  routes.post('/classes/:classId/students', async (request, response) => {
    const { schoolClass } = await classKept(request);
    checkNotArchived(schoolClass);
    const { rows } = await validated(request, rosterImport);
    await checkRoom('students', Student, { classId: schoolClass.id }, rows.length);
    const result = await importRoster(schoolClass, rows);
    response.status(result.errors.length > 0 ? 422 : 201).json(result);
  });

  routes.post('/classes/:classId/first-pins', async (request, response) => {
    const { schoolClass, caller } = await classTaught(request);
    checkNotArchived(schoolClass);
    await withinRate('first-pins', caller.personId);
    const { studentIds } = await validated(request, firstPins);
    response.status(201).json(
      (await handOutFirstPins(schoolClass.id, studentIds)).map(({ student: { personId, person }, pin }): FirstPin => ({
        id: personId,
        name: labelOf(person, 'full'),
        pin,
      })),
    );
  });

  routes.post('/classes/:classId/students/:studentId/unlock', async (request, response) => {
    const { schoolClass } = await classTaught(request);
    const { personId } = await studentOf(schoolClass.id, idFrom(request, 'studentId'));
    await renew(accountOf('student', personId));
    response.json(await detailsOf(schoolClass));
  });

  routes.patch('/classes/:classId/students/:studentId', async (request, response) => {
    const { schoolClass } = await classKept(request);
    const student = await studentOf(schoolClass.id, idFrom(request, 'studentId'));
    const { archived } = await validated(request, studentChange);
    await student.update({ archivedAt: archived ? new Date() : null });
    if (archived) await endSessionsOf([student.personId]);
    response.json(await detailsOf(schoolClass));
  });

  routes.get('/classes/:classId/students/:studentId/export', async (request, response) => {
    const { schoolClass, caller } = await classKept(request);
    await withinRate('export', caller.personId);
    const data = await exportStudent(schoolClass, idFrom(request, 'studentId'), drawing);
    if (!data) throw notFound();
    download(response, `${schoolClass.name} student`, data);
  });

  routes.delete('/classes/:classId/students/:studentId', async (request, response) => {
    const { schoolClass } = await classKept(request);
    const student = await studentOf(schoolClass.id, idFrom(request, 'studentId'));
    await deleteStudent(student.personId);
    response.status(204).end();
  });

  routes.post('/classes/:classId/teachers', async (request, response) => {
    const { schoolClass, caller } = await classKept(request);
    const { email } = await validated(request, coTeacher);
    const account = await Account.findOne({ where: { email, schoolId: caller.schoolId } });
    if (!account)
      throw new Refusal(
        404,
        'No teacher of your school has this address. Your administrator can invite them.',
        'email',
      );
    await ClassTeacher.findOrCreate({ where: { classId: schoolClass.id, personId: account.personId } });
    response.json(await detailsOf(schoolClass));
  });

  routes.delete('/classes/:classId/teachers/:teacherId', async (request, response) => {
    const { schoolClass, caller } = await classKept(request);
    await removeFromClass(caller, schoolClass.id, idFrom(request, 'teacherId'));
    response.json(await detailsOf(schoolClass));
  });

  return routes;
}
