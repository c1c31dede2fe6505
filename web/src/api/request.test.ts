import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ask, RefusedError, rememberToken, ServerFaultError, UnreachableError } from './request.ts';

interface Sent {
  readonly url: string;
  readonly method: string;
  readonly token: string | undefined;
}

let sent: Sent[] = [];
let answers: (Response | Error)[] = [];

beforeEach(() => {
  sent = [];
  rememberToken('first');
  vi.stubGlobal('fetch', (url: string, { method, headers }: { method: string; headers: Record<string, string> }) => {
    sent.push({ url, method, token: headers['x-csrf-token'] });
    const next = answers.shift();
    return next instanceof Error ? Promise.reject(next) : Promise.resolve(next);
  });
});
afterEach(() => vi.unstubAllGlobals());

const json = (status: number, body: unknown): Response =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });

describe('asking the server', () => {
  it('sends the token with what changes something, and only then', async () => {
    answers = [json(200, { a: 1 }), new Response(null, { status: 204 })];
    expect(await ask('GET', '/things')).toEqual({ a: 1 });
    expect(await ask('DELETE', '/things/1')).toBeUndefined();
    expect(sent).toEqual([
      { url: '/api/things', method: 'GET', token: undefined },
      { url: '/api/things/1', method: 'DELETE', token: 'first' },
    ]);
  });

  it('fetches a stale token anew and sends once more', async () => {
    answers = [
      json(403, { message: 'stale', field: null, staleToken: true }),
      json(200, { csrfToken: 'second' }),
      json(201, { id: 7 }),
    ];
    expect(await ask('POST', '/things', {})).toEqual({ id: 7 });
    expect(sent.map(({ method, token }) => [method, token])).toEqual([
      ['POST', 'first'],
      ['GET', undefined],
      ['POST', 'second'],
    ]);
  });

  it('does so once, not for ever', async () => {
    const stale = (): Response => json(403, { message: 'stale', field: null, staleToken: true });
    answers = [stale(), json(200, { csrfToken: 'second' }), stale()];
    await expect(ask('POST', '/things', {})).rejects.toThrow(RefusedError);
    expect(sent).toHaveLength(3);
  });

  it.each([
    [json(403, { message: 'You are not in this class.', field: null }), RefusedError, 'You are not in this class.'],
    [json(400, { message: 'Choose a name.', field: 'name' }), RefusedError, 'Choose a name.'],
    [new Response('<html>', { status: 404 }), RefusedError, 'something this page does not understand'],
    [json(500, { message: 'went wrong', field: null }), ServerFaultError, 'went wrong'],
    [json(503, { message: 'no database', field: null }), UnreachableError, 'no database'],
    [new Response('bad gateway', { status: 502 }), UnreachableError, 'something this page does not understand'],
    [new TypeError('Failed to fetch'), UnreachableError, 'cannot be reached'],
    [new Response('{"events": [{"id"', { status: 200 }), UnreachableError, 'broke off'],
  ] as [Response | Error, new (...given: never[]) => Error, string][])(
    '%# tells apart what can be tried again from what cannot',
    async (answer, kind, message) => {
      answers = [answer];
      const asked = ask('POST', '/things', {});
      await expect(asked).rejects.toThrow(kind);
      await expect(asked).rejects.toThrow(message);
    },
  );

  it('keeps the field to blame and the whole answer', async () => {
    answers = [json(422, { added: 0, errors: [{ row: 2 }], message: 'no', field: 'rows' })];
    const error = await ask('POST', '/things', {}).catch((thrown: unknown) => thrown);
    expect(error).toMatchObject({ status: 422, field: 'rows', body: { errors: [{ row: 2 }] } });
  });
});
