import type { BenchRound } from '@green-beam/contract';
import type { LiquidColumnPicture } from '@green-beam/core';
import { test as base, expect, type Page } from '@playwright/test';

/** Every page fails its test when the browser reports an error or a violation of the content security policy. */
export const test = base.extend<{ page: Page }>({
  page: async ({ page }, use) => {
    const complaints: string[] = [];
    page.on('pageerror', (error) => complaints.push(error.message));
    page.on('console', (message) => {
      if (/content security policy/i.test(message.text())) complaints.push(message.text());
    });
    await use(page);
    expect(complaints).toEqual([]);
  },
});
export { expect };

const DOORS = { student: /As Ines/, teacher: /As Maren/, administrator: /As Halima/ } as const;

/** One-click sign-in of the sample world. */
export async function enterAs(page: Page, role: keyof typeof DOORS): Promise<void> {
  await page.goto('/sign-in');
  await page.getByRole('button', { name: DOORS[role] }).click();
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible();
}

/** Reads a picture as a person with a ruler would: from the numerals and the lines, knowing nothing of core's reckoning. */
export function readPicture(picture: LiquidColumnPicture): { text: string; y: number } {
  const labelled = picture.marks.flatMap(({ y, label }) => (label === null ? [] : [{ y, number: Number(label) }]));
  const low = labelled.reduce((best, mark) => (mark.number < best.number ? mark : best));
  const high = labelled.reduce((best, mark) => (mark.number > best.number ? mark : best));
  const value = low.number + ((low.y - picture.surfaceY) / (low.y - high.y)) * (high.number - low.number);
  return { text: value.toFixed(picture.instrumentId === 'cylinder-10' ? 2 : 1), y: picture.surfaceY };
}

/** The round the page is showing, asked for with the page's own session. */
export async function currentRound(page: Page): Promise<BenchRound> {
  const session = await (await page.request.get('/api/session')).json();
  const classId = session.signedIn.class?.id;
  return (await page.request.get(`/api/classes/${classId}/rounds/current`)).json() as Promise<BenchRound>;
}

/** Brings the eye to the level by keys, as its slider says how far it is off. */
export async function levelTheEye(page: Page): Promise<void> {
  const eye = page.getByRole('slider', { name: 'Height of your eye' });
  await eye.focus();
  for (let pressed = 0; pressed < 120; pressed += 1) {
    const height = Number(await eye.getAttribute('aria-valuenow'));
    if (Math.abs(height) < 1) return;
    const coarse = Math.abs(height) >= 10;
    await page.keyboard.press(`${coarse ? 'Shift+' : ''}${height > 0 ? 'ArrowDown' : 'ArrowUp'}`);
  }
  throw new Error('The eye did not come to the level.');
}
