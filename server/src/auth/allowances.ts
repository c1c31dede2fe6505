import { askPrepared, databaseOf } from '../database.ts';
import { Person } from '../models/people.ts';

/** So many allowances at once, and one more after each span of time, in seconds. */
interface Allowance {
  readonly most: number;
  readonly every: number;
}

/** An allowance, and whose it is. */
export interface AllowanceOf extends Allowance {
  readonly key: string;
  /** The account it is for; null for what belongs to nobody. */
  readonly account: string | null;
}

function ask<Row extends object>(statement: string, values: readonly unknown[]): Promise<Row[]> {
  return askPrepared<Row>(databaseOf(Person), statement, values);
}

/** What is used up at present: it comes back with time. A clock that was set back gives nothing and takes nothing. */
const USED = 'greatest(0, allowances.used - greatest(0, extract(epoch from now() - allowances.at)) / allowances.every)';

/**
 * Takes one, as of guesses before they are looked at: of many taken at the same moment no more get through than are allowed.
 * @returns how long to wait for the next one, in seconds; 0 when this one was taken.
 */
export async function takeOne({ key, account, most, every }: AllowanceOf): Promise<number> {
  const [taken] = await ask(
    `insert into allowances (key, account, most, every, used, at) values ($1, $2, $3, $4, 1, now())
     on conflict (key) do update set used = ${USED} + 1, at = now() where ${USED} + 1 <= allowances.most
     returning key`,
    [key, account, most, every],
  );
  if (taken) return 0;
  const [left] = await ask<{ wait: number }>(
    `select (${USED} + 1 - most) * every as wait from allowances where key = $1`,
    [key],
  );
  return Math.max(1, Math.ceil(left?.wait ?? 1));
}

/** Gives one back, such as a guess that was right, or that was not looked at after all. */
export async function giveBack({ key }: AllowanceOf): Promise<void> {
  await ask(`update allowances set used = greatest(0, used - 1) where key = $1`, [key]);
}

/** Gives back all that was used of the allowances of an account. */
export async function renew(account: string): Promise<void> {
  await ask(`delete from allowances where account = $1`, [account]);
}

/** Which of some accounts have an allowance that is used up. */
export async function usedUp(accounts: readonly string[]): Promise<Set<string>> {
  const rows = await ask<{ account: string }>(
    `select distinct account from allowances where account = any($1) and ${USED} + 1 > most`,
    [accounts],
  );
  return new Set(rows.map(({ account }) => account));
}

/** Forgets what has come back long ago. */
export async function forgetOld(): Promise<void> {
  await ask(`delete from allowances where at < now() - interval '1 day'`, []);
}
