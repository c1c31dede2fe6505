import type { SessionState } from '@green-beam/contract';
import { dehydrate, hydrate, type DehydratedState, type QueryClient } from '@tanstack/react-query';
import { rememberToken } from '../api/request.ts';
import { KEPT_ANSWERS } from './kept-place.ts';

/** Milliseconds after a change until it is kept. */
const PAUSE = 800;

/** The pages another version of the application has fetched may be of another shape. */
const version = document.querySelector<HTMLScriptElement>('script[type=module]')?.src ?? '';

interface Kept {
  readonly version: string;
  readonly state: DehydratedState;
}

function isSomebodyHere(queries: QueryClient): boolean {
  return Boolean(queries.getQueryData<SessionState>(['session'])?.signedIn);
}

function keep(queries: QueryClient): void {
  const state = dehydrate(queries, {
    shouldDehydrateQuery: ({ state: { data } }) => data !== undefined,
    shouldDehydrateMutation: () => false,
  });
  try {
    sessionStorage.setItem(KEPT_ANSWERS, JSON.stringify({ version, state } satisfies Kept));
  } catch {
    // Without room for all of it nothing is kept: half a page would be worse than none.
    sessionStorage.removeItem(KEPT_ANSWERS);
  }
}

/**
 * Keeps what the server has answered while somebody is signed in, for as long as this tab is open: the page can be loaded again without
 * the network, and nobody who opens the browser later finds it. It is forgotten when the session ends, which may be before the page of
 * whoever was here is gone: that one stays, hidden, until the next is fetched. @returns what ends the keeping.
 */
export function keepAnswers(queries: QueryClient): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const stop = (): void => {
    clearTimeout(timer);
    timer = undefined;
  };
  const forget = (): void => {
    stop();
    sessionStorage.removeItem(KEPT_ANSWERS);
  };
  const now = (): void => {
    stop();
    if (isSomebodyHere(queries)) keep(queries);
    else forget();
  };
  const unsubscribe = queries.getQueryCache().subscribe(() => {
    if (isSomebodyHere(queries)) timer ??= setTimeout(now, PAUSE);
    else forget();
  });
  window.addEventListener('pagehide', now);
  return () => {
    unsubscribe();
    window.removeEventListener('pagehide', now);
    forget();
  };
}

/** Brings back what was kept, as fetched and out of date: everything shown is asked for again. */
export function bringBackAnswers(queries: QueryClient): void {
  const kept = JSON.parse(sessionStorage.getItem(KEPT_ANSWERS) ?? 'null') as Kept | null;
  if (kept?.version !== version) return;
  hydrate(queries, {
    ...kept.state,
    queries: kept.state.queries.map((query) => ({
      ...query,
      state: {
        ...query.state,
        status: 'success',
        error: null,
        fetchFailureCount: 0,
        fetchFailureReason: null,
        isInvalidated: true,
      },
    })),
  });
  const session = queries.getQueryData<SessionState>(['session']);
  if (session) rememberToken(session.csrfToken);
}
