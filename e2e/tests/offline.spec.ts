import type { LiquidColumnPicture } from '@green-beam/core';
import {
  beginLaboratory,
  enterAs,
  expect,
  fillCell,
  levelTheEye,
  readPicture,
  signIn,
  startRound,
  test,
} from './world.ts';

test('while the server cannot be reached readings go on; their entries wait here and are judged on return', async ({
  page,
}) => {
  await signIn(page, 'student');
  const { tasks } = await startRound(page, ['cylinder-50']);
  const line = page.getByRole('textbox', { name: 'Your reading, with its unit' });
  const number = (position: number): string => readPicture(tasks[position]!.picture as LiquidColumnPicture).text;
  await page.route('**/attempts', (route) => route.abort());
  for (let position = 0; position < 5; position += 1) {
    await expect(page.getByText(`Reading ${position + 1} of 10`)).toBeVisible();
    await levelTheEye(page);
    await line.fill(position === 1 ? '999 mL' : `${number(position)} mL`);
    await line.press('Enter');
    await expect(page.getByText('Not checked yet')).toBeVisible();
    await expect(page.getByText('the right reading')).toBeHidden();
    await page.getByRole('button', { name: 'Go on to the next reading' }).click();
  }
  await expect(page.getByText('Not saved: 5 waiting')).toBeVisible();

  // A reload in the meantime loses nothing.
  await page.reload();
  await expect(page.getByText('Not saved: 5 waiting')).toBeVisible();
  await page.unroute('**/attempts');
  await expect(page.getByText('Not saved: 5 waiting')).toBeHidden();
  await page.reload();
  // The wrong one has a try left, and is where the round goes on.
  await expect(page.getByText('Reading 2 of 10')).toBeVisible();
  await levelTheEye(page);
  await line.fill(`${number(1)} mL`);
  await line.press('Enter');
  await expect(page.getByText('Correct reading')).toBeVisible();
  await page.getByRole('button', { name: 'Next reading' }).click();
  await expect(page.getByText('Reading 6 of 10')).toBeVisible();
});

test('what is fetched again and does not come leaves the page as it is, and what is typed in it', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Plum stones, server in trouble');
  let failed = 0;
  await page.route('**/runs/*', (route) => {
    failed += 1;
    return route.fulfill({ status: 500, json: { message: 'Something went wrong.', field: null } });
  });
  await fillCell(page, 'Dry mass, trial 1', '6.04');
  // What was stored is told to everybody, and asked for again.
  await expect.poll(() => failed).toBeGreaterThan(0);
  await fillCell(page, 'Water before, trial 1', '20.0');
  await fillCell(page, 'Water after, trial 1', '25.4');
  await page.unroute('**/runs/*');
  await expect(page.getByText('Everything is saved.')).toBeVisible();
});

test('a tab whose kept pages were spoilt fetches everything anew', async ({ page }) => {
  await signIn(page, 'student');
  await page.goto('/record');
  await expect(page.getByRole('heading', { name: 'Practice sets' })).toBeVisible();
  for (const spoilt of ['{"version":', '{}', '{"version":"","state":{"queries":[{}]}}']) {
    // Leaving the page keeps it once more; what is spoilt is there before anything of the next page runs.
    await page.addInitScript((text) => sessionStorage.setItem('green-beam answers', text), spoilt);
    await page.reload();
    await expect(page.getByRole('heading', { name: 'Practice sets' })).toBeVisible();
  }
});

test('a round that ended without a server says what waits, and what came of it', async ({ page }) => {
  await signIn(page, 'student');
  const { tasks } = await startRound(page, ['cylinder-100']);
  const line = page.getByRole('textbox', { name: 'Your reading, with its unit' });
  for (const [i, task] of tasks.entries()) {
    await expect(page.getByText(`Reading ${i + 1} of 10`)).toBeVisible();
    if (i === 8) await page.route('**/attempts', (route) => route.abort());
    await levelTheEye(page);
    await line.fill(i === 9 ? '999 mL' : `${readPicture(task.picture as LiquidColumnPicture).text} mL`);
    await line.press('Enter');
    await page.getByRole('button', { name: /Next reading|Go on to the next reading/ }).click();
  }
  await expect(page.getByRole('heading', { name: 'Not finished yet' })).toBeVisible();
  await expect(page.getByText('not checked yet: the server cannot be reached')).toHaveCount(2);
  await page.unroute('**/attempts');
  await expect(page.getByText('not checked yet')).toHaveCount(0);
  await page.getByRole('button', { name: 'One more try' }).click();
  await expect(page.getByText('999 mL')).toBeVisible();
  await levelTheEye(page);
  await line.fill(`${readPicture(tasks[9]!.picture as LiquidColumnPicture).text} mL`);
  await line.press('Enter');
  await page.getByRole('button', { name: 'Finish the round' }).click();
  await expect(page.getByText('9 of 10 right at the first try.')).toBeVisible();
});
