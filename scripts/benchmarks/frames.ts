import { chromium, type Page } from 'playwright-core';
import { reportFrames, SLOW_DOWN, traced, workPerFrame } from './work-per-frame.ts';

const STEPS = 240;
/** A page on which one line follows the pointer: what this browser and this machine need for a drag of anything at all. */
const ONE_LINE = `data:text/html,${encodeURIComponent(`<div role="slider" style="position:absolute;left:600px;top:100px;width:60px;height:500px;touch-action:none"><svg width="60" height="500"><line x2="60" stroke="black"/></svg></div>
<script>const line = document.querySelector('line'); document.querySelector('div').addEventListener('pointermove', (event) => { for (const end of ['y1', 'y2']) line.setAttribute(end, event.clientY - 100); });</script>`)}`;
/** A grip smaller than this, in pixels, has a rail of its own. */
const SMALL = 100;
/** Frames in which nothing was drawn need less than this, in ms. */
const IDLE = 0.5;

/** Work of the frames that drew something while the slider of a page was dragged to and fro, sorted, in ms. */
async function dragged(page: Page, url: string, name = /eye/i): Promise<number[]> {
  await page.goto(url);
  const slider = url === ONE_LINE ? page.getByRole('slider') : page.getByRole('slider', { name });
  await slider.waitFor();
  const client = await page.context().newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOW_DOWN });
  const [own, rail] = [await slider.boundingBox(), await slider.locator('..').boundingBox()];
  // What is small is dragged along the rail it is on.
  const box = own && Math.max(own.width, own.height) < SMALL ? rail : own;
  if (!box) throw new Error('There is no slider on the page.');
  // Events go in below the driver: its own mouse runs scripts in the page at every step of a drag, which are not the page's work.
  const across = box.width > box.height;
  const mouse = (type: 'mouseMoved' | 'mousePressed' | 'mouseReleased', part: number): Promise<unknown> => {
    const [x, y] = across
      ? [box.x + 40 + part * (box.width - 80), box.y + box.height / 2]
      : [box.x + box.width / 2, box.y + 40 + part * (box.height - 80)];
    return client.send('Input.dispatchMouseEvent', {
      type,
      x,
      y,
      button: 'left',
      buttons: 1,
      clickCount: 1,
      pointerType: 'mouse',
    });
  };
  const events = await traced(client, async () => {
    await mouse('mouseMoved', 0);
    await mouse('mousePressed', 0);
    for (let step = 0; step < STEPS; step += 1)
      await mouse('mouseMoved', 0.5 - 0.5 * Math.cos((step / STEPS) * 6 * Math.PI));
    await mouse('mouseReleased', 0);
  });
  await client.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await client.detach();
  return workPerFrame(events)
    .filter((ms) => ms > IDLE)
    .sort((a, b) => a - b);
}

/** One tool of each way of being drawn, from a round of a student of the sample class. */
const TOOLS = [
  'burette-50',
  'beaker-250',
  'conical-flask-250',
  'thermometer-degree',
  'hydrometer-1000',
  'ruler-millimetre',
];

interface Session {
  readonly signedIn: { readonly class: { readonly id: string } | null; readonly person: { readonly id: string } };
  readonly csrfToken: string;
}

async function sessionOf(page: Page): Promise<Session> {
  return (await page.request.get('/api/session')).json() as Promise<Session>;
}

/** Has the teacher set rounds of one reading, aimed at a slip that says nothing of how it is handled, until the picture is as wanted. */
async function onBench(
  page: Page,
  teacher: Page,
  tool: string,
  aim: string,
  wanted: (handled: string | null) => boolean,
): Promise<void> {
  const [{ signedIn, csrfToken }, setter] = [await sessionOf(page), await sessionOf(teacher)];
  const rounds = `/api/classes/${signedIn.class?.id ?? ''}`;
  const asTeacher = { 'x-csrf-token': setter.csrfToken };
  for (let tried = 0; tried < 100; tried += 1) {
    const set = await teacher.request.post(`${rounds}/set-rounds`, {
      data: { title: 'To be measured', subjectIds: [tool], length: 1, aims: [aim], studentIds: [signedIn.person.id] },
      headers: asTeacher,
    });
    if (!set.ok()) throw new Error(`No round of ${tool}: ${await set.text()}`);
    const [{ id }] = (await set.json()) as [{ id: string }];
    const begun = await page.request.post(`${rounds}/rounds`, {
      data: { setRoundId: id },
      headers: { 'x-csrf-token': csrfToken },
    });
    await teacher.request.post(`${rounds}/set-rounds/${id}/withdraw`, { headers: asTeacher });
    const [first] = ((await begun.json()) as { tasks: { picture: { handled: string | null } }[] }).tasks;
    if (first && wanted(first.picture.handled)) return;
  }
  throw new Error(`No such picture of ${tool} in a hundred rounds.`);
}

const base = process.env['BASE_URL'] ?? '';
const browser = await chromium.launch({
  executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 }, baseURL: base });
reportFrames('a single line following the pointer', await dragged(page, ONE_LINE));
reportFrames('dragging the eye, cylinder', await dragged(page, base));
async function enter(someone: Page, door: RegExp): Promise<void> {
  await someone.goto('/sign-in');
  await someone.getByRole('button', { name: door }).click();
  await someone.getByRole('button', { name: 'Sign out' }).waitFor();
}

const teacher = await (await browser.newContext({ baseURL: base })).newPage();
await enter(teacher, /As Maren/);
await enter(page, /As Ines/);
for (const tool of TOOLS) {
  await onBench(page, teacher, tool, 'unit-missing', (handled) => handled !== 'try' && handled !== 'lay');
  reportFrames(`dragging the eye, ${tool}`, await dragged(page, base));
}
const BY_HAND = [
  ['laying a thing at a ruler', 'ruler-millimetre', 'lay', /^Where the/],
  ['turning a thimble', 'micrometer-thousandth', 'close', /^The thimble/],
  ['moving a slide', 'caliper-fiftieth', 'close', /^The slide/],
  ['moving a rider while the pointer swings', 'beam-balance-hundredth', 'weigh', /^Sliding rider/],
] as const;
for (const [what, tool, how, name] of BY_HAND) {
  await onBench(page, teacher, tool, 'unit-missing', (handled) => handled === how);
  reportFrames(what, await dragged(page, base, name));
}
await browser.close();
