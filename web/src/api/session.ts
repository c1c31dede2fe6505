import type { SessionState, SignedIn } from '@green-beam/contract';
import { useMutation, useQuery, useQueryClient, type QueryClient, type UseMutationResult } from '@tanstack/react-query';
import { ask, RefusedError, rememberToken } from './request.ts';

const KEY = ['session'];
/** Milliseconds until a server that could not be reached is asked again. */
const TRY_AGAIN = 4000;

function remembered(state: SessionState): SessionState {
  rememberToken(state.csrfToken);
  return state;
}

/** Whether somebody has only joined at this screen: whoever was here before still is. */
function isJoined(before: SignedIn | null, after: SignedIn | null): boolean {
  if (!before || before.person.id !== after?.person.id) return false;
  return before.partners.every(({ id }) => after.partners.some((partner) => partner.id === id));
}

/**
 * Shows a new session. What was fetched under another one is dropped; where a partner has joined it stays, and with it what is being
 * typed, and is asked for anew.
 */
function showSession(queries: QueryClient, state: SessionState): void {
  const before = queries.getQueryData<SessionState>(KEY)?.signedIn ?? null;
  const others = { predicate: ({ queryKey }: { readonly queryKey: readonly unknown[] }) => queryKey[0] !== KEY[0] };
  queries.setQueryData(KEY, state);
  if (isJoined(before, state.signedIn)) void queries.invalidateQueries(others);
  else queries.removeQueries(others);
}

/** Fetches the session anew, with a fresh token. What was fetched for somebody else is dropped. */
async function fetchSession(queries: QueryClient): Promise<SessionState> {
  const before = queries.getQueryData<SessionState>(KEY)?.signedIn?.person.id;
  const state = remembered(await ask<SessionState>('GET', '/session'));
  if (before !== undefined && before !== state.signedIn?.person.id) showSession(queries, state);
  return state;
}

/** Finds out who is signed in when the server says that nobody is: the session was idle for too long, or ended elsewhere. */
export function askWhoIsHere(queries: QueryClient, error: Error): void {
  const isOver = error instanceof RefusedError && error.status === 401 && error.field === null;
  if (isOver && queries.getQueryData<SessionState>(KEY)?.signedIn) void queries.invalidateQueries({ queryKey: KEY });
}

/** Who is signed in; `undefined` while it is not known yet. */
export function useSession(): { state: SessionState | undefined; signedIn: SignedIn | null; failed: boolean } {
  const { data, isError } = useQuery({
    queryKey: KEY,
    queryFn: ({ client }) => fetchSession(client),
    staleTime: Infinity,
    retry: 1,
    refetchInterval: ({ state }) => (state.error ? TRY_AGAIN : false),
  });
  return { state: data, signedIn: data?.signedIn ?? null, failed: isError && data === undefined };
}

/**
 * A request that answers with a new session state: signing in, or a change of partners. Everything else fetched is dropped.
 * @param next what is asked as whoever it made signed in, before the page shows them.
 */
export function useSessionChange<Body>(
  method: 'POST' | 'DELETE',
  pathOf: (body: Body) => string,
  next?: (body: Body) => Promise<unknown>,
): UseMutationResult<SessionState, Error, Body> {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: async (body: Body) => {
      const state = remembered(await ask<SessionState>(method, pathOf(body), method === 'POST' ? body : undefined));
      await next?.(body);
      return state;
    },
    onSuccess: (state) => {
      showSession(queries, state);
    },
  });
}

/** Signs out and forgets everything that was fetched. */
export function useSignOut(): () => Promise<void> {
  const queries = useQueryClient();
  return async () => {
    await ask('DELETE', '/session');
    showSession(queries, await fetchSession(queries));
  };
}
