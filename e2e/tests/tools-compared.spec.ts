import { enterAs, expect, test } from './world.ts';

test('twelve groups’ glassware on two axes: the balance that shows too little is named, and each tool’s groups are looked at', async ({
  page,
}) => {
  await enterAs(page, 'teacher', '/class-results');
  await expect(page.getByRole('heading', { name: '25 mL of water' })).toBeVisible();
  const tools = page.getByRole('region', { name: 'The tools beside each other' });
  await expect(tools.getByRole('img', { name: /cylinder: off by -0\.\d+ mL, scatter 0\.\d+ mL/ })).toBeVisible();
  await tools.getByRole('button', { name: 'cylinder' }).click();
  await expect(tools.getByText(/^The cylinder, in 12 groups: off by −0\.\d+ mL on average/)).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Result' })).toContainText('Mean volume, cylinder');
  await expect(page.getByText(/Worth checking B-04\./)).toBeVisible();
  await expect(
    page.getByText(/The three groups that used it found about 0\.\d+ mL less than the nine others/),
  ).toBeVisible();
  await page.getByRole('link', { name: 'B-04' }).first().click();
  await expect(page.getByRole('heading', { name: /B-04/ })).toBeVisible();
});

test('a group’s glassware: its readings on a strip, and what tests say where that is asked', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await page.getByRole('link', { name: /^25 mL of water/ }).click();
  await expect(page.getByRole('heading', { name: 'The tools beside each other' })).toBeVisible();
  await page.getByRole('button', { name: 'one-mark pipette', exact: true }).click();
  await expect(page.getByText('Each reading of the one-mark pipette: how far off')).toBeVisible();
  await expect(page.getByText(/One reading more would make that about ± 0\.0\d+ mL\./)).toBeVisible();
  const welch = page.getByText('Do the means differ? (Welch)');
  await expect(page.getByText(/^Of 6 pairs one or another/)).toBeHidden();
  await welch.click();
  await expect(page.getByText(/^Of 6 pairs one or another/)).toBeVisible();
});
