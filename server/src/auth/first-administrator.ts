import type { OneTimeLink } from '@green-beam/contract';
import { Account } from '../models/people.ts';
import { makeLink } from './one-time-links.ts';

/** While nobody administers the installation, a link that makes the administrator; otherwise null. */
export async function offerAdministratorLink(): Promise<OneTimeLink | null> {
  const administrators = await Account.count({ where: { role: 'administrator' } });
  return administrators > 0 ? null : makeLink('administrator', null);
}
