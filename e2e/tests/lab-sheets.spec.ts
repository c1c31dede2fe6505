import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { beginLaboratory, enterAs, expect, fillCell, test } from './world.ts';

const part = (page: Page, name: string) =>
  page
    .getByRole('navigation', { name: 'Parts of the lab sheet' })
    .getByRole('button', { name: new RegExp(`^${name}`) });

async function goTo(page: Page, name: string): Promise<void> {
  await part(page, name).click();
  await expect(page.getByRole('heading', { name, level: 2 })).toBeVisible();
}

async function begun(page: Page, title: string): Promise<void> {
  await enterAs(page, 'teacher', '/lab-sheets');
  await page.getByRole('button', { name: 'New lab sheet' }).click();
  await page.getByRole('textbox', { name: 'Title', exact: true }).fill(title);
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
}

/** Adds a quantity of a kind, and opens it. */
async function addQuantity(page: Page, kind: string): Promise<void> {
  await page.getByRole('combobox', { name: 'New quantity' }).selectOption({ label: kind });
  await page.getByRole('button', { name: 'Add a quantity' }).click();
  await page.locator('summary').filter({ hasText: 'New: ' }).last().click();
}

/** The fields of the quantity that is open. */
const field = (page: Page, name: string) =>
  page.locator('details[open]').last().getByRole('textbox', { name, exact: true });

test('a teacher writes a laboratory, its formulas are checked as they are typed, and a group does it', async ({
  page,
  browser,
}) => {
  const title = `Mass for each centimetre ${Date.now()}`;
  await begun(page, title);
  await page.getByLabel('What is measured').fill('Acrylic rod');
  await page.getByLabel('Purpose').fill('Find how much each centimetre of a rod weighs.');

  await goTo(page, 'Advanced');
  await addQuantity(page, 'Read on a tool');
  await field(page, 'Name').fill('Length');
  await field(page, 'Name in formulas').fill('len');
  await field(page, 'Symbol').fill('L');
  await field(page, 'Unit').fill('cm');
  await page.locator('details[open]').last().getByRole('checkbox', { name: 'Trial' }).check();
  await page.locator('summary').filter({ hasText: 'Length' }).click();
  await addQuantity(page, 'Calculated');
  await field(page, 'Name').fill('Mass for each centimetre');
  await field(page, 'Name in formulas').fill('each');
  await field(page, 'Unit').fill('g/cm');
  const formula = field(page, 'Formula');
  await formula.fill('meanMass / len');
  await expect(page.getByText(/does not stand over trial/)).toBeVisible();
  await formula.fill('meanMass * mean(len over trial)');
  await expect(page.getByText(/units of different kinds|cannot be/i)).toBeVisible();
  await formula.fill('meanMass / mean(length over trial)');
  await expect(page.getByText(/length is not a quantity of this laboratory/i)).toBeVisible();
  await expect(part(page, 'Advanced')).toContainText('1');
  await formula.fill('meanMass / mean(len over trial)');
  await expect(page.getByText('Names and units fit: it comes to g/cm.')).toBeVisible();

  await goTo(page, 'Tools and repeats');
  await page.getByRole('combobox', { name: 'Add a tool for length' }).selectOption({ label: 'Any ruler' });
  await page.getByRole('button', { name: 'Length: without Any balance' }).click();
  await goTo(page, 'Results');
  await page.getByRole('combobox', { name: 'Result', exact: true }).selectOption({ label: 'Mass for each centimetre' });

  // Its example lacks the length: it is tried before it is used.
  await goTo(page, 'Use it');
  await page.getByRole('button', { name: 'Put it in use' }).click();
  await expect(page.getByText(/Length, trial 1: nothing is written/)).toBeVisible();
  await page.getByRole('button', { name: 'Example 1, entries.len' }).click();
  await page.getByRole('main').getByRole('button', { name: 'Try it', exact: true }).click();
  for (const [trial, text] of ['12.41', '12.43', '12.42'].entries())
    await fillCell(page, `Length, trial ${trial + 1}`, text);
  await expect(page.locator('#results')).toContainText('5.178');
  await page.getByRole('button', { name: 'Back to the lab sheet' }).click();
  await goTo(page, 'Use it');
  await page.getByRole('button', { name: 'Put it in use' }).click();
  await expect(page.getByText('It is in use. Version 1.')).toBeVisible();

  const student = await (await browser.newContext()).newPage();
  await enterAs(student, 'student', '/notebook');
  await beginLaboratory(student, 'Acrylic rod, ours', title);
  for (const trial of [1, 2, 3]) {
    await fillCell(student, `Mass, trial ${trial}`, `64.3${trial}`);
    await fillCell(student, `Length, trial ${trial}`, '12.40');
  }
  await expect(student.locator('#results')).toContainText('5.187');

  // A change is another version; who has begun goes on with the first.
  await goTo(page, 'Tools and repeats');
  await page.getByLabel('At least').fill('4');
  await goTo(page, 'Use it');
  await page.getByRole('button', { name: 'Put the changes in use' }).click();
  await expect(page.getByText(/Mass, trial 4: nothing is written/)).toBeVisible();
  await goTo(page, 'Tools and repeats');
  await page.getByLabel('At least').fill('2');
  await goTo(page, 'Use it');
  await page.getByRole('button', { name: 'Put the changes in use' }).click();
  await expect(page.getByText('It is in use. Version 2.')).toBeVisible();
  await student.reload();
  await expect(student.locator('#results')).toContainText('5.187');
  await page.getByRole('button', { name: 'Retire it' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Retire it' }).click();
  await expect(page.getByText(/It is retired/)).toBeVisible();
  await student.goto('/notebook');
  await expect(student.getByRole('combobox', { name: 'Laboratory' })).toBeVisible();
  await expect(student.getByRole('option', { name: title })).toHaveCount(0);
  await student.context().close();
});

test('a lab sheet travels as a file, and a wrong one is answered with every path', async ({ page }) => {
  await enterAs(page, 'teacher', '/lab-sheets');
  const downloading = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file: One plate, measured twice' }).click();
  const text = readFileSync(await (await downloading).path(), 'utf8');
  const sheet = JSON.parse(text) as { purpose: string; quantities: { formula?: string }[] };
  const take = (buffer: string) =>
    page
      .getByLabel('From a file (JSON)')
      .setInputFiles({ name: 'sheet.json', mimeType: 'application/json', buffer: Buffer.from(buffer) });

  await take(text.slice(0, 200));
  await expect(page.getByRole('alert')).toContainText(/not JSON: it stops in line \d+, column \d+/);
  const faulty = structuredClone(sheet);
  faulty.quantities[4]!.formula = 'mean(lengths over trial)';
  faulty.quantities[7]!.formula = 'meanLength * meanWidth';
  await take(JSON.stringify(faulty));
  await expect(page.getByRole('alert')).toContainText('quantities[4].formula');
  await expect(page.getByRole('alert')).toContainText('quantities[7].formula');

  sheet.purpose = '<img src=x onerror="document.title=\'taken over\'">';
  await take(JSON.stringify(sheet));
  await expect(page.getByRole('heading', { name: 'One plate, measured twice', level: 1 })).toBeVisible();
  await goTo(page, 'Try it');
  await page.getByRole('main').getByRole('button', { name: 'Try it', exact: true }).click();
  await expect(page.getByText(sheet.purpose)).toBeVisible();
  expect(await page.title()).not.toContain('taken over');
});

test('what is written is saved by itself, also after the network was gone, and never over another window', async ({
  page,
  context,
}) => {
  await begun(page, 'Two windows');
  const address = page.url();
  const other = await context.newPage();
  await other.goto(address);
  await other.getByRole('textbox', { name: 'Title', exact: true }).fill('Two windows, the other');
  await expect(other.getByText('Saved.', { exact: true })).toBeVisible();
  await other.reload();
  await expect(other.getByRole('heading', { name: 'Two windows, the other' })).toBeVisible();

  await page.getByLabel('Purpose').fill('Mine, which must not be lost.');
  await expect(page.getByText('This lab sheet was changed in another window')).toBeVisible();
  // The copy is there once the server has sent it; until then the page shows what was on it before.
  const copy = page.waitForResponse(
    (response) => response.request().method() === 'GET' && /\/api\/lab-sheets\/own-/.test(response.url()),
  );
  await page.getByRole('button', { name: 'Keep mine as a copy' }).click();
  await copy;
  await expect(page).not.toHaveURL(address);
  await expect(page.getByLabel('Purpose')).toHaveValue('Mine, which must not be lost.');

  await context.setOffline(true);
  await page.getByLabel('Purpose').fill('Written without a network.');
  await expect(page.getByText(/Not saved yet: the server cannot be reached/)).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByLabel('Purpose')).toHaveValue('Written without a network.');
});
