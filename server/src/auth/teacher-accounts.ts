import type { Request } from 'express';
import { Account, Person } from '../models/people.ts';
import { Refusal } from '../refusal.ts';
import { hashSecret, secretMatches } from './passwords.ts';
import { endSessionsOf, type Recognized } from './session.ts';
import { accountOf, guessing } from './sign-in-limits.ts';

type Found = Account & { readonly person: Person };

function recognized({ personId, schoolId, person }: Found): Recognized {
  return { personId, sessionsEnded: person.sessionsEnded, schoolId, classId: null };
}

async function withRightPassword(request: Request, email: string, password: string): Promise<Found> {
  const right = await guessing(request, accountOf('teacher', email), 'your administrator', async () => {
    const account = await Account.findOne({
      where: { email },
      include: { model: Person, as: 'person', required: true, where: { deletedAt: null } },
    });
    return (await secretMatches(password, account?.passwordHash ?? null)) ? (account as Found) : null;
  });
  if (!right)
    throw new Refusal(
      401,
      'E-mail or password is wrong. Try again, or ask your administrator for a new link.',
      'password',
    );
  return right;
}

/** Recognizes a teacher by e-mail and password. @throws Refusal naming the password. */
export async function recognizeTeacher(request: Request, email: string, password: string): Promise<Recognized> {
  return recognized(await withRightPassword(request, email, password));
}

/** Changes a teacher’s password, and ends all their sessions. @throws Refusal naming the password. */
export async function changePassword(
  request: Request,
  personId: string,
  { password, newPassword }: { readonly password: string; readonly newPassword: string },
): Promise<Recognized> {
  const { email } = await Account.findByPk(personId, { rejectOnEmpty: true });
  const account = await withRightPassword(request, email, password);
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
