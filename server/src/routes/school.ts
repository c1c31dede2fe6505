import { randomUUID } from 'node:crypto';
import { invitation, type SchoolTeacher } from '@green-beam/contract';
import { Router } from 'express';
import { signedInAdministrator } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { makeLink } from '../auth/one-time-links.ts';
import { ClassTeacher, SchoolClass } from '../models/classes.ts';
import { Account, Person } from '../models/people.ts';
import { notFound, Refusal } from '../refusal.ts';
import { idFrom, validated } from '../validated.ts';

async function teachersOf(schoolId: string): Promise<SchoolTeacher[]> {
  const accounts = await Account.findAll({ where: { schoolId }, order: [['email', 'ASC']] });
  const ids = accounts.map((account) => account.personId);
  const [people, taught, classes] = await Promise.all([
    Person.findAll({ where: { id: ids } }),
    ClassTeacher.findAll({ where: { personId: ids } }),
    SchoolClass.findAll({ where: { schoolId } }),
  ]);
  return accounts.flatMap((account) => {
    const person = people.find((one) => one.id === account.personId);
    const classIds = taught.filter((one) => one.personId === account.personId).map((one) => one.classId);
    return person
      ? [
          {
            id: person.id,
            name: labelOf(person, 'full'),
            email: account.email,
            role: account.role,
            classes: classes.filter((one) => classIds.includes(one.id)).map((one) => one.name),
          },
        ]
      : [];
  });
}

/** The administrator's pages: who teaches at the school, invitations and password resets, all as one-time links. */
export function schoolRoutes(): Router {
  const routes = Router();

  routes.get('/school/teachers', async (request, response) => {
    response.json(await teachersOf((await signedInAdministrator(request)).schoolId));
  });

  routes.post('/school/invitations', async (request, response) => {
    const { schoolId } = await signedInAdministrator(request);
    const { name, email } = await validated(request, invitation);
    if (await Account.findOne({ where: { email } }))
      throw new Refusal(409, 'There is an account with this e-mail address already.', 'email');
    const [givenName = '', ...rest] = name.split(' ');
    const person = await Person.create({ id: randomUUID(), schoolId, givenName, familyName: rest.join(' ') || null });
    await Account.create({ personId: person.id, schoolId, role: 'teacher', email, passwordHash: null });
    response.status(201).json(await makeLink('invitation', person.id));
  });

  routes.post('/school/teachers/:teacherId/reset', async (request, response) => {
    const { schoolId } = await signedInAdministrator(request);
    const account = await Account.findOne({ where: { personId: idFrom(request, 'teacherId'), schoolId } });
    if (!account) throw notFound();
    response
      .status(201)
      .json(await makeLink(account.passwordHash === null ? 'invitation' : 'password-reset', account.personId));
  });

  return routes;
}
