import type { Browser, Page } from '@playwright/test';
import { mayOwnDatabases, ownSampleServer, type OwnServer } from './own-server.ts';
import { enterAs, expect, test } from './world.ts';

test.skip(!mayOwnDatabases, 'the sample class is changed for good');
test.describe.configure({ mode: 'serial' });
test.setTimeout(300_000);

let server: OwnServer;
test.beforeAll(async () => {
  server = await ownSampleServer('lesson');
});
test.afterAll(() => server.stop());

async function room(browser: Browser, width = 1280): Promise<Page> {
  const context = await browser.newContext({ baseURL: server.base, viewport: { width, height: 844 } });
  return context.newPage();
}

async function join(page: Page, code: string, name: string, pin = '2468'): Promise<void> {
  await page.goto(`/join/${code}`);
  await page.getByLabel('Your name').selectOption({ label: name });
  await page.getByLabel('PIN').fill(pin);
  await page.getByRole('button', { name: 'Sign in' }).first().click();
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible();
}

test('Monday, 8:00: the wall shows who is in, a student who is away is marked, one who is not on the list is let in', async ({
  browser,
}) => {
  const wall = await room(browser);
  await enterAs(wall, 'teacher', '/class');
  await wall.getByRole('link', { name: 'Start the lesson' }).click();
  await expect(wall.getByText('HRN-947', { exact: true })).toBeVisible();
  await expect(wall.getByText('0 of 24 in')).toBeVisible();
  await wall.getByRole('button', { name: 'Tereza M., not yet' }).click();
  await expect(wall.getByText('0 of 23 in, 1 away')).toBeVisible();

  const laptop = await room(browser);
  await join(laptop, 'HRN-947', 'Hana B.');
  await expect(wall.getByText('1 of 23 in, 1 away')).toBeVisible();
  await expect(wall.getByRole('button', { name: 'Hana B., in' })).toBeDisabled();

  const phone = await room(browser, 390);
  await phone.goto('/join/HRN-947');
  await phone.getByRole('button', { name: 'My name is not here' }).click();
  await phone.getByLabel('First name').fill('Wren');
  await phone.getByLabel('Last name').fill('Adeyemi');
  await phone.getByLabel('A PIN of your own').fill('1234');
  await phone.getByRole('button', { name: 'Ask to be let in' }).click();
  await expect(phone.getByText('This PIN is easy to guess. Choose another one.')).toBeVisible();
  await phone.getByLabel('A PIN of your own').fill('8642');
  await phone.getByRole('button', { name: 'Ask to be let in' }).click();
  await expect(phone.getByText(/your teacher sees that you ask/)).toBeVisible();
  await expect(wall.getByText('One student asks to be let in')).toBeVisible();
  await expect(wall.getByText('Wren Adeyemi')).toBeHidden();
  await wall.getByText('One student asks to be let in').click();
  await wall.getByRole('button', { name: 'Let Wren Adeyemi in', exact: true }).click();
  await expect(phone.getByRole('button', { name: 'Sign out' })).toBeVisible();
  await expect(wall.getByRole('button', { name: 'Wren A., in' })).toBeVisible();
  for (const page of [wall, laptop, phone]) await page.context().close();
});

test('a cover teacher takes the class with a link, and cannot delete anything', async ({ browser }) => {
  const maren = await room(browser);
  await enterAs(maren, 'teacher', '/class/people');
  await maren.getByLabel('Who covers the class').fill('Sefa Holloway');
  await maren.getByRole('button', { name: 'Make the link' }).click();
  const link = await maren.getByText(/\/cover\//).innerText();

  const sefa = await room(browser);
  await sefa.goto(link);
  await sefa.getByRole('button', { name: 'Go to the class' }).click();
  await expect(sefa.getByText('HRN-947', { exact: true })).toBeVisible();
  await sefa.goto('/class/people');
  await expect(sefa.getByRole('button', { name: 'New first PIN for Hana B.' })).toBeVisible();
  await expect(maren.getByLabel('More about Hana B.')).toBeVisible();
  await expect(sefa.getByLabel(/^More about/)).toHaveCount(0);
  await expect(sefa.getByText('Delete the class')).toHaveCount(0);

  await maren.getByRole('button', { name: 'End the cover of Sefa Holloway' }).click();
  await expect(sefa.getByRole('heading', { name: 'Sign in', level: 1 })).toBeVisible();
  for (const page of [maren, sefa]) await page.context().close();
});

test('September: the class goes on in a new year, and its students sign in with the PIN they have', async ({
  browser,
}) => {
  const maren = await room(browser);
  await enterAs(maren, 'teacher', '/class/people');
  await maren.getByText('Go on with this class in a new year').click();
  const [file] = await Promise.all([
    maren.waitForEvent('download'),
    maren.getByRole('link', { name: 'Download each student’s own data first' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('Heron-9.zip');
  await maren.getByLabel('Name of the new class').fill('Heron 10');
  await maren.getByRole('checkbox', { name: 'Umut C.' }).uncheck();
  await maren.getByRole('button', { name: 'Begin the new year' }).click();
  await expect(maren.getByRole('heading', { name: 'Heron 10' })).toBeVisible();
  await expect(maren.getByText('Umut Castellan')).toHaveCount(0);
  const code = await maren.getByText(/^[A-Z]{3}-\d{3}$/).innerText();
  const laptop = await room(browser);
  await join(laptop, code, 'Hana B.');
  await laptop.getByRole('link', { name: 'Hana B.' }).click();
  const [own] = await Promise.all([
    laptop.waitForEvent('download'),
    laptop.getByRole('link', { name: 'Download my data' }).click(),
  ]);
  expect(own.suggestedFilename()).toBe('Heron-10-my-data.json');
  for (const page of [maren, laptop]) await page.context().close();
});
