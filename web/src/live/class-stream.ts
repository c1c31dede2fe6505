import type { LiveEvent, LiveKind, TogetherAtFront } from '@green-beam/contract';
import { useQueryClient, type QueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { fetchAgain } from '../api/fetch-again.ts';

const CHANNEL = 'green-beam-live';

interface Heard {
  readonly classId: string;
  readonly kind: LiveKind | 'refetch';
  readonly id: string | null;
  readonly count?: number;
}

/** What is fetched again when something is told; how far everybody has come with what is set changes with every attempt. */
const SHOWN_OF: Readonly<Record<LiveKind, readonly string[]>> = {
  attempt: ['board', 'student-record', 'set-rounds'],
  run: ['run', 'runs', 'openings', 'reports', 'class-results'],
  rules: ['rules'],
  'set-round': ['set-rounds'],
  lesson: ['lesson', 'classmates'],
  together: ['together', 'together-now'],
  'together-answer': ['together'],
};
const KINDS = Object.keys(SHOWN_OF) as LiveKind[];

/** Shows at once how many have answered; the answer to asking again may be a while on its way. */
function showCount(queries: QueryClient, { classId, id, count = 0 }: Heard): void {
  queries.setQueryData<TogetherAtFront>(
    ['together', classId, id],
    (shown) => shown && { ...shown, answered: Math.max(shown.answered, count) },
  );
}

/** Fetches again what an event has changed; after a gap, everything. */
function refresh(queries: QueryClient, heard: Heard): void {
  const { classId, kind, id } = heard;
  if (kind === 'together-answer') showCount(queries, heard);
  const changed = kind === 'refetch' ? [...new Set(Object.values(SHOWN_OF).flat())] : SHOWN_OF[kind];
  for (const shown of changed)
    void fetchAgain(queries, shown === 'run' && id !== null ? [shown, classId, id] : [shown, classId]);
}

/** Milliseconds until a stream the server refused, as while its database is away, is asked for again; one that only broke comes back by itself. */
const ASK_AGAIN = 3000;

function stream(classId: string, hear: (heard: Heard) => void, refused: () => void): () => void {
  let source: EventSource;
  let again: ReturnType<typeof setTimeout> | undefined;
  const told = (event: MessageEvent<string>): Omit<LiveEvent, 'kind'> => JSON.parse(event.data) as LiveEvent;
  const connect = (): void => {
    source = new EventSource(`/api/classes/${classId}/events`);
    for (const kind of KINDS)
      source.addEventListener(kind, (event: MessageEvent<string>) => hear({ classId, kind, ...told(event) }));
    source.addEventListener('refetch', () => hear({ classId, kind: 'refetch', id: null }));
    source.addEventListener('error', () => {
      if (source.readyState !== EventSource.CLOSED) return;
      refused();
      again = setTimeout(connect, ASK_AGAIN);
    });
    // What happened after something was fetched and before the stream was open was told to nobody here.
    source.addEventListener('open', () => hear({ classId, kind: 'refetch', id: null }));
  };
  connect();
  return () => {
    clearTimeout(again);
    source.close();
  };
}

/** Holds the browser's one stream of a class while no other tab does, and hands on what it hears. */
function holdStream(classId: string, hear: (heard: Heard) => void, refused: () => void): () => void {
  const controller = new AbortController();
  let close = (): void => undefined;
  // Locks exist on secure pages only; elsewhere each tab streams for itself.
  if (!('locks' in navigator)) return stream(classId, hear, refused);
  void navigator.locks
    .request(`${CHANNEL} ${classId}`, { signal: controller.signal }, () => {
      close = stream(classId, hear, refused);
      return new Promise<void>((release) => controller.signal.addEventListener('abort', () => release()));
    })
    .catch(() => undefined);
  return () => {
    close();
    controller.abort();
  };
}

/** Keeps what is shown of a class up to date while the page is open. */
export function useClassStream(classId: string | null): void {
  const queries = useQueryClient();
  useEffect(() => {
    if (classId === null) return undefined;
    const channel = new BroadcastChannel(CHANNEL);
    channel.addEventListener('message', (event: MessageEvent<Heard>) => {
      if (event.data.classId === classId) refresh(queries, event.data);
    });
    const release = holdStream(
      classId,
      (heard) => {
        refresh(queries, heard);
        channel.postMessage(heard);
      },
      // It may be that nobody is signed in any more.
      () => void queries.invalidateQueries({ queryKey: ['session'] }),
    );
    return () => {
      release();
      channel.close();
    };
  }, [classId, queries]);
}
