import { brotliCompressSync, gzipSync } from 'node:zlib';
import type { Locator, Page, Response } from '@playwright/test';
import { enterAs, expect, signOut, test } from './world.ts';

interface Fetched {
  readonly size: number;
  readonly text: string;
}

/** Scripts and styles that a page fetches by the time it shows something, by address; sizes in bytes, gzipped. */
async function fetchedBy(page: Page, path: string, shown: Locator): Promise<Map<string, Fetched>> {
  const bodies = new Map<string, Promise<Buffer>>();
  const note = (response: Response): void => {
    const { pathname } = new URL(response.url());
    if (/\.(js|css)$/.test(pathname)) bodies.set(pathname, response.body());
  };
  page.on('response', note);
  await page.goto(path);
  await expect(shown).toBeVisible();
  page.off('response', note);
  return new Map(
    await Promise.all(
      [...bodies].map(
        async ([pathname, body]) =>
          [pathname, { size: gzipSync(await body).length, text: (await body).toString() }] as const,
      ),
    ),
  );
}

const weightOf = (fetched: Iterable<Fetched>): number => [...fetched].reduce((sum, { size }) => sum + size, 0);

test('a tool can be read after at most 160 kB of scripts in fewer than 15 files, without charts, typesetting or teacher pages', async ({
  page,
}) => {
  const scripts = [...(await fetchedBy(page, '/', page.getByRole('slider')))]
    .filter(([pathname]) => pathname.endsWith('.js'))
    .map(([, fetched]) => fetched);
  expect(scripts.length).toBeGreaterThan(0);
  expect(scripts.length).toBeLessThan(15);
  const packed = scripts.map(({ text }) => brotliCompressSync(text).length);
  expect(packed.reduce((sum, size) => sum + size, 0)).toBeLessThanOrEqual(160_000);
  // Browsers ask for gzip on plain HTTP.
  expect(weightOf(scripts)).toBeLessThanOrEqual(185_000);
  expect(scripts.filter(({ text }) => /KaTeX parse error/.test(text))).toEqual([]);
});

test('the Numbers desk adds at most 120 kB of gzipped scripts and styles to what every page needs', async ({
  page,
  browser,
}) => {
  const shell = await fetchedBy(page, '/sign-in', page.getByRole('heading', { level: 1 }));
  const room = await browser.newContext();
  const desk = await room.newPage();
  // The typeset result is the last thing to come: what works it out and what sets it are there by then.
  const added = await fetchedBy(desk, '/numbers', desk.locator('.katex').first());
  for (const pathname of shell.keys()) added.delete(pathname);
  expect([...added.values()].some(({ text }) => /KaTeX parse error/.test(text))).toBe(true);
  expect([...added.keys()].some((pathname) => /worker/.test(pathname))).toBe(true);
  expect(weightOf(added.values())).toBeLessThanOrEqual(120_000);
  await room.close();
});

test('nothing is asked of any other server', async ({ page, baseURL }) => {
  const foreign: string[] = [];
  page.on('request', (request) => {
    if (!request.url().startsWith(baseURL ?? '') && !request.url().startsWith('data:')) foreign.push(request.url());
  });
  await enterAs(page, 'teacher');
  for (const path of ['/', '/class', '/class/people', '/notebook', '/nowhere']) {
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible();
  }
  expect(foreign).toEqual([]);
});

test('the fonts that are shipped are the ones that are shown', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('slider')).toBeVisible();
  await page.evaluate(() => document.fonts.ready);
  const families = await page.evaluate(() =>
    [...document.fonts].filter((font) => font.status === 'loaded').map((font) => font.family),
  );
  expect(families.join()).toContain('Atkinson Hyperlegible Next');
  expect(families.join()).toContain('Atkinson Hyperlegible Mono');
});

test('an address that leads nowhere says so and leads on', async ({ page }) => {
  await enterAs(page, 'student', '/class');
  await expect(page.getByRole('heading', { name: 'There is nothing here' })).toBeVisible();
  await page.getByRole('link', { name: 'Bench' }).click();
  await expect(page.getByText(/Reading \d+ of \d+/)).toBeVisible();
});

test('another group’s page and another school’s are refused in words', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await expect(page.getByRole('heading', { name: 'Notebook' })).toBeVisible();
  await page.goto('/notebook/5a17a4b0-0000-4000-8000-00000000beef');
  await expect(page.getByText('There is nothing at this address.')).toBeVisible();
});

test('one tap at the door enters the sample school, as whoever it names', async ({ page }) => {
  for (const [door, at, place] of [
    [/As Ines/, 'Ines V.', 'Bench'],
    [/As Maren/, 'Maren', 'Class'],
    [/As Halima/, 'Halima', 'School'],
  ] as const) {
    await page.goto('/sign-in');
    await page.getByRole('button', { name: door }).click();
    await expect(page.getByRole('banner').getByText(at)).toBeVisible();
    await expect(page.getByRole('banner').getByRole('link', { name: place, exact: true })).toBeVisible();
    await signOut(page);
  }
});
