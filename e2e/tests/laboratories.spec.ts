import type { Page } from '@playwright/test';
import { beginLaboratory, enterAs, expect, fillCell, test } from './world.ts';

/** Fills the trials of a column: `Length, coarse`. */
async function fillTrials(page: Page, column: string, texts: readonly string[], row = 'trial'): Promise<void> {
  for (const [i, text] of texts.entries()) await fillCell(page, `${column}, ${row} ${i + 1}`, text);
}

test('one plate, measured twice with a second observer: two volumes, and whether they agree', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Slate tile, chipped', 'One plate, measured twice');
  await expect(page.getByText(/keep it on the table, and its edges away/)).toBeVisible();
  await page.getByRole('button', { name: 'A partner joins' }).click();
  await page.getByLabel('Partner’s name').selectOption({ label: 'Leila N.' });
  await page.getByLabel('PIN').fill('2468');
  await page.getByRole('button', { name: 'Join' }).click();
  await expect(page.getByRole('radio', { name: 'Leila' })).toBeVisible();

  await page.getByRole('navigation', { name: 'Steps of the laboratory' }).getByText('Coarse rulers').click();
  await fillTrials(page, 'Length, coarse', ['12', '11', '12', '12', '11']);
  await fillTrials(page, 'Width, coarse', ['6.5', '6.4', '6.4', '6.5', '6.4']);
  await fillTrials(page, 'Length, fine', ['11.53', '11.55', '11.54', '11.54', '11.53']);
  await fillTrials(page, 'Width, fine', ['6.425', '6.430', '6.425', '6.435', '6.430']);
  await fillTrials(page, 'Thickness', ['4.213', '4.218', '4.211', '4.216', '4.214']);
  await page.getByRole('radio', { name: 'Leila' }).click();
  for (const trial of [4, 5]) await page.getByLabel(`Read by, trial ${trial}`).selectOption({ label: 'observer 2' });

  const results = page.getByRole('group', { name: 'Results' });
  await expect(results.getByRole('button', { name: /^Volume, coarse/ })).toContainText('31 ± 8');
  await expect(results.getByRole('button', { name: /^Volume, fine/ })).toContainText('31.26 ± 0.08');
  await expect(page.getByText(/✓ They agree: the difference is 0 cm³, known to ± 8 cm³/)).toBeVisible();
  await expect(page.getByText(/“Volume, fine” is known about \d+ times better/)).toBeVisible();
  await expect(page.getByRole('img', { name: /comes from: reading of the decimetre ruler, length/ })).toBeVisible();
  await results.getByRole('button', { name: /^Volume, fine/ }).click();
  await expect(page.getByRole('heading', { name: 'Volume, fine, more closely' })).toBeVisible();

  await page.getByRole('button', { name: /^Mean length, fine, .*: show the working/ }).click();
  await expect(page.getByRole('dialog').getByRole('row', { name: /trial 2 11.55/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Exchange rows and columns' }).first().click();
  await expect(page.getByRole('rowheader', { name: /^Thickness, mm/ })).toBeVisible();
  await expect(page.getByText('Everything is saved.')).toBeVisible();
});

test('glassware, each delivery on top of the last one, with three tools', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Water from three tools', 'Which glass delivers best?');
  await page.getByRole('navigation', { name: 'Steps of the laboratory' }).getByText('How you do it').click();
  await page.getByLabel('on top of the last one').check();
  await page.getByLabel(/^burette/).check();
  await expect(page.getByLabel(/^burette/)).toBeChecked();
  await fillCell(page, 'Water temperature', '21.0');
  const tools = {
    beaker: ['25', '61.24', ['85.62', '110.24', '133.98']],
    cylinder: ['20.0', '61.23', ['80.93', '100.72', '120.37']],
    burette: ['20.00', '61.24', ['81.19', '101.17', '121.11']],
  } as const;
  for (const [tool, [nominal, empty, running]] of Object.entries(tools)) {
    await fillCell(page, `Nominal volume, ${tool}`, nominal);
    await fillCell(page, `Mass of the empty vessel, ${tool}`, empty);
    await fillTrials(page, `Mass so far, ${tool}`, running, 'delivery');
  }
  const results = page.getByRole('group', { name: 'Results' });
  for (const tool of Object.keys(tools)) await expect(results).toContainText(`Mean volume, ${tool}`);
  // By accuracy, and by precision.
  for (const [tool, ranks] of Object.entries({ burette: '1st, 1st', cylinder: '2nd, 2nd', beaker: '3rd, 3rd' }))
    await expect(page.getByRole('row', { name: new RegExp(`^${tool} .*${ranks}$`) })).toBeVisible();
  await expect(page.getByText('so two neighbours share a weighing')).toBeVisible();
  await expect(page.getByText('Do the means differ?')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Mass so far, burette, delivery 3, 121.11' })).toBeVisible();
});

test('a burning light with times of day: rates, the time left by three routes, and a drip that is added', async ({
  page,
}) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Beeswax nightlight, second', 'How long will it burn?');
  const entries: readonly (readonly [string, string, string])[] = [
    ['Light with holder', '44.87', '42.95'],
    ['Height', '41.24', '38.66'],
    ['Width', '32.35', '32.40'],
    ['Water alone', '52.0', '51.5'],
    ['Water with the light', '86.0', '83.5'],
    ['Time of day', '10:42:10', '10:57:25'],
  ];
  await fillCell(page, 'Holder', '12.31');
  for (const [quantity, before, after] of entries) {
    await fillCell(page, `${quantity}, before burning`, before);
    await fillCell(page, `${quantity}, after burning`, after);
  }
  await expect(page.getByRole('button', { name: /^Time burned, 15\.3: show the working/ })).toBeVisible();
  const results = page.getByRole('group', { name: 'Results' });
  await expect(results.getByRole('button', { name: /^Time left by mass/ })).toContainText('243.4 ± 1.1');
  await expect(page.getByText(/✗ Time left by mass and time left by height do not agree/)).toBeVisible();

  await page.getByRole('button', { name: 'Light with holder, after burning, 42.95' }).click();
  await page.getByRole('button', { name: 'add to it …' }).click();
  await page.getByLabel('How much is added, in g').fill('0.12');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(page.getByRole('alert')).toContainText('Say why');
  await page.getByLabel('Why', { exact: true }).fill('wax beside the holder');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(
    page.getByText('* Light with holder, after burning: 0.12 g added, wax beside the holder.'),
  ).toBeVisible();
  await expect(results.getByRole('button', { name: /^Mass burned each minute/ })).toContainText('0.1180');
});

test('the initial reading of a delivery is the final one of the last, until it is read after all', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Flask without a mark', 'Delivered until it repeats');
  await fillCell(page, 'Start, delivery 1', '0.31');
  await fillCell(page, 'End, delivery 1', '24.86');
  await page.getByRole('button', { name: /^End, delivery 2/ }).click();
  await expect(page.getByRole('button', { name: /^same as/ })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Start, delivery 2/ }).click();
  await page.getByRole('button', { name: 'same as end, delivery 1' }).click();
  const linked = page.getByRole('button', { name: 'Start, delivery 2, 24.86, taken over' });
  await linked.click();
  await page.getByRole('textbox', { name: 'Start, delivery 2', exact: true }).fill('24.90');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Start, delivery 2, 24.90', exact: true })).toBeVisible();
});

test('a simulation is started, cancelled and run, and its chart is saved', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await page.getByText('Bronze deck nail').click();
  const simulation = page.getByRole('region', { name: 'Simulation' });
  // However fast the machine is, the first one has not begun when it is cancelled.
  const script = /simulation\.worker/;
  await page.route(script, () => undefined);
  await simulation.getByLabel('Draws').selectOption('1000000');
  await simulation.getByRole('button', { name: 'Run the simulation' }).click();
  await expect(simulation.getByRole('progressbar')).toBeVisible();
  await simulation.getByRole('button', { name: 'Cancel' }).click();
  await expect(simulation.getByRole('status')).toContainText('Cancelled');
  await page.unroute(script);
  await simulation.getByLabel('Draws').selectOption('10000');
  await simulation.getByRole('button', { name: 'Run the simulation' }).click();
  await expect(simulation.getByText('95 %, shortest')).toBeVisible();
  await expect(simulation.getByText(/10.000 draws, seed 2/)).toBeVisible();
  await expect(simulation.getByRole('img', { name: /The bars are the simulated results/ })).toBeVisible();

  await simulation.getByText('Numbers and saving').click();
  for (const [kind, beginning] of [
    ['SVG', '<svg'],
    ['PNG', '\u0089PNG'],
  ] as const) {
    const download = page.waitForEvent('download');
    await simulation.getByRole('button', { name: `Save as ${kind}` }).click();
    const saved = await download;
    expect(saved.suggestedFilename()).toBe(`simulated-results.${kind.toLowerCase()}`);
    const chunks: Buffer[] = [];
    for await (const chunk of await saved.createReadStream()) chunks.push(chunk as Buffer);
    expect(Buffer.concat(chunks).toString('latin1').slice(0, beginning.length)).toBe(beginning);
  }
});

test('a balance of the cabinet is one of those that are checked', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Balances by the window', 'Is the balance fit for use?');
  await page.getByRole('navigation', { name: 'Steps of the laboratory' }).getByText('How you do it').click();
  await page.getByLabel('Balance: another one').selectOption({ label: 'B-02, 0.01 g digital balance' });
  await expect(page.getByRole('checkbox', { name: /^B-02/ })).toBeChecked();
  await page.getByRole('checkbox', { name: /^0.01 g balance/ }).uncheck();
  await fillCell(page, 'Shown, B-02, 0.01 g digital balance, 20 g, upwards', '20.01');
  await page.reload();
  await expect(page.getByRole('button', { name: /^Shown, B-02.*20 g, upwards, 20.01/ })).toBeVisible();
});

test('on a phone a laboratory is one reading a line, and nothing reaches beyond the screen', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await enterAs(page, 'student', '/notebook');
  await page.getByText('Slate tile, whole').click();
  await expect(page.getByRole('heading', { name: 'trial 5' })).toBeVisible();
  await expect(page.getByText(/✓ They agree: the difference/)).toBeVisible();
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
});
