import { execFileSync } from 'node:child_process';
import type { PrintedRound } from '@green-beam/contract';
import type { LiquidColumnPicture } from '@green-beam/core';
import { aim, enterAs, expect, readPicture, test, unfold } from './world.ts';

/** A page of a PDF as grey pixels, 0 black to 255 white. */
function rendered(pdf: string, page: number): { width: number; height: number; pixels: Buffer } {
  const out = execFileSync('pdftoppm', ['-r', '60', '-gray', '-f', String(page), '-l', String(page), pdf], {
    maxBuffer: 64 * 1024 * 1024,
  });
  const [header = ''] = /^P5\s+\d+\s+\d+\s+\d+\s/.exec(out.subarray(0, 40).toString('latin1')) ?? [];
  const [width = 0, height = 0] = header.split(/\s+/).slice(1, 3).map(Number);
  return { width, height, pixels: out.subarray(header.length) };
}

/** Part of a rectangle, given in parts of the page, that is not paper white. */
function ink(
  { width, height, pixels }: ReturnType<typeof rendered>,
  [left, top, right, bottom]: readonly [number, number, number, number],
): number {
  let [dark, all] = [0, 0];
  for (let y = Math.round(top * height); y < bottom * height; y += 1) {
    for (let x = Math.round(left * width); x < right * width; x += 1) {
      all += 1;
      if ((pixels[y * width + x] ?? 255) < 200) dark += 1;
    }
  }
  return dark / all;
}

const text = (pdf: string): string => execFileSync('pdftotext', ['-layout', pdf, '-']).toString();
const pagesOf = (pdf: string): string => execFileSync('pdfinfo', [pdf]).toString();

test('a round on paper: sheets with a key as PDF, typed in by code, diagnosed like any other', async ({
  page,
  browser,
}, info) => {
  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher', '/rounds');
  await teacher.getByRole('button', { name: 'New practice set' }).click();
  await teacher.getByLabel('Title').fill('Three cylinders on paper');
  await teacher.getByLabel('Items').fill('3');
  await teacher.getByLabel('Cylinders').check();
  await expect(await aim(teacher, 'Eye too high')).toBeVisible();
  await unfold(teacher, /^More/);
  await teacher.getByLabel('Where it is worked').selectOption('on paper, one try each');
  await expect(teacher.getByLabel('Eye too high')).toBeHidden();
  await teacher.getByRole('button', { name: 'Set this practice' }).click();
  const drawn = teacher.waitForResponse(/\/sheets$/);
  await teacher
    .getByRole('listitem')
    .filter({ hasText: 'Three cylinders on paper' })
    .getByRole('link', { name: 'Print the sheets' })
    .click();
  const printed = (await (await drawn).json()) as PrintedRound;
  await expect(teacher.getByRole('article', { name: 'Key' })).toBeVisible();
  const own = printed.sheets.find(({ student }) => student.startsWith('Ines'))!;

  const a4 = info.outputPath('a4.pdf');
  await teacher.pdf({ path: a4, preferCSSPageSize: true });
  expect(pagesOf(a4)).toMatch(/\(A4\)/);
  const words = text(a4);
  for (const { code, student } of printed.sheets) for (const word of [code, student]) expect(words).toContain(word);
  expect(words).toContain('Three cylinders on paper');
  expect(words.match(/Reading and unit/g)).toHaveLength(3 * printed.sheets.length);
  expect(words.match(/is in the\s+cylinder\?/g)?.length).toBeGreaterThan(printed.sheets.length);
  const [sheets = '', key = ''] = words.split('Key: Three cylinders');
  for (const { answer } of own.readings) expect(key).toContain(answer.text);
  expect(sheets).not.toContain('For the teacher only');

  const first = rendered(a4, 1);
  // The first picture stands at the left above the second row, and is mostly glass, lines and liquid; the bottom margin is bare.
  expect(ink(first, [0.06, 0.16, 0.48, 0.33])).toBeGreaterThan(0.05);
  expect(ink(first, [0, 0.97, 1, 1])).toBe(0);

  await teacher.getByLabel('Letter').check();
  await teacher.getByLabel('sheets only').check();
  const letter = info.outputPath('letter.pdf');
  await teacher.pdf({ path: letter, preferCSSPageSize: true });
  expect(pagesOf(letter)).toMatch(/\(letter\)/);
  expect(pagesOf(letter)).toMatch(new RegExp(`Pages:\\s+${printed.sheets.length}\\n`));
  expect(text(letter)).not.toContain('For the teacher only');

  await enterAs(page, 'student');
  await page.getByRole('link', { name: `Enter answers of sheet ${own.code}` }).click();
  await expect(page.getByRole('heading', { name: 'Three cylinders on paper', level: 1 })).toBeVisible();
  const [right] = own.readings.map(({ picture }) => readPicture(picture as LiquidColumnPicture).text);
  const lines = page.getByRole('textbox');
  await lines.nth(0).fill(`${right} mL`);
  await lines.nth(1).fill('999 mL');
  await page.reload();
  await expect(lines.nth(1)).toHaveValue('999 mL');
  await page.getByRole('button', { name: 'Save 2 answers' }).click();
  await expect(page.getByText('correct', { exact: true })).toBeVisible();
  await expect(page.getByText('999 mL')).toHaveCSS('text-decoration-line', 'line-through');

  await teacher.goto('/rounds');
  await teacher.getByLabel('Sheet code').fill(own.code.toLowerCase().replace('-', ' '));
  await teacher.getByRole('button', { name: 'Enter answers' }).click();
  await expect(teacher.getByText(`Sheet ${own.code}, Ines Varga`)).toBeVisible();
  await teacher.getByRole('textbox').fill('half a cup');
  await teacher.getByRole('button', { name: 'Save one answer' }).click();
  await expect(teacher.getByRole('alert')).toContainText('half a cup');
  await teacher.getByRole('textbox').fill(own.readings[2]!.answer.text + ' mL');
  await teacher.getByRole('button', { name: 'Save one answer' }).click();
  await expect(teacher.getByText('2 of 3 right.')).toBeVisible();
  await teacher.goto('/rounds');
  await teacher
    .getByRole('listitem')
    .filter({ hasText: 'Three cylinders on paper' })
    .getByRole('button', { name: 'Withdraw' })
    .click();
  await teacher.getByRole('button', { name: 'Withdraw it' }).click();
  await expect(
    teacher.getByRole('listitem').filter({ hasText: 'Three cylinders on paper' }).getByText('withdrawn'),
  ).toBeVisible();
  await room.close();
});
