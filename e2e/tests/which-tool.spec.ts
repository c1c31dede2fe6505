import { enterAs, expect, test } from './world.ts';

test('a tool is recommended for what is to be known, and where none will do it is said what would', async ({
  page,
}) => {
  await enterAs(page, 'teacher', '/cabinet');
  await page.getByRole('link', { name: 'Which tool for the job?' }).click();
  await page.getByRole('combobox', { name: 'Laboratory' }).selectOption('Density by displacement');
  await page.getByRole('button', { name: 'Find tools' }).click();
  await expect(page.getByText('Write a number above zero.')).toBeVisible();
  await page.getByLabel('It should be known to ±').fill('12');
  await page.getByRole('button', { name: 'Find tools' }).click();
  const first = page.getByRole('row').nth(1);
  await expect(first).toContainText('50 mL cylinder');
  await expect(first).toContainText('✓ yes');
  await expect(page.getByText('None of these tools will do.')).toHaveCount(0);

  await page.getByLabel('It should be known to ±').fill('1');
  await page.getByRole('button', { name: 'Find tools' }).click();
  await expect(page.getByText('None of these tools will do.')).toBeVisible();
  await expect(page.getByText(/it would do for a volume of at least \d+ mL/)).toBeVisible();
  await expect(page.getByRole('row').nth(1)).toContainText('✗ no');

  // In the unit of the result, and of another laboratory.
  await page.getByRole('combobox', { name: 'Laboratory' }).selectOption('Density from dimensions');
  await page.getByLabel('It should be known to ±').fill('5');
  await page.getByRole('button', { name: 'Find tools' }).click();
  await expect(page.getByRole('row').nth(1)).toContainText('✓ yes');
});
