import { execFileSync } from 'node:child_process';
import type { Page } from '@playwright/test';
import { beginLaboratory, enterAs, expect, fillCell, test } from './world.ts';

const field = (page: Page, name: string) => page.getByRole('textbox', { name, exact: true });

/** Makes a plan for eight groups with four hot plates. */
async function planned(page: Page, title: string): Promise<void> {
  await enterAs(page, 'teacher', '/plan-lesson');
  await page.getByRole('checkbox', { name: 'Density by displacement' }).check();
  await page.getByRole('checkbox', { name: 'Can the thermometer be believed?' }).check();
  await field(page, 'Minutes').fill('60');
  await field(page, 'Name of the plan').fill(title);
  await page.getByRole('button', { name: 'Plan it' }).click();
  await expect(page.getByText(/ of 60 minutes, 8 groups/)).toBeVisible();
  await page.getByRole('button', { name: 'Change the lesson' }).click();
  await field(page, 'Hot plates').fill('4');
  await field(page, 'Hot plates').press('Enter');
  await expect(page.getByText('4 hot plates, 32 minutes each')).toBeVisible();
  await page.getByRole('button', { name: 'Change the lesson' }).click();
}

/** From when to when the chosen step lasts. */
const time = (page: Page) => page.getByRole('region', { name: 'Move a step' }).getByText(/^\d+:\d\d to \d+:\d\d$/);

/** Drags a step along its line. @param by in pixels. */
async function drag(page: Page, block: string, by: number): Promise<void> {
  const bar = page.locator(`[data-block="${block}"] rect`);
  await bar.scrollIntoViewIfNeeded();
  const { x, y, width, height } = (await bar.boundingBox())!;
  const [from, at] = [x + Math.min(12, width / 2), y + height / 2];
  await page.mouse.move(from, at);
  await page.mouse.down();
  await page.mouse.move(from + by / 2, at, { steps: 4 });
  await page.mouse.move(from + by, at, { steps: 4 });
  await page.mouse.up();
}

test('a period is planned for eight groups: a step is dragged into the way of another, put back, and kept', async ({
  page,
}) => {
  await planned(page, `Ingot and ice ${Date.now()}`);
  await expect(page.getByText(/things? do(es)? not work/)).toHaveCount(0);
  await drag(page, '0 clear-up', -400);
  await expect(page.getByRole('combobox', { name: 'Step' })).toHaveValue('clear-up');
  await expect(page.getByText(/things do not work/)).toBeVisible();
  await expect(page.getByText(/^Group 1, Clear up: “.*” must be done first; it ends at 10:/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/things? do(es)? not work/)).toHaveCount(0);

  // The same by buttons, and it is there again.
  const before = (await time(page).textContent()) ?? '';
  await page.getByRole('button', { name: '1 minute later' }).click();
  await expect(time(page)).not.toHaveText(before);
  const after = (await time(page).textContent()) ?? '';
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
  await page.reload();
  await page.getByRole('combobox', { name: 'Step' }).selectOption('clear-up');
  await expect(time(page)).toHaveText(after);

  // What heats is not parted from what is read when it boils.
  const startOf = async (id: string): Promise<number> => {
    await page.getByRole('combobox', { name: 'Step' }).selectOption(`thermometer-check/${id}`);
    const [hours = 0, minutes = 0] = ((await time(page).textContent()) ?? '').split(' ')[0]!.split(':').map(Number);
    return 60 * hours + minutes;
  };
  const [heat, boiling] = [await startOf('heat'), await startOf('boiling')];
  expect(boiling - heat).toBe(10);
  await page.getByRole('button', { name: '1 minute later' }).click();
  expect([await startOf('heat'), await startOf('boiling')]).toEqual([heat + 1, boiling + 1]);
  await page.getByRole('button', { name: 'Plan again' }).click();
  await expect(page.getByText(/things? do(es)? not work/)).toHaveCount(0);
});

test('one hot plate fewer is tried and taken; less water boils sooner', async ({ page }) => {
  await planned(page, `Three plates ${Date.now()}`);
  await page.getByRole('button', { name: 'one hot plate out of use' }).click();
  await expect(page.getByText(/^With one hot plate out of use:/)).toContainText('more.');
  await page.getByRole('button', { name: 'Plan it that way' }).click();
  await expect(page.getByText('3 hot plates, 48 minutes each')).toBeVisible();
  await page.getByRole('button', { name: 'Change the lesson' }).click();
  await field(page, 'mL of water').fill('100');
  await field(page, 'mL of water').press('Enter');
  await expect(page.getByText('3 hot plates, 30 minutes each')).toBeVisible();
  await field(page, 'Groups').fill('0');
  await expect(page.getByText('From 1 to 40.')).toBeVisible();
  await field(page, 'Groups').fill('3');
  await field(page, 'Groups').press('Enter');
  await expect(page.getByText('Nothing is shared')).toBeVisible();
});

test('on paper there is a list for the teacher and a card for every group', async ({ page }, info) => {
  await planned(page, `On paper ${Date.now()}`);
  await page.getByRole('combobox', { name: 'Step' }).selectOption('clear-up');
  await page.getByRole('button', { name: '1 minute later' }).click();
  const changed = ((await time(page).textContent()) ?? '').split(' ')[0] ?? '';
  // At once: what was changed a moment ago is on the paper.
  await page.getByRole('link', { name: 'Kit list and cards on paper' }).click();
  await expect(page.getByText(/3 sheets, one for you and 8 cards to cut/)).toBeVisible();
  const pdf = info.outputPath('plan.pdf');
  await page.pdf({ path: pdf, preferCSSPageSize: true });
  const words = execFileSync('pdftotext', ['-layout', pdf, '-']).toString();
  expect(words).toMatch(/9:40\s+Take the ice out of the freezer/);
  expect(words).toMatch(new RegExp(`${changed}\\s+Clear up`));
  expect(words).toContain('On each bench, 8 times in all');
  expect(words).toContain('4 hot plates');
  expect(words).toMatch(/local rules decide/);
  for (let group = 1; group <= 8; group += 1) expect(words).toContain(`Group ${group}`);
  expect(execFileSync('pdfinfo', [pdf]).toString()).toMatch(/Pages:\s+3\n/);
});

test('on the wall a clock runs, and afterwards what was written stands beside the plan', async ({ page, browser }) => {
  const title = `On the wall ${Date.now()}`;
  await planned(page, title);
  await expect(page.getByText('Saved.', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Show on the wall' }).click();
  await expect(page.getByText('Begins at 10:00, 60 minutes')).toBeVisible();
  await page.clock.install();
  await page.getByRole('button', { name: 'Begin now' }).click();
  await expect(page.getByText(/^(59|60) minutes left$/)).toBeVisible();
  await expect(page.getByText('Set up')).toHaveCount(8);
  await page.clock.fastForward('04:00');
  await expect(page.getByText('Set up')).toHaveCount(0);
  await expect(page.getByText(/stay with it/).first()).toBeVisible();
  await page.clock.fastForward('01:02:00');
  await expect(page.getByText('The time is up')).toBeVisible();
  await expect(page.getByText('Done')).toHaveCount(8);

  const room = await browser.newContext();
  const student = await room.newPage();
  await enterAs(student, 'student', '/notebook');
  await beginLaboratory(student, `Ingot ${Date.now()}`);
  await fillCell(student, 'Dry mass, trial 1', '54.29');
  await expect(student.getByText('Everything is saved.')).toBeVisible();
  await room.close();
  await page.getByRole('link', { name: 'Back to the plan' }).click();
  await expect(page.getByText('when it was written, on the day')).toBeVisible();
  await expect(page.locator('title', { hasText: /^Dry mass: written from/ }).first()).toBeAttached();
  await page.getByRole('button', { name: 'Cards' }).click();
  await expect(page.getByText(/, written from \d+:\d\d to \d+:\d\d/).first()).toBeVisible();
});
