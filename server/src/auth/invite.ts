import type { Invitation, OneTimeLink } from '@green-beam/contract';
import { databaseOf } from '../database.ts';
import { Account, Person } from '../models/people.ts';
import { Refusal } from '../refusal.ts';
import { makeLink } from './one-time-links.ts';

/**
 * Makes a teacher’s account and the link that opens it. An invitation sent twice makes one account; whether the address is known at
 * another school is not looked at.
 */
export async function invite(schoolId: string, { id, name, email }: Invitation): Promise<OneTimeLink> {
  const [givenName = '', ...rest] = name.split(' ');
  await databaseOf(Account).transaction(async (transaction) => {
    const known = await Account.findOne({ where: { schoolId, email }, transaction });
    if (known?.personId === id && known.passwordHash === null) return;
    if (known) throw new Refusal(409, 'Your school has an account with this e-mail address already.', 'email');
    await Person.create({ id, schoolId, givenName, familyName: rest.join(' ') || null }, { transaction });
    await Account.create({ personId: id, schoolId, role: 'teacher', email, passwordHash: null }, { transaction });
  });
  return makeLink('invitation', id);
}
