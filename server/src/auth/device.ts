import { createHash, randomBytes } from 'node:crypto';
import { parse } from 'cookie';
import type { Request } from 'express';
import { askPrepared, databaseOf } from '../database.ts';
import { Person } from '../models/people.ts';

const COOKIE = 'green-beam-device';
/** Browsers keep a cookie no longer, in ms. */
const KEPT = 400 * 24 * 3600 * 1000;

const hashed = (name: string): string => createHash('sha256').update(name).digest('hex');

/** What a browser calls itself, once somebody has signed in at it; it says nothing of who that was. */
function nameOf(request: Request): string | null {
  return parse(request.headers.cookie ?? '')[COOKIE] ?? null;
}

/** The device of a request, if somebody has signed in to an account at it. */
export async function deviceKnownTo(account: string, request: Request): Promise<string | null> {
  const name = nameOf(request);
  if (name === null) return null;
  const device = hashed(name);
  const [known] = await askPrepared(
    databaseOf(Person),
    'select device from known_devices where account = $1 and device = $2',
    [account, device],
  );
  return known ? device : null;
}

function newName(request: Request): string {
  const name = randomBytes(24).toString('base64url');
  request.res?.cookie(COOKIE, name, { httpOnly: true, sameSite: 'lax', secure: request.secure, maxAge: KEPT });
  return name;
}

/** Remembers that somebody has signed in to an account at the device of a request. */
export async function rememberDevice(account: string, request: Request): Promise<void> {
  const name = nameOf(request) ?? newName(request);
  await askPrepared(
    databaseOf(Person),
    `insert into known_devices (account, device) values ($1, $2)
     on conflict (account, device) do update set last_at = now()`,
    [account, hashed(name)],
  );
}
