import { randomUUID } from 'node:crypto';
import type { Page } from 'playwright-core';
import { asTeacher } from './as-teacher.ts';
import { classOf, post, type SignedIn } from './students.ts';
import { SLOW_DOWN, traced, workPerKey } from './work-per-frame.ts';

const BASE = process.env['BASE_URL'] ?? '';
const FRAME = 16.7;
const GROUPS = 30;
/** Each group writes once in a second, for so many seconds. */
const SECONDS = 20;
const SEEN_IN = 1000;
const ROWS = 40;
/** Of a report of a hundred readings. */
const REPORT_ROWS = 13;
const COLUMNS = 8;

const at = (times: readonly number[], share: number): number => {
  const sorted = [...times].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? NaN;
};

const entry = (
  person: string,
  quantity: string,
  trial: number,
  text: string,
  replaces: string | null = null,
): { readonly id: string; readonly [field: string]: unknown } => ({
  id: randomUUID(),
  address: { kind: 'cell', quantity, members: { trial: String(trial) } },
  text,
  replaces,
  person,
  deviceTime: new Date().toISOString(),
});

/** A laboratory of eight masses, so many trials of each, with two sums. Of 40 trials it has 400 cells. */
function large(rows: number): object {
  const step = { id: 'weigh', title: 'Weigh', text: 'Weigh.', minutes: 5, attention: 'hands' };
  const read = Array.from({ length: COLUMNS }, (_, i) => ({
    kind: 'read',
    id: `mass${i}`,
    name: `Mass ${i + 1}`,
    symbol: `m_${i}`,
    unit: 'g',
    over: ['trial'],
    tools: { kinds: ['balances'] },
    step: 'weigh',
  }));
  const computed = [1, 2].map((i) => ({
    kind: 'computed',
    id: `sum${i}`,
    name: `Sum ${i}`,
    symbol: `s_${i}`,
    unit: 'g',
    over: ['trial'],
    formula: `mass${i} + mass${i + 1} + mass${i + 2}`,
  }));
  const mean = {
    kind: 'computed',
    id: 'all',
    name: 'Mean',
    symbol: 's',
    unit: 'g',
    over: [],
    formula: 'mean(sum1 over trial)',
  };
  return {
    id: 'new',
    version: 1,
    title: `${10 * rows} cells ${Date.now()}`,
    setting: 'Washers',
    purpose: 'To be measured.',
    kit: [],
    cautions: [],
    options: [],
    dimensions: [{ kind: 'repeat', id: 'trial', name: 'Trial', least: rows, most: rows }],
    quantities: [...read, ...computed, mean],
    results: [{ quantity: 'all' }],
    comparisons: [],
    checks: [],
    steps: [step],
    statements: [],
    questions: [],
    samples: [
      {
        entries: Object.fromEntries(
          read.map(({ id }, i) => [id, Array.from({ length: rows }, (_, k) => `${12 + i}.${10 + k}`)]),
        ),
      },
    ],
  };
}

/** Begins the large laboratory as the teacher, with every cell filled. @returns its address. */
async function filled(page: Page, rows: number): Promise<string> {
  const { csrfToken, signedIn } = (await (await page.request.get('/api/session')).json()) as {
    csrfToken: string;
    signedIn: { person: { id: string } };
  };
  const send = async <Answer>(path: string, data: object): Promise<Answer> => {
    const answer = await page.request.post(`/api${path}`, { data, headers: { 'x-csrf-token': csrfToken } });
    if (!answer.ok()) throw new Error(`${path}: ${await answer.text()}`);
    return (await answer.json()) as Answer;
  };
  const [{ id: classId } = { id: '' }] = (await (await page.request.get('/api/classes')).json()) as { id: string }[];
  const id = `own-${randomUUID()}`;
  const { revision } = await send<{ revision: number }>('/lab-sheets', { id, draft: large(rows) });
  await send(`/lab-sheets/${id}/use`, { revision });
  const run = await send<{ id: string }>(`/classes/${classId}/runs`, {
    id: randomUUID(),
    protocolId: id,
    specimen: 'Washers, many',
  });
  for (let column = 0; column < COLUMNS; column += 1)
    await send(`/classes/${classId}/runs/${run.id}/events`, {
      events: Array.from({ length: rows }, (_, k) =>
        entry(signedIn.person.id, `mass${column}`, k + 1, `${12 + column}.${10 + k}`),
      ),
    });
  return `/notebook/${run.id}`;
}

/** Work from each key typed into what has the focus to the frame that shows it, on a slow laptop, in ms. */
async function typed(page: Page): Promise<number[]> {
  const client = await page.context().newCDPSession(page);
  await client.send('Emulation.setCPUThrottlingRate', { rate: SLOW_DOWN });
  const events = await traced(client, async () => {
    for (let i = 0; i < 60; i += 1) {
      await client.send('Input.dispatchKeyEvent', { type: 'char', text: String(i % 10) });
      await page.waitForTimeout(50);
      // A reading has some five digits; then the next is written.
      if (i % 5 === 4) await page.locator('input:focus').fill('');
    }
  });
  await client.send('Emulation.setCPUThrottlingRate', { rate: 1 });
  await client.detach();
  return workPerKey(events);
}

function told(what: string, work: readonly number[]): void {
  const within = work.filter((ms) => ms <= FRAME).length / work.length;
  process.stdout.write(
    `typing ${what} at ${SLOW_DOWN}× slow-down: ${(100 * within).toFixed(1)} % of ${work.length} keys within ${FRAME} ms (median ${at(work, 0.5).toFixed(1)} ms, 95th percentile ${at(work, 0.95).toFixed(1)} ms)\n`,
  );
}

/** A page with one line to write on and nothing else: what this browser and this machine need for a key at all. */
const ONE_INPUT = 'data:text/html,<input autofocus>';

/** Types in a cell of a page of 400 cells. The aim is 95 % of the keys. */
async function typing(page: Page): Promise<void> {
  await page.goto(await filled(page, ROWS));
  await page.getByRole('button', { name: /^Mass 3, trial 20/ }).click();
  await page.getByRole('textbox', { name: 'Mass 3, trial 20', exact: true }).waitFor();
  told('in a page of 400 cells', await typed(page));
  await page.goto(ONE_INPUT);
  await page.locator('input').focus();
  told('in an input alone on its page', await typed(page));
}

/** Opens the report of a laboratory by its address, until everything in it is typeset. */
async function report(page: Page): Promise<void> {
  const address = `${await filled(page, REPORT_ROWS)}/report`;
  const times: number[] = [];
  for (let i = 0; i < 15; i += 1) {
    await page.goto('/rules');
    await page.getByRole('heading', { level: 1 }).waitFor();
    const start = performance.now();
    await page.goto(address);
    await page.getByRole('heading', { name: 'Equipment' }).waitFor();
    await page.locator('.katex').first().waitFor();
    await page.getByText('Typesetting').first().waitFor({ state: 'hidden' });
    times.push(performance.now() - start);
  }
  process.stdout.write(
    `a report of ${COLUMNS * REPORT_ROWS} readings, ready to be printed: ${at(times, 0.5).toFixed(0)} ms, ${at(times, 0.95).toFixed(0)} ms at the 95th percentile (aim: under 1000 ms)\n`,
  );
}

/** Who somebody is, by their session. */
async function personOf({ headers }: SignedIn): Promise<string> {
  const answer = await fetch(`${BASE}/api/session`, { headers });
  return ((await answer.json()) as { signedIn: { person: { id: string } } }).signedIn.person.id;
}

/** Thirty groups write; a partner of one of them looks. */
async function partner(page: Page): Promise<void> {
  const students = await classOf(BASE, GROUPS + 1);
  const people = await Promise.all(students.map(personOf));
  const [looks, lookId] = [students[GROUPS], people[GROUPS]];
  if (!looks || !lookId) throw new Error('There is nobody to look.');
  const path = `/classes/${looks.classId}/runs`;
  const runs = await Promise.all(
    students.slice(0, GROUPS).map((student, i) =>
      post<{ id: string }>(BASE, student, path, {
        id: randomUUID(),
        protocolId: 'solid-by-displacement',
        specimen: `Piece ${i}`,
        memberIds: i === 0 ? [lookId] : [],
      }),
    ),
  );
  await post(BASE, looks, `${path}/${runs[0]?.id ?? ''}/members`, { personId: lookId });
  const context = await page
    .context()
    .browser()
    ?.newContext({ baseURL: BASE, viewport: { width: 1280, height: 800 } });
  if (!context) throw new Error('There is no browser.');
  await context.addCookies(
    (looks.headers['cookie'] ?? '').split('; ').map((pair) => {
      const [name = '', ...value] = pair.split('=');
      return { name, value: value.join('='), url: BASE };
    }),
  );
  const screen = await context.newPage();
  await screen.goto(`/notebook/${runs[0]?.id ?? ''}`);
  await screen.getByRole('heading', { name: 'Piece 0' }).waitFor();
  const last = new Map<number, string>();
  const write = async (group: number, text: string): Promise<void> => {
    const student = students[group];
    const event = entry(people[group] ?? '', 'mass', 1, text, last.get(group) ?? null);
    last.set(group, event.id);
    if (student) await post(BASE, student, `${path}/${runs[group]?.id ?? ''}/events`, { events: [event] });
  };
  const seen: number[] = [];
  for (let second = 0; second < SECONDS; second += 1) {
    const text = `5${(second % 9) + 1}.${10 + second}`;
    const others = Array.from({ length: GROUPS - 1 }, async (_, i) => {
      await new Promise((resolve) => setTimeout(resolve, (1000 * i) / GROUPS));
      await write(i + 1, text);
    });
    const start = performance.now();
    await new Promise((resolve) => setTimeout(resolve, 400));
    const written = performance.now();
    await Promise.all([
      write(0, text),
      // What the page holds, not how it is laid out: asking for that would make the page lay itself out at every look.
      screen.waitForFunction((wanted) => document.querySelector('main')?.textContent.includes(wanted), text, {
        polling: 10,
      }),
    ]);
    seen.push(performance.now() - written);
    await Promise.all(others);
    await new Promise((resolve) => setTimeout(resolve, Math.max(0, 1000 - (performance.now() - start))));
  }
  process.stdout.write(
    `a partner’s cell, ${GROUPS} groups writing: seen after ${at(seen, 0.5).toFixed(0)} ms, ${at(seen, 0.95).toFixed(0)} ms at the 95th percentile (aim: under ${SEEN_IN} ms)\n`,
  );
}

const { browser, page } = await asTeacher();
await partner(page);
await typing(page);
await report(page);
await browser.close();
