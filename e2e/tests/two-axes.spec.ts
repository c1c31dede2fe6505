import type { ExerciseShown } from '@green-beam/core';
import { chosenWithCare } from '../../core/test/students/judge-repeats.ts';
import { enterAs, expect, newRound, test } from './world.ts';

test('a tool is dragged on two axes, by hand and by keys, and what can be said of its readings follows', async ({
  page,
}) => {
  await page.goto('/numbers/practice');
  await page.goto('/numbers/two-axes');
  const verdict = page.getByRole('status');
  await expect(verdict).toContainText('Precise, and wrong every time');
  await expect(verdict).toContainText('More readings do not mend it.');

  const plane = page.getByRole('img', { name: /^A tool that is off by/ });
  const box = (await plane.boundingBox())!;
  const mark = (await plane.locator('circle').last().boundingBox())!;
  await page.mouse.move(mark.x + mark.width / 2, mark.y + mark.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 16, box.y + 60, { steps: 6 });
  await page.mouse.up();
  await expect(verdict).toContainText('Not precise. Accurate is still open');
  await expect(plane).toHaveAccessibleName(/scatters by 0\.[23]/);

  const count = page.getByRole('slider', { name: 'Number of readings' });
  await count.focus();
  await page.keyboard.press('End');
  await expect(page.getByRole('img', { name: /^60 readings from/ })).toBeVisible();
  const scatter = page.getByRole('slider', { name: 'Scatter' });
  await scatter.focus();
  await page.keyboard.press('Home');
  await expect(verdict).toContainText('All readings are the same');
  await count.focus();
  await page.keyboard.press('Home');
  await expect(verdict).toContainText('One reading tells neither');
  await page.getByRole('button', { name: 'As at first' }).click();
  await expect(verdict).toContainText('Precise, and wrong every time');
});

test('a student judges readings on strips: a mistaken belief is named, and who works it out is right every time', async ({
  page,
}) => {
  await enterAs(page, 'student');
  const { tasks } = await newRound(page, ['accuracy-and-precision']);
  await page.goto('/numbers/practice');
  for (let number = 1; number <= 6; number += 1) {
    await expect(page.getByText(`Exercise ${number} of 10`)).toBeVisible();
    const { picture, question } = tasks[number - 1]!;
    const { story, answered } = picture as ExerciseShown;
    if (answered.by !== 'choice') throw new Error('An answer is chosen.');
    const right = chosenWithCare({
      ...answered,
      question,
      story: story.filter((part) => typeof part === 'string').join(''),
    });
    if (answered.repeats) await expect(page.getByRole('figure', { name: /The true value is/ })).toBeVisible();
    if (number === 1) {
      await page
        .getByRole('radio')
        .nth(right === 0 ? 1 : 0)
        .check();
      await page.getByRole('button', { name: 'Check' }).click();
      await expect(page.getByText('Exercise 1 of 10, second try next')).toBeVisible();
      await expect(page.getByText('(tried, not right)')).toBeAttached();
      await expect(page.getByRole('term').filter({ hasText: 'Look at' })).toBeVisible();
    }
    await page.getByRole('radio').nth(right).check();
    await page.getByRole('button', { name: /^Check/ }).click();
    await expect(page.getByText('That is the right one.')).toBeVisible();
    await page.keyboard.press('Enter');
  }
});
