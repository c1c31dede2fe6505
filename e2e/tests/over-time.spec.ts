import { enterAs, expect, test } from './world.ts';

test('the overview over time: who to talk to, each student by skill, slips week by week, and back to now', async ({
  page,
}) => {
  await enterAs(page, 'teacher', '/class');
  await page.getByRole('button', { name: 'Over time' }).click();
  await expect(page.getByRole('heading', { name: 'Talk to next' })).toBeVisible();
  await expect(page.getByText(/^Bao L\.: \d+ of \d+ right in burettes/)).toBeVisible();
  const bao = page.getByRole('row', { name: /^Bao L\./ });
  await expect(bao).toContainText(/Bao L\., Burettes: \d+ of \d+ right/);
  await expect(page.getByRole('row', { name: /^Vaida F\./ })).toContainText('Vaida F., Burettes: not yet');
  // Sorted by a skill, whoever has most right comes first or last.
  await page.getByRole('button', { name: 'Burettes' }).click();
  await expect(page.getByRole('heading', { name: 'Slips, week by week' })).toBeVisible();
  await expect(page.getByRole('img', { name: /^week of .*: \d+ in 100/ }).first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Time for one item' })).toBeVisible();
  await page.getByRole('button', { name: 'Now', exact: true }).click();
  await expect(page.getByText('The bar shows how much was right')).toBeVisible();
});
