import type { BenchTask } from '@green-beam/contract';
import type { LiquidColumnPicture } from '@green-beam/core';
import { enterAs, expect, levelTheEye, readAt, signIn, startRound, test } from './world.ts';

const answer = async (page: import('@playwright/test').Page, text: string): Promise<void> => {
  await page.getByRole('textbox', { name: 'Your reading, with its unit' }).fill(text);
  await page.getByRole('textbox', { name: 'Your reading, with its unit' }).press('Enter');
};

const halves = (task: BenchTask): string => {
  const picture = task.picture as LiquidColumnPicture;
  return (Math.round(readAt(picture, picture.surfaceY) * 2) / 2).toFixed(1);
};

test('a teacher changes the house rules; the next readings follow them, and those judged before keep theirs', async ({
  page,
  browser,
}) => {
  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher');
  await teacher.getByRole('link', { name: 'Class rules' }).click();
  await expect(teacher.getByRole('heading', { name: 'Class rules' })).toBeVisible();
  const examples = teacher.getByRole('complementary', { name: 'Examples' });
  await expect(examples).toContainText('37.4');

  await signIn(page, 'student');
  const before = await startRound(page, ['cylinder-50']);
  await levelTheEye(page);

  await teacher.getByRole('button', { name: 'Half a division' }).click();
  await expect(examples).toContainText('37.5');
  await teacher.getByText('All other rules').click();
  await teacher.getByLabel('What is quoted is').selectOption('a 95 % interval by Student’s t');
  await expect(teacher.getByRole('alert')).toContainText('Student’s t needs the standard error');
  await expect(teacher.getByRole('button', { name: 'Use these rules' })).toBeDisabled();
  await teacher.getByLabel('What is quoted is').selectOption('one standard uncertainty');
  await teacher.getByLabel('The decimal mark is').selectOption('a comma');
  await teacher.getByRole('button', { name: 'Use these rules' }).click();
  await expect(teacher.getByText('The class uses these rules from now on.')).toBeVisible();

  // The round under way was set by tenths, and is judged by tenths.
  const picture = before.tasks[0]!.picture as LiquidColumnPicture;
  await answer(page, `${readAt(picture, picture.surfaceY).toFixed(1)} mL`);
  await expect(page.getByText('Correct reading')).toBeVisible();

  const { tasks } = await startRound(page, ['cylinder-50']);
  await expect(page.getByRole('button', { name: /Class rules/ })).toContainText('Half a division');
  await expect(page.getByText('−0,5 division')).toBeVisible();
  await levelTheEye(page);
  await answer(page, `${halves(tasks[0]!).replace('.', ',')} cm³`);
  await expect(page.getByText('Correct reading')).toBeVisible();

  await teacher.getByRole('button', { name: 'Estimate one digit' }).click();
  await teacher.getByRole('button', { name: 'Use these rules' }).click();
  await expect(teacher.getByLabel('Name of these rules')).toHaveValue('Estimate one digit');
  await expect(teacher.getByRole('button', { name: 'Use these rules' })).toBeDisabled();
  await page.goto('/record');
  await expect(
    page.getByRole('button', { name: new RegExp(`${halves(tasks[0]!).replace('.', ',')} cm³.*correct`) }).first(),
  ).toBeVisible();
  await room.close();
});

test('a demonstration reads aloud with a clicker, shows the eye off the level, and what a slip makes of it', async ({
  page,
}) => {
  await enterAs(page, 'teacher', '/class');
  await page.getByRole('link', { name: 'Bench' }).click();
  await page.getByRole('link', { name: 'Demonstrate' }).click();
  await page.getByLabel('Tool').selectOption('50 mL burette');
  await page.getByLabel('Value in mL').fill('14.28');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Level', exact: true }).focus();
  const aloud = page.getByRole('listitem');
  for (const words of [
    /one division is 0.1 mL/,
    /The label above: 14/,
    /2 marks further: 14.2/,
    /About 8 tenths .*14.28/,
    /The unit: mL/,
  ]) {
    await page.keyboard.press('PageDown');
    await expect(aloud.last()).toContainText(words);
  }
  await page.keyboard.press('PageUp');
  await expect(aloud).toHaveCount(4);
  await page.getByLabel('Slip').selectOption('Counted upward');
  await expect(page.getByText(/Counted upward: 15\.72 mL/)).toBeVisible();
  await page.getByRole('button', { name: 'Eye too high' }).click();
  await expect(page.getByRole('slider', { name: 'Height of your eye' })).toHaveAttribute('aria-valuenow', '70');
  await page.getByLabel('Value in mL').fill('99');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('99 mL is outside 0 to 50 mL');
  await page.getByRole('link', { name: 'Leave' }).click();
  await expect(page.getByText(/Reading \d+ of 10/)).toBeVisible();
});
