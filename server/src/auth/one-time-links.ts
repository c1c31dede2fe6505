import { createHash, randomBytes } from 'node:crypto';
import type { OneTimeLink } from '@green-beam/contract';
import { addDays } from 'date-fns';
import { OneTimeLinkRow } from '../models/people.ts';
import { Refusal } from '../refusal.ts';

type Purpose = OneTimeLinkRow['purpose'];

function hashed(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}

/** Makes a link that works once, for seven days. Earlier unused links of the same kind for the same person stop working. */
export async function makeLink(purpose: Purpose, personId: string | null): Promise<OneTimeLink> {
  const token = randomBytes(24).toString('base64url');
  const expiresAt = addDays(new Date(), 7);
  await OneTimeLinkRow.destroy({ where: { purpose, personId, usedAt: null } });
  await OneTimeLinkRow.create({ tokenHash: hashed(token), purpose, personId, expiresAt });
  return { path: `/link/${token}`, expires: expiresAt.toISOString() };
}

/** @throws Refusal when the link is unknown, used or too old. */
export async function openLink(token: string): Promise<OneTimeLinkRow> {
  const link = await OneTimeLinkRow.findByPk(hashed(token));
  if (!link) throw new Refusal(404, 'This link is not valid. Ask for a new one.');
  if (link.usedAt) throw new Refusal(410, 'This link has been used already. Sign in, or ask for a new one.');
  if (link.expiresAt < new Date()) throw new Refusal(410, 'This link is too old. Ask for a new one.');
  return link;
}
