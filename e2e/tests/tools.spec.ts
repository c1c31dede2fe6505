import type { BenchTask } from '@green-beam/contract';
import type { LiquidColumnPicture, RulerPicture } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { enterAs, expect, levelTheEye, readAt, startRound, test, writtenOn } from './world.ts';

const entry = (page: Page) => page.getByRole('textbox', { name: 'Your reading, with its unit' });

async function answer(page: Page, text: string): Promise<void> {
  await entry(page).fill(text);
  await entry(page).press('Enter');
}

/** Goes through a round until an item of the kind wanted comes up, asking to be shown what comes before it. */
async function goTo(page: Page, tasks: readonly BenchTask[], wanted: (task: BenchTask) => boolean): Promise<BenchTask | null> {
  for (const task of tasks) {
    await expect(page.getByText(`Reading ${task.position + 1} of 10`)).toBeVisible();
    if (wanted(task)) return task;
    await answer(page, '0 s');
    await page.getByRole('button', { name: 'Show me' }).click();
    await page.getByRole('button', { name: /Next reading|Finish the round/ }).click();
  }
  return null;
}

async function findTask(page: Page, tool: string, wanted: (task: BenchTask) => boolean): Promise<BenchTask> {
  for (let round = 0; round < 6; round += 1) {
    const { tasks } = await startRound(page, [tool]);
    if (tasks.some(wanted)) return (await goTo(page, tasks, wanted))!;
  }
  throw new Error(`No item of the kind wanted on ${tool} in six rounds.`);
}

const column = (task: BenchTask): LiquidColumnPicture => task.picture as LiquidColumnPicture;

test('a burette: the start is read, the tap opened, the end read, and the difference is what was delivered', async ({ page }) => {
  await enterAs(page, 'student');
  const task = await findTask(page, 'burette-50', (one) => column(one).startY !== null);
  const picture = column(task);
  await expect(page.getByRole('heading', { name: /How much .* has run out of the burette/ })).toBeVisible();
  const initial = Number(writtenOn(picture, readAt(picture, picture.startY!)));
  await page.getByRole('button', { name: 'In words' }).click();
  const before = await page.getByText(/^The surface lies/).innerText();
  await page.getByRole('button', { name: 'Open the tap' }).click();
  await expect(page.getByText(before)).toBeHidden();
  await expect(page.getByRole('button', { name: 'Fill up again' })).toBeVisible();
  await levelTheEye(page);
  const final = Number(writtenOn(picture, readAt(picture, picture.surfaceY)));

  await answer(page, `${final.toFixed(2)} mL`);
  await expect(page.getByText('The final reading taken for the volume')).toBeVisible();
  await expect(page.getByText('the right reading')).toBeHidden();
  await answer(page, `${(final - initial).toFixed(2)} mL`);
  await expect(page.getByText('Sound reading')).toBeVisible();
});

test('a burette is read downward, and who counts upward is told so', async ({ page }) => {
  await enterAs(page, 'student');
  const task = await findTask(page, 'burette-25', (one) => column(one).startY === null && (readAt(column(one), column(one).surfaceY) % 1) > 0.15 && (readAt(column(one), column(one).surfaceY) % 1) < 0.35);
  await levelTheEye(page);
  const number = readAt(column(task), column(task).surfaceY);
  const next = Math.floor(number) + 1;
  await answer(page, `${(next + (next - number)).toFixed(2)} mL`);
  await expect(page.getByText('Counted upward', { exact: true })).toBeVisible();
});

test('a thermometer: who reads at once is told to wait; the thread comes to rest in the liquid', async ({ page }) => {
  await enterAs(page, 'student');
  const task = await findTask(page, 'thermometer-degree', (one) => column(one).startY !== null && Math.abs(column(one).startY! - column(one).surfaceY) > 20);
  const picture = column(task);
  await levelTheEye(page);
  await answer(page, `${writtenOn(picture, readAt(picture, picture.startY!))} °C`);
  await expect(page.getByText('Read before it was at rest')).toBeVisible();
  await page.getByRole('button', { name: /^Lower the bulb into/ }).click();
  await page.getByRole('button', { name: 'In words' }).click();
  // The thread has come to rest when its description has stayed the same for a while.
  const words = page.getByText(/^The end of the thread lies/);
  let last = '';
  await expect
    .poll(async () => {
      const now = await words.innerText();
      const same = now === last;
      last = now;
      return same;
    }, { timeout: 30_000, intervals: [3000] })
    .toBe(true);
  await answer(page, `${writtenOn(picture, readAt(picture, picture.surfaceY))} °C`);
  await expect(page.getByText('Sound reading')).toBeVisible();
});

test('a ruler: the thing’s length from both of its ends, wherever it begins', async ({ page }) => {
  await enterAs(page, 'student');
  const { tasks } = await startRound(page, ['ruler-millimetre']);
  const { thing } = tasks[0]!.picture as RulerPicture;
  const eye = page.getByRole('slider', { name: 'How far your eye is to the side' });
  await eye.focus();
  for (let pressed = 0; pressed < 120 && Math.abs(Number(await eye.getAttribute('aria-valuenow'))) >= 1; pressed += 1) await page.keyboard.press(Number(await eye.getAttribute('aria-valuenow')) > 0 ? 'ArrowLeft' : 'ArrowRight');
  await answer(page, `${(thing.toX - thing.fromX).toFixed(1)} mm`);
  await expect(page.getByText('Sound reading')).toBeVisible();
});

for (const [tool, text] of [['volumetric-pipette-25', '25.00 mL'], ['volumetric-flask-250', '250.0 mL']] as const) {
  test(`${tool}: its ring stands for one volume, with the digits its maker answers for`, async ({ page }) => {
    await enterAs(page, 'student');
    await startRound(page, [tool]);
    await answer(page, text.replace(/0 mL$/, ' mL'));
    await expect(page.getByText('The eye was right, the record is not yet.')).toBeVisible();
    await answer(page, text);
    await expect(page.getByText('Sound reading')).toBeVisible();
  });
}

test('every family of tools has a round of its own, drawn and described', async ({ page }) => {
  await enterAs(page, 'student');
  for (const tool of ['cylinder-250', 'beaker-100', 'conical-flask-250', 'graduated-pipette-10', 'thermometer-tenth', 'hydrometer-1000', 'ruler-inch']) {
    await startRound(page, [tool]);
    await page.getByRole('button', { name: 'In words' }).click();
    await expect(page.getByText(/ lies? (between|on|at|below) the /).first()).toBeVisible();
    await page.getByRole('button', { name: 'Loupe' }).click();
    await expect(page.getByRole('slider')).toBeVisible();
  }
});
