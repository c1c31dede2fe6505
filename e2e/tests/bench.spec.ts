import type { Page } from '@playwright/test';
import type { LiquidColumnPicture } from '@green-beam/core';
import type { BenchTask } from '@green-beam/contract';
import { enterAs, expect, levelTheEye, readPicture, signIn, startRound, test } from './world.ts';

const entry = (page: Page) => page.getByRole('textbox', { name: 'Your reading, with its unit' });

test('a visitor lands on a working instrument and is told where the reading went wrong', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: /How much .* is in the cylinder/ })).toBeVisible();
  await entry(page).fill('999 mL');
  await entry(page).press('Enter');
  await expect(page.getByText(/second try next/)).toBeVisible();
  await expect(page.getByText('the right reading')).toBeHidden();
  await entry(page).fill('998 mL');
  await entry(page).press('Enter');
  await expect(page.getByText('the right reading')).toBeVisible();
  await expect(page.getByRole('list', { name: 'How to read it' }).getByRole('listitem')).toHaveCount(5);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Reading 2 of 10')).toBeVisible();
});

test('keys do everything: loupe, hints, words, rules and the list of keys', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('slider').focus();
  await page.keyboard.press('h');
  await expect(page.getByText('Level your eye: move it')).toBeVisible();
  await page.keyboard.press('d');
  await expect(page.getByText(/^The surface lies/)).toBeVisible();
  await page.keyboard.press('l');
  await expect(page.getByRole('button', { name: 'Loupe' })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('r');
  await expect(page.getByRole('dialog', { name: 'Class rules' })).toContainText('a tenth of a division');
  await page.keyboard.press('Escape');
  await page.keyboard.press('Shift+?');
  await page.getByRole('switch').click();
  await page.keyboard.press('Escape');
  await page.getByRole('slider').focus();
  await page.keyboard.press('r');
  await expect(page.getByRole('dialog')).toBeHidden();
});

test('the eye can be dragged, and the surface slides against the marks', async ({ page }) => {
  await page.goto('/');
  const eye = page.getByRole('slider');
  const start = Number(await eye.getAttribute('aria-valuenow'));
  const box = (await eye.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + (start > 0 ? 40 : box.height - 40));
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2, { steps: 12 });
  await page.mouse.up();
  expect(Math.abs(Number(await eye.getAttribute('aria-valuenow')))).toBeLessThan(Math.abs(start));
});

test('a student’s sound reading comes to the teacher’s open board by itself', async ({ page, browser }) => {
  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher', '/class');
  const row = teacher.getByRole('row', { name: /Ines V\./ });
  await expect(row).toBeVisible();
  const cell = row.getByRole('button', { name: /Cylinders/ });
  const before = (await cell.textContent()) ?? '';

  await signIn(page, 'student');
  const round = await startRound(page, ['cylinder-50', 'cylinder-100']);
  await levelTheEye(page);
  const [open] = round.tasks as [BenchTask];
  const { text } = readPicture(open.picture as LiquidColumnPicture);
  await entry(page).fill(`${text} mL`);
  await entry(page).press('Enter');
  await expect(page.getByText('Correct reading')).toBeVisible();
  await expect(cell).not.toHaveText(before);

  await row.getByRole('link', { name: 'Ines V.' }).click();
  await teacher
    .getByRole('button', { name: new RegExp(text) })
    .first()
    .click();
  await expect(teacher.getByText('As it was when you pressed Enter.')).toBeVisible();
  await room.close();
});

test('what is typed badly is answered clearly and stays in the line', async ({ page }) => {
  await enterAs(page, 'student');
  for (const typed of ['about half', '12.3.4 mL', 'x'.repeat(10_000)]) {
    await entry(page).fill(typed);
    await entry(page).press('Enter');
    await expect(page.getByText('This is not a reading yet')).toBeVisible();
    await expect(entry(page)).toHaveValue(typed);
  }
});
