import type { Page } from '@playwright/test';
import { beginLaboratory, enterAs, expect, fillCell, test } from './world.ts';

const LEFT_TO_STUDENTS = {
  byStudent: ['volume', 'density', 'meanDensity'],
  ownWork: 'each-student',
  reveals: 'with-own-answer',
  sums: 'student',
} as const;

async function begin(page: Page, specimen: string): Promise<void> {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, specimen, 'Density by displacement', LEFT_TO_STUDENTS);
}

async function read(page: Page, trial: number, mass: string, before: string, after: string): Promise<void> {
  await fillCell(page, `Dry mass, trial ${trial}`, mass);
  await fillCell(page, `Water before, trial ${trial}`, before);
  await fillCell(page, `Water after, trial ${trial}`, after);
}

const result = (page: Page) => page.getByLabel('Your result, with its unit');
const strip = (page: Page, name: string) => page.getByRole('region', { name: `Calculate: ${name}` });
const cell = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}, `) });

test('a slip in one’s own calculation is named, goes on once, and the teacher sees both ways', async ({
  page,
  browser,
}) => {
  await begin(page, 'Slate tile, calculated');
  await read(page, 1, '16.84', '16.2', '22.3');
  await read(page, 2, '16.84', '18.0', '24.2');
  await read(page, 3, '16.83', '15.6', '21.9');
  await expect(page.getByText('appear when all readings and your own results are there')).toBeVisible();
  await expect(page.getByLabel('Compare with')).toHaveCount(0);

  await cell(page, 'Volume, trial 1').click();
  const first = strip(page, 'Volume, trial 1');
  await first.getByRole('button', { name: /^after/ }).click();
  await result(page).press('End');
  await result(page).pressSequentially('- before = 6.10 mL');
  await result(page).press('Enter');
  await expect(first.getByText('Product rule used for a sum')).toBeVisible();
  // Where the result ends is shown, and not what it is.
  await expect(first.getByText('6.?')).toBeVisible();
  await expect(first.getByText('Step by step')).toHaveCount(0);
  await result(page).fill('after - before = 6.1 mL');
  await result(page).press('Enter');
  await expect(first.getByText('Correct', { exact: true })).toBeVisible();
  // Enter again goes on to what comes next.
  await result(page).press('Enter');
  const second = strip(page, 'Volume, trial 2');
  await expect(second).toBeVisible();

  await result(page).fill('24.2 mL');
  await result(page).press('Enter');
  await expect(second.getByText('Only one of the two readings')).toBeVisible();
  await expect(second.getByText('left out')).toBeVisible();
  await expect(second.getByText('Step by step')).toHaveCount(0);
  // What follows goes on from what was written.
  await cell(page, 'Density, trial 2').click();
  await result(page).fill('0.696 g/mL');
  await result(page).press('Enter');
  await expect(strip(page, 'Density, trial 2').getByText('Correct', { exact: true })).toBeVisible();

  await cell(page, 'Volume, trial 3').click();
  await strip(page, 'Volume, trial 3').getByRole('button', { name: 'Use the calculator' }).click();
  await page.getByLabel('Line 3').fill('after - before');
  await page.getByRole('button', { name: 'Take the result over' }).click();
  await expect(result(page)).toHaveValue('6.3 mL');
  await result(page).press('Enter');
  await cell(page, 'Density, trial 1').click();
  await strip(page, 'Density, trial 1').getByRole('button', { name: 'Show me' }).click();
  await expect(strip(page, 'Density, trial 1').getByText('Step by step')).toBeVisible();
  await result(page).fill('2.8 g/mL');
  await result(page).press('Enter');
  await expect(page.getByText('after help').first()).toBeVisible();
  await cell(page, 'Density, trial 3').click();
  await result(page).fill('2.7 g/mL');
  await result(page).press('Enter');
  await cell(page, 'Mean density').click();
  await result(page).fill('2.1 g/mL');
  await result(page).press('Enter');
  await expect(page.getByLabel('Compare with')).toBeVisible();
  await expect(page.getByText('Where the uncertainty comes from')).toBeVisible();
  await expect(page.getByText('Everything is saved.')).toBeVisible();

  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher', new URL(page.url()).pathname);
  await expect(teacher.getByRole('radio', { name: 'Ines V.' })).toBeChecked();
  await expect(cell(teacher, 'Volume, trial 2')).toContainText('by the book 6.2');
  await expect(cell(teacher, 'Volume, trial 1')).not.toContainText('by the book');
  await expect(teacher.getByText(/By the book: 2\.7/)).toBeVisible();
  await cell(teacher, 'Volume, trial 2').click();
  await expect(teacher.getByText('Only one of the two readings')).toBeVisible();
  await expect(result(teacher)).toHaveCount(0);
  await room.close();
});

test('a second try that is wrong shows the working, and what was written stays legible', async ({ page }) => {
  await begin(page, 'Cork bung, calculated');
  await read(page, 1, '4.21', '20.0', '38.6');
  await cell(page, 'Volume, trial 1').click();
  for (const text of ['58.6 mL', '17.6 mL']) {
    await result(page).fill(text);
    await result(page).press('Enter');
  }
  await expect(strip(page, 'Volume, trial 1').getByText('Step by step, from these numbers')).toBeVisible();
  await result(page).fill('18.6 mL');
  await result(page).press('Enter');
  await expect(page.locator('.line-through', { hasText: '58.6' })).toBeVisible();
  await page.reload();
  await expect(cell(page, 'Volume, trial 1')).toContainText('after help');
  await expect(page.locator('.line-through', { hasText: '17.6' })).toBeVisible();
});

test('two at one laptop calculate each for themselves', async ({ page }) => {
  await begin(page, 'Brass bush, calculated');
  await read(page, 1, '54.31', '21.4', '27.8');
  await cell(page, 'Volume, trial 1').click();
  await result(page).fill('after - before = 6.');
  await page.getByRole('button', { name: 'A partner joins' }).click();
  await page.getByLabel('Partner’s name').selectOption({ label: 'Tomasz B.' });
  await page.getByLabel('PIN').fill('2468');
  await page.getByRole('button', { name: 'Join' }).click();
  await expect(page.getByRole('radio', { name: /Tomasz/ })).toBeVisible();
  // What is being typed stays when somebody joins.
  await expect(result(page)).toHaveValue('after - before = 6.');
  await result(page).fill('6.4 mL');
  await result(page).press('Enter');
  await expect(cell(page, 'Volume, trial 1')).toHaveAccessibleName(/6\.4, correct/);
  await page.getByRole('radio', { name: /Tomasz/ }).click();
  await expect(cell(page, 'Volume, trial 1')).toHaveAccessibleName(/your turn/);
  await page.getByRole('radio', { name: /Ines/ }).click();
  await expect(cell(page, 'Volume, trial 1')).toHaveAccessibleName(/6\.4, correct/);
});

test('a teacher decides who calculates, and it holds for what begins afterwards', async ({ page }) => {
  await enterAs(page, 'teacher', '/notebook');
  await page.getByLabel('In the laboratory').selectOption({ label: 'Density by displacement' });
  await page.getByLabel('The group calculates and answers together.').check();
  const volume = page.getByLabel('Volume', { exact: true });
  await volume.setChecked(!(await volume.isChecked()));
  const left = await volume.isChecked();
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('It holds for laboratories that begin from now on.')).toBeVisible();
  await page.reload();
  await page.getByLabel('In the laboratory').selectOption({ label: 'Density by displacement' });
  await expect(page.getByLabel('Volume', { exact: true })).toBeChecked({ checked: left });
  await expect(page.getByLabel('The group calculates and answers together.')).toBeChecked();
});

test('a reading written in its parts keeps them, and the slip between them is named', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Slate tile, in parts', 'One plate, measured twice', {
    ...LEFT_TO_STUDENTS,
    byStudent: [],
  });
  await cell(page, 'Thickness, trial 1').click();
  await page.getByRole('button', { name: 'in parts …' }).click();
  await page.getByLabel('sleeve, mm').fill('5.5');
  await page.getByLabel('thimble').fill('32.0');
  await page.getByLabel('together, mm').fill('8.700');
  await page.getByLabel('together, mm').press('Enter');
  await expect(page.getByText('Thimble divisions read as tenths. The parts add up to 5.82 mm')).toBeVisible();
  await cell(page, 'Thickness, trial 1').click();
  await expect(page.getByLabel('thimble')).toHaveValue('32.0');
  await page.getByLabel('together, mm').fill('5.820');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(page.getByText('Thimble divisions read as tenths')).toHaveCount(0);
  await expect(page.getByText('sleeve 5.5 + thimble 32.0', { exact: true })).toBeVisible();
  await expect(page.locator('.line-through', { hasText: '8.700' })).toBeVisible();
});

test('a prediction is locked once what it is about has been read', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Washers, predicted', 'What does one weigh?', { ...LEFT_TO_STUDENTS, byStudent: [] });
  await fillCell(page, 'Your prediction', '110.3');
  await fillCell(page, 'Your prediction', '110.9');
  await fillCell(page, 'Mass on the balance, trial 1', '110.52');
  await expect(page.getByLabel('locked: it has been read')).toBeVisible();
  await expect(page.getByRole('button', { name: /^Your prediction/ })).toHaveCount(0);
});

test('an answer that is a number is held against the results on the page', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Nail, asked about');
  const asked = page.getByLabel('What is the volume of one piece?');
  await asked.fill('6.4 mL');
  await asked.blur();
  await expect(page.getByText(/agrees? with your results/)).toHaveCount(0);
  await read(page, 1, '54.31', '21.4', '27.8');
  await expect(page.getByText('This agrees with your results.')).toBeVisible();
  await asked.fill('27.8 mL');
  await asked.blur();
  await expect(page.getByText(/This does not agree with your results/)).toBeVisible();
});

test('on a phone the strip comes into sight when a cell is opened', async ({ page }) => {
  await begin(page, 'Slate tile, on a phone');
  await page.setViewportSize({ width: 390, height: 844 });
  await read(page, 1, '16.84', '16.2', '22.3');
  await cell(page, 'Volume, trial 1').click();
  const opened = strip(page, 'Volume, trial 1');
  await expect(opened.getByRole('heading')).toBeInViewport();
  await expect(result(page)).toBeInViewport();
  await expect(opened.getByRole('button', { name: 'Check' })).toBeInViewport();
});
