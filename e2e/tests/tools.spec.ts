import type { BenchTask } from '@green-beam/contract';
import type { LiquidColumnPicture, RulerPicture } from '@green-beam/core';
import type { Locator, Page } from '@playwright/test';
import { expect, levelTheEye, readAt, signIn, startRound, test, writtenOn } from './world.ts';

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

/** Brings the eye straight over the end that is read. */
async function eyeOver(page: Page): Promise<void> {
  const eye = page.getByRole('slider', { name: 'How far your eye is to the side' });
  await eye.focus();
  for (let pressed = 0; pressed < 120 && Math.abs(Number(await eye.getAttribute('aria-valuenow'))) >= 1; pressed += 1) await page.keyboard.press(Number(await eye.getAttribute('aria-valuenow')) > 0 ? 'ArrowLeft' : 'ArrowRight');
}

/** Lays a thing by keys: first by labels, then by millimetres, then by tenths. @param x in mm from the ruler’s end. */
async function layAt(page: Page, name: string, x: number): Promise<Locator> {
  const where = page.getByRole('slider', { name: `Where the ${name} begins` });
  await where.focus();
  for (let pressed = 0; pressed < 90; pressed += 1) {
    const tenths = Number(await where.getAttribute('aria-valuenow')) - 10 * x;
    if (Math.abs(tenths) < 0.5) break;
    await page.keyboard.press(tenths >= 100 ? 'PageDown' : tenths >= 10 ? 'Shift+ArrowLeft' : tenths > 0 ? 'ArrowLeft' : 'ArrowRight');
  }
  return where;
}

const column = (task: BenchTask): LiquidColumnPicture => task.picture as LiquidColumnPicture;

test('a burette: the start is read, the tap opened, the end read, and the difference is what was delivered', async ({ page }) => {
  await signIn(page, 'student');
  const task = await findTask(page, 'burette-50', (one) => column(one).startY !== null);
  const picture = column(task);
  await expect(page.getByRole('heading', { name: /How much .* has run out of the burette/ })).toBeVisible();
  const initial = Number(writtenOn(picture, readAt(picture, picture.startY!)));
  await page.getByRole('button', { name: 'In words' }).click();
  const before = (await page.getByText(/^The surface lies/).innerText()).split('. ')[0]!;
  await page.getByRole('button', { name: 'Clear the top' }).click();
  await expect(page.getByText(picture.left === 'funnel' ? 'The funnel is out.' : 'There is nothing there.')).toBeVisible();
  await page.getByRole('button', { name: 'Run the tip free' }).click();
  await expect(page.getByText(picture.left === 'bubble' ? 'The air is out' : 'There is nothing there.')).toBeVisible();
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
  await expect(page.getByText('How it was handled')).toBeHidden();
});

test('a burette: who does not notice what was left in it is told, and the reading stays sound', async ({ page }) => {
  await signIn(page, 'student');
  const task = await findTask(page, 'burette-25', (one) => column(one).left !== null);
  const picture = column(task);
  const delivered = Number(writtenOn(picture, readAt(picture, picture.surfaceY))) - Number(writtenOn(picture, readAt(picture, picture.startY!)));
  await page.getByRole('button', { name: 'Open the tap' }).click();
  await levelTheEye(page);
  await answer(page, `${delivered.toFixed(2)} mL`);
  await expect(page.getByText('Sound reading')).toBeVisible();
  await expect(page.getByText('How it was handled')).toBeVisible();
  await expect(page.getByText(picture.left === 'funnel' ? /funnel was still in the burette/ : /bubble of air in the tip/)).toBeVisible();
});

test('a burette is read downward, and who counts upward is told so', async ({ page }) => {
  await signIn(page, 'student');
  const task = await findTask(page, 'burette-25', (one) => column(one).startY === null && (readAt(column(one), column(one).surfaceY) % 1) > 0.15 && (readAt(column(one), column(one).surfaceY) % 1) < 0.35);
  await levelTheEye(page);
  const number = readAt(column(task), column(task).surfaceY);
  const next = Math.floor(number) + 1;
  await answer(page, `${(next + (next - number)).toFixed(2)} mL`);
  await expect(page.getByText('Counted upward', { exact: true })).toBeVisible();
});

test('a thermometer: who reads at once is told to wait; the thread comes to rest in the liquid', async ({ page }) => {
  await signIn(page, 'student');
  const task = await findTask(page, 'thermometer-degree', (one) => column(one).startY !== null && column(one).note === null && Math.abs(column(one).startY! - column(one).surfaceY) > 20);
  const picture = column(task);
  await levelTheEye(page);
  await answer(page, `${writtenOn(picture, readAt(picture, picture.startY!))} °C`);
  await expect(page.getByText('Read before it was at rest')).toBeVisible();
  await page.getByRole('radio', { name: /^in the .*(water|ice)$/ }).check();
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
  await signIn(page, 'student');
  const task = await findTask(page, 'ruler-millimetre', (one) => (one.picture as RulerPicture).handled === null);
  const { thing } = task.picture as RulerPicture;
  await eyeOver(page);
  await answer(page, `${(thing.toX - thing.fromX).toFixed(1)} mm`);
  await expect(page.getByText('Sound reading')).toBeVisible();
});

test('a ruler: a thing is laid at the zero mark by keys, then its other end is read', async ({ page }) => {
  await signIn(page, 'student');
  const task = await findTask(page, 'ruler-millimetre', (one) => (one.picture as RulerPicture).handled === 'lay');
  const { thing } = task.picture as RulerPicture;
  await eyeOver(page);
  const where = await layAt(page, thing.name, (task.picture as RulerPicture).marks[0]!.x);
  await expect(where).toHaveAttribute('aria-valuetext', /on the line labelled 0\./);
  await page.getByRole('button', { name: 'Look at its right end' }).click();
  await answer(page, `${(thing.toX - thing.fromX).toFixed(1)} mm`);
  await expect(page.getByText('Sound reading')).toBeVisible();
});

test('a ruler: a thing laid at the wood’s end, and its other end written down, is named as that', async ({ page }) => {
  await signIn(page, 'student');
  const task = await findTask(page, 'ruler-millimetre', (one) => (one.picture as RulerPicture).handled === 'lay' && (one.picture as RulerPicture).marks[0]!.x > 1);
  const { thing } = task.picture as RulerPicture;
  await eyeOver(page);
  await expect(await layAt(page, thing.name, 0)).toHaveAttribute('aria-valuetext', /own end/);
  await answer(page, `${(thing.toX - thing.fromX - 5).toFixed(1)} mm`);
  await expect(page.getByText('Not measured from the zero mark')).toBeVisible();
});

test('a hydrometer: the ranges are tried from the lightest up, and a heavy one first is remarked on', async ({ page }) => {
  await signIn(page, 'student');
  const task = await findTask(page, 'hydrometer-0900', (one) => column(one).handled === 'try');
  await page.getByRole('button', { name: '1.00–1.10' }).click();
  await expect(page.getByText('It has sunk')).toBeVisible();
  await page.getByRole('button', { name: '0.70–0.80' }).click();
  await expect(page.getByText('rides with all of its scale above')).toBeVisible();
  await page.getByRole('button', { name: '0.90–1.00' }).click();
  await levelTheEye(page);
  await answer(page, `${writtenOn(column(task), readAt(column(task), column(task).surfaceY))} g/mL`);
  await expect(page.getByText('How it was handled')).toBeVisible();
  await expect(page.getByText(/begin with the lightest/)).toBeVisible();
});

test('a volumetric pipette: filled, wiped, let down to its ring, delivered and given time; nothing to remark on', async ({ page }) => {
  await signIn(page, 'student');
  await startRound(page, ['volumetric-pipette-10']);
  await page.getByRole('button', { name: 'In words' }).click();
  await page.getByRole('button', { name: 'Fill it above the ring' }).click();
  await expect(page.getByText('The surface lies above the ring.')).toBeVisible();
  await page.getByRole('button', { name: 'Wipe the outside' }).click();
  await levelTheEye(page);
  const drop = page.getByRole('button', { name: 'One drop' });
  for (let drops = 0; drops < 120 && (await page.getByText('on the ring').isHidden()); drops += 1) await drop.click();
  await expect(page.getByText('The surface lies on the ring.')).toBeVisible();
  await page.getByRole('button', { name: 'Deliver' }).click();
  await expect(page.getByText('Nothing runs any more.')).toBeVisible({ timeout: 15_000 });
  await page.getByRole('button', { name: 'Take it away' }).click();
  await answer(page, '10.00 mL');
  await expect(page.getByText('Sound reading')).toBeVisible();
  await expect(page.getByText('How it was handled')).toBeHidden();
});

for (const [tool, text] of [['volumetric-pipette-25', '25.00 mL'], ['volumetric-flask-250', '250.0 mL']] as const) {
  test(`${tool}: its ring stands for one volume, with the digits its maker answers for`, async ({ page }) => {
    await signIn(page, 'student');
    await startRound(page, [tool]);
    await answer(page, text.replace(/0 mL$/, ' mL'));
    await expect(page.getByText('The eye was right, the record is not yet.')).toBeVisible();
    await answer(page, text);
    await expect(page.getByText('Sound reading')).toBeVisible();
  });
}

test('every family of tools has a round of its own, drawn and described', async ({ page }) => {
  await signIn(page, 'student');
  for (const tool of ['cylinder-250', 'beaker-100', 'conical-flask-250', 'graduated-pipette-10', 'thermometer-tenth', 'hydrometer-1000', 'ruler-inch']) {
    const { tasks } = await startRound(page, [tool]);
    if ((tasks[0]!.picture as LiquidColumnPicture).handled === 'try') await page.getByRole('button', { name: '1.00–1.10' }).click();
    await page.getByRole('button', { name: 'In words' }).click();
    await expect(page.getByText(/ lies? (between|on|at|below) the /).first()).toBeVisible();
    await page.getByRole('button', { name: 'Loupe' }).click();
    await expect(page.getByRole('slider').first()).toBeVisible();
  }
});
