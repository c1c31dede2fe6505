import { randomUUID } from 'node:crypto';
import type { UseLink } from '@green-beam/contract';
import type { Transaction } from 'sequelize';
import { databaseOf } from '../database.ts';
import { Account, OneTimeLinkRow, Person, School } from '../models/people.ts';
import { Refusal } from '../refusal.ts';
import { hashSecret } from './passwords.ts';
import { endSessionsOf, type Recognized } from './session.ts';

function demanded(value: string, field: string, message: string): string {
  if (value === '') throw new Refusal(400, message, field);
  return value;
}

/** The first link of an installation: makes the school and its administrator. */
async function foundSchool(
  { schoolName, name, email, password }: UseLink,
  transaction: Transaction,
): Promise<Recognized> {
  const passwordHash = await hashSecret(password);
  const school = await School.create(
    { id: randomUUID(), name: demanded(schoolName, 'schoolName', 'Write the name of your school.') },
    { transaction },
  );
  const [givenName = '', ...rest] = demanded(name, 'name', 'Write your name.').split(' ');
  const person = await Person.create(
    { id: randomUUID(), schoolId: school.id, givenName, familyName: rest.join(' ') || null },
    { transaction },
  );
  const account = {
    personId: person.id,
    schoolId: school.id,
    role: 'administrator' as const,
    email: demanded(email, 'email', 'Write your e-mail address.'),
    passwordHash,
  };
  await Account.create(account, { transaction });
  return { personId: person.id, sessionsEnded: 0, schoolId: school.id, classId: null };
}

async function setPassword(personId: string, password: string, transaction: Transaction): Promise<Recognized> {
  const account = await Account.findByPk(personId, { transaction });
  if (!account) throw new Refusal(410, 'The account of this link no longer exists. Ask your administrator.');
  await account.update({ passwordHash: await hashSecret(password) }, { transaction });
  await endSessionsOf([personId], transaction);
  const { sessionsEnded } = await Person.findByPk(personId, { transaction, rejectOnEmpty: true });
  return { personId, sessionsEnded, schoolId: account.schoolId, classId: null };
}

/** Uses a link, once: of two people who press at the same moment one is told that it has been used. */
export function takeUpLink(link: OneTimeLinkRow, chosen: UseLink): Promise<Recognized> {
  return databaseOf(OneTimeLinkRow).transaction(async (transaction) => {
    const [used] = await OneTimeLinkRow.update(
      { usedAt: new Date() },
      { where: { tokenHash: link.tokenHash, usedAt: null }, transaction },
    );
    if (used === 0) throw new Refusal(410, 'This link has been used already. Sign in, or ask for a new one.');
    return link.personId === null
      ? foundSchool(chosen, transaction)
      : setPassword(link.personId, chosen.password, transaction);
  });
}
