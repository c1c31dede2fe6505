import type { BeamPicture, DisplayPicture } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { begunLike, expect, signIn, test } from './world.ts';

const entry = (page: Page) => page.getByRole('textbox', { name: 'Your reading, with its unit' });

/** Goes on with Tab until something has the focus. */
async function tabTo(page: Page, name: RegExp | string): Promise<void> {
  for (let pressed = 0; pressed < 60; pressed += 1) {
    await page.keyboard.press('Tab');
    const found = await page.evaluate(
      () =>
        document.activeElement?.getAttribute('aria-label') ??
        (document.activeElement as HTMLInputElement | null)?.labels?.[0]?.textContent ??
        document.activeElement?.textContent ??
        '',
    );
    if (typeof name === 'string' ? found === name : name.test(found)) return;
  }
  throw new Error(`Nothing called ${String(name)} is reached by Tab.`);
}

/** Which way the pointer leans once it rests, as the description says. */
async function pointer(page: Page): Promise<'heavier' | 'lighter' | 'mark'> {
  const words = page.getByText(/The pointer rests/);
  await expect(words).toBeVisible();
  const text = await words.textContent();
  return text!.includes('above') ? 'heavier' : text!.includes('below') ? 'lighter' : 'mark';
}

/** Brings the riders into balance by keys alone: each notched one out until the pointer drops, one notch back; then the sliding one. */
async function balanceByKeys(page: Page, riders: readonly string[], notches: readonly number[]): Promise<void> {
  for (const name of riders) {
    await tabTo(page, name);
    await page.keyboard.press('Home');
  }
  for (const [i, name] of riders.entries()) {
    await tabTo(page, name);
    const sliding = i === riders.length - 1;
    if (!sliding) {
      for (let notch = 0; notch < notches[i]! && (await pointer(page)) === 'heavier'; notch += 1)
        await page.keyboard.press('ArrowRight');
      if ((await pointer(page)) === 'lighter') await page.keyboard.press('ArrowLeft');
      continue;
    }
    for (const key of ['PageUp', 'Shift+ArrowRight', 'ArrowRight']) {
      for (let pressed = 0; pressed < 12 && (await pointer(page)) === 'heavier'; pressed += 1)
        await page.keyboard.press(key);
      const back = { PageUp: 'PageDown', 'Shift+ArrowRight': 'Shift+ArrowLeft', ArrowRight: 'ArrowLeft' }[key]!;
      if (key !== 'ArrowRight' && (await pointer(page)) === 'lighter') await page.keyboard.press(back);
    }
  }
}

/** What the riders show, from the numerals beside them in the description. */
async function ridersRead(page: Page): Promise<number> {
  const text = (await page.getByText(/^On the pan:/).textContent())!;
  const notched = [...text.matchAll(/in its notch at (\d+)/g)].map(([, number]) => Number(number));
  const sliders = await page.getByRole('slider', { name: /^Sliding rider/ }).getAttribute('aria-valuenow');
  // Its slider counts tenths of a line, of which a hundred make the beam.
  const most = Number(
    (await page.getByRole('slider', { name: /^Sliding rider/ }).getAttribute('aria-label'))!.replace(/\D+/, ''),
  );
  return notched.reduce((sum, one) => sum + one, 0) + (Number(sliders) * most) / 1000;
}

test('weighed by difference on a beam balance, from the empty pan to a recorded reading, by keys alone', async ({
  page,
}) => {
  test.setTimeout(240_000);
  await page.emulateMedia({ reducedMotion: 'reduce' });
  await signIn(page, 'student');
  const picture = await begunLike<BeamPicture>(page, {
    tool: 'beam-balance-tenth',
    aims: ['container-included'],
    wanted: (one) => one.handled === 'weigh' && !one.laden && one.vessel !== null,
  });
  await tabTo(page, 'In words');
  await page.keyboard.press('Enter');
  await expect(page.getByText('On the pan: nothing.')).toBeVisible();
  expect(await pointer(page)).toBe('mark');
  const riders = picture.beams.map(
    ({ marks, notches }) =>
      `${notches.length === 0 ? 'Sliding rider, to' : 'Rider of the beam to'} ${marks.at(-1)!.label}`,
  );
  const notches = picture.beams.map((beam) => beam.notches.length - 1);
  await tabTo(page, `Put the ${picture.vessel!.name} on`);
  await page.keyboard.press('Enter');
  await balanceByKeys(page, riders, notches);
  const vessel = await ridersRead(page);
  await tabTo(page, 'Note for yourself');
  await page.keyboard.type(vessel.toFixed(2));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Your notes' })).toContainText(vessel.toFixed(2));
  await tabTo(page, `Put the ${picture.thing.name} in`);
  await page.keyboard.press('Enter');
  await balanceByKeys(page, riders, notches);
  const both = await ridersRead(page);
  expect(both).toBeGreaterThan(vessel);
  await tabTo(page, 'Your reading, with its unit');
  await page.keyboard.type(`${(both - vessel).toFixed(2)} g`);
  await page.keyboard.press('Enter');
  await expect(page.getByText('Correct reading')).toBeVisible();
});

test('read while the pointer is off its mark, it is told', async ({ page }) => {
  await signIn(page, 'student');
  const picture = await begunLike<BeamPicture>(page, {
    tool: 'beam-balance-tenth',
    aims: ['not-balanced'],
    wanted: (one) => one.handled === 'weigh' && one.laden,
  });
  const numbers = picture.beams.map(
    ({ marks, length }, i) => (picture.views[0].riderX[i]! / length) * Number(marks.at(-1)!.label),
  );
  await entry(page).fill(`${numbers.reduce((sum, one) => sum + one, 0).toFixed(2)} g`);
  await entry(page).press('Enter');
  await expect(page.getByText('Read before it was in balance')).toBeVisible();
});

test('a digital balance: tared with the vessel on, laden, waited for; every digit is written', async ({ page }) => {
  await signIn(page, 'student');
  const picture = await begunLike<DisplayPicture>(page, {
    tool: 'digital-balance-hundredth',
    aims: ['container-included'],
    wanted: ({ weighables }) => weighables !== null && weighables.vessel !== null,
  });
  const { vessel, thing } = picture.weighables!;
  await page.getByRole('button', { name: 'Switch on' }).click();
  await page.getByRole('button', { name: `Put the ${vessel!.name} on` }).click();
  await expect(page.getByText('stable', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Tare' }).click();
  await expect(page.locator('[data-display="0.00"]')).toBeVisible();
  for (const care of ['Dry it', 'Move it to the middle', 'Wipe it with a cloth'])
    await page.getByRole('button', { name: care }).click();
  await page.getByRole('button', { name: `Put the ${thing.name} in` }).click();
  await expect(page.getByText('settling', { exact: true })).toBeVisible();
  await expect(page.getByText('stable', { exact: true })).toBeVisible();
  const shown = await page.locator('[data-display]').getAttribute('data-display');
  await entry(page).fill(`${shown} g`);
  await entry(page).press('Enter');
  await expect(page.getByText('Correct reading')).toBeVisible();
  await expect(page.getByText('How you handled it')).toBeHidden();
});
