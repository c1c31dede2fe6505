import { createHash } from 'node:crypto';
import type { Request } from 'express';
import { AskedTooOften, Refusal } from '../refusal.ts';
import { deviceKnownTo, rememberDevice } from './device.ts';
import { giveBack, takeOne, type AllowanceOf } from './allowances.ts';

/** What a guess is made at: the PIN of a student, the password of an account. Addresses of teachers are not kept in the clear. */
export function accountOf(kind: 'student' | 'teacher', id: string): string {
  return createHash('sha256').update(`${kind}:${id}`).digest('hex');
}

/** A device at which somebody has signed in to the account before has guesses of its own: whatever strangers do, it is let in. */
const onKnownDevice = (account: string, device: string): AllowanceOf => ({
  key: `known:${account}:${device}`,
  account,
  most: 10,
  every: 60,
});

/** All devices that are new to an account, together: within an hour no more than twelve guesses. */
const onNewDevices = (account: string): AllowanceOf => ({ key: `new:${account}`, account, most: 6, every: 600 });

/** New devices at one address leave some for those at others. */
const onNewDevicesAt = (account: string, address: string): AllowanceOf => ({
  key: `new:${account}:${address}`,
  account,
  most: 4,
  every: 900,
});

/** Wrong guesses from one address, whatever they are made at: a whole school sits behind one. */
const fromAddress = (address: string): AllowanceOf => ({
  key: `address:${address}`,
  account: null,
  most: 600,
  every: 1,
});

function tooMany(wait: number, whom: string): Refusal {
  const span = wait > 90 ? `${Math.ceil(wait / 60)} minutes` : `${wait} seconds`;
  return new AskedTooOften(`Too many wrong tries. Wait ${span}, or ask ${whom}.`, wait);
}

async function giveAllBack(allowances: readonly AllowanceOf[]): Promise<void> {
  for (const allowance of allowances) await giveBack(allowance);
}

/** What comes of looking at a guess; one that could not be looked at is given back. */
async function lookedAt<Found>(right: () => Promise<Found>, allowances: readonly AllowanceOf[]): Promise<Found> {
  try {
    return await right();
  } catch (error) {
    if (!(error instanceof Refusal)) await giveAllBack(allowances);
    throw error;
  }
}

async function takeAll(allowances: readonly AllowanceOf[], whom: string): Promise<void> {
  for (const [i, allowance] of allowances.entries()) {
    const wait = await takeOne(allowance);
    if (wait === 0) continue;
    await giveAllBack(allowances.slice(0, i));
    throw tooMany(wait, whom);
  }
}

/**
 * Lets a guess at an account through, or makes it wait. It is counted before it is looked at, and given back when it was right.
 * @param right whether it is; resolves to null for a wrong guess, which stays counted.
 * @param whom somebody to ask for help.
 * @throws Refusal (429).
 */
export async function guessing<Found>(
  request: Request,
  account: string,
  whom: string,
  right: () => Promise<Found | null>,
): Promise<Found | null> {
  const address = request.ip ?? '';
  const device = await deviceKnownTo(account, request);
  const own =
    device === null ? [onNewDevicesAt(account, address), onNewDevices(account)] : [onKnownDevice(account, device)];
  const allowances = [...own, fromAddress(address)];
  await takeAll(allowances, whom);
  const found = await lookedAt(right, allowances);
  if (found === null) return null;
  await giveAllBack(allowances);
  await rememberDevice(account, request);
  return found;
}

/** As `guessing`, at what belongs to nobody yet: a class code, a link. Only wrong ones stay counted. */
export async function guessingFrom<Found>(request: Request, right: () => Promise<Found>): Promise<Found> {
  const allowance = fromAddress(request.ip ?? '');
  await takeAll([allowance], 'your teacher');
  const found = await lookedAt(right, [allowance]);
  await giveBack(allowance);
  return found;
}
