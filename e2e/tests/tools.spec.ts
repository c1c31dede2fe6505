import type { LiquidColumnPicture, RulerPicture } from '@green-beam/core';
import type { Locator, Page } from '@playwright/test';
import { begunLike, expect, levelTheEye, readAt, signIn, startRound, test, writtenOn } from './world.ts';

const entry = (page: Page) => page.getByRole('textbox', { name: 'Your reading, with its unit' });

async function answer(page: Page, text: string): Promise<void> {
  await entry(page).fill(text);
  await entry(page).press('Enter');
}

/** Brings the eye straight over the end that is read. */
async function eyeOver(page: Page): Promise<void> {
  const eye = page.getByRole('slider', { name: 'How far your eye is to the side' });
  await eye.focus();
  for (let pressed = 0; pressed < 120 && Math.abs(Number(await eye.getAttribute('aria-valuenow'))) >= 1; pressed += 1)
    await page.keyboard.press(Number(await eye.getAttribute('aria-valuenow')) > 0 ? 'ArrowLeft' : 'ArrowRight');
}

/** Lays a thing by keys: first by labels, then by millimetres, then by tenths. @param x in mm from the ruler’s end. */
async function layAt(page: Page, name: string, x: number): Promise<Locator> {
  const where = page.getByRole('slider', { name: `Where the ${name} begins` });
  await where.focus();
  for (let pressed = 0; pressed < 90; pressed += 1) {
    const tenths = Number(await where.getAttribute('aria-valuenow')) - 10 * x;
    if (Math.abs(tenths) < 0.5) break;
    await page.keyboard.press(
      tenths >= 100 ? 'PageDown' : tenths >= 10 ? 'Shift+ArrowLeft' : tenths > 0 ? 'ArrowLeft' : 'ArrowRight',
    );
  }
  return where;
}

test('a burette: the start is read, the tap opened, the end read, and the difference is what was delivered', async ({
  page,
}) => {
  await signIn(page, 'student');
  const picture = await begunLike<LiquidColumnPicture>(page, {
    tool: 'burette-50',
    aims: ['final-as-delivered'],
    wanted: ({ startY }) => startY !== null,
  });
  await expect(page.getByRole('heading', { name: /How much .* has run out of the burette/ })).toBeVisible();
  const initial = Number(writtenOn(picture, readAt(picture, picture.startY!)));
  await page.getByRole('button', { name: 'In words' }).click();
  const before = (await page.getByText(/^The surface lies/).innerText()).split('. ')[0]!;
  await page.getByRole('button', { name: 'Clear the top' }).click();
  await expect(
    page.getByText(picture.left === 'funnel' ? 'The funnel is out.' : 'There is nothing there.'),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Run the tip free' }).click();
  await expect(page.getByText(picture.left === 'bubble' ? 'The air is out' : 'There is nothing there.')).toBeVisible();
  await page.getByRole('button', { name: 'Open the tap' }).click();
  await expect(page.getByText(before)).toBeHidden();
  await expect(page.getByRole('button', { name: 'Fill up again' })).toBeVisible();
  await levelTheEye(page);
  const final = Number(writtenOn(picture, readAt(picture, picture.surfaceY)));

  await answer(page, `${final.toFixed(2)} mL`);
  await expect(page.getByText('Only the final reading')).toBeVisible();
  await expect(page.getByText('the right reading')).toBeHidden();
  await answer(page, `${(final - initial).toFixed(2)} mL`);
  await expect(page.getByText('Correct reading')).toBeVisible();
  await expect(page.getByText('How you handled it')).toBeHidden();
});

test('a burette: who does not notice what was left in it is told, and the reading stays sound', async ({ page }) => {
  await signIn(page, 'student');
  const picture = await begunLike<LiquidColumnPicture>(page, {
    tool: 'burette-25',
    aims: ['final-as-delivered'],
    wanted: ({ left }) => left !== null,
  });
  const delivered =
    Number(writtenOn(picture, readAt(picture, picture.surfaceY))) -
    Number(writtenOn(picture, readAt(picture, picture.startY!)));
  await page.getByRole('button', { name: 'Open the tap' }).click();
  await levelTheEye(page);
  await answer(page, `${delivered.toFixed(2)} mL`);
  await expect(page.getByText('Correct reading')).toBeVisible();
  await expect(page.getByText('How you handled it')).toBeVisible();
  await expect(
    page.getByText(picture.left === 'funnel' ? /funnel was still in the burette/ : /air bubble in the tip/),
  ).toBeVisible();
});

test('a burette is read downward, and who counts upward is told so', async ({ page }) => {
  await signIn(page, 'student');
  // Under a label, where who counts upward goes furthest wrong.
  const underLabel = (picture: LiquidColumnPicture): boolean =>
    readAt(picture, picture.surfaceY) % 1 > 0.15 && readAt(picture, picture.surfaceY) % 1 < 0.35;
  const picture = await begunLike<LiquidColumnPicture>(page, {
    tool: 'burette-25',
    aims: ['upside-down'],
    wanted: (one) => one.startY === null && underLabel(one),
  });
  await levelTheEye(page);
  const number = readAt(picture, picture.surfaceY);
  const next = Math.floor(number) + 1;
  await answer(page, `${(next + (next - number)).toFixed(2)} mL`);
  await expect(page.getByText('Counted upward', { exact: true })).toBeVisible();
});

test('a thermometer: who reads at once is told to wait; the thread comes to rest in the liquid', async ({ page }) => {
  await signIn(page, 'student');
  const picture = await begunLike<LiquidColumnPicture>(page, {
    tool: 'thermometer-degree',
    aims: ['unsettled'],
    wanted: ({ startY, note, surfaceY }) => startY !== null && note === null && Math.abs(startY - surfaceY) > 20,
  });
  await levelTheEye(page);
  await answer(page, `${writtenOn(picture, readAt(picture, picture.startY!))} °C`);
  await expect(page.getByText('Read before it was at rest')).toBeVisible();
  await page.getByRole('radio', { name: /^in the .*(water|ice)$/ }).check();
  await page.getByRole('button', { name: 'In words' }).click();
  // The thread has come to rest when its description has stayed the same for a while.
  const words = page.getByText(/^The end of the thread lies/);
  let last = '';
  await expect
    .poll(
      async () => {
        const now = await words.innerText();
        const same = now === last;
        last = now;
        return same;
      },
      { intervals: [3000] },
    )
    .toBe(true);
  await answer(page, `${writtenOn(picture, readAt(picture, picture.surfaceY))} °C`);
  await expect(page.getByText('Correct reading')).toBeVisible();
});

test('a ruler: the thing’s length from both of its ends, wherever it begins', async ({ page }) => {
  await signIn(page, 'student');
  const { thing } = await begunLike<RulerPicture>(page, {
    tool: 'ruler-millimetre',
    aims: ['eye-aside'],
    wanted: ({ handled }) => handled === null,
  });
  await eyeOver(page);
  await answer(page, `${(thing.toX - thing.fromX).toFixed(1)} mm`);
  await expect(page.getByText('Correct reading')).toBeVisible();
});

test('a ruler: a thing is laid at the zero mark by keys, then its other end is read', async ({ page }) => {
  await signIn(page, 'student');
  const { thing, marks } = await begunLike<RulerPicture>(page, {
    tool: 'ruler-millimetre',
    aims: ['eye-aside'],
    wanted: ({ handled }) => handled === 'lay',
  });
  await eyeOver(page);
  const where = await layAt(page, thing.name, marks[0]!.x);
  await expect(where).toHaveAttribute('aria-valuetext', /on the line labelled 0\./);
  await page.getByRole('button', { name: 'Look at its right end' }).click();
  await answer(page, `${(thing.toX - thing.fromX).toFixed(1)} mm`);
  await expect(page.getByText('Correct reading')).toBeVisible();
});

test('a ruler: a thing laid at the wood’s end, and its other end written down, is named as that', async ({ page }) => {
  await signIn(page, 'student');
  const { thing } = await begunLike<RulerPicture>(page, {
    tool: 'ruler-millimetre',
    aims: ['eye-aside'],
    wanted: ({ handled, marks }) => handled === 'lay' && marks[0]!.x > 1,
  });
  await eyeOver(page);
  await expect(await layAt(page, thing.name, 0)).toHaveAttribute('aria-valuetext', /own end/);
  await answer(page, `${(thing.toX - thing.fromX - 5).toFixed(1)} mm`);
  await expect(page.getByText('Not measured from the zero mark')).toBeVisible();
});

test('a hydrometer: the ranges are tried from the lightest up, and a heavy one first is remarked on', async ({
  page,
}) => {
  await signIn(page, 'student');
  const picture = await begunLike<LiquidColumnPicture>(page, {
    tool: 'hydrometer-0900',
    aims: ['eye-high'],
    wanted: ({ handled }) => handled === 'try',
  });
  await page.getByRole('button', { name: '1.00–1.10' }).click();
  await expect(page.getByText('It has sunk')).toBeVisible();
  await page.getByRole('button', { name: '0.70–0.80' }).click();
  await expect(page.getByText('All of its scale is above the liquid')).toBeVisible();
  await page.getByRole('button', { name: '0.90–1.00' }).click();
  await levelTheEye(page);
  await answer(page, `${writtenOn(picture, readAt(picture, picture.surfaceY))} g/mL`);
  await expect(page.getByText('How you handled it')).toBeVisible();
  await expect(page.getByText(/begin with the lightest/)).toBeVisible();
});

test('a volumetric pipette: filled, wiped, let down to its ring, delivered and given time; nothing to remark on', async ({
  page,
}) => {
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
  await expect(page.getByText('It has stopped running.')).toBeVisible();
  await page.getByRole('button', { name: 'Take it away' }).click();
  await answer(page, '10.00 mL');
  await expect(page.getByText('Correct reading')).toBeVisible();
  await expect(page.getByText('How you handled it')).toBeHidden();
});

for (const [tool, text] of [
  ['volumetric-pipette-25', '25.00 mL'],
  ['volumetric-flask-250', '250.0 mL'],
] as const) {
  test(`${tool}: its ring stands for one volume, with the digits its maker answers for`, async ({ page }) => {
    await signIn(page, 'student');
    await startRound(page, [tool]);
    await answer(page, text.replace(/0 mL$/, ' mL'));
    await expect(page.getByText('You read it correctly. The way it is written is not right yet.')).toBeVisible();
    await answer(page, text);
    await expect(page.getByText('Correct reading')).toBeVisible();
  });
}

test('every family of tools has a round of its own, drawn and described', async ({ page }) => {
  await signIn(page, 'student');
  for (const tool of [
    'cylinder-250',
    'beaker-100',
    'conical-flask-250',
    'graduated-pipette-10',
    'thermometer-tenth',
    'hydrometer-1000',
    'ruler-inch',
  ]) {
    const { tasks } = await startRound(page, [tool]);
    if ((tasks[0]!.picture as LiquidColumnPicture).handled === 'try')
      await page.getByRole('button', { name: '1.00–1.10' }).click();
    await page.getByRole('button', { name: 'In words' }).click();
    await expect(page.getByText(/ lies? (between|on|at|below) the /).first()).toBeVisible();
    await page.getByRole('button', { name: 'Loupe' }).click();
    await expect(page.getByRole('slider').first()).toBeVisible();
  }
});
