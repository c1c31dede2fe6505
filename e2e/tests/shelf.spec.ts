import type { BenchRound, BenchTask } from '@green-beam/contract';
import { cautionsAbout, drawTask, noteOn, pictureOf, questionOn } from '@green-beam/core';
import { enterAs, expect, signIn, test } from './world.ts';

const reading = 'Your reading, with its unit';

test('a visitor takes the micrometer off the shelf; what was begun waits as it was left', async ({ page }) => {
  await page.goto('/');
  await expect(page.getByText('Learn to read measuring tools.')).toBeVisible();
  await page.getByRole('textbox', { name: reading }).fill('12.3');
  await page.getByRole('link', { name: 'Take another tool' }).click();
  await expect(page).toHaveURL(/\/shelf$/);
  await page.getByRole('link', { name: '0.01 mm micrometer' }).click();
  await expect(page).toHaveURL(/\/bench\/micrometer-hundredth$/);
  await expect(page.getByRole('group', { name: /^0.01 mm micrometer/ })).toBeVisible();
  await expect(page.getByText('Reading 1 of 10').filter({ visible: true })).toBeVisible();

  // Two readings are shown, and the tool is put aside for another one.
  for (let done = 1; done <= 2; done += 1) {
    await page.getByRole('textbox', { name: reading }).filter({ visible: true }).fill('1 mm');
    await page.getByRole('button', { name: 'Check' }).click();
    await page.getByRole('button', { name: 'Show me' }).click();
    await page.getByRole('button', { name: 'Next reading' }).click();
  }
  await expect(page.getByText('Reading 3 of 10').filter({ visible: true })).toBeVisible();
  await page.getByRole('link', { name: 'Take another tool' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: '0.01 mm micrometer' })).toContainText('begun');
  await page.getByRole('link', { name: 'A mix of rulers and cylinders' }).click();
  await expect(page.getByRole('textbox', { name: reading })).toHaveValue('12.3');
  await page.goBack();
  await page.getByRole('link', { name: '0.01 mm micrometer' }).click();
  await expect(page.getByText('Reading 3 of 10').filter({ visible: true })).toBeVisible();
});

test('a link leads to its tool, for a visitor and for a teacher; one that names no tool leads to the shelf', async ({
  page,
}) => {
  await page.goto('/bench/burettes');
  await expect(page.getByRole('group', { name: /burette\. / })).toBeVisible();
  await page.goto('/bench/astrolabe');
  await expect(page.getByText('There is no tool called “astrolabe”')).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Take a tool' })).toBeVisible();

  await enterAs(page, 'teacher', '/bench/micrometer-hundredth');
  await expect(page.getByRole('group', { name: /^0.01 mm micrometer/ })).toBeVisible();
  await expect(page.getByText('Set for you')).toHaveCount(0);
});

test('a student puts a round aside and goes on with it later; the shelf says how far it has come', async ({ page }) => {
  await enterAs(page, 'student', '/bench/clock');
  await page.getByRole('textbox', { name: reading }).fill('1:00:00');
  await page.getByRole('button', { name: 'Check' }).click();
  await page.getByRole('button', { name: 'Show me' }).click();
  await page.getByRole('button', { name: 'Next reading' }).click();
  await page.getByRole('link', { name: 'Take another tool' }).click();
  await page.getByRole('link', { name: '1 °C thermometer', exact: true }).click();
  await expect(page.getByRole('group', { name: /^1 °C thermometer/ })).toBeVisible();
  await page.getByRole('link', { name: 'Take another tool' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Clock' })).toContainText(/\d of 10 done/);
  await page.getByRole('link', { name: 'Clock', exact: true }).last().click();
  await expect(page.getByText(/Reading ([2-9]|10) of 10/).filter({ visible: true })).toBeVisible();
});

test('a teacher ticks a tool; who has read it aloud to the class finds it ticked', async ({ page }) => {
  await enterAs(page, 'teacher', '/shelf');
  const tick = page.getByRole('checkbox', { name: 'The class has met the 250 mL beaker' });
  await expect(tick).not.toBeChecked();
  await tick.click();
  await expect(tick).toBeChecked();
  await page.reload();
  await expect(tick).toBeChecked();
  await tick.click();
  await expect(tick).not.toBeChecked();

  await page.goto('/demonstrate?tool=beaker-500');
  await expect(page.getByRole('group', { name: /^500 mL beaker/ })).toBeVisible();
  const last = Number(/\/(\d+)$/.exec((await page.getByText(/^0\/\d+$/).textContent()) ?? '')?.[1]);
  for (let step = 0; step < last; step += 1) await page.keyboard.press('PageDown');
  await expect(page.getByText(`${last}/${last}`)).toBeVisible();
  await page.goto('/shelf');
  await expect(page.getByRole('checkbox', { name: 'The class has met the 500 mL beaker' })).toBeChecked();
});

test('the first screen says what to do, and leads teachers to what they ask first', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('link', { name: 'For teachers' }).click();
  await expect(page.getByRole('heading', { name: 'For teachers' })).toBeVisible();
  await page.getByRole('button', { name: 'As Maren, a teacher' }).click();
  await expect(page).toHaveURL(/\/class$/);
});

test('the overview stands on one screen: what to do now, then who needs the teacher, then the others', async ({
  page,
}) => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await signIn(page, 'teacher');
  await page.goto('/class');
  await expect(page.getByRole('heading', { name: 'Visit now' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Under way' })).toBeVisible();
  const size = await page.evaluate(() => [
    document.documentElement.scrollHeight,
    document.documentElement.scrollWidth,
    ...[...document.querySelectorAll('table')].map((table) => table.getBoundingClientRect().right),
  ]);
  expect(size[0]).toBeLessThanOrEqual(800);
  expect(size[1]).toBeLessThanOrEqual(1280);
  expect(size[2]).toBeLessThanOrEqual(1280);
  await page
    .getByRole('button', { name: /Burettes: \d+ of \d+ right/ })
    .first()
    .click();
  await expect(page.getByRole('dialog')).toContainText('right at the first try');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

const ONE_OF_EACH = [
  'ruler-millimetre',
  'cylinder-50',
  'beaker-250',
  'burette-50',
  'graduated-pipette-10',
  'volumetric-flask-100',
  'thermometer-tenth',
  'hydrometer-1000',
  'caliper-fiftieth',
  'caliper-digital',
  'micrometer-thousandth',
  'beam-balance-hundredth',
  'digital-balance-tenth',
  'clock',
];

const DRAWN = 300;

/** Of many items of a tool, the one about which most is said and with which most can be done. */
function wordiest(tool: string): Pick<BenchTask, 'question' | 'picture' | 'cautions'> {
  const items = Array.from({ length: DRAWN }, (_, seed) => {
    const task = drawTask(tool, { seed });
    return { question: questionOn(task), picture: pictureOf(task), cautions: cautionsAbout(task) };
  });
  const words = ({ question, picture, cautions }: (typeof items)[number]): number =>
    question.length + (noteOn(picture) ?? '').length + cautions.join('').length + JSON.stringify(picture).length / 50;
  return items.reduce((most, item) => (words(item) > words(most) ? item : most));
}

for (const role of ['teacher', 'student'] as const)
  test(`a ${role}’s bench is one screen high, whatever the tool and the item`, async ({ page }) => {
    await page.setViewportSize({ width: 1280, height: 800 });
    await signIn(page, role);
    let item: ReturnType<typeof wordiest> | null = null;
    await page.route('**/rounds/taken-up', async (route) => {
      const response = await route.fetch();
      const round = (await response.json()) as BenchRound;
      const open = round.tasks.findIndex(({ state }) => state !== 'closed');
      await route.fulfill({
        response,
        json: { ...round, tasks: round.tasks.map((task, i) => (i === open ? { ...task, ...item } : task)) },
      });
    });
    for (const tool of ONE_OF_EACH) {
      item = wordiest(tool);
      await page.goto(`/bench/${tool}`);
      await expect(page.getByRole('heading', { level: 1 })).toHaveText(item.question);
      await expect(page.getByRole('group').first()).toBeVisible();
      await expect.poll(() => page.evaluate(() => document.documentElement.scrollHeight), { message: tool }).toBe(800);
    }
  });

/** What is left of a phone’s page while its keyboard is open, in pixels. */
const ABOVE_THE_KEYBOARD = 430;

for (const tool of ONE_OF_EACH)
  test(`${tool}: on a phone with its keyboard open, scale, question, field and Check are seen together`, async ({
    page,
  }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`/bench/${tool}`);
    await page.getByRole('textbox', { name: reading }).click();
    await expect(page.getByRole('banner')).toBeHidden();
    const [stage, field, check] = await Promise.all(
      [
        page.getByRole('group').first(),
        page.getByRole('textbox', { name: reading }),
        page.getByRole('button', { name: 'Check' }),
      ].map((part) => part.boundingBox()),
    );
    expect(stage!.y).toBeGreaterThanOrEqual(0);
    expect(stage!.height).toBeGreaterThan(60);
    expect(field!.y).toBeGreaterThan(stage!.y + stage!.height);
    expect(check!.y + check!.height).toBeLessThanOrEqual(ABOVE_THE_KEYBOARD);
    await page.getByRole('textbox', { name: reading }).fill('1');
    await page.getByRole('button', { name: 'Check' }).click();
    await expect(page.getByRole('banner')).toBeVisible();
  });
