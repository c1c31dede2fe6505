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
  readonly args?: { readonly data?: { readonly type?: string } };
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

interface Main {
  /** When each frame was begun to be painted. */
  readonly frames: readonly number[];
  /** The tasks of the thread that paints. */
  readonly tasks: readonly TraceEvent[];
}

function mainThread(events: readonly TraceEvent[]): Main {
  const painted = events.filter((event) => event.name === 'PrePaint').sort((a, b) => a.ts - b.ts);
  const main = painted[0];
  if (!main) throw new Error('The trace holds no frames.');
  const isThere = ({ tid, pid }: TraceEvent): boolean => tid === main.tid && pid === main.pid;
  const tasks = events.filter((event) => isThere(event) && event.ph === 'X' && event.name === TASK);
  if (tasks.length === 0) throw new Error(`The trace holds no ${TASK} on the main thread; nothing would be measured.`);
  return { frames: painted.filter(isThere).map((event) => event.ts), tasks };
}

/** Processor time of tasks, in ms. */
function worked(tasks: readonly TraceEvent[]): number {
  return tasks.reduce((sum, task) => sum + (task.tdur ?? task.dur ?? 0) / 1000, 0);
}

/** Main-thread work between one painted frame and the next, in ms: processor time of the tasks of the thread that paints, summed up between its frames. */
export function workPerFrame(events: readonly TraceEvent[]): number[] {
  const { frames, tasks } = mainThread(events);
  return frames.slice(1).map((end, i) => worked(tasks.filter((task) => task.ts >= (frames[i] ?? 0) && task.ts < end)));
}

/** Main-thread work from each key to the end of the frame that shows it, in ms: what stands between the finger and the eye. */
export function workPerKey(events: readonly TraceEvent[]): number[] {
  const { frames, tasks } = mainThread(events);
  const keys = events.filter(({ name, args }) => name === 'EventDispatch' && args?.data?.type === 'keypress');
  return keys.flatMap((key) => {
    const shown = frames.find((frame) => frame > key.ts);
    if (shown === undefined) return [];
    // The task in which the key came is counted from its beginning, that of the frame to its end.
    return [worked(tasks.filter((task) => task.ts + (task.dur ?? 0) > key.ts && task.ts < shown))];
  });
}

/** At 60 frames a second, in ms. */
const FRAME = 16.7;

const part = (work: readonly number[], share: number): string =>
  (work[Math.min(work.length - 1, Math.floor(share * work.length))] ?? 0).toFixed(1);

/** Says how many frames were done in time. @param work of each frame, sorted, in ms. */
export function reportFrames(name: string, work: readonly number[]): void {
  const within = work.filter((ms) => ms <= FRAME).length / work.length;
  process.stdout.write(
    `${name} at ${SLOW_DOWN}× slow-down: ${(100 * within).toFixed(1)} % of ${work.length} frames within ${FRAME} ms (median ${part(work, 0.5)} ms, 95th percentile ${part(work, 0.95)} ms; aim: 95 %)\n`,
  );
}
