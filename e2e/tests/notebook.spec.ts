import type { Page } from '@playwright/test';
import { enterAs, expect, test } from './world.ts';

async function fillCell(page: Page, name: string, text: string): Promise<void> {
  await page.getByRole('button', { name: new RegExp(`^${name}`) }).click();
  const cell = page.getByRole('textbox', { name, exact: true });
  await cell.fill(text);
  await cell.press('Enter');
  await expect(page.getByRole('button', { name: `${name}, ${text}` })).toBeVisible();
}

test('a group finds a density with its uncertainty, corrects a cell, and the teacher reads it', async ({ page, browser }) => {
  await enterAs(page, 'student');
  await page.goto('/notebook');
  await page.getByLabel('What you measure').fill('Brass bush');
  await page.getByLabel('Tomasz B.').check();
  await page.getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByRole('heading', { name: 'Brass bush' })).toBeVisible();

  const trials = [['54.31', '21.4', '27.8'], ['54.30', '22.0', '27.0'], ['54.31', '20.7', '27.0']];
  for (const [i, [mass = '', before = '', after = '']] of trials.entries()) {
    await fillCell(page, `Dry mass, trial ${i + 1}`, mass);
    await fillCell(page, `Water before, trial ${i + 1}`, before);
    await fillCell(page, `Water after, trial ${i + 1}`, after);
  }
  await page.getByRole('button', { name: 'Water after, trial 2, 27.0' }).click();
  await page.getByRole('textbox', { name: 'Water after, trial 2', exact: true }).fill('28.0');
  await page.getByLabel('Why it is corrected').fill('read the mark below');
  await page.getByLabel('Why it is corrected').press('Enter');
  await expect(page.locator('.line-through', { hasText: '27.0' })).toBeVisible();

  await page.getByLabel('Compare with').selectOption('bronze');
  await page.getByLabel('In water the piece').selectOption('sank');
  await expect(page.getByText('8.7 ± 0.6').first()).toBeVisible();
  await expect(page.getByText('Plain sum', { exact: true })).toBeVisible();
  await expect(page.getByText(/becomes ± 0.3 with the same tools/)).toBeVisible();

  await page.getByRole('button', { name: 'Density, trial 1: show the working' }).click();
  await expect(page.getByRole('dialog').locator('.katex .mfrac').first()).toBeVisible();
  await expect(page.getByRole('dialog')).toContainText('keeps as many figures as its poorest factor');
  await page.keyboard.press('Escape');
  await expect(page.getByText('Everything is saved.')).toBeVisible();

  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher');
  await teacher.goto(new URL(page.url()).pathname);
  await expect(teacher.getByText('You can read this page.')).toBeVisible();
  await expect(teacher.locator('.line-through', { hasText: '27.0' })).toBeVisible();
  await expect(teacher.getByRole('button', { name: /^Dry mass/ })).toHaveCount(0);

  await fillCell(page, 'Dry mass, trial 4', '54.29');
  await expect(teacher.getByText('54.29').first()).toBeVisible({ timeout: 3000 });
  await room.close();
});

test('while the server cannot be reached nothing written is lost', async ({ page }) => {
  await enterAs(page, 'student');
  await page.goto('/notebook');
  await page.getByText('Tin ballast ingot').click();
  await expect(page.getByRole('heading', { name: 'Tin ballast ingot' })).toBeVisible();
  await page.route('**/events', (route) => (route.request().method() === 'POST' ? route.fulfill({ status: 503, json: { message: 'The database is away.', field: null } }) : route.continue()));
  await fillCell(page, 'Water after, trial 2', '23.6');
  await expect(page.getByText(/Not saved: 1 kept here/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Water after, trial 2, 23.6' })).toBeVisible();
  await page.unroute('**/events');
  await expect(page.getByText('Everything is saved.')).toBeVisible({ timeout: 15_000 });
  await page.reload();
  await expect(page.getByRole('button', { name: 'Water after, trial 2, 23.6' })).toBeVisible();
});
