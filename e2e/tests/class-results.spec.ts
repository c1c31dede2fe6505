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

test('the results of a class while groups still record: a balance that weighs too little is named, and names become letters', async ({
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
  await page.getByRole('button', { name: 'How far could this mean lie?' }).click();
  await expect(
    page.getByText(/Drawn again from these groups, 95 of 100 means lie from 7\.\d+.* to 8\.\d+/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Show letters for the wall' }).click();
  await expect(page.getByRole('link', { name: 'Maren O.' })).toHaveCount(0);
  await expect(groups.first()).toHaveText(/^[A-H]$/);
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
  await beginLaboratory(page, specimen);
  await fillCell(page, 'Dry mass, trial 1', '1.29');
  await fillCell(page, 'Water before, trial 1', '20.0');
  await fillCell(page, 'Water after, trial 1', '26.2');
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  const runId = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  await page.goto(`/class-results/${runId}`);
  await expect(page.getByText('Hand in your own page first. Then you see what the others found.')).toBeVisible();
  await page.goto(`/notebook/${runId}`);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Hand in' }).click();
  await page.getByRole('link', { name: 'What the others found' }).click();
  await expect(page.getByRole('rowheader', { name: /^[AB] \(yours\)$/ })).toBeVisible();
  await expect(page.getByRole('main').getByRole('rowheader')).toHaveCount(2);
  await expect(page.getByText('Maren')).toHaveCount(0);
});
