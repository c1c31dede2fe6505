import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import type { Page, TestInfo } from '@playwright/test';
import { beginLaboratory, enterAs, expect, fillCell, signIn, test } from './world.ts';

const EACH = {
  byStudent: ['volume', 'density', 'meanDensity'],
  ownWork: 'each-student',
  reveals: 'with-own-answer',
  sums: 'student',
} as const;

const cell = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}, `) });

async function calculate(page: Page, name: string, text: string): Promise<void> {
  await cell(page, name).click();
  const field = page.getByLabel('Your result, with its unit');
  await field.fill(text);
  await field.press('Enter');
  await expect(page.getByRole('button', { name: new RegExp(`^${name}, ${text.split(' ')[0]!}`) })).toBeVisible();
}

/** The text of a page as it comes out of the printer. */
async function printed(page: Page, info: TestInfo): Promise<string> {
  const file = info.outputPath('report.pdf');
  await page.pdf({ path: file, preferCSSPageSize: true });
  return execFileSync('pdftotext', ['-layout', file, '-']).toString();
}

async function handIn(page: Page): Promise<void> {
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Hand in' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText(/^Handed in \d/)).toBeVisible();
}

test('a report is written, handed in, marked at a cell and a part, returned, improved, and printed', async ({
  page,
  browser,
}, info) => {
  test.slow();
  const specimen = `Slate tile, reported ${info.retry}${Date.now() % 1000}`;
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, specimen, 'Density by displacement', EACH);
  for (const [trial, mass, before, after] of [
    [1, '16.84', '16.2', '22.3'],
    [2, '16.84', '18.0', '24.2'],
    [3, '16.83', '15.6', '21.9'],
  ] as const) {
    await fillCell(page, `Dry mass, trial ${trial}`, mass);
    await fillCell(page, `Water before, trial ${trial}`, before);
    await fillCell(page, `Water after, trial ${trial}`, after);
  }
  await calculate(page, 'Volume, trial 1', '6.1 mL');
  // The final volume for the difference.
  await calculate(page, 'Volume, trial 2', '24.2 mL');
  await page.getByRole('textbox', { name: 'Purpose' }).click();
  await page.keyboard.type('We looked for the density in g/cm');
  await page.getByRole('group', { name: 'Markup of purpose' }).getByRole('button', { name: 'Superscript' }).click();
  await page.keyboard.type('3');
  await page.getByRole('textbox', { name: 'Causes of error' }).click();
  await page.keyboard.type('A bubble, <b>perhaps</b>.');
  await page.keyboard.press('Enter');
  await page.keyboard.type('The tile was still wet.');
  await page.getByRole('heading', { name: specimen }).click();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Purpose' })).toContainText('We looked for the density in g/cm3');
  const address = new URL(page.url()).pathname;
  await handIn(page);
  await expect(page.getByRole('textbox', { name: 'Purpose' })).toHaveCount(0);

  const teacher = await (await browser.newContext()).newPage();
  await enterAs(teacher, 'teacher', '/marking');
  await teacher.getByRole('link', { name: new RegExp(specimen) }).click();
  await expect(teacher.getByText('Only one of the two readings')).toBeVisible();
  await expect(teacher.getByText('A bubble, <b>perhaps</b>.')).toBeVisible();
  await teacher.getByRole('button', { name: /^Volume, trial 2/ }).click();
  await teacher.getByRole('textbox', { name: 'Your comment' }).fill('Look at the water before.');
  await teacher.getByRole('textbox', { name: 'Your comment' }).press('Enter');
  const causes = teacher.locator('section').filter({ has: teacher.getByRole('heading', { name: 'Causes of error' }) });
  await causes.getByRole('button', { name: 'Comment on this' }).last().click();
  await teacher.getByRole('textbox', { name: 'Your comment' }).fill('Do your data show a bubble?');
  await teacher.getByRole('textbox', { name: 'Your comment' }).press('Enter');
  // Said before, it is offered among the commonest ones too.
  await expect(teacher.getByRole('listitem').filter({ hasText: 'Do your data show a bubble?' })).toBeVisible();
  await causes.getByRole('button', { name: 'Comment on paragraph 2: The tile was still wet.' }).click();
  await teacher.getByRole('textbox', { name: 'Your comment' }).fill('In which trial?');
  await teacher.getByRole('textbox', { name: 'Your comment' }).press('Enter');
  await expect(teacher.getByRole('listitem').filter({ hasText: 'In which trial?' })).toContainText(
    '“The tile was still wet.”',
  );
  await teacher.getByRole('heading', { level: 1 }).click();
  await teacher
    .getByRole('group', { name: 'Points' })
    .getByRole('button', { name: /^Judgement/ })
    .click();
  await teacher.getByRole('heading', { level: 1 }).click();
  await teacher.keyboard.press('3');
  await expect(
    teacher.getByRole('group', { name: 'Points' }).getByRole('button', { name: /^Judgement/ }),
  ).toContainText('3');
  await teacher.keyboard.press('n');
  await expect(teacher).not.toHaveURL(new RegExp(address.split('/').at(-1)!));

  // Nobody sees the mark before it is returned.
  await page.goto(address);
  await expect(page.getByText(/^Handed in \d/)).toBeVisible();
  await expect(page.getByText('Look at the water before.')).toHaveCount(0);
  await teacher.goto('/marking');
  await teacher.getByRole('button', { name: /^Return/ }).click();
  await teacher.getByRole('dialog').getByRole('button', { name: 'Return them' }).click();
  await expect(teacher.getByRole('dialog')).toHaveCount(0);

  await expect(page.getByRole('heading', { name: 'Your report is back' })).toBeVisible();
  await expect(page.getByText('Look at the water before.')).toBeVisible();
  await expect(page.getByText('3 of 4').first()).toBeVisible();
  await expect(page.getByText('Causes of error, “The tile was still wet.”')).toBeVisible();
  await page.getByRole('button', { name: 'Go on with it' }).click();
  await calculate(page, 'Volume, trial 2', '6.2 mL');
  await page.getByRole('textbox', { name: 'Causes of error' }).getByText('The tile was still wet.').click();
  await page.keyboard.press('End');
  await page.keyboard.type(' So trial 3 is too heavy.');
  await page.getByRole('heading', { name: specimen }).click();
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  await handIn(page);
  await teacher.goto('/marking');
  await teacher.getByRole('link', { name: new RegExp(specimen) }).click();
  await expect(teacher.getByText('Handed in for the second time.')).toBeVisible();
  await expect(teacher.getByText('2 places have changed since.')).toBeVisible();
  await teacher.locator('summary').filter({ hasText: 'What changed' }).click();
  await expect(teacher.locator('ins')).toHaveText(' So trial 3 is too heavy.');
  await expect(teacher.locator('del')).toHaveCount(0);
  await teacher.context().close();

  await page.getByRole('link', { name: 'See and print the whole report' }).click();
  await expect(page.getByRole('heading', { name: 'Equipment' })).toBeVisible();
  await expect(page.getByText('Typesetting')).toHaveCount(0);
  const text = await printed(page, info);
  for (const part of [
    specimen,
    'Purpose',
    '0.01 g digital balance',
    'Cautions',
    '22.3',
    '6.2',
    'A bubble, <b>perhaps</b>.',
  ])
    expect(text).toContain(part);
  expect(text).toMatch(/1 of \d/);
  expect(text).not.toContain('Sign out');
});

test('what a class is marked by is the teacher’s, and the gradebook has the columns that were chosen', async ({
  page,
}) => {
  await signIn(page, 'teacher');
  await page.goto('/marking');
  await page.locator('summary').filter({ hasText: 'Gradebook' }).click();
  await page.getByLabel('Comments', { exact: true }).uncheck();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /^Save the gradebook/ }).click(),
  ]);
  const [heading = '', ...rows] = readFileSync(await file.path(), 'utf8')
    .replace('\uFEFF', '')
    .split('\r\n');
  expect(heading).toMatch(/^Student,Laboratory,What was measured,Handed in,Report number,Late,Readings,/);
  expect(heading).not.toContain('Comments');
  expect(rows.some((row) => row.startsWith('Ines V.,Density by displacement,"Nickel washers, six"'))).toBe(true);

  await page.locator('summary').filter({ hasText: 'What reports are marked by' }).click();
  await page.getByRole('button', { name: 'One more criterion' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Name each criterion.')).toBeVisible();
  await page.getByRole('textbox', { name: /^Criterion 6/ }).fill('Care at the bench');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Remove criterion 6' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
});
