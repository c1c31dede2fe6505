import { promisify } from 'node:util';
import type { LiveEvent, LiveKind } from '@green-beam/contract';
import { Router, type Request, type Response } from 'express';
import { classInReach } from '../auth/access.ts';
import type { ClassEvents } from '../live/class-events.ts';
import { Refusal } from '../refusal.ts';

const HEARTBEAT = 25_000;

/** Students are not told who else answers and comes in. */
const FOR_TEACHERS: ReadonlySet<LiveKind> = new Set(['attempt', 'lesson', 'together-answer']);

function write(response: Response, event: LiveEvent | 'refetch'): void {
  response.write(
    event === 'refetch'
      ? 'event: refetch\ndata: {}\n\n'
      : `event: ${event.kind}\ndata: ${JSON.stringify({ id: event.id, count: event.count })}\n\n`,
  );
  response.flush();
}

/** A browser holds one stream, or one a tab where its tabs cannot agree; more than so many are no browser’s. */
const MOST_STREAMS = 12;

/** How many streams of a session are open at this process. */
const streams = new Map<string, number>();

/** Counts a stream of a session, until the returned function is called. @throws Refusal (429). */
function openFor(session: string): () => void {
  const open = streams.get(session) ?? 0;
  if (open >= MOST_STREAMS)
    throw new Refusal(429, `This page is open in ${MOST_STREAMS} tabs already. Close some of them.`);
  streams.set(session, open + 1);
  return () => {
    const left = (streams.get(session) ?? 1) - 1;
    if (left > 0) streams.set(session, left);
    else streams.delete(session);
  };
}

/** Looks again at who streams: at the session as it is kept, and at the class. @throws when either is over. */
async function stillInReach(request: Request): Promise<void> {
  await promisify(request.session.reload.bind(request.session))();
  await classInReach(request);
}

/** One stream of server-sent events per class: ids only. Students hear of runs, rules and rounds that are set, teachers of attempts and of who comes in too. */
export function liveRoutes(events: ClassEvents): Router {
  const routes = Router();

  routes.get('/classes/:classId/events', async (request, response) => {
    const { schoolClass, caller, as } = await classInReach(request);
    // Whoever has gone meanwhile is told nothing, and would not be heard to close.
    if (request.socket.destroyed) return;
    const close = openFor(request.sessionID);
    response.set({
      'content-type': 'text/event-stream',
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    });
    response.flushHeaders();
    response.write('retry: 2000\n\n');
    response.flush();
    const unsubscribe = events.subscribe(schoolClass.id, (event) => {
      if (event === 'refetch' || as === 'teacher' || !FOR_TEACHERS.has(event.kind)) write(response, event);
    });
    const forget = events.whenSessionsEnd(caller.personId, () => response.end());
    // A session that was idle for too long, a class that was closed and a teacher who left it are found out here.
    const beat = setInterval(() => {
      response.write(':\n\n');
      stillInReach(request).catch(() => response.end());
    }, HEARTBEAT);
    request.on('close', () => {
      clearInterval(beat);
      unsubscribe();
      forget();
      close();
    });
  });

  return routes;
}
