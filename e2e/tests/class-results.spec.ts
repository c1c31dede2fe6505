import { randomUUID } from 'node:crypto';
import type { Page } from '@playwright/test';
import { beginLaboratory, enterAs, expect, fillCell, test } from './world.ts';

test.setTimeout(120_000);

interface Door {
  readonly page: Page;
  readonly token: string;
  readonly person: string;
  readonly classId: string;
}

async function doorOf(page: Page): Promise<Door> {
  const { csrfToken, signedIn } = await (await page.request.get('/api/session')).json();
  const [{ id }] = await (await page.request.get('/api/classes')).json();
  return { page, token: csrfToken, person: signedIn.person.id, classId: id };
}

/** A group’s page with two trials, weighed on a balance of the cabinet. @returns its id. */
async function recorded(
  { page, token, person, classId }: Door,
  specimen: string,
  balance: string,
  mass: number,
): Promise<string> {
  const headers = { 'x-csrf-token': token };
  const runId = randomUUID();
  const begun = await page.request.post(`/api/classes/${classId}/runs`, {
    data: { id: runId, protocolId: 'solid-by-displacement', specimen },
    headers,
  });
  expect(begun.status()).toBe(201);
  const cell = (quantity: string, trial: string): object => ({ kind: 'cell', quantity, members: { trial } });
  const entries: [object, string][] = [
    [{ kind: 'tool', quantity: 'mass', members: {} }, `digital-balance-hundredth; ${balance}`],
    ...['1', '2'].flatMap((trial): [object, string][] => [
      [cell('mass', trial), mass.toFixed(2)],
      [cell('before', trial), '20.0'],
      [cell('after', trial), '26.0'],
    ]),
  ];
  const events = entries.map(([address, text]) => ({
    id: randomUUID(),
    address,
    text,
    person,
    deviceTime: new Date().toISOString(),
  }));
  const written = await page.request.post(`/api/classes/${classId}/runs/${runId}/events`, {
    data: { events },
    headers,
  });
  expect(written.status(), await written.text()).toBe(200);
  return runId;
}

/** The same, as a student writes it on the page. */
async function recordedBy(page: Page, specimen: string, after: string): Promise<string> {
  await beginLaboratory(page, specimen);
  await fillCell(page, 'Dry mass, trial 1', '17.29');
  await fillCell(page, 'Water before, trial 1', '20.0');
  await fillCell(page, 'Water after, trial 1', after);
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  return new URL(page.url()).pathname.split('/').at(-1) ?? '';
}

async function handIn(page: Page, runId: string): Promise<void> {
  await page.goto(`/notebook/${runId}`);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText(/^Handed in /)).toBeVisible();
}

test('the results of a class while groups still record: a balance that weighs too little is named, and the wall has letters for names', async ({
  page,
}) => {
  await enterAs(page, 'teacher', '/notebook');
  const door = await doorOf(page);
  const specimen = `Brass bush, all groups ${test.info().repeatEachIndex + 1}`;
  const low = [45.1, 45.16, 45.21];
  const others = [50.9, 51.02, 51.1, 51.07];
  const first = await recorded(door, specimen, 'B-02', low[0] ?? 0);
  for (const mass of low.slice(1)) await recorded(door, specimen, 'B-02', mass);
  for (const mass of others.slice(0, 2)) await recorded(door, specimen, 'B-01', mass);
  await page.goto(`/class-results?of=${first}`);
  const groups = page.getByRole('main').getByRole('rowheader');
  await expect(groups).toHaveCount(5);
  await expect(page.getByText(/^Tools and choices are compared where/)).toBeVisible();

  // Two groups record while the page is open.
  for (const mass of [...others.slice(2), 50.95]) await recorded(door, specimen, 'B-01', mass);
  await expect(groups).toHaveCount(8);
  await expect(page.getByText('Worth checking B-02 against B-01.')).toBeVisible();
  await expect(
    page.getByText(/The three groups that used it found about 0\.9\d* g\/mL less than the five others/),
  ).toBeVisible();
  await expect(page.getByText(/By chance: 1 in 56\./)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Maren O.' })).toHaveCount(8);
  // What is pointed at says who it is, with its number.
  const strip = page.getByRole('img', { name: /^8 groups, from/ });
  const dot = (await strip.locator('circle').first().boundingBox())!;
  await page.mouse.move(dot.x + dot.width / 2, dot.y + dot.height / 2);
  await expect(strip.getByText(/^[A-H]: 7\.\d+ ± \d\.\d+ g\/mL$/)).toBeVisible();
  await page.getByRole('button', { name: 'How far could this mean lie?' }).click();
  await expect(
    page.getByText(/Drawn again from these groups, 95 of 100 means lie from 7\.\d+.* to 8\.\d+/),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Show on the wall' }).click();
  await expect(page.getByRole('heading', { level: 1, name: specimen })).toBeVisible();
  await expect(page.getByRole('img').getByText(/^[A-H]$/)).toHaveCount(8);
  await expect(page.getByText('Maren')).toHaveCount(0);
  await expect(page.getByText('B-02')).toHaveCount(0);
  await page.getByRole('link', { name: /^Names and tools/ }).click();
  await expect(groups).toHaveCount(8);
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Check with a standard mass' })
    .getByRole('link', { name: 'B-02' })
    .click();
  await expect(page.getByRole('heading', { name: /B-02/ })).toBeVisible();
});

test('a student sees what the others found after handing in, by letters', async ({ page, browser }) => {
  const specimen = `Cork bung, all groups ${test.info().repeatEachIndex + 1}`;
  const teacher = await (await browser.newContext()).newPage();
  await enterAs(teacher, 'teacher', '/notebook');
  await recorded(await doorOf(teacher), specimen, 'B-01', 1.32);
  await enterAs(page, 'student', '/notebook');
  const runId = await recordedBy(page, specimen, '26.2');
  await page.goto(`/class-results/${runId}`);
  await expect(page.getByText('Hand in your own page first. Then you see what the others found.')).toBeVisible();
  await handIn(page, runId);
  await page.getByRole('link', { name: 'What the others found' }).click();
  await expect(page.getByRole('rowheader', { name: /^[AB] \(yours\)$/ })).toBeVisible();
  await expect(page.getByRole('main').getByRole('rowheader')).toHaveCount(2);
  await expect(page.getByText('Maren')).toHaveCount(0);
});

test('two groups that have handed in see each other’s results, and each writes what explains the difference', async ({
  page,
  browser,
}) => {
  const specimen = `Slate tile, in pairs ${test.info().repeatEachIndex + 1}`;
  // One student’s group, and a teacher’s own page beside it.
  await enterAs(page, 'student', '/notebook');
  const runId = await recordedBy(page, specimen, '26.2');
  const teacher = await (await browser.newContext()).newPage();
  await enterAs(teacher, 'teacher', '/notebook');
  const other = await recorded(await doorOf(teacher), specimen, 'B-01', 17.5);
  await handIn(teacher, other);

  await teacher.goto(`/class-results?of=${runId}`);
  const pairs = teacher.getByRole('region', { name: 'Groups in pairs' });
  await expect(pairs.getByText('One group has not handed in yet.')).toBeVisible();
  await expect(pairs.getByRole('button', { name: /^Pair these/ })).toHaveCount(0);
  await handIn(page, runId);
  await pairs.getByRole('button', { name: 'Pair these two groups' }).click();
  await expect(pairs.getByRole('heading', { name: /^[AB] and [AB]$/ })).toBeVisible();

  await page.goto(`/notebook/${runId}`);
  await page.getByRole('link', { name: 'Your group is paired with another' }).click();
  const own = page.getByRole('region', { name: 'Your group and another' });
  await expect(own.getByRole('heading', { name: /^You and group [AB]: Maren O\.$/ })).toBeVisible();
  await expect(own.getByText(/they (agree|differ)/)).toBeVisible();
  await expect(own.getByText(/^Only group [AB] used B-01\.$/)).toBeVisible();
  await own.getByRole('textbox', { name: 'What explains the difference?' }).fill('They shook the water off first.');
  await page.reload();
  await expect(own.getByRole('textbox')).toHaveValue('They shook the water off first.');
  await own.getByRole('button', { name: 'Save' }).click();
  await expect(own.getByText(/^Saved by Ines V\./)).toBeVisible();

  await expect(pairs.getByText('They shook the water off first.')).toBeVisible();
  await pairs.getByRole('button', { name: /^End / }).click();
  await expect(own.getByText('What you wrote')).toBeVisible();
  await expect(own.getByRole('textbox')).toHaveCount(0);
});
