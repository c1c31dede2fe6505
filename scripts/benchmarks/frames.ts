import { chromium, type CDPSession } from 'playwright-core';

const SLOW_DOWN = 4;
const FRAME = 16.7;
const STEPS = 240;
/** The browser's own name for one task of a thread; tasks do not nest. */
const TASK = 'ThreadControllerImpl::RunTask';

interface TraceEvent {
  readonly name: string;
  readonly ph: string;
  readonly dur?: number;
  readonly ts: number;
  readonly tid: number;
  readonly pid: number;
}

async function traced(client: CDPSession, work: () => Promise<void>): Promise<TraceEvent[]> {
  const events: TraceEvent[] = [];
  client.on('Tracing.dataCollected', ({ value }) => events.push(...(value as unknown as TraceEvent[])));
  await client.send('Tracing.start', { transferMode: 'ReportEvents', traceConfig: { includedCategories: ['toplevel', 'devtools.timeline'] } });
  await work();
  const complete = new Promise<void>((done) => client.once('Tracing.tracingComplete', () => done()));
  await client.send('Tracing.end');
  await complete;
  return events;
}

/** Main-thread work between one painted frame and the next, in ms: tasks of the thread that paints, summed up between its frames. */
function workPerFrame(events: readonly TraceEvent[]): number[] {
  const frames = events.filter((event) => event.name === 'PrePaint').sort((a, b) => a.ts - b.ts);
  const main = frames[0];
  if (!main) throw new Error('The trace holds no frames.');
  const tasks = events.filter((event) => event.tid === main.tid && event.pid === main.pid && event.ph === 'X' && event.name === TASK);
  if (tasks.length === 0) throw new Error(`The trace holds no ${TASK} on the main thread; nothing would be measured.`);
  const starts = frames.filter((event) => event.tid === main.tid && event.pid === main.pid && event.name === main.name).map((event) => event.ts);
  return starts.slice(1).map((end, i) => tasks.filter((task) => task.ts >= (starts[i] ?? 0) && task.ts < end).reduce((sum, task) => sum + (task.dur ?? 0) / 1000, 0));
}

const browser = await chromium.launch({ executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await page.goto(process.env['BASE_URL'] ?? '');
const eye = page.getByRole('slider');
await eye.waitFor();
const client = await page.context().newCDPSession(page);
await client.send('Emulation.setCPUThrottlingRate', { rate: SLOW_DOWN });
const box = await eye.boundingBox();
if (!box) throw new Error('The eye is not on the page.');
const events = await traced(client, async () => {
  await page.mouse.move(box.x + box.width / 2, box.y + 40);
  await page.mouse.down();
  for (let step = 0; step < STEPS; step += 1) {
    await page.mouse.move(box.x + box.width / 2, box.y + 40 + (box.height - 80) * (0.5 - 0.5 * Math.cos((step / STEPS) * 6 * Math.PI)));
  }
  await page.mouse.up();
});
await browser.close();
const work = workPerFrame(events).sort((a, b) => a - b);
const part = (share: number): string => (work[Math.min(work.length - 1, Math.floor(share * work.length))] ?? 0).toFixed(1);
const within = work.filter((ms) => ms <= FRAME).length / work.length;
process.stdout.write(`dragging the eye at ${SLOW_DOWN}× slow-down: ${(100 * within).toFixed(1)} % of ${work.length} frames within ${FRAME} ms (median ${part(0.5)} ms, 95th percentile ${part(0.95)} ms; aim: 95 %)\n`);
