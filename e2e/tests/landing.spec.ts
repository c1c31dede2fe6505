import { gzipSync } from 'node:zlib';
import { enterAs, expect, test } from './world.ts';

const MOST = 200_000;

test('the landing page needs at most 200 kB of gzipped scripts, and no charts, typesetting or teacher pages', async ({ page }) => {
  const scripts: Promise<{ url: string; size: number; text: string }>[] = [];
  page.on('response', (response) => {
    if (response.request().resourceType() === 'script') scripts.push(response.body().then((body) => ({ url: response.url(), size: gzipSync(body).length, text: body.toString() })));
  });
  await page.goto('/');
  await expect(page.getByRole('slider')).toBeVisible();
  const loaded = await Promise.all(scripts);
  expect(loaded.length).toBeGreaterThan(0);
  const total = loaded.reduce((sum, { size }) => sum + size, 0);
  test.info().annotations.push({ type: 'gzipped scripts', description: `${total} bytes` });
  expect(total).toBeLessThanOrEqual(MOST);
  expect(loaded.filter(({ text }) => /KaTeX parse error/.test(text))).toEqual([]);
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
  const families = await page.evaluate(() => [...document.fonts].filter((font) => font.status === 'loaded').map((font) => font.family));
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
  for (const [door, at, place] of [[/As Ines/, 'Ines V.', 'Bench'], [/As Maren/, 'Maren', 'Class'], [/As Halima/, 'Halima', 'School']] as const) {
    await page.goto('/sign-in');
    await page.getByRole('button', { name: door }).click();
    await expect(page.getByRole('banner').getByText(at)).toBeVisible();
    await expect(page.getByRole('banner').getByRole('link', { name: place, exact: true })).toBeVisible();
    await page.getByRole('button', { name: 'Sign out' }).click();
    await expect(page.getByRole('button', { name: 'Sign out' })).toBeHidden();
  }
});
