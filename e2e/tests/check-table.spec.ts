import { fileURLToPath } from 'node:url';
import { beginLaboratory, enterAs, expect, test } from './world.ts';

const FAULTY = [
  ['Trial', 'Mass / g', 'Before / mL', 'After / mL', 'Volume / mL', 'Density'],
  ['1', '24.31', '18.6', '21.4', '2.8', '8.7'],
  ['2', '24.29', '19.0', '21.8', '2.8', '8.7'],
  ['3', '24.33', '20.2', '22.9', '2.5', '9.7'],
  ['4', '24.30', '18.8', '21.6', '2.8', '8.7'],
]
  .map((row) => row.join('\t'))
  .join('\n');

test('a visitor pastes a table: each fault is named in its cell, and mended one by one', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await page.goto('/numbers');
  await page.getByRole('link', { name: 'Check a table' }).click();
  const field = page.getByRole('textbox', { name: /^Copy the cells/ });
  await field.fill('   ');
  await expect(page.getByRole('button', { name: 'Check it' })).toBeDisabled();
  await field.fill(FAULTY);
  // What was pasted outlives a reload.
  await page.reload();
  await expect(field).toHaveValue(FAULTY);
  await page.getByRole('button', { name: 'Check it' }).click();

  await expect(page.getByRole('heading', { name: '2 things to look at' })).toBeVisible();
  await expect(page.getByText('Volume = After − Before. Density = Mass ÷ Volume.')).toBeVisible();
  await page.getByRole('button', { name: /^2\.5, E4/ }).click();
  const list = page.getByRole('list', { name: 'What was found' });
  await expect(list.getByRole('button', { name: 'E4 Wrong difference' })).toHaveAttribute('aria-pressed', 'true');
  await expect(list.getByText('22.9 − 20.2 comes to 2.7.')).toBeVisible();
  await list.getByRole('button', { name: 'Write 2.7' }).click();
  // With the right volume the density that was worked out of it is seen to be wrong.
  await list.getByRole('button', { name: 'Write 9.0' }).click();
  await list.getByRole('button', { name: 'Write Density / g/mL' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing wrong was found' })).toBeVisible();

  await page.getByRole('button', { name: 'Copy the table' }).click();
  await expect(page.getByText('Copied. Paste it into your spreadsheet.')).toBeVisible();
  const copied = await page.evaluate(() => navigator.clipboard.readText());
  expect(copied.split('\n')[3]).toBe('3\t24.33\t20.2\t22.9\t2.7\t9.0');
  await page.getByRole('button', { name: 'Undo the last repair' }).click();
  await expect(page.getByRole('heading', { name: 'One thing to look at' })).toBeVisible();
  await list.getByRole('button', { name: 'Leave it as it is: F1' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing else to look at' })).toBeVisible();
});

test('a student opens a workbook; what is no table is refused with what to do', async ({ page }) => {
  await enterAs(page, 'student', '/numbers/check-table');
  const open = page.getByLabel('or open a file');
  await open.setInputFiles({ name: 'photo.png', mimeType: 'image/png', buffer: Buffer.from('x') });
  await expect(page.getByRole('alert')).toContainText('“photo.png” cannot be read here.');
  await open.setInputFiles(fileURLToPath(new URL('../files/deliveries.xlsx', import.meta.url)));
  await expect(page.getByRole('heading', { name: 'One thing to look at' })).toBeVisible();
  await expect(page.getByText('The one before ended at 20.66.')).toBeVisible();
  await page.getByRole('button', { name: 'Write 20.66' }).click();
  // The volume that was delivered follows from it.
  await page.getByRole('button', { name: 'Write 10.08' }).click();
  await expect(page.getByRole('heading', { name: 'Nothing wrong was found' })).toBeVisible();
});

test('a table that was checked becomes readings of a laboratory', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  const specimen = `Checked pebble ${test.info().repeatEachIndex + 1}`;
  await beginLaboratory(page, specimen);
  await page.goto('/numbers/check-table');
  await page.getByRole('textbox', { name: /^Copy the cells/ }).fill(
    FAULTY.replace(/Mass/, 'Dry mass')
      .replace(/Before/, 'Water before')
      .replace(/After/, 'Water after'),
  );
  await page.getByRole('button', { name: 'Check it' }).click();
  const pages = page.getByRole('combobox', { name: 'Take it into a laboratory' });
  const own = await pages.getByRole('option', { name: new RegExp(`^${specimen}`) }).getAttribute('value');
  await pages.selectOption(own);
  await page.getByRole('button', { name: 'Open it there' }).click();
  const dialog = page.getByRole('dialog', { name: 'Take in a table' });
  await dialog.getByRole('button', { name: /^Take in \d+ values/ }).click();
  await expect(page.getByRole('button', { name: /^Dry mass, trial 3, 24\.33/ })).toBeVisible();
});

test('a teacher mends a faulty table and makes an exercise of it; a student finds the errors', async ({
  page,
  browser,
}) => {
  const title = `Find the errors ${Date.now()}`;
  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher', '/numbers/check-table');
  await teacher.getByRole('textbox', { name: /^Copy the cells/ }).fill(FAULTY);
  await teacher.getByRole('button', { name: 'Check it' }).click();
  await expect(teacher.getByRole('heading', { name: '2 things to look at' })).toBeVisible();
  await teacher.getByRole('button', { name: 'Write 2.7' }).click();
  await expect(teacher.getByRole('button', { name: 'Write 2.7' })).toHaveCount(0);
  await teacher.getByRole('button', { name: 'Make it an exercise for the class' }).click();
  await teacher.getByRole('textbox', { name: 'Name of the exercise' }).fill(title);
  await teacher.getByRole('button', { name: 'Set it for the class' }).click();
  await expect(teacher.getByText('Your class has it now.')).toBeVisible();
  await teacher.getByRole('main').getByRole('link', { name: 'Practice sets' }).click();
  await expect(teacher.getByText(title)).toBeVisible();
  await room.close();

  await enterAs(page, 'student', '/numbers/practice');
  await page.getByText(title).locator('..').locator('..').getByRole('button', { name: 'Begin' }).click();
  await expect(page.getByText('2 things in it are wrong. Mark each, and say what it is.')).toBeVisible();
  // The mistake that the teacher has mended is there: everybody gets the table as it came in.
  const cells = page.getByRole('table').getByRole('button');
  await cells.filter({ hasText: '9.7' }).click();
  const faults = page.getByRole('combobox', { name: /What is wrong with/ });
  await faults.selectOption('calculated wrongly');
  await page.getByRole('button', { name: 'Check' }).click();
  await expect(page.getByText('Exercise 1 of 1, second try next')).toBeVisible();
  await page.getByRole('button', { name: /^Take the mark off/ }).click();
  await cells.filter({ hasText: '2.5' }).click();
  await faults.last().selectOption('calculated wrongly');
  await cells.filter({ hasText: 'Density' }).click();
  await faults.last().selectOption('no unit in the heading');
  await page.getByRole('button', { name: 'Check again' }).click();
  await expect(page.getByText('You found everything, and marked nothing else.')).toBeVisible();
  await expect(page.getByRole('list', { name: 'What was wrong' }).getByRole('listitem')).toHaveCount(2);
});
