import { readFileSync } from 'node:fs';
import type { Download, Page } from '@playwright/test';
import { beginLaboratory, enterAs, expect, fillCell, signIn, test, unfold } from './world.ts';

const contentOf = async (download: Download): Promise<Buffer> => readFileSync(await download.path());

async function saved(page: Page, button: string | RegExp): Promise<Buffer> {
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: button }).click();
  return contentOf(await downloading);
}

const cell = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}`) });

test('a table from elsewhere is looked at, its columns are named, and its readings are taken in', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Bronze nail, from a logger');
  await fillCell(page, 'Dry mass, trial 1', '54.00');
  await page.getByRole('button', { name: 'Take in a table (CSV)' }).click();
  const dialog = page.getByRole('dialog');
  // As a spreadsheet of another country saves it: semicolons, decimal commas, an encoding of its own.
  const text =
    'Versuch;Dry mass (g);Wasser vorher;Water after (mL);Notiz\n1;54,31;18,4;24,6;schräg\n2;54,32;18,6;x;\n3;54,31;18,5;24,7;=1+1\n';
  await dialog.getByLabel('A file with a table').setInputFiles({
    name: 'logger.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(text, 'latin1'),
  });
  await expect(dialog.getByText('Parted by semicolons, Windows-1252.')).toBeVisible();
  await expect(dialog.getByRole('combobox', { name: 'What Dry mass (g) is' })).toHaveValue(/^quantity mass/);
  await dialog.getByRole('combobox', { name: 'What Versuch is' }).selectOption({ label: 'Trial' });
  await dialog.getByRole('combobox', { name: 'What Wasser vorher is' }).selectOption({ label: 'Water before (mL)' });
  await expect(dialog.getByText(/Row 3, column 4: /)).toBeVisible();
  // What stands there already is corrected only where that is wanted.
  await expect(dialog.getByRole('button', { name: 'Take in 7 values' })).toBeVisible();
  await dialog.getByRole('checkbox', { name: /One place has something else already/ }).check();
  await dialog.getByRole('button', { name: 'Take in 8 values' }).click();
  await expect(cell(page, 'Dry mass, trial 1, 54.31')).toBeVisible();
  await expect(cell(page, 'Water after, trial 3, 24.7')).toBeVisible();
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  await page.reload();
  await expect(cell(page, 'Dry mass, trial 1, 54.31')).toBeVisible();

  // What the page itself saves is taken in by another one, each reading at its place.
  const own = await saved(page, 'As a table (CSV)');
  await page.getByRole('link', { name: 'All laboratories' }).click();
  await beginLaboratory(page, 'Bronze nail, again');
  await page.getByRole('button', { name: 'Take in a table (CSV)' }).click();
  await dialog.getByLabel('A file with a table').setInputFiles({ name: 'own.csv', mimeType: 'text/csv', buffer: own });
  await dialog.getByRole('button', { name: 'Take in 8 values' }).click();
  await expect(cell(page, 'Water before, trial 2, 18.6')).toBeVisible();
  for (const [large, message] of [
    [`a\n${'1,'.repeat(10_000)}`, /Row 2 has 10001 columns/],
    ['x'.repeat(5_000_000), /5 MB/],
  ] as const) {
    await page.getByRole('button', { name: 'Take in a table (CSV)' }).click();
    await dialog
      .getByLabel('A file with a table')
      .setInputFiles({ name: 'large.csv', mimeType: 'text/csv', buffer: Buffer.from(large) });
    await expect(dialog.getByRole('alert')).toContainText(message);
    await page.keyboard.press('Escape');
  }
});

test('a page travels with its whole history, and all pages of a class in one file', async ({ page, browser }) => {
  const student = await (await browser.newContext()).newPage();
  await enterAs(student, 'student', '/notebook');
  await beginLaboratory(student, 'Basalt pebble, travelling');
  await fillCell(student, 'Dry mass, trial 1', '31.40');
  await cell(student, 'Dry mass, trial 1, 31.40').click();
  await student.getByRole('textbox', { name: 'Dry mass, trial 1', exact: true }).fill('31.42');
  await student.keyboard.press('Enter');
  await expect(cell(student, 'Dry mass, trial 1, 31.42')).toBeVisible();
  await expect(student.getByText('Everything is saved.')).toBeVisible();
  const file = await saved(student, 'With history (JSON)');
  await student.context().close();

  await signIn(page, 'teacher');
  await page.goto('/notebook');
  await unfold(page, /^Files$/);
  const take = (buffer: Buffer) =>
    page
      .getByLabel('Take in a saved page (JSON)')
      .setInputFiles({ name: 'page.json', mimeType: 'application/json', buffer });
  await take(Buffer.from('{"format":"green-beam-run","version":1}'));
  await expect(page.getByRole('alert')).toContainText('specimen');
  await take(file);
  await expect(page.getByText(/is in this class and finds the page/)).toBeVisible();
  await page.getByRole('button', { name: 'Take it in' }).click();
  await expect(page.getByRole('heading', { name: 'Basalt pebble, travelling' })).toBeVisible();
  await expect(page.getByText('struck through: 31.40')).toBeVisible();
  await expect(page.getByText('31.42').first()).toBeVisible();

  await page.goto('/notebook');
  await unfold(page, /^Files$/);
  const zip = await saved(page, 'Save all pages (ZIP)');
  // Names of files stand in a zip as they are.
  expect(zip.subarray(0, 2).toString()).toBe('PK');
  expect(zip.toString('latin1')).toMatch(/\d{3}-basalt-pebble-travelling\.csv/);
  await expect(page.getByText(/\d+ pages are saved\./)).toBeVisible();
});
