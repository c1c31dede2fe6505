import { differenceInSeconds } from 'date-fns';
import { rateLimit, type RateLimitRequestHandler } from 'express-rate-limit';
import { databaseOf } from '../database.ts';
import { SignInFailure } from '../models/people.ts';
import { Refusal } from '../refusal.ts';

/** After this many failures an account waits, a minute at first and twice as long after each further one, up to a quarter of an hour. */
const FREE_FAILURES = 5;
const LONGEST_WAIT = 15 * 60;

function waitAfter(failures: number): number {
  return failures < FREE_FAILURES ? 0 : Math.min(LONGEST_WAIT, 60 * 2 ** (failures - FREE_FAILURES));
}

/** @throws Refusal (429) while the account has to wait. */
export async function checkMayTry(accountKey: string): Promise<void> {
  const known = await SignInFailure.findByPk(accountKey);
  if (!known) return;
  const wait = waitAfter(known.failures) - differenceInSeconds(new Date(), known.lastAt);
  if (wait > 0)
    throw new Refusal(
      429,
      `Too many wrong tries. Wait ${wait > 60 ? `${Math.ceil(wait / 60)} minutes` : `${wait} seconds`}, or ask your teacher.`,
    );
}

export async function countFailure(accountKey: string): Promise<void> {
  await databaseOf(SignInFailure).query(
    `insert into sign_in_failures (account_key, failures, last_at) values (:accountKey, 1, now())
     on conflict (account_key) do update set failures = sign_in_failures.failures + 1, last_at = now()`,
    { replacements: { accountKey } },
  );
}

export async function forgetFailures(accountKey: string): Promise<void> {
  await SignInFailure.destroy({ where: { accountKey } });
}

/** A whole school sits behind one address, so the cap per address is generous. */
export function addressLimit(perTenMinutes: number): RateLimitRequestHandler {
  return rateLimit({
    windowMs: 10 * 60 * 1000,
    limit: perTenMinutes,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: () => {
      throw new Refusal(429, 'Too many sign-ins from this network. Wait a few minutes and try again.');
    },
  });
}
