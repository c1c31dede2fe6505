import type { LiquidColumnPicture } from '@green-beam/core';
import type { Page, Route } from '@playwright/test';
import { currentRound, expect, levelTheEye, readPicture, signIn, startRound, test } from './world.ts';

const CYLINDERS = ['cylinder-10', 'cylinder-25', 'cylinder-50', 'cylinder-100', 'cylinder-250', 'cylinder-500'];

const entry = (page: Page) => page.getByRole('textbox', { name: 'Your reading, with its unit' });

test('a round to its end: sound, corrected at the second try, shown, and the strip and the record follow', async ({
  page,
}) => {
  await signIn(page, 'student');
  const round = await startRound(page, CYLINDERS);
  let rightAtFirst = 0;
  for (const task of round.tasks) {
    if (task.state === 'closed') continue;
    await expect(page.getByText(`Reading ${task.position + 1} of 10`)).toBeVisible();
    const picture = task.picture as LiquidColumnPicture;
    const { text } = readPicture(picture);
    const way = task.position % 3;
    await levelTheEye(page);
    if (way === 0) {
      await entry(page).fill(`${text} mL`);
      await entry(page).press('Enter');
      await expect(page.getByText('Correct reading')).toBeVisible();
      rightAtFirst += 1;
    } else {
      await entry(page).fill(text);
      await entry(page).press('Enter');
      await expect(page.getByText('You read it correctly. The way it is written is not right yet.')).toBeVisible();
      await expect(page.getByText('the right reading')).toBeHidden();
      if (way === 1) {
        await page.getByLabel('Unit', { exact: true }).selectOption('mL');
        await entry(page).fill(`${text} mL`);
        await entry(page).press('Enter');
        await expect(page.getByText('Correct reading')).toBeVisible();
      } else {
        await page.getByRole('button', { name: 'Show me' }).click();
        await expect(page.getByText('the right reading')).toBeVisible();
      }
    }
    await page.getByRole('button', { name: task.position === 9 ? 'Finish the round' : 'Next reading' }).click();
  }
  await expect(page.getByRole('heading', { name: 'Round finished' })).toBeVisible();
  await expect(page.getByText(/^\d+ of 10 right at the first try/)).toBeVisible();
  expect(rightAtFirst).toBeGreaterThan(0);
  await expect(page.getByRole('img', { name: /entries so far in this round/ })).toBeVisible();

  await page.getByRole('button', { name: 'Another ten' }).click();
  await expect(page.getByText('Reading 1 of 10')).toBeVisible();
  const next = await currentRound(page);
  expect(next.id).not.toBe(round.id);
  expect(next.subjectIds).toEqual(CYLINDERS);
  for (const { picture } of next.tasks) expect(CYLINDERS).toContain((picture as LiquidColumnPicture).instrumentId);
  await page.reload();
  await expect(page.getByText('Reading 1 of 10')).toBeVisible();

  await page.getByRole('link', { name: 'My progress' }).click();
  await expect(page.getByText(/right at the first try\. Slips so far:/).first()).toBeVisible();
  await page
    .getByRole('button', { name: /No unit/ })
    .first()
    .click();
  await expect(page.getByText('As it was when you pressed Enter.')).toBeVisible();
});

test('the answer line takes the unit from its list, and keeps the number', async ({ page }) => {
  await page.goto('/');
  await entry(page).fill('24.6');
  await page.getByLabel('Unit', { exact: true }).selectOption('mL');
  await expect(entry(page)).toHaveValue('24.6 mL');
  await page.getByLabel('Unit', { exact: true }).selectOption('cm³');
  await expect(entry(page)).toHaveValue('24.6 cm³');
});

test('every spelling of a right reading is taken', async ({ page }) => {
  await signIn(page, 'student');
  await startRound(page, CYLINDERS);
  const spellings = [
    (text: string) => `${text}ml`,
    (text: string) => `${text.replace('.', ',')} mL`,
    (text: string) => `${text} cm3`,
    (text: string) => text.replace(/\d/g, (digit) => String.fromCodePoint(0xff10 + Number(digit))) + ' ｍＬ',
  ];
  for (const spell of spellings) {
    const round = await currentRound(page);
    const open = round.tasks.find((task) => task.state !== 'closed')!;
    await expect(page.getByText(`Reading ${open.position + 1} of 10`)).toBeVisible();
    await levelTheEye(page);
    await entry(page).fill(spell(readPicture(open.picture as LiquidColumnPicture).text));
    await entry(page).press('Enter');
    await expect(page.getByText('Correct reading')).toBeVisible();
    await page.keyboard.press('Enter');
  }
});

test('an entry that is long in coming says so; once it is judged, what is next stands still under the hand', async ({
  page,
}) => {
  await signIn(page, 'student');
  const { tasks } = await startRound(page, CYLINDERS);
  const late =
    (time: number) =>
    async (route: Route): Promise<void> => {
      await new Promise((over) => setTimeout(over, time));
      await route.continue();
    };
  await page.route('**/attempts', late(1500));
  await page.route('**/set-rounds', late(1500));
  await levelTheEye(page);
  await entry(page).fill(readPicture(tasks[0]!.picture as LiquidColumnPicture).text + ' mL');
  await entry(page).press('Enter');
  await expect(page.getByText('Not saved yet')).toBeVisible();
  await expect(page.getByText('Correct reading')).toBeVisible();
  await expect(page.getByText('Not saved yet')).toHaveCount(0, { timeout: 1 });
  const next = page.getByRole('button', { name: 'Next reading' });
  await expect(next).toBeFocused({ timeout: 1 });
  const { y } = (await next.boundingBox())!;
  await page.waitForResponse('**/set-rounds');
  expect((await next.boundingBox())!.y).toBe(y);
});

test('touch: the eye follows a finger, the glass shows the loupe while it is held, and every target is large enough', async ({
  browser,
}) => {
  const room = await browser.newContext({ hasTouch: true, viewport: { width: 820, height: 1180 } });
  const page = await room.newPage();
  await page.goto('/');
  const eye = page.getByRole('slider');
  await expect(eye).toBeVisible();
  const before = Number(await eye.getAttribute('aria-valuenow'));
  const box = (await eye.boundingBox())!;
  await page.touchscreen.tap(box.x + box.width / 2, box.y + (before > 0 ? box.height - 50 : 50));
  expect(Number(await eye.getAttribute('aria-valuenow'))).not.toBe(before);

  const middle = (await page.getByRole('group', { name: /^50 mL cylinder/ }).boundingBox())!;
  await page.mouse.move(middle.x + middle.width * 0.57, middle.y + middle.height * 0.8);
  const lenses = page.locator('svg rect[rx="84"]');
  await expect(lenses).toHaveCount(0);
  await page.mouse.down();
  await expect(lenses.nth(1)).toBeVisible();
  await page.mouse.up();
  await expect(lenses).toHaveCount(0);

  for (const target of await page.getByRole('button').all()) {
    const size = (await target.boundingBox())!;
    expect(size.height, await target.innerText()).toBeGreaterThanOrEqual(44);
  }
  await room.close();
});

test('people who prefer less motion see the whole answer at once', async ({ browser }) => {
  const room = await browser.newContext({ reducedMotion: 'reduce' });
  const page = await room.newPage();
  await page.clock.install();
  await page.goto('/');
  await entry(page).fill('1 mL');
  await entry(page).press('Enter');
  await expect(page.getByRole('button', { name: 'Show me' })).toBeVisible();
  // What would come step by step does not come while no time passes.
  await page.clock.pauseAt(Date.now() + 60_000);
  await page.getByRole('button', { name: 'Show me' }).click();
  const steps = page.getByRole('list', { name: 'How to read it' }).getByRole('listitem');
  await expect(steps.last()).toContainText('The unit: mL');
  await room.close();
});
