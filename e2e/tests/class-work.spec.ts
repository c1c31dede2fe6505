import type { Page } from '@playwright/test';
import { enterAs, expect, fillCell, signIn, test } from './world.ts';

/** The first student of the sample class, whom the student’s door of the sample world signs in. */
const INES = 'Ines V.';

async function openForm(page: Page, specimen: string): Promise<void> {
  await enterAs(page, 'teacher', '/notebook');
  await page.getByRole('link', { name: 'Open a laboratory' }).click();
  // The page that was left has a choice of laboratories too.
  await expect(page.getByRole('heading', { name: 'Open a laboratory', level: 1 })).toBeVisible();
  await page.getByRole('combobox', { name: 'Laboratory' }).selectOption({ label: 'Density by displacement' });
  await page.getByLabel('What is measured').fill(specimen);
}

const group = (page: Page, name: string) => page.getByRole('listitem', { name, exact: true });

/** Puts somebody into a group by the list behind their name. */
async function choose(page: Page, name: string, where: string): Promise<void> {
  await page.getByRole('button', { name, exact: true }).click();
  await page.getByRole('menuitem', { name: where }).click();
}

/** A name for the piece that another repetition of the same proof has not used. */
const told = (specimen: string): string => `${specimen} ${test.info().repeatEachIndex + 1}`;

test('a teacher forms groups by chance, by hand and by dragging, and opens a laboratory for them', async ({
  page,
  browser,
}) => {
  // All groups are seen at once, so that nothing scrolls under what is dragged.
  await page.setViewportSize({ width: 1280, height: 1600 });
  await openForm(page, told('Tin ingot, opened'));
  // Nothing is opened for nobody.
  await page.getByRole('button', { name: 'Open it for the class' }).click();
  await expect(page.getByText('Form at least one group.')).toBeVisible();
  await page.getByRole('button', { name: 'Fours by chance' }).click();
  await expect(group(page, 'Group 6')).toBeVisible();
  await expect(group(page, 'In no group')).toContainText('nobody');

  await choose(page, INES, 'In no group');
  await expect(group(page, 'In no group')).toContainText(INES);
  await choose(page, INES, 'A new group');
  const own = group(page, 'Group 7');
  await expect(own).toContainText(INES);
  const other = group(page, 'Group 1').getByRole('button').first();
  const name = (await other.textContent()) ?? '';
  await other.scrollIntoViewIfNeeded();
  const [from, to] = [(await other.boundingBox())!, (await own.boundingBox())!];
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 30, from.y + 40, { steps: 4 });
  await page.mouse.move(to.x + 200, to.y + 20, { steps: 8 });
  await expect(own).toHaveClass(/bg-wash/);
  await page.mouse.up();
  await expect(own).toContainText(name);
  await page.getByRole('button', { name: 'Open it for 7 groups' }).click();
  await expect(page.getByRole('heading', { name: told('Tin ingot, opened') })).toBeVisible();
  await expect(page.getByText('7 nothing yet')).toBeVisible();

  // Its page is there for each of the group, and what they write is on the board at once.
  const student = await (await browser.newContext()).newPage();
  await enterAs(student, 'student', '/notebook');
  await student.getByRole('link', { name: told('Tin ingot, opened') }).click();
  await fillCell(student, 'Dry mass, trial 1', '43.87');
  await expect(page.getByText('6 nothing yet, 1 writing')).toBeVisible();
  await student.context().close();
});

test('who was away calculates with given readings that nobody can change, and another one is excused', async ({
  page,
  browser,
}) => {
  await openForm(page, told('Bronze nails, for the absent'));
  await page.getByRole('button', { name: 'Pairs by chance' }).click();
  await choose(page, INES, 'In no group');
  await choose(page, 'Bao L.', 'In no group');
  await page.getByRole('button', { name: /^Open it for \d+ groups/ }).click();
  const without = page.getByRole('region', { name: /^In no group/ });
  await expect(without).toContainText('In no group: 2');
  await without.getByRole('button', { name: 'Offer work to Bao L.' }).click();
  await page.getByRole('menuitem', { name: 'Is excused' }).click();
  await expect(without).toContainText('Bao L., excused');
  await without.getByRole('button', { name: `Offer work to ${INES}` }).click();
  await page.getByRole('menuitem', { name: 'given readings, different from all others' }).click();
  await expect(page.getByRole('row', { name: new RegExp(`${INES}.*given readings`) })).toBeVisible();

  const student = await (await browser.newContext()).newPage();
  await enterAs(student, 'student', '/notebook');
  await student.getByRole('link', { name: told('Bronze nails, for the absent') }).click();
  await expect(student.getByText('Your teacher has given these readings.')).toBeVisible();
  await expect(student.getByRole('button', { name: /^Dry mass, trial 1/ })).toHaveCount(0);
  await student.getByRole('button', { name: /^Volume, trial 1/ }).click();
  await expect(student.getByLabel('Your result, with its unit')).toBeVisible();
  await student.context().close();
});

test('a laboratory prints blank, for the day without a network', async ({ page }) => {
  await signIn(page, 'teacher');
  await page.goto('/notebook/blank/burn-rate');
  const sheet = page.getByRole('article');
  await expect(sheet.getByRole('heading', { name: 'Cautions' })).toBeVisible();
  await expect(sheet.getByText('Follow your school’s and local rules')).toBeVisible();
  await expect(sheet.getByRole('columnheader', { name: 'Shows at zero' })).toBeVisible();
  await expect(sheet.getByText('Questions')).toBeVisible();
});

test('the same readings are given to some of the class, from a page of a group', async ({ page }) => {
  await openForm(page, 'Slate tile, given');
  await page.getByLabel(/the same for everybody/).check();
  await expect(page.getByRole('button', { name: 'Choose a page first' })).toBeDisabled();
  const pages = page.getByLabel('Readings of');
  const slate = await pages.locator('option', { hasText: 'Slate tile, a corner' }).getAttribute('value');
  await pages.selectOption(slate);
  const who = page.getByRole('group', { name: 'Who gets them' });
  for (const tick of await who.getByRole('checkbox').all()) await tick.uncheck();
  await page.getByRole('button', { name: 'Open it for the class' }).click();
  await expect(page.getByText('Form at least one group.')).toBeVisible();
  await who.getByLabel('Bao L.').check();
  await who.getByLabel(INES).check();
  await page.getByRole('button', { name: 'Give them to 2 students' }).click();
  await expect(page.getByRole('heading', { name: 'Slate tile, given' })).toBeVisible();
  await expect(page.getByText('readings of another page')).toHaveCount(2);
});
