import { ConnectionError, EmptyResultError, InstanceError } from 'sequelize';

/** What the database could not do, as it is told. */
interface Trouble {
  readonly status: 400 | 409 | 503;
  readonly message: string;
}

const KEPT = 'What you wrote stays in this browser.';
const REMOVED = 'What this belongs to has been removed. Load the page again.';
const AWAY = `The server cannot reach its database just now. ${KEPT} Try again in a moment.`;

/** By the code of PostgreSQL (its appendix A), or the class that the code begins with. */
const BY_CODE: readonly (readonly [code: RegExp, status: Trouble['status'], message: string])[] = [
  // The disk is full, or memory, or it has no connection left.
  [/^53[12]/, 503, `The server has no room left to store anything. ${KEPT} Tell whoever looks after the server.`],
  [/^53/, 503, `The server is very busy just now. ${KEPT} Try again in a moment.`],
  [/^25006/, 503, `The server stores nothing new just now. ${KEPT} Try again later.`],
  // Two were in each other’s way, or it took too long.
  [/^(40|55P03|57014)/, 503, `The server is very busy just now. ${KEPT} Try again in a moment.`],
  [/^(08|57P|58|XX)/, 503, AWAY],
  // What it belongs to was removed at the same moment, or the same was stored.
  [/^23503/, 409, REMOVED],
  [/^23505/, 409, 'This is there already. Load the page again.'],
  // A value that no field of the database holds.
  [/^22/, 400, 'Something in this request is outside what can be stored.'],
];

const BROKEN_CONNECTION = /ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT/;
const BROKEN_IN_WORDS = /Connection terminated|Client has encountered a connection error|Query read timeout/;

/** A row that must be there, and was removed between two statements. */
const isGone = (error: unknown): boolean => error instanceof EmptyResultError || error instanceof InstanceError;

/** What to say when the database is at fault, or what somebody else did to it meanwhile; null when something else is. */
export function databaseTrouble(error: unknown): Trouble | null {
  if (isGone(error)) return { status: 409, message: REMOVED };
  const cause = (error as { original?: unknown } | null)?.original ?? error;
  const { code, message } = (cause ?? {}) as { code?: unknown; message?: unknown };
  const known = typeof code === 'string' ? BY_CODE.find(([pattern]) => pattern.test(code)) : undefined;
  if (known) return { status: known[1], message: known[2] };
  const isBroken =
    error instanceof ConnectionError ||
    (typeof code === 'string' && BROKEN_CONNECTION.test(code)) ||
    (typeof message === 'string' && BROKEN_IN_WORDS.test(message));
  return isBroken ? { status: 503, message: AWAY } : null;
}
