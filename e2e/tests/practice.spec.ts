import type { BenchRound } from '@green-beam/contract';
import type { ExerciseShown } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { proofRead } from '../../core/test/students/proof-read.ts';
import { aim, enterAs, expect, newRound, test, unfold } from './world.ts';

/** The exercise on the page, as the server gives it to whoever is signed in. */
async function shownNow(page: Page): Promise<ExerciseShown[]> {
  const { signedIn } = (await (await page.request.get('/api/session')).json()) as {
    signedIn: { class: { id: string } };
  };
  const round = (await (
    await page.request.get(`/api/classes/${signedIn.class.id}/rounds/current?place=numbers`)
  ).json()) as BenchRound;
  return round.tasks.map(({ picture }) => picture as ExerciseShown);
}

test('a visitor counts figures: a slip is named, the right count is explained, and the round goes on', async ({
  page,
}) => {
  await page.goto('/numbers');
  await page.getByRole('link', { name: 'Practice' }).click();
  await page.getByRole('button', { name: 'Counting figures' }).click();
  await expect(page.getByText('Exercise 1 of 10')).toBeVisible();
  const answer = page.getByRole('textbox', { name: 'How many significant figures' });
  for (let number = 1; number <= 2; number += 1) {
    const story = await page
      .getByText(/(weighs|is|gives) [\d.]/)
      .first()
      .innerText();
    const digits = /([\d.]+)(?: ×| \w+)/.exec(story.replace(/^.*(weighs|is|gives) /, ''))![1]!;
    const count = digits.replace('.', '').replace(/^0+/, '').length;
    if (number === 1) {
      await answer.fill('17');
      await answer.press('Enter');
      await expect(page.getByText('No known slip explains it')).toBeVisible();
      await expect(page.getByText('Exercise 1 of 10, second try next')).toBeVisible();
    }
    await answer.fill(String(count));
    await answer.press('Enter');
    await expect(page.getByText('You counted the right digits.')).toBeVisible();
    await expect(page.getByText(/^Count /)).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByText(`Exercise ${number + 1} of 10`)).toBeVisible();
  }
});

test('a student finds the planted errors of a table', async ({ page }) => {
  await enterAs(page, 'student');
  await newRound(page, ['spot-the-error']);
  await page.goto('/numbers/practice');
  await expect(page.getByText('Exercise 1 of 10')).toBeVisible();
  const [first] = await shownNow(page);
  if (first?.answered.by !== 'marks') throw new Error('That is no table.');
  const { headings, rows } = first.answered;
  const marks = proofRead({ headings, rows, story: first.story.filter((part) => typeof part === 'string').join('') });
  expect(marks.length).toBeGreaterThan(0);

  // Something sound first: it is told apart from the faults.
  const cells = page.getByRole('table').getByRole('button');
  await cells.nth(headings.length).click();
  await expect(page.getByRole('button', { name: 'Check' })).toBeDisabled();
  await page.getByRole('combobox', { name: /What is wrong with/ }).selectOption('wrong factor');
  await page.getByRole('button', { name: 'Check' }).click();
  await expect(page.getByText('Exercise 1 of 10, second try next')).toBeVisible();
  await page.getByRole('button', { name: /^Take the mark off/ }).click();

  for (const { cell, fault } of marks) {
    await cells.nth(cell - 1).click();
    await page
      .getByRole('combobox', { name: /What is wrong with/ })
      .last()
      .selectOption(fault);
  }
  await page.getByRole('button', { name: 'Check again' }).click();
  await expect(page.getByText('You found everything, and marked nothing else.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What was wrong' }).getByRole('listitem')).toHaveCount(marks.length);
});

test('a teacher sets conversions, a student works them where numbers are, and the board counts them', async ({
  page,
  browser,
}) => {
  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher');
  await teacher.getByRole('link', { name: 'Class', exact: true }).click();
  await teacher.getByRole('link', { name: 'Practice sets' }).click();
  await teacher.getByRole('button', { name: 'New practice set' }).click();
  await teacher.getByLabel('Title').fill('Feet and inches');
  await teacher.getByLabel('Items').fill('2');
  await unfold(teacher, /Exercises with numbers/);
  await teacher.getByLabel('Conversions').check();
  await (await aim(teacher, 'The square or cube of the factor forgotten')).check();
  await teacher.getByRole('button', { name: 'Set this practice' }).click();
  await expect(
    teacher.getByText('2 items, conversions; the square or cube of the factor forgotten; 2 tries; with hints').first(),
  ).toBeVisible();

  await enterAs(page, 'student');
  await page
    .getByText('Feet and inches')
    .locator('..')
    .locator('..')
    .getByRole('link', { name: 'Go to Numbers' })
    .click();
  await page.getByText('Feet and inches').locator('..').locator('..').getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('Exercise 1 of 2')).toBeVisible();
  const answer = page.getByRole('textbox', { name: 'Your result, with its unit' });
  await answer.fill('777 km');
  await answer.press('Enter');
  await expect(page.getByText('Exercise 1 of 2, second try next')).toBeVisible();
  await page.getByRole('button', { name: 'Show me' }).click();
  await expect(page.getByRole('region', { name: 'The working' }).locator('.katex').first()).toBeVisible();
  await page.reload();
  await expect(page.getByText('Exercise 2 of 2')).toBeVisible();

  await teacher.getByRole('link', { name: 'Class', exact: true }).click();
  await expect(teacher.getByRole('columnheader', { name: 'Conversions' })).toBeVisible();
  await teacher.getByRole('link', { name: 'Ines V.' }).click();
  await teacher.locator('button[aria-expanded]').first().click();
  await expect(teacher.getByText(/^How (long|large|much) is that in/)).toBeVisible();
  await teacher.goto('/rounds');
  await teacher
    .getByRole('listitem')
    .filter({ hasText: 'Feet and inches' })
    .getByRole('button', { name: 'Withdraw' })
    .click();
  await teacher.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(
    teacher.getByRole('listitem').filter({ hasText: 'Feet and inches' }).getByText('withdrawn'),
  ).toBeVisible();
  await room.close();
});
