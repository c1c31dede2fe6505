import { invitation, removal, schoolChange, type SchoolDetails, type SchoolTeacher } from '@green-beam/contract';
import { Router } from 'express';
import { signedInAdministrator } from '../auth/access.ts';
import { renew, usedUp } from '../auth/allowances.ts';
import { invite } from '../auth/invite.ts';
import { labelOf } from '../auth/labels.ts';
import { makeLink } from '../auth/one-time-links.ts';
import { accountOf } from '../auth/sign-in-limits.ts';
import { removeFromSchool } from '../classes/teachers.ts';
import { ClassTeacher, SchoolClass } from '../models/classes.ts';
import { Account, Person, School } from '../models/people.ts';
import { notFound } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

async function teachersOf(schoolId: string): Promise<SchoolTeacher[]> {
  const [accounts, classes] = await Promise.all([
    Account.findAll({
      where: { schoolId },
      include: { model: Person, as: 'person', required: true },
      order: [['email', 'ASC']],
    }),
    SchoolClass.findAll({ where: { schoolId }, order: [['name', 'ASC']] }),
  ]);
  const taught = await ClassTeacher.findAll({ where: { classId: classes.map(({ id }) => id) } });
  const teachersIn = (classId: string): string[] =>
    taught.filter((one) => one.classId === classId).map(({ personId }) => personId);
  const locked = await usedUp(accounts.map(({ email }) => accountOf('teacher', email)));
  return accounts.flatMap(({ personId, person, email, role }) => {
    if (!person) return [];
    const own = classes.filter(({ id }) => teachersIn(id).includes(personId));
    return [
      {
        id: personId,
        name: labelOf(person, 'full'),
        email,
        role,
        classes: own.map(({ id, name }) => ({ name, alone: teachersIn(id).length === 1 })),
        locked: locked.has(accountOf('teacher', email)),
      },
    ];
  });
}

async function detailsOf(schoolId: string): Promise<SchoolDetails> {
  const [{ name, idleMinutes, keepArchivedMonths }, teachers] = await Promise.all([
    School.findByPk(schoolId, { rejectOnEmpty: true }),
    teachersOf(schoolId),
  ]);
  return { name, idleMinutes, keepArchivedMonths, teachers };
}

async function teacherOf(schoolId: string, personId: string): Promise<Account> {
  const account = await Account.findOne({ where: { personId, schoolId } });
  if (!account) throw notFound();
  return account;
}

/** The administrator's pages: who teaches at the school, invitations and password resets, all as one-time links. */
export function schoolRoutes(): Router {
  const routes = Router();

  routes.get('/school', async (request, response) => {
    response.json(await detailsOf((await signedInAdministrator(request)).schoolId));
  });

  routes.patch('/school', async (request, response) => {
    const { schoolId } = await signedInAdministrator(request);
    await School.update(await validated(request, schoolChange), { where: { id: schoolId } });
    response.json(await detailsOf(schoolId));
  });

  routes.post('/school/invitations', async (request, response) => {
    const { schoolId } = await signedInAdministrator(request);
    response.status(201).json(await invite(schoolId, await validated(request, invitation)));
  });

  routes.post('/school/teachers/:teacherId/reset', async (request, response) => {
    const { schoolId } = await signedInAdministrator(request);
    const { personId, passwordHash } = await teacherOf(schoolId, idFrom(request, 'teacherId'));
    response.status(201).json(await makeLink(passwordHash === null ? 'invitation' : 'password-reset', personId));
  });

  routes.post('/school/teachers/:teacherId/unlock', async (request, response) => {
    const { schoolId } = await signedInAdministrator(request);
    const { email } = await teacherOf(schoolId, idFrom(request, 'teacherId'));
    await renew(accountOf('teacher', email));
    response.json(await detailsOf(schoolId));
  });

  routes.post('/school/teachers/:teacherId/removal', async (request, response) => {
    const caller = await signedInAdministrator(request);
    const { heirId } = await validated(request, removal);
    await removeFromSchool(caller, idFrom(request, 'teacherId'), heirId);
    response.json(await detailsOf(caller.schoolId));
  });

  return routes;
}
