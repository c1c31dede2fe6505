import type { LiquidColumnPicture } from '@green-beam/core';
import { aim, currentRound, enterAs, expect, levelTheEye, readPicture, test, unfold } from './world.ts';

test('a teacher sets a round; a student sees it, does it, and the teacher sees it done and takes it back', async ({
  page,
  browser,
}) => {
  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher');
  await teacher.getByRole('link', { name: 'Class', exact: true }).click();
  await teacher.getByRole('link', { name: 'Practice sets' }).click();
  await teacher.getByRole('button', { name: 'New practice set' }).click();
  await teacher.getByLabel('Cylinders').check();
  await expect(teacher.getByLabel('Title')).toHaveValue('Cylinders');
  await expect(teacher.getByRole('img', { name: 'The tool of the example' })).toBeVisible();
  await teacher.getByLabel('Title').fill('');
  await teacher.getByRole('button', { name: 'Set this practice' }).click();
  await expect(teacher.getByText('Give the practice set a title.')).toBeVisible();
  await teacher.getByLabel('Title').fill('Two cylinders');
  await teacher.getByLabel('Items').fill('2');
  await teacher.getByLabel('Tries each').fill('1');
  await teacher.getByLabel('Due').fill('2031-03-04T12:00');
  await (await aim(teacher, 'Read at the wall')).check();
  await expect(teacher.getByLabel('Read before it was at rest')).toHaveCount(0);
  await teacher.getByRole('button', { name: 'Set this practice' }).click();
  await expect(teacher.getByRole('heading', { name: 'Two cylinders' })).toBeVisible();
  await expect(teacher.getByText('2 items, cylinders; read at the wall; one try; with hints')).toBeVisible();

  await enterAs(page, 'student');
  await expect(page.getByText(/Two cylinders, 0 of 2 done, due Tue 4 Mar, 12:00/)).toBeVisible();
  await page
    .getByText(/Two cylinders, 0 of 2/)
    .locator('..')
    .getByRole('button', { name: 'Begin' })
    .click();
  await expect(page.getByText('Reading 1 of 2')).toBeVisible();
  const round = await currentRound(page);
  expect(round.title).toBe('Two cylinders');
  for (const task of round.tasks) {
    await levelTheEye(page);
    const { text } = readPicture(task.picture as LiquidColumnPicture);
    const line = page.getByRole('textbox', { name: 'Your reading, with its unit' });
    await line.fill(task.position === 0 ? `${text} mL` : '999 mL');
    await line.press('Enter');
    await expect(page.getByText(task.position === 0 ? 'Correct reading' : 'the right reading')).toBeVisible();
    await page.getByRole('button', { name: /Next reading|Finish the round/ }).click();
  }
  await expect(page.getByRole('heading', { name: 'Round finished' })).toBeVisible();

  // Neither page is loaded again: what happens on the one is seen on the other.
  await expect(
    teacher
      .getByRole('listitem')
      .filter({ hasText: 'Two cylinders' })
      .getByText(/1 of 24 finished/),
  ).toBeVisible();
  await teacher
    .getByRole('listitem')
    .filter({ hasText: 'Two cylinders' })
    .getByRole('button', { name: 'Show the students' })
    .click();
  await expect(teacher.getByRole('row', { name: /Ines V\./ })).toContainText('1 right at the first try');
  await teacher
    .getByRole('listitem')
    .filter({ hasText: 'Two cylinders' })
    .getByRole('button', { name: 'Withdraw' })
    .click();
  await teacher.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(teacher.getByRole('listitem').filter({ hasText: 'Two cylinders' }).getByText('withdrawn')).toBeVisible();
  await expect(page.getByText(/Burettes, both readings, 0 of 6/)).toBeVisible();
  await expect(page.getByText(/Two cylinders, \d of 2/)).toBeHidden();
  await room.close();
});

test('a round read by a school of its own says so, one tap away', async ({ page, browser }) => {
  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher', '/rounds');
  await teacher.getByRole('button', { name: 'New practice set' }).click();
  await teacher.getByLabel('Title').fill('By halves');
  await teacher.getByLabel('Items').fill('1');
  await teacher.getByLabel('Cylinders').check();
  await unfold(teacher, /^More/);
  await teacher.getByRole('combobox', { name: /^By/ }).selectOption('Half a division');
  await teacher.getByRole('button', { name: 'Set this practice' }).click();
  await expect(teacher.getByText('rules: Half a division')).toBeVisible();

  await enterAs(page, 'student');
  const rules = page.getByRole('button', { name: /Class rules/ });
  await expect(page.getByText(/By halves, 0 of 1 done/)).toBeVisible();
  await expect(rules).toContainText('Estimate one digit');
  await page
    .getByText(/By halves, 0 of 1/)
    .locator('..')
    .getByRole('button', { name: 'Begin' })
    .click();
  await expect(page.getByText('Reading 1 of 1')).toBeVisible();
  await expect(rules).toContainText('Half a division');
  await rules.click();
  await expect(page.getByRole('dialog', { name: 'Class rules' })).toContainText('to half a division');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'My progress' }).click();
  await expect(rules).toContainText('Estimate one digit');
  await teacher
    .getByRole('listitem')
    .filter({ hasText: 'By halves' })
    .getByRole('button', { name: 'Withdraw' })
    .click();
  await teacher.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(teacher.getByRole('listitem').filter({ hasText: 'By halves' }).getByText('withdrawn')).toBeVisible();
  await room.close();
});
