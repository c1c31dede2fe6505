import { expect, test } from './world.ts';

test('a tool is dragged on two axes, by hand and by keys, and what can be said of its readings follows', async ({
  page,
}) => {
  await page.goto('/numbers/practice');
  await page.goto('/numbers/two-axes');
  const verdict = page.getByRole('status');
  await expect(verdict).toContainText('Precise, and wrong every time');
  await expect(verdict).toContainText('More readings do not mend it.');

  const plane = page.getByRole('img', { name: /^A tool that is off by/ });
  const box = (await plane.boundingBox())!;
  const mark = (await plane.locator('circle').last().boundingBox())!;
  await page.mouse.move(mark.x + mark.width / 2, mark.y + mark.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 16, box.y + 60, { steps: 6 });
  await page.mouse.up();
  await expect(verdict).toContainText('Not precise. Accurate is still open');
  await expect(plane).toHaveAccessibleName(/scatters by 0\.[23]/);

  const count = page.getByRole('slider', { name: 'Number of readings' });
  await count.focus();
  await page.keyboard.press('End');
  await expect(page.getByRole('img', { name: /^60 readings from/ })).toBeVisible();
  const scatter = page.getByRole('slider', { name: 'Scatter' });
  await scatter.focus();
  await page.keyboard.press('Home');
  await expect(verdict).toContainText('All readings are the same');
  await count.focus();
  await page.keyboard.press('Home');
  await expect(verdict).toContainText('One reading tells neither');
  await page.getByRole('button', { name: 'As at first' }).click();
  await expect(verdict).toContainText('Precise, and wrong every time');
});
