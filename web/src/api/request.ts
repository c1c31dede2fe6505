import type { Problem } from '@green-beam/contract';

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

let csrfToken = '';

/** Remembers the token that goes with everything that changes something. */
export function rememberToken(token: string): void {
  csrfToken = token;
}

async function problemOf(response: Response): Promise<{ problem: Problem; body: unknown }> {
  const body: unknown = await response.json().catch(() => null);
  const { message = 'The server answered something this page does not understand.', field = null } = (body ?? {}) as Partial<Problem>;
  return { problem: { message, field }, body };
}

type Method = 'GET' | 'POST' | 'PATCH' | 'DELETE';

/**
 * Asks the server.
 * @throws UnreachableError when it cannot be reached just now; RefusedError with the message for the person and the field to blame.
 */
export async function ask<Answer>(method: Method, path: string, body?: unknown): Promise<Answer> {
  const headers: Record<string, string> = { accept: 'application/json' };
  if (method !== 'GET') headers['x-csrf-token'] = csrfToken;
  if (body !== undefined) headers['content-type'] = 'application/json';
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { method, headers, credentials: 'same-origin', ...(body === undefined ? {} : { body: JSON.stringify(body) }) });
  } catch {
    throw new UnreachableError('The server cannot be reached.');
  }
  if (response.ok) return (response.status === 204 ? undefined : await response.json()) as Answer;
  const { problem, body: whole } = await problemOf(response);
  if (response.status >= 500) throw new UnreachableError(problem.message);
  throw new RefusedError(response.status, problem.message, problem.field, whole);
}
