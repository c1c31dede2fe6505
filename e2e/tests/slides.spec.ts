import type { CaliperPicture, MicrometerPicture } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { begunLike, expect, signIn, test } from './world.ts';

async function answer(page: Page, text: string): Promise<void> {
  const line = page.getByRole('textbox', { name: 'Your reading, with its unit' });
  await line.fill(text);
  await line.press('Enter');
}

/** Where the lines of the main scale and of the vernier are drawn under the glass, in pixels of the screen, by their numbers. */
async function drawnOn(
  page: Page,
  where: 'middle' | 'glass',
): Promise<{ main: { at: number; x: number }[]; lines: { line: number; x: number }[] }> {
  return page.evaluate((shown) => {
    const centre = (element: Element): number => {
      const box = element.getBoundingClientRect();
      return box.x + box.width / 2;
    };
    // The first pair on the page is the whole vernier, the last one what lies under the glass.
    const last = (selector: string): Element[] => {
      const sheets = [...document.querySelectorAll('svg')].filter((sheet) => sheet.querySelector(selector));
      return [...(sheets.at(shown === 'glass' ? -1 : 0)?.querySelectorAll(selector) ?? [])];
    };
    return {
      main: last('[data-main]').map((group) => ({
        at: Number((group as SVGElement).dataset['main']),
        x: centre(group.querySelector('line')!),
      })),
      lines: last('[data-line]').map((group) => ({
        line: Number((group as SVGElement).dataset['line']),
        x: centre(group.querySelector('line')!),
      })),
    };
  }, where);
}

test('a caliper: the lines as they are drawn give the reading; the edge of the slide does not', async ({ page }) => {
  await signIn(page, 'student');
  const picture = await begunLike<CaliperPicture>(page, {
    tool: 'caliper-tenth',
    aims: ['main-mark-after'],
    wanted: ({ handled, held }) => handled === null && held.turnedX === null,
  });
  const eye = page.getByRole('slider', { name: 'How far your eye is to the side' });
  await eye.focus();
  for (let pressed = 0; pressed < 120 && Math.abs(Number(await eye.getAttribute('aria-valuenow'))) >= 1; pressed += 1)
    await page.keyboard.press(Number(await eye.getAttribute('aria-valuenow')) > 0 ? 'ArrowLeft' : 'ArrowRight');
  const { main, lines } = await drawnOn(page, 'glass');
  const zero = lines.find(({ line }) => line === 0)!;
  const passed = main.filter(({ x }) => x <= zero.x + 0.5).sort((a, b) => b.x - a.x)[0]!;
  const perMillimetre = main[1]!.x - main[0]!.x;
  const tenths = Math.round(((zero.x - passed.x) / perMillimetre) * 10);
  const error = picture.closedX ?? 0;
  const reading = (number: number): string => `${(number - error).toFixed(1)} mm`;
  await answer(page, reading(passed.at + 1 + tenths / 10));
  await expect(page.getByText('Main mark after the zero line')).toBeVisible();
  await answer(page, reading(passed.at + tenths / 10));
  await expect(page.getByText('Correct reading')).toBeVisible();
});

test('a micrometer: who misses the half millimetre is told, by keys and in words', async ({ page }) => {
  await signIn(page, 'student');
  const picture = await begunLike<MicrometerPicture>(page, {
    tool: 'micrometer-hundredth',
    aims: ['half-missed'],
    wanted: ({ handled, openX }) => handled === null && openX % 1 > 0.55 && openX % 1 < 0.95,
  });
  const error = picture.closedX ?? 0;
  await page.getByRole('button', { name: 'In words' }).click();
  await expect(page.getByText(/one half-millimetre line after them/)).toBeVisible();
  await answer(page, `${(picture.openX - 0.5 - error).toFixed(3)} mm`);
  await expect(page.getByText('The half millimetre was not counted')).toBeVisible();
  await answer(page, `${(picture.openX - error).toFixed(3)} mm`);
  await expect(page.getByText('Correct reading')).toBeVisible();
});

/** Brings the slide to the touch by keys, ever more finely, as its slider and the words under it say. */
async function closeJaws(page: Page): Promise<void> {
  const slide = page.getByRole('slider', { name: 'The slide' });
  await slide.focus();
  for (let pressed = 0; pressed < 60 && !(await page.getByText(/^The jaws touch/).isVisible()); pressed += 1)
    await page.keyboard.press('Shift+ArrowLeft');
  await expect(page.getByText(/^The jaws touch/)).toBeVisible();
}

/** The reading the lines under the glass give, moved along until the coinciding line is under it; as many decimals as the least count has. */
async function readCaliper(page: Page, least: number, lines: number): Promise<number> {
  const { main, lines: drawn } = await drawnOn(page, 'middle');
  const zero = drawn.find(({ line }) => line === 0)!;
  // Short of the main zero, lines are counted back: as if there were a mark a millimetre before it.
  const passed = main.filter(({ x }) => x <= zero.x + 0.4).sort((a, b) => b.x - a.x)[0]?.at ?? -1;
  const off = (x: number): number => Math.min(...main.map((mark) => Math.abs(mark.x - x)));
  const coinciding = drawn.slice(0, lines).reduce((best, one) => (off(one.x) < off(best.x) ? one : best));
  return passed + coinciding.line * least;
}

test('an oval float: closed jaws for the zero error, two ways at right angles, their mean corrected', async ({
  page,
}) => {
  await signIn(page, 'student');
  const picture = await begunLike<CaliperPicture>(page, {
    tool: 'caliper-twentieth',
    aims: ['zero-ignored'],
    wanted: ({ handled, held, closedX }) =>
      handled === 'close' && held.turnedX !== null && held.grit === 0 && closedX !== null && closedX !== 0,
  });
  const eye = page.getByRole('slider', { name: 'How far your eye is to the side' });
  await eye.focus();
  for (let pressed = 0; pressed < 120 && Math.abs(Number(await eye.getAttribute('aria-valuenow'))) >= 1; pressed += 1)
    await page.keyboard.press(Number(await eye.getAttribute('aria-valuenow')) > 0 ? 'ArrowLeft' : 'ArrowRight');
  await page.getByRole('radio', { name: 'nothing between them' }).check();
  await closeJaws(page);
  const error = await readCaliper(page, 0.05, 20);
  await page.getByRole('textbox', { name: 'Zero error, or a first reading' }).fill(error.toFixed(2));
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'Your notes' })).toContainText(error.toFixed(2));
  await page.getByRole('radio', { name: `the ${picture.thing.name} between them` }).check();
  await closeJaws(page);
  const one = await readCaliper(page, 0.05, 20);
  await page.getByRole('button', { name: 'Turn it by a right angle' }).click();
  await closeJaws(page);
  const other = await readCaliper(page, 0.05, 20);
  expect(Math.abs(error - picture.closedX!)).toBeLessThan(0.051);
  expect(Math.abs(one - other)).toBeGreaterThan(0.1);
  const mean = (one + other) / 2 - error;
  await answer(page, `${mean.toFixed(2)} mm`);
  await expect(page.getByText('Correct reading')).toBeVisible();
  await expect(page.getByText('How you handled it')).toBeHidden();
});

test('a micrometer is turned until its ratchet clicks; forced, it says so', async ({ page }) => {
  await signIn(page, 'student');
  const picture = await begunLike<MicrometerPicture>(page, {
    tool: 'micrometer-hundredth',
    aims: ['zero-ignored'],
    wanted: ({ handled, held }) => handled === 'close' && held.grit === 0,
  });
  await page.getByRole('button', { name: 'Turn by the ratchet' }).click();
  await expect(page.getByText(/^The faces touch .* Click, click, click/)).toBeVisible();
  const thimble = page.getByRole('slider', { name: 'The thimble' });
  await thimble.focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowDown');
  await expect(page.getByText('Too tight: you are forcing it.')).toBeVisible();
  await page.getByRole('button', { name: 'Lock it' }).click();
  const before = await thimble.getAttribute('aria-valuenow');
  await thimble.focus();
  await page.keyboard.press('ArrowUp');
  expect(await thimble.getAttribute('aria-valuenow')).toBe(before);
  await answer(page, `${(picture.openX - 0.02 - (picture.closedX ?? 0)).toFixed(3)} mm`);
  // Keys lead to whole tenths of a division, wherever the faces touched: two steps are two divisions to half a tenth.
  await expect(page.getByText(/You forced it 0\.0(19|20|21) mm/)).toBeVisible();
});
