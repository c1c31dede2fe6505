import type { RulesShown } from '@green-beam/contract';
import type { HouseRules } from '@green-beam/core';
import type { Page } from '@playwright/test';
import { enterAs, expect, signIn, startRound, test } from './world.ts';

/** States the decimal mark of the class, with the rules as they are else. */
async function writeWith(page: Page, decimalMark: HouseRules['decimalMark']): Promise<void> {
  await signIn(page, 'teacher');
  const { csrfToken } = await (await page.request.get('/api/session')).json();
  const [{ id }] = await (await page.request.get('/api/classes')).json();
  const path = `/api/classes/${id}/rules`;
  const { name, version, rules } = (await (await page.request.get(path)).json()) as RulesShown;
  const answer = await page.request.post(path, {
    data: { name, rules: { ...rules, decimalMark }, after: version },
    headers: { 'x-csrf-token': csrfToken },
  });
  expect(answer.status()).toBeLessThan(300);
}

/** Numbers with a point that somebody sees or hears on the page. */
function withPoint(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    // What somebody typed stays as it was typed.
    for (const typed of document.querySelectorAll<HTMLElement>('[data-typed]')) typed.hidden = true;
    const texts = [document.body.innerText];
    for (const element of document.querySelectorAll('svg text')) texts.push(element.innerHTML);
    for (const element of document.querySelectorAll('*'))
      for (const name of ['aria-label', 'aria-valuetext', 'placeholder', 'title', 'alt'])
        texts.push(element.getAttribute(name) ?? '');
    return [...new Set(texts.flatMap((text) => text.split('\n')).filter((text) => /\d\.\d/.test(text)))];
  });
}

async function answeredWrongly(page: Page, entry: string): Promise<void> {
  const line = page.getByRole('textbox', { name: 'Your reading, with its unit' });
  await line.fill(entry);
  await line.press('Enter');
  await expect(page.getByText(/second try next/)).toBeVisible();
  expect(await withPoint(page)).toEqual([]);
  await page.getByRole('button', { name: 'Hint' }).click();
  await page.getByRole('button', { name: 'Hint' }).click();
  await page.getByRole('button', { name: 'In words' }).click();
  expect(await withPoint(page)).toEqual([]);
  await page.getByRole('button', { name: 'Show me' }).click();
  await expect(page.getByText('the right reading')).toBeVisible();
}

test('a class that writes a comma sees no point in any number, whatever is said of it', async ({ page }) => {
  test.slow();
  await writeWith(page, 'comma');
  try {
    await signIn(page, 'student');
    for (const [tool, entry] of [
      ['cylinder-10', '9,99 mL'],
      ['burette-50', '49,99 mL'],
      ['thermometer-tenth', '1,23 °C'],
      ['caliper-fiftieth', '149,98 mm'],
      ['micrometer-hundredth', '24,995 mm'],
      ['hydrometer-1000', '1,0999 g/mL'],
      ['beam-balance-hundredth', '299,995 g'],
      ['digital-balance-hundredth', '199,99 g'],
      ['volumetric-flask-100', '99,1 mL'],
      ['ruler-inch', '11,9 in'],
    ] as const) {
      await startRound(page, [tool]);
      await expect(page.getByRole('group').first()).toBeVisible();
      expect(await withPoint(page)).toEqual([]);
      await answeredWrongly(page, entry);
      expect(await withPoint(page)).toEqual([]);
    }
    for (const path of ['/numbers', '/shelf', '/notebook', '/record']) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.getByText(/^Loading/)).toHaveCount(0);
      expect(await withPoint(page)).toEqual([]);
    }
    await page.goto('/notebook');
    await page.getByText('Bronze deck nail').click();
    await expect(page.getByText('Where the uncertainty comes from')).toBeVisible();
    expect(await withPoint(page)).toEqual([]);

    for (const path of ['/class', '/rounds', '/cabinet', '/rules', '/demonstrate?tool=caliper-fiftieth']) {
      await enterAs(page, 'teacher', '/class');
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      await expect(page.getByText(/^Loading/)).toHaveCount(0);
      for (let step = 0; path.startsWith('/demonstrate') && step < 6; step += 1) await page.keyboard.press('PageDown');
      expect(await withPoint(page)).toEqual([]);
    }
  } finally {
    await writeWith(page, 'point');
  }
});
