import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import type { Page } from '@playwright/test';
import { REACHED } from './reached-views.ts';
import { expect, signIn, test } from './world.ts';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly html: string }[];
}

async function violations(page: Page): Promise<string[]> {
  await page.evaluate(AXE);
  const found = await page.evaluate(async () => {
    const { axe } = window as unknown as { axe: { run(options: object): Promise<{ violations: Violation[] }> } };
    return (await axe.run({ runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] })).violations;
  });
  return found.map((one) => `${one.id}: ${one.nodes[0]?.html.slice(0, 160) ?? ''}`);
}

for (const [role, path] of [
  ['visitor', '/'],
  ['visitor', '/sign-in'],
  ['visitor', '/numbers'],
  ['visitor', '/numbers/practice'],
  ['visitor', '/numbers/two-axes'],
  ['teacher', '/read-together'],
  ['student', '/read-together'],
  ['student', '/numbers/practice'],
  ['student', '/'],
  ['student', '/numbers'],
  ['student', '/notebook'],
  ['student', '/record'],
  ['teacher', '/class'],
  ['teacher', '/class/people'],
  ['visitor', '/shelf'],
  ['visitor', '/for-teachers'],
  ['visitor', '/bench/micrometer-hundredth'],
  ['student', '/shelf'],
  ['visitor', '/numbers/check-table'],
  ['teacher', '/shelf'],
  ['teacher', '/rounds'],
  ['teacher', '/cabinet'],
  ['teacher', '/cabinet/which-tool'],
  ['teacher', '/class?view=over-time'],
  ['teacher', '/rules'],
  ['teacher', '/demonstrate'],
  ['teacher', '/notebook'],
  ['teacher', '/notebook/open'],
  ['teacher', '/notebook/blank/solid-by-displacement'],
  ['teacher', '/marking'],
  ['teacher', '/class-results'],
  ['teacher', '/lab-sheets'],
  ['teacher', '/plan-lesson'],
  ['administrator', '/school'],
  ['student', '/account'],
  ['teacher', '/class/start'],
] as const) {
  test(`${path} as ${role} passes the accessibility rules and fits a phone`, async ({ page }) => {
    if (role !== 'visitor') await signIn(page, role);
    await page.goto(path);
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
    await expect(page.getByText(/^Loading/)).toHaveCount(0);
    expect(await violations(page)).toEqual([]);
    await page.setViewportSize({ width: 390, height: 844 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
}

for (const [name, role, path, reach] of REACHED) {
  test(`${name} passes the accessibility rules and fits a phone`, async ({ page }) => {
    if (role !== 'visitor') await signIn(page, role);
    await page.goto(path);
    await reach(page);
    // What fades in is judged once it is there.
    await page.evaluate(() =>
      Promise.all(document.getAnimations().map((animation) => animation.finished.catch(() => undefined))),
    );
    expect(await violations(page)).toEqual([]);
    await page.setViewportSize({ width: 390, height: 844 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });
}
