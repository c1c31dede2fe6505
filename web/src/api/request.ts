import type { Problem } from '@green-beam/contract';
import { isLeftAlone } from './in-use.ts';

/** A request the server refused. */
export class RefusedError extends Error {
  override readonly name = 'RefusedError';
  constructor(
    readonly status: number,
    message: string,
    readonly field: string | null,
    /** The whole answer, for those that carry more than a message. */
    readonly body: unknown,
  ) {
    super(message);
  }
}

/** The server could not be reached, or could not reach its database; worth trying again. */
export class UnreachableError extends Error {
  override readonly name = 'UnreachableError';
}

/** The server failed on this very request. */
export class ServerFaultError extends Error {
  override readonly name = 'ServerFaultError';
}

let csrfToken = '';

/** Remembers the token that goes with everything that changes something. */
export function rememberToken(token: string): void {
  csrfToken = token;
}

interface Refused {
  readonly problem: Problem;
  readonly body: unknown;
}

async function problemOf(response: Response): Promise<Refused> {
  const body: unknown = await response.json().catch(() => null);
  const {
    message = 'The server answered something this page does not understand.',
    field = null,
    staleToken,
  } = (body ?? {}) as Partial<Problem>;
  return { problem: { message, field, ...(staleToken ? { staleToken } : {}) }, body };
}

type Method = 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE';

async function send(method: Method, path: string, body: unknown): Promise<Response> {
  const headers: Record<string, string> = { accept: 'application/json' };
  // What a page asks for by itself does not keep its session.
  if (isLeftAlone()) headers['x-left-alone'] = '1';
  if (method !== 'GET') {
    headers['x-csrf-token'] = csrfToken;
    // The server notes where this clock is far from its own.
    headers['x-device-time'] = new Date().toISOString();
  }
  if (body !== undefined) headers['content-type'] = 'application/json';
  try {
    return await fetch(`/api${path}`, {
      method,
      headers,
      credentials: 'same-origin',
      // Signing out on a shared computer is finished even when the page is left or closed at once.
      keepalive: method === 'DELETE',
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
  } catch {
    throw new UnreachableError('The server cannot be reached.');
  }
}

/** @throws UnreachableError when the connection breaks off within the answer. */
async function answerOf<Answer>(response: Response): Promise<Answer> {
  if (response.status === 204) return undefined as Answer;
  try {
    return (await response.json()) as Answer;
  } catch {
    throw new UnreachableError('The server’s answer broke off.');
  }
}

/**
 * Asks the server. A token that has gone stale, as after signing in in another tab, is fetched anew and the request sent once more.
 * @throws UnreachableError when it cannot be reached just now; ServerFaultError when it fails; RefusedError with the message for the person and the field to blame.
 */
export async function ask<Answer>(method: Method, path: string, body?: unknown): Promise<Answer> {
  let response = await send(method, path, body);
  if (response.ok) return answerOf<Answer>(response);
  let refused = await problemOf(response);
  if (refused.problem.staleToken) {
    const { csrfToken: fresh } = await answerOf<{ readonly csrfToken: string }>(
      await send('GET', '/session', undefined),
    );
    rememberToken(fresh);
    response = await send(method, path, body);
    if (response.ok) return answerOf<Answer>(response);
    refused = await problemOf(response);
  }
  const { problem, body: whole } = refused;
  if (response.status === 500) throw new ServerFaultError(problem.message);
  if (response.status > 500) throw new UnreachableError(problem.message);
  throw new RefusedError(response.status, problem.message, problem.field, whole);
}
