import type { CDPSession } from 'playwright-core';

/** A laptop of a school is so many times slower. */
export const SLOW_DOWN = 4;
/** The browser's own name for one task of a thread; tasks do not nest. */
const TASK = 'ThreadControllerImpl::RunTask';

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly dur?: number;
  /** Time on the processor, without waiting for one. */
  readonly tdur?: number;
  readonly ts: number;
  readonly tid: number;
  readonly pid: number;
}

/** What the browser says of its work while something is done. */
export async function traced(client: CDPSession, work: () => Promise<void>): Promise<TraceEvent[]> {
  const events: TraceEvent[] = [];
  client.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
  await client.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: ['toplevel', 'devtools.timeline'] },
  });
  await work();
  const complete = new Promise<void>((done) => client.once('Tracing.tracingComplete', () => done()));
  await client.send('Tracing.end');
  await complete;
  return events;
}

/** Main-thread work between one painted frame and the next, in ms: processor time of the tasks of the thread that paints, summed up between its frames. */
export function workPerFrame(events: readonly TraceEvent[]): number[] {
  const frames = events.filter((event) => event.name === 'PrePaint').sort((a, b) => a.ts - b.ts);
  const main = frames[0];
  if (!main) throw new Error('The trace holds no frames.');
  const tasks = events.filter(
    (event) => event.tid === main.tid && event.pid === main.pid && event.ph === 'X' && event.name === TASK,
  );
  if (tasks.length === 0) throw new Error(`The trace holds no ${TASK} on the main thread; nothing would be measured.`);
  const starts = frames
    .filter((event) => event.tid === main.tid && event.pid === main.pid && event.name === main.name)
    .map((event) => event.ts);
  return starts
    .slice(1)
    .map((end, i) =>
      tasks
        .filter((task) => task.ts >= (starts[i] ?? 0) && task.ts < end)
        .reduce((sum, task) => sum + (task.tdur ?? task.dur ?? 0) / 1000, 0),
    );
}
