import connectPgSimple from 'connect-pg-simple';
import { doubleCsrf } from 'csrf-csrf';
import type { Request, RequestHandler, Response } from 'express';
import session, { type SessionData } from 'express-session';
import type pg from 'pg';
import type { Sequelize } from 'sequelize';
import type { Config } from '../config.ts';
import { askPrepared } from '../database.ts';

declare module 'express-session' {
  interface SessionData {
    /** The session ends when nothing was asked for so long, in minutes. */
    idleMinutes?: number;
  }
}

/** A session is said to be in use at most so often, in ms: once for all that is asked in between. */
const TOLD_EVERY = 60_000;

/** On a session, for one request; it is not stored. */
const LEFT_ALONE = Symbol('left alone');

const LibraryStore = connectPgSimple(session);

/** Sessions in the database, each with an end of its own, which moves on while it is in use. */
class IdleStore extends LibraryStore {
  private readonly told = new Map<string, number>();

  constructor(private readonly sequelize: Sequelize) {
    // The store asks for nothing of a pool but this.
    const pool = {
      query: async (statement: string, values: unknown[]) => ({
        rows: await askPrepared(sequelize, statement, values),
      }),
    } as unknown as pg.Pool;
    super({ pool, tableName: 'sessions', pruneSessionInterval: 15 * 60 });
  }

  override set(sid: string, data: SessionData, callback?: (error?: unknown) => void): void {
    askPrepared(
      this.sequelize,
      `insert into sessions (sid, sess, expire) values ($1, $2, $3)
       on conflict (sid) do update set sess = excluded.sess, expire = excluded.expire`,
      [sid, JSON.stringify(data), endOf(data)],
    ).then(
      () => callback?.(),
      (error: unknown) => callback?.(error),
    );
  }

  /** A session that is over stays so, and one that nobody uses comes to its end. */
  override touch(sid: string, data: SessionData, callback?: () => void): void {
    if (!(LEFT_ALONE in data) && this.isToldAnew(sid, Date.now()))
      askPrepared(this.sequelize, 'update sessions set expire = $2 where sid = $1 and expire > now()', [
        sid,
        endOf(data),
      ]).catch(() => undefined);
    callback?.();
  }

  private isToldAnew(sid: string, now: number): boolean {
    if (now - (this.told.get(sid) ?? 0) < TOLD_EVERY) return false;
    for (const [known, at] of this.told) if (now - at >= TOLD_EVERY) this.told.delete(known);
    this.told.set(sid, now);
    return true;
  }
}

/** The browser keeps a cookie without an end until it is closed; the store keeps the session until it is idle for too long. */
function endOf({ idleMinutes = 1 }: SessionData): Date {
  return new Date(Date.now() + idleMinutes * 60_000);
}

/** Marks what a page asks for by itself, as for news of the class, with nobody before it. */
const leftAlone: RequestHandler = (request, _response, next) => {
  if (request.get('x-left-alone') !== undefined) Object.defineProperty(request.session, LEFT_ALONE, { value: true });
  next();
};

/** Sessions of people who are signed in. Who is not has none: a visit stores nothing. */
export function sessions(config: Config, sequelize: Sequelize): RequestHandler[] {
  const found = session({
    name: 'green-beam',
    secret: config.sessionSecret,
    resave: false,
    saveUninitialized: false,
    store: new IdleStore(sequelize),
    cookie: { httpOnly: true, sameSite: 'lax', secure: config.secureCookies },
  });
  return [found, leftAlone];
}

/** The token that goes with everything that changes something, and the check of it. */
export interface Csrf {
  readonly protection: RequestHandler;
  readonly tokenFor: (request: Request, response: Response) => string;
}

/** Tokens are signed, and belong to the session where there is one; nothing is stored for them. */
export function csrf(config: Config): Csrf {
  const { doubleCsrfProtection, generateCsrfToken } = doubleCsrf({
    getSecret: () => config.sessionSecret,
    getSessionIdentifier: (request) => (request.session.identity ? request.sessionID : 'nobody'),
    cookieName: 'green-beam-token',
    cookieOptions: { httpOnly: true, sameSite: 'lax', secure: config.secureCookies },
  });
  return { protection: doubleCsrfProtection, tokenFor: (request, response) => generateCsrfToken(request, response) };
}
