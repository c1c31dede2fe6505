import { readFile } from 'node:fs/promises';
import type { Page } from '@playwright/test';
import { enterAs, expect, test } from './world.ts';

async function toolPage(page: Page, code: string): Promise<void> {
  await page.goto('/cabinet');
  await page.getByRole('link', { name: code, exact: true }).click();
  await expect(page.getByRole('heading', { level: 1 })).toContainText(code);
}

test('a check with a standard mass is noted, and stands on the chart; one that cannot be is refused by its field', async ({
  page,
}) => {
  await enterAs(page, 'teacher');
  await toolPage(page, 'B-02');
  const chart = page.getByRole('img', { name: /\d+ checks/ });
  const before = Number(/(\d+) checks/.exec((await chart.getAttribute('aria-label'))!)![1]);
  await page.getByRole('textbox', { name: 'It shows, g', exact: true }).fill('100,02');
  await page.getByRole('button', { name: 'Save the check' }).first().click();
  await expect(page.getByRole('img', { name: `${before + 1} checks, the last off by +0.02 g` })).toBeVisible();
  await page.getByRole('textbox', { name: 'Standard mass, g' }).fill('500');
  await page.getByRole('textbox', { name: 'It shows, g', exact: true }).fill('500.00');
  await page.getByRole('button', { name: 'Save the check' }).first().click();
  await expect(page.getByRole('alert')).toContainText('500 g is more than the 0.01 g digital balance takes, 200 g.');
  await expect(page.getByRole('textbox', { name: 'It shows, g', exact: true })).toHaveValue('500.00');
});

test('two teachers change one tool: the later one is told, keeps what was typed, and decides', async ({
  page,
  browser,
}) => {
  await enterAs(page, 'teacher');
  await toolPage(page, 'C-02');
  const other = await browser.newPage({ baseURL: new URL(page.url()).origin });
  await enterAs(other, 'administrator');
  await toolPage(other, 'C-02');
  await other.getByRole('textbox', { name: 'Where it is, or who has it' }).fill('bench 6');
  await other.getByRole('button', { name: 'Change it' }).click();
  await expect(other.getByText('Changed.', { exact: true })).toBeVisible();
  await page.getByRole('textbox', { name: 'Where it is, or who has it' }).fill('bench 5');
  await page.getByRole('button', { name: 'Change it' }).click();
  await expect(page.getByRole('alert')).toContainText(/changed C-02 while you were writing/);
  await expect(page.getByText(/left it: code C-02, kept bench 6/)).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Where it is, or who has it' })).toHaveValue('bench 5');
  await page.getByRole('button', { name: 'Replace it with mine' }).click();
  await expect(page.getByText('Changed.', { exact: true })).toBeVisible();
  await page.goto('/cabinet');
  await expect(page.getByRole('row', { name: /C-02/ })).toContainText('bench 5');
  await other.close();
});

test('a list goes out as CSV and comes in again; rows that are wrong are named and nothing is added', async ({
  page,
}) => {
  await enterAs(page, 'teacher', '/cabinet');
  const coming = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as CSV' }).click();
  const text = await readFile(await (await coming).path(), 'utf8');
  expect(text).toContain('code,tool,kind,unit,range,division,tolerance,keeper,state,zero error');
  expect(text).toMatch(/M-01,micrometer-hundredth,real,mm,0 to 25,0.01,0.004,bench 1,fit,-0.02/);
  await page.getByRole('button', { name: 'Add a list' }).click();
  const list = page.getByRole('textbox', { name: /Paste the list/ });
  await list.fill('code,tool,keeper,zero error\nC-21,caliper-fiftieth,bench 7,-0.04\nC-22,sextant,bench 7,');
  await page.getByRole('button', { name: 'Add 2 to the cabinet' }).click();
  await expect(page.getByRole('alert')).toContainText('Row 2, tool: “sextant” is not a kind of tool known here.');
  await list.fill('code,tool,keeper,zero error\nC-21,caliper-fiftieth,bench 7,-0.04');
  await page.getByRole('button', { name: 'Add 1 to the cabinet' }).click();
  await expect(page.getByText('1 added.')).toBeVisible();
  await expect(page.getByRole('row', { name: /C-21/ })).toContainText('−0.04');
});

test('a laboratory column names the very balance, and what it shows at zero is taken off', async ({
  page,
  browser,
}) => {
  const teacher = await browser.newPage({ baseURL: process.env['BASE_URL'] ?? '' });
  await enterAs(teacher, 'teacher');
  await toolPage(teacher, 'B-02');
  await teacher.getByRole('textbox', { name: 'It shows at zero, g' }).fill('0.02');
  await teacher.getByRole('button', { name: 'Save the check' }).last().click();
  await expect(teacher.getByText('+0.02 g', { exact: true }).first()).toBeVisible();
  await teacher.close();
  await enterAs(page, 'student', '/notebook');
  await page.getByText('Tin ballast ingot').click();
  await page
    .getByRole('combobox', { name: 'Tool for dry mass' })
    .selectOption({ label: 'B-02, 0.01 g digital balance' });
  await expect(page.getByText('+0.02 g taken off')).toBeVisible();
  await page.getByRole('combobox', { name: 'Tool for dry mass' }).selectOption({ label: '0.01 g digital balance' });
  await expect(page.getByText('+0.02 g taken off')).toBeHidden();
});
