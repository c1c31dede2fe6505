import type { Page } from '@playwright/test';
import { enterAs, expect, signIn, test } from './world.ts';

const line = (page: Page, number: number): ReturnType<Page['getByRole']> =>
  page.getByRole('textbox', { name: `Line ${number}`, exact: true });
const result = (page: Page, number: number): ReturnType<Page['locator']> =>
  page
    .getByRole('list', { name: 'Tape' })
    .getByRole('listitem')
    .nth(number - 1)
    .locator('output');

async function emptyTape(page: Page): Promise<void> {
  await page.goto('/numbers');
  await expect(line(page, 1)).toBeVisible();
  await page.getByRole('button', { name: 'Clear all lines' }).click();
  await expect(line(page, 1)).toBeFocused();
}

test('what stands below the tape does not move away under a finger while the results come', async ({ page }) => {
  await page.addInitScript(() => {
    const places: number[] = [];
    Object.assign(window, { places });
    const look = (): void => {
      const clear = [...document.querySelectorAll('button')].find(
        ({ textContent }) => textContent === 'Clear all lines',
      );
      if (clear) places.push(Math.round(clear.getBoundingClientRect().top));
      requestAnimationFrame(look);
    };
    look();
  });
  await page.goto('/numbers');
  await expect(page.getByRole('list', { name: 'Tape' }).locator('.katex')).toHaveCount(3);
  const places = await page.evaluate(() => (window as unknown as { places: number[] }).places);
  expect(places.length).toBeGreaterThan(3);
  expect(new Set(places).size).toBe(1);
});

test('a visitor works out a density in three lines, asks why, converts it, and finds it again after a reload', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await emptyTape(page);
  for (const [i, text] of ['m = 24.31 g', 'V = 18.6 mL - 9.2 mL', 'm / V'].entries()) {
    if (i > 0) await page.keyboard.press('Enter');
    await expect(line(page, i + 1)).toBeFocused();
    await page.keyboard.type(text);
  }
  await expect(result(page, 3)).toContainText('2.6, doubtful digit 6, grams per millilitre');
  await expect(page.getByRole('list', { name: 'Tape' }).locator('.katex').nth(2)).toBeVisible();
  await page.getByText('Why two figures?').click();
  await expect(
    page.getByText('A product or quotient has as many figures as the factor with the fewest: 9.4 has 2.'),
  ).toBeVisible();

  await page.getByRole('combobox', { name: 'In another unit' }).selectOption('kg/m^3');
  const another = page.getByRole('region', { name: 'In another unit' });
  await expect(another.locator('.katex .cancel-pad, .katex .cancel-lap').first()).toBeAttached();
  await another.getByRole('button', { name: 'Add as a line' }).click();
  await expect(line(page, 4)).toHaveValue('last -> kg/m^3');
  await expect(result(page, 4)).toContainText('2.6 times ten to the power 3');

  await line(page, 3).focus();
  await page.getByRole('button', { name: 'as LaTeX' }).click();
  await expect(page.getByText('Copied as LaTeX.')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toBe('\\dfrac{m}{V} = 2.6\\,\\mathrm{g/mL}');
  await page.getByRole('button', { name: 'as MathML' }).click();
  await expect(page.getByText('Copied as MathML.')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/^<math .*<mfrac>.*<\/math>$/s);

  await page.reload();
  await expect(line(page, 4)).toHaveValue('last -> kg/m^3');
  await page.getByRole('button', { name: 'Clear all lines' }).click();
  await expect(line(page, 2)).toHaveCount(0);
  await page.getByRole('button', { name: 'Bring the lines back' }).click();
  await expect(line(page, 4)).toHaveValue('last -> kg/m^3');
});

test('what is unfinished or wrong is pointed at where it is typed, and the page goes on', async ({ page }) => {
  await emptyTape(page);
  const marked = page.getByRole('list', { name: 'Tape' }).locator('mark');
  for (const [typed, says, mark] of [
    ['18.6 mL - ', 'ends too early', ' '],
    ['24.31 g + 9.2 mL', 'g and mL are units of different kinds', '+'],
    ['7.10 g / (2.0 mL - 2.0 mL)', 'division by zero', '/'],
    ['5.0 quux', 'not a unit known here', 'q'],
    ['2.0 * ln(-1.0)', 'positive number', 'l'],
    ['<img src=x onerror=alert(1)>', '“<”', '<'],
    ['1e400 g', 'exponent', '1'],
    ['('.repeat(3000), 'levels of parentheses', '('],
  ] as const) {
    await line(page, 1).fill(typed);
    await expect(page.getByText(says)).toBeVisible();
    await expect(marked).toHaveText(mark, { useInnerText: false });
  }
  await line(page, 1).fill('12:41:20 − 12:09:47');
  await expect(result(page, 1)).toContainText('0:31:33');
  await expect(marked).toHaveCount(0);
});

test('a teacher changes how halves are rounded, and the open desk of a student follows', async ({ page, browser }) => {
  await signIn(page, 'student');
  await emptyTape(page);
  await page.keyboard.type('0.25 mL + 0.0 mL');
  await expect(result(page, 1)).toContainText('0.3, doubtful digit 3');
  const school = page.getByRole('region', { name: 'By another method' });
  await school.getByRole('combobox').selectOption('Halves to the even digit');
  await expect(school).toContainText('0.2, doubtful digit 2');

  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher');
  await teacher.getByRole('link', { name: 'Class rules' }).click();
  const work = teacher.getByRole('button', { name: 'Use these rules' });
  const choose = async (choice: string): Promise<void> => {
    const half = teacher.getByLabel('A half is rounded');
    if (!(await half.isVisible())) await teacher.getByText('All other rules').click();
    await half.selectOption(choice);
    await work.click();
    await expect(teacher.getByText('The class uses these rules from now on.')).toBeVisible();
  };
  await choose('to the even neighbour');
  await expect(result(page, 1)).toContainText('0.2, doubtful digit 2');
  await teacher.reload();
  await choose('away from zero');
  await expect(result(page, 1)).toContainText('0.3, doubtful digit 3');

  await line(page, 1).fill('2.5000 lb -> g');
  await expect(result(page, 1)).toContainText('1134.0, doubtful digit 0, grams');
  await teacher.reload();
  await teacher.getByText('All other rules').click();
  const relation = teacher.getByRole('textbox', { name: 'A relation your class uses' });
  await relation.fill('1 lb = 545 g');
  await relation.press('Enter');
  await expect(teacher.getByRole('alert')).toContainText('more than 5 % from the exact relation');
  await relation.fill('1 lb = 454 g');
  await relation.press('Enter');
  await work.click();
  await expect(result(page, 1)).toContainText('1.14 times ten to the power 3');
  await teacher.getByRole('button', { name: 'Remove 1 lb = 454 g' }).click();
  await work.click();
  await expect(result(page, 1)).toContainText('1134.0, doubtful digit 0, grams');
  await room.close();
});

test('a student finds earlier tapes again, on another computer too, and deletes one', async ({ page, browser }) => {
  await signIn(page, 'student');
  await emptyTape(page);
  await page.keyboard.type('peg = 41.37 g');
  const saved = (): Promise<unknown> =>
    page.waitForResponse((response) => response.url().includes('/api/tapes/') && response.ok());
  await saved();
  await page.getByRole('button', { name: 'Clear all lines' }).click();
  await line(page, 1).fill('rod = 2.41 cm');
  await saved();
  const earlier = page.getByRole('region', { name: 'Earlier work' });
  await earlier.getByRole('button', { name: /peg = 41.37 g/ }).click();
  await expect(line(page, 1)).toHaveValue('peg = 41.37 g');

  const room = await browser.newContext();
  const elsewhere = await room.newPage();
  await enterAs(elsewhere, 'student', '/numbers');
  await expect(line(elsewhere, 1)).toHaveValue('rod = 2.41 cm');
  await elsewhere
    .getByRole('region', { name: 'Earlier work' })
    .getByRole('listitem')
    .filter({ hasText: 'peg = 41.37 g' })
    .getByRole('button', { name: /^Delete/ })
    .click();
  await elsewhere.getByRole('button', { name: 'Delete it' }).click();
  await expect(elsewhere.getByText('peg = 41.37 g')).toHaveCount(0);
  await room.close();
});
