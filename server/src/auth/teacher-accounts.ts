import type { Request } from 'express';
import { Account, Person, School } from '../models/people.ts';
import { Refusal } from '../refusal.ts';
import { hashSecret, secretMatches } from './passwords.ts';
import { endSessionsOf, type Recognized } from './session.ts';
import { accountOf, guessing } from './sign-in-limits.ts';

type Found = Account & { readonly person: Person };

function recognized({ personId, schoolId, person }: Found): Recognized {
  return { personId, sessionsEnded: person.sessionsEnded, schoolId, classId: null };
}

/** The accounts with an address and a password: at several schools, where somebody teaches at more than one. */
async function matching(email: string, password: string): Promise<Found[]> {
  const accounts = await Account.findAll({
    where: { email },
    include: { model: Person, as: 'person', required: true, where: { deletedAt: null } },
  });
  // An address that nobody has takes as long as a wrong password.
  if (accounts.length === 0) await secretMatches(password, null);
  const matches = await Promise.all(accounts.map(({ passwordHash }) => secretMatches(password, passwordHash)));
  return accounts.filter((_, i) => matches[i]) as Found[];
}

async function withRightPassword(request: Request, email: string, password: string): Promise<readonly Found[]> {
  const right = await guessing(request, accountOf('teacher', email), 'your administrator', async () => {
    const found = await matching(email, password);
    return found.length > 0 ? found : null;
  });
  if (!right)
    throw new Refusal(
      401,
      'E-mail or password is wrong. Try again, or ask your administrator for a new link.',
      'password',
    );
  return right;
}

/** The one account of a school with this name. @throws Refusal naming the school, with those there are. */
async function atSchool(accounts: readonly Found[], name: string): Promise<Found> {
  const schools = await School.findAll({ where: { id: accounts.map(({ schoolId }) => schoolId) } });
  const chosen = schools.filter((school) => school.name.toLowerCase() === name.trim().toLowerCase());
  const account = accounts.find(({ schoolId }) => chosen.length === 1 && schoolId === chosen[0]?.id);
  if (account) return account;
  const names = schools.map((school) => school.name).join(', ');
  throw new Refusal(409, `You teach at several schools. Write which one you want: ${names}.`, 'school');
}

/**
 * Recognizes a teacher by e-mail and password.
 * @throws Refusal naming the password; naming the school, where they have an account with this password at several.
 */
export async function recognizeTeacher(
  request: Request,
  { email, password, school }: { readonly email: string; readonly password: string; readonly school: string },
): Promise<Recognized> {
  const accounts = await withRightPassword(request, email, password);
  const [only] = accounts;
  return recognized(only && accounts.length === 1 ? only : await atSchool(accounts, school));
}

/** Changes a teacher’s password, and ends all their sessions. @throws Refusal naming the password. */
export async function changePassword(
  request: Request,
  personId: string,
  { password, newPassword }: { readonly password: string; readonly newPassword: string },
): Promise<Recognized> {
  const { email } = await Account.findByPk(personId, { rejectOnEmpty: true });
  const accounts = await withRightPassword(request, email, password);
  const account = accounts.find((one) => one.personId === personId);
  if (!account) throw new Refusal(401, 'This is not your present password.', 'password');
  const { passwordHash } = account;
  const [changed] = await Account.update(
    { passwordHash: await hashSecret(newPassword) },
    { where: { personId, passwordHash } },
  );
  if (changed === 0) throw new Refusal(409, 'This password was changed a moment ago. Sign in again.', 'password');
  await endSessionsOf([personId]);
  const before = recognized(account);
  return { ...before, sessionsEnded: before.sessionsEnded + 1 };
}
