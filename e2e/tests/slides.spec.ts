import type { CaliperPicture, MicrometerPicture } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { enterAs, expect, startRound, test } from './world.ts';

async function answer(page: Page, text: string): Promise<void> {
  const line = page.getByRole('textbox', { name: 'Your reading, with its unit' });
  await line.fill(text);
  await line.press('Enter');
}

/** Where the lines of the main scale and of the vernier are drawn under the glass, in pixels of the screen, by their numbers. */
async function drawnUnderGlass(page: Page): Promise<{ main: { at: number; x: number }[]; lines: { line: number; x: number }[] }> {
  return page.evaluate(() => {
    const centre = (element: Element): number => {
      const box = element.getBoundingClientRect();
      return box.x + box.width / 2;
    };
    // The last pair on the page is the one under the glass.
    const sheets = [...document.querySelectorAll('svg')];
    const last = (selector: string): Element[] => sheets.filter((sheet) => sheet.querySelector(selector)).at(-1) ? [...sheets.filter((sheet) => sheet.querySelector(selector)).at(-1)!.querySelectorAll(selector)] : [];
    return {
      main: last('[data-main]').map((group) => ({ at: Number((group as SVGElement).dataset['main']), x: centre(group.querySelector('line')!) })),
      lines: last('[data-line]').map((group) => ({ line: Number((group as SVGElement).dataset['line']), x: centre(group.querySelector('line')!) })),
    };
  });
}

test('a caliper: the lines as they are drawn give the reading; the edge of the slide does not', async ({ page }) => {
  await enterAs(page, 'student');
  const { tasks } = await startRound(page, ['caliper-tenth']);
  const picture = tasks[0]!.picture as CaliperPicture;
  const eye = page.getByRole('slider', { name: 'How far your eye is to the side' });
  await eye.focus();
  for (let pressed = 0; pressed < 120 && Math.abs(Number(await eye.getAttribute('aria-valuenow'))) >= 1; pressed += 1) await page.keyboard.press(Number(await eye.getAttribute('aria-valuenow')) > 0 ? 'ArrowLeft' : 'ArrowRight');
  const { main, lines } = await drawnUnderGlass(page);
  const zero = lines.find(({ line }) => line === 0)!;
  const passed = main.filter(({ x }) => x <= zero.x + 0.5).sort((a, b) => b.x - a.x)[0]!;
  const perMillimetre = main[1]!.x - main[0]!.x;
  const tenths = Math.round(((zero.x - passed.x) / perMillimetre) * 10);
  const error = picture.closedX ?? 0;
  const reading = (number: number): string => `${(number - error).toFixed(1)} mm`;
  await answer(page, reading(passed.at + 1 + tenths / 10));
  await expect(page.getByText('The main mark after the zero')).toBeVisible();
  await answer(page, reading(passed.at + tenths / 10));
  await expect(page.getByText('Sound reading')).toBeVisible();
});

test('a micrometer: who misses the half millimetre is told, by keys and in words', async ({ page }) => {
  await enterAs(page, 'student');
  let picture: MicrometerPicture | null = null;
  for (let tried = 0; tried < 30 && !(picture && picture.openX % 1 > 0.55 && picture.openX % 1 < 0.95); tried += 1) {
    const { tasks } = await startRound(page, ['micrometer-hundredth']);
    picture = tasks[0]!.picture as MicrometerPicture;
  }
  const error = picture!.closedX ?? 0;
  await page.getByRole('button', { name: 'In words' }).click();
  await expect(page.getByText(/one half-millimetre line after them/)).toBeVisible();
  await answer(page, `${(picture!.openX - 0.5 - error).toFixed(3)} mm`);
  await expect(page.getByText('The half millimetre was not counted')).toBeVisible();
  await answer(page, `${(picture!.openX - error).toFixed(3)} mm`);
  await expect(page.getByText('Sound reading')).toBeVisible();
});
