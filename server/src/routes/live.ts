import { promisify } from 'node:util';
import type { LiveEvent } from '@green-beam/contract';
import { Router, type Request, type Response } from 'express';
import { classInReach } from '../auth/access.ts';
import type { ClassEvents } from '../live/class-events.ts';

const HEARTBEAT = 25_000;

function write(response: Response, event: LiveEvent | 'refetch'): void {
  response.write(
    event === 'refetch'
      ? 'event: refetch\ndata: {}\n\n'
      : `event: ${event.kind}\ndata: ${JSON.stringify({ id: event.id })}\n\n`,
  );
  response.flush();
}

/** Looks again at who streams: at the session as it is kept, and at the class. @throws when either is over. */
async function stillInReach(request: Request): Promise<void> {
  await promisify(request.session.reload.bind(request.session))();
  await classInReach(request);
}

/** One stream of server-sent events per class: ids only. Students hear of runs, rules and rounds that are set, teachers of attempts too. */
export function liveRoutes(events: ClassEvents): Router {
  const routes = Router();

  routes.get('/classes/:classId/events', async (request, response) => {
    const { schoolClass, caller, as } = await classInReach(request);
    response.set({
      'content-type': 'text/event-stream',
      'cache-control': 'no-cache, no-transform',
      'x-accel-buffering': 'no',
    });
    response.flushHeaders();
    response.write('retry: 2000\n\n');
    response.flush();
    const unsubscribe = events.subscribe(schoolClass.id, (event) => {
      if (event === 'refetch' || event.kind !== 'attempt' || as === 'teacher') write(response, event);
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
    });
  });

  return routes;
}
