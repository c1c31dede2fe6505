import { beginLaboratory, enterAs, expect, signOut, test } from './world.ts';

test('what a partner has not sent yet stays with its owner: it shows on nobody else’s page, and blocks nobody', async ({
  page,
}) => {
  await enterAs(page, 'student', '/notebook');
  await page.getByLabel('Tomasz B.').check();
  await beginLaboratory(page, 'Brass bush, shared');
  const notebookPage = new URL(page.url()).pathname;

  // The server takes nothing from this laptop for a while.
  await page.route('**/events', (route) => (route.request().method() === 'POST' ? route.abort() : route.continue()));
  await page.getByRole('button', { name: /^Water before, trial 1/ }).click();
  await page.getByRole('textbox', { name: 'Water before, trial 1', exact: true }).fill('21.4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/1 waiting/)).toBeVisible();
  await signOut(page);

  const sample = { code: 'HRN-947', pin: '2468' };
  await page.goto('/sign-in');
  await page.getByLabel('Class code').fill(sample.code);
  await page.getByRole('button', { name: 'Find my class' }).click();
  await page.getByLabel('Your name').selectOption({ label: 'Tomasz B.' });
  await page.getByLabel('PIN').fill(sample.pin);
  await page.getByRole('button', { name: 'Sign in' }).first().click();
  // Whoever was named says themselves that they are in the group.
  await page.getByRole('button', { name: 'Join Brass bush, shared' }).click();
  await expect(page).toHaveURL(notebookPage);
  await expect(page.getByRole('button', { name: 'Water before, trial 1, empty' })).toBeVisible();
  await expect(page.getByText(/waiting|Saving/)).toHaveCount(0);
  await expect(page.getByRole('button', { name: 'Hand in' })).toBeEnabled();
  await page.unroute('**/events');
  await signOut(page);

  // Whoever wrote it signs in again: it is sent at last.
  await enterAs(page, 'student', notebookPage);
  await expect(page.getByRole('button', { name: 'Water before, trial 1, 21.4' })).toBeVisible();
  await expect(page.getByText('Everything is saved.')).toBeVisible();
});
