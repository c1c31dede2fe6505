import type { LiveEvent } from '@green-beam/contract';
import { Router, type Response } from 'express';
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

/** One stream of server-sent events per class: ids only. Students hear of runs, rules and rounds that are set, teachers of attempts too. */
export function liveRoutes(events: ClassEvents): Router {
  const routes = Router();

  routes.get('/classes/:classId/events', async (request, response) => {
    const { schoolClass, as } = await classInReach(request);
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
    const beat = setInterval(() => response.write(':\n\n'), HEARTBEAT);
    request.on('close', () => {
      clearInterval(beat);
      unsubscribe();
    });
  });

  return routes;
}
