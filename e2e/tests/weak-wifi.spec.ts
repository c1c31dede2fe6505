import { readFile } from 'node:fs/promises';
import { chromium, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { weakWifi, type WeakWifi } from './weak-wifi.ts';
import { beginLaboratory, enterAs, expect, fillCell, test } from './world.ts';

test.setTimeout(240_000);
test.use({ serviceWorkers: 'allow' });

const server = new URL(process.env['BASE_URL'] ?? 'http://127.0.0.1:4710');
/** An address that is not this computer’s: without TLS the browser keeps no page from it. */
const PLAIN_HTTP = 'saltmarsh.example';

let wifi: WeakWifi;
const opened: Browser[] = [];

test.beforeEach(async () => {
  wifi = await weakWifi(Number(server.port), 20_261_127);
});
test.afterEach(async () => {
  await Promise.all(opened.splice(0).map((browser) => browser.close()));
  await wifi.close();
});

/** Begins a page of the notebook with one reading in it. */
async function begun(page: Page, name: string): Promise<void> {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, name);
  await fillCell(page, 'Dry mass, trial 1', '54.29');
  await expect(page.getByText('Everything is saved.')).toBeVisible({ timeout: 60_000 });
}

/** What the server has of the page that is open, by way of a network that is whole. */
async function storedReadings(page: Page): Promise<string[]> {
  const { signedIn } = (await (await page.request.get('/api/session')).json()) as {
    signedIn: { class: { id: string } };
  };
  const run = (await (
    await page.request.get(`/api/classes/${signedIn.class.id}/runs/${new URL(page.url()).pathname.split('/').at(-1)}`)
  ).json()) as { events: readonly { text?: string }[] };
  return run.events.flatMap(({ text }) => (text ? [text] : [])).sort();
}

test('without the network the page can be loaded again with all that was written, and each entry is stored once', async ({
  browser,
}) => {
  const room = await browser.newContext({ baseURL: `http://127.0.0.1:${wifi.port}` });
  const page = await room.newPage();
  await begun(page, 'Slate tiles, weak network');
  await expect
    .poll(() => page.evaluate(async () => (await (await caches.open('green-beam parts')).keys()).length), {
      timeout: 60_000,
    })
    .toBeGreaterThan(4);

  wifi.cut();
  await fillCell(page, 'Water before, trial 1', '21.0');
  await expect(page.getByText('Not saved: 1 waiting')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Dry mass, trial 1, 54.29' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('button', { name: 'Water before, trial 1, 21.0' })).toBeVisible();
  await fillCell(page, 'Water after, trial 1', '27.4');
  await page.getByRole('button', { name: 'Not saved: 2 waiting' }).click();
  await expect(page.getByText('even if you load this page again')).toBeVisible();
  await expect(page.getByText('Water after, trial 1: 27.4')).toBeVisible();
  await page.keyboard.press('Escape');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Water after, trial 1, 27.4' })).toBeVisible({ timeout: 60_000 });

  wifi.mend();
  await expect(page.getByText('Everything is saved.')).toBeVisible({ timeout: 60_000 });
  expect(await storedReadings(page)).toEqual(['21.0', '27.4', '54.29']);
  await room.close();
});

test('after signing out nothing of the page is left in the browser', async ({ browser }) => {
  const room = await browser.newContext({ baseURL: `http://127.0.0.1:${wifi.port}` });
  const page = await room.newPage();
  await begun(page, 'Basalt pebbles, signed out');
  await page.reload();
  await expect(page.getByRole('button', { name: 'Dry mass, trial 1, 54.29' })).toBeVisible({ timeout: 60_000 });
  await page.getByRole('button', { name: 'Sign out' }).click();
  await expect(page.getByRole('link', { name: 'Sign in' })).toBeVisible({ timeout: 60_000 });
  const kept = await page.evaluate(async () => {
    const pages = await Promise.all(
      (await caches.keys()).map(async (name) => (await (await caches.open(name)).keys()).map(({ url }) => url)),
    );
    return { storage: JSON.stringify([sessionStorage, localStorage]), urls: pages.flat() };
  });
  expect(kept.storage).not.toContain('Basalt');
  expect(kept.urls.filter((url) => url.includes('/api/'))).toEqual([]);
  wifi.cut();
  await page.reload();
  await expect(page.getByText(/server cannot be reached/)).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText('Basalt')).toHaveCount(0);
  await room.close();
});

/** A browser of its own that finds the server under another computer’s name. */
async function onPlainHttp(): Promise<BrowserContext> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', `--host-resolver-rules=MAP ${PLAIN_HTTP} 127.0.0.1`],
  });
  opened.push(browser);
  return browser.newContext({ baseURL: `http://${PLAIN_HTTP}:${wifi.port}` });
}

/** Playwright’s own requests do not go by the browser’s names: the door is taken on the page. */
async function enterByTheDoor(page: Page): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: /As Ines/ }).click();
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible({ timeout: 60_000 });
}

test('on plain HTTP the page says to keep the tab open, and what waits can be carried to another computer', async () => {
  const page = await (await onPlainHttp()).newPage();
  await enterByTheDoor(page);
  await page.goto('/notebook');
  await beginLaboratory(page, 'Cork bung, plain HTTP');
  await fillCell(page, 'Dry mass, trial 1', '9.87');
  await expect(page.getByText('Everything is saved.')).toBeVisible({ timeout: 60_000 });
  const address = new URL(page.url()).pathname;

  wifi.cut();
  await fillCell(page, 'Water before, trial 1', '31.5');
  await expect(page.getByText('Keep this tab open')).toBeVisible();
  await page.getByRole('button', { name: 'Not saved: 1 waiting' }).click();
  await expect(page.getByText('Until then this page cannot be loaded again.')).toBeVisible();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save to a file' }).click(),
  ]);
  const file = await readFile(await download.path(), 'utf8');
  expect(JSON.parse(file)).toMatchObject({ kind: 'unsent entries', person: { name: 'Ines V.' } });
  // The first computer is left behind.
  await page.close();

  wifi.mend();
  const elsewhere = await (await onPlainHttp()).newPage();
  await enterByTheDoor(elsewhere);
  await elsewhere.goto('/account');
  const choose = elsewhere.getByLabel(/Entries you saved to a file/);
  const chosen = (text: string): Promise<void> =>
    choose.setInputFiles({ name: 'unsent.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await chosen(file.replace('/events', '/../../../students'));
  await expect(elsewhere.getByText('This is no file of unsent entries')).toBeVisible();
  // Twice is once.
  for (let time = 0; time < 2; time += 1) {
    await chosen(file);
    await expect(elsewhere.getByText('1 of 1 entries are saved.')).toBeVisible({ timeout: 60_000 });
  }
  await elsewhere.goto(address);
  await expect(elsewhere.getByRole('button', { name: 'Water before, trial 1, 31.5' })).toBeVisible({ timeout: 60_000 });
});

test('a place that this browser has not fetched says so without the network, and everything else stays', async ({
  browser,
}) => {
  const room = await browser.newContext({ baseURL: `http://127.0.0.1:${wifi.port}` });
  const page = await room.newPage();
  await begun(page, 'Acrylic rod, elsewhere');
  wifi.cut();
  await fillCell(page, 'Water before, trial 1', '18.4');
  await page.getByRole('link', { name: 'My progress' }).click();
  await expect(page.getByText('This has not been loaded yet')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Not saved: 1 waiting' })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('button', { name: 'Water before, trial 1, 18.4' })).toBeVisible();
  await page.goForward();
  wifi.mend();
  await page.getByRole('button', { name: 'Load again' }).click();
  await expect(page.getByRole('heading', { name: 'Practice sets' })).toBeVisible({ timeout: 60_000 });
  await room.close();
});
