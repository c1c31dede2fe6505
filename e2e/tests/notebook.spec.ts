import { randomUUID } from 'node:crypto';
import { beginLaboratory, enterAs, expect, fillCell, test } from './world.ts';

test('a group finds a density with its uncertainty, corrects a cell, and the teacher reads it', async ({
  page,
  browser,
}) => {
  await enterAs(page, 'student', '/notebook');
  await page.getByLabel('Tomasz B.').check();
  await beginLaboratory(page, 'Brass bush, worn');

  const trials = [
    ['54.31', '21.4', '27.8'],
    ['54.30', '22.0', '27.0'],
    ['54.31', '20.7', '27.0'],
  ];
  for (const [i, [mass = '', before = '', after = '']] of trials.entries()) {
    await fillCell(page, `Dry mass, trial ${i + 1}`, mass);
    await fillCell(page, `Water before, trial ${i + 1}`, before);
    await fillCell(page, `Water after, trial ${i + 1}`, after);
  }
  // With the keyboard one goes on where one was.
  await expect(page.getByRole('button', { name: 'Water after, trial 3, 27.0' })).toBeFocused();
  await page.getByRole('button', { name: 'Water after, trial 2, 27.0' }).click();
  await page.getByRole('textbox', { name: 'Water after, trial 2', exact: true }).fill('28.0');
  await page.getByLabel('Reason for the correction').fill('read the mark below');
  await page.getByLabel('Reason for the correction').press('Enter');
  await expect(page.locator('.line-through', { hasText: '27.0' })).toBeVisible();

  await page.getByLabel('Compare with').selectOption('bronze');
  await page.getByLabel('In water the piece').selectOption('sank');
  await expect(page.getByText('8.7 ± 0.6').first()).toBeVisible();
  await expect(page.getByText('By the other methods')).toHaveCount(0);
  await expect(page.getByText(/Several pieces together would be known better/)).toBeVisible();

  await page.getByRole('button', { name: /^Density, trial 1, .*: show the working/ }).click();
  await expect(page.getByRole('dialog').locator('.katex .mfrac').first()).toBeVisible();
  await expect(page.getByRole('dialog')).toContainText('has as many figures as the factor with the fewest');
  await page.keyboard.press('Escape');
  await expect(page.getByText('Everything is saved.')).toBeVisible();

  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher', new URL(page.url()).pathname);
  await expect(teacher.getByText('You can only read this page.')).toBeVisible();
  await expect(teacher.locator('.line-through', { hasText: '27.0' })).toBeVisible();
  await expect(teacher.getByRole('button', { name: /^Dry mass,/ })).toHaveCount(0);
  await teacher.getByText('By the other methods').click();
  await expect(teacher.getByText('Plain sum', { exact: true })).toBeVisible();
  await teacher.getByLabel('The group sees these too').check();
  await expect(page.getByText('By the other methods')).toBeVisible();

  await fillCell(page, 'Dry mass, trial 4', '54.29');
  await expect(teacher.getByText('54.29').first()).toBeVisible();
  await room.close();
});

test('a page answered before an entry was stored, and coming in after it, takes nothing away', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Lead seal');
  await fillCell(page, 'Dry mass, trial 1', '54.29');
  const answered: (() => void)[] = [];
  const held = new Promise<void>((resolve) => answered.push(resolve));
  let isHolding = true;
  await page.route(/\/runs\/[\w-]+$/, async (route) => {
    const response = await route.fetch();
    if (isHolding) await held;
    await route.fulfill({ response });
  });
  await fillCell(page, 'Water before, trial 1', '21.0');
  const stored = page.waitForResponse(
    (response) => response.ok() && (response.request().postData() ?? '').includes('"after"'),
  );
  const name = 'Water after, trial 1, 27.4';
  await fillCell(page, 'Water after, trial 1', '27.4');
  await page.evaluate((label) => {
    const watch = new MutationObserver(() => {
      const isShown = [...document.querySelectorAll('button')].some((cell) =>
        (cell.ariaLabel ?? cell.textContent).startsWith(label),
      );
      if (!isShown) document.body.dataset['gone'] = 'yes';
    });
    watch.observe(document.body, { subtree: true, childList: true, attributes: true, characterData: true });
  }, name);
  await stored;
  const old = page.waitForResponse((response) => /\/runs\/[\w-]+$/.test(response.url()));
  isHolding = false;
  answered.forEach((release) => release());
  await old;
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  await expect(page.getByRole('button', { name })).toBeVisible();
  expect(await page.evaluate(() => document.body.dataset['gone'] ?? 'never')).toBe('never');
  await page.unrouteAll({ behavior: 'ignoreErrors' });
});

test('while the server cannot be reached nothing written is lost', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await page.getByText('Tin ballast ingot').click();
  await expect(page.getByRole('heading', { name: 'Tin ballast ingot' })).toBeVisible();
  await page.route('**/events', (route) =>
    route.request().method() === 'POST'
      ? route.fulfill({ status: 503, json: { message: 'The database is away.', field: null } })
      : route.continue(),
  );
  await fillCell(page, 'Water after, trial 2', '23.6');
  await expect(page.getByText(/Not saved: 1 waiting/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Water after, trial 2, 23.6' })).toBeVisible();
  await page.unroute('**/events');
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: 'Water after, trial 2, 23.6' })).toBeVisible();
});

test('a group chooses its tools, leaves a trial out with a reason, and hands the page in', async ({
  page,
  browser,
}) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Nickel washers, five');
  // The water is read on the same cylinder both times.
  await page.getByLabel('Tool for water before').selectOption({ label: '10 mL cylinder' });
  const trials = [
    ['8.91', '4.20', '5.21'],
    ['8.91', '4.32', '5.30'],
    ['8.91', '4.11', '5.60'],
  ];
  for (const [i, [mass = '', before = '', after = '']] of trials.entries()) {
    await fillCell(page, `Dry mass, trial ${i + 1}`, mass);
    await fillCell(page, `Water before, trial ${i + 1}`, before);
    await fillCell(page, `Water after, trial ${i + 1}`, after);
  }
  await expect(page.getByRole('img', { name: /^3 values/ })).toBeVisible();
  await page.getByRole('button', { name: 'Exclude trial 3' }).click();
  await page.getByRole('button', { name: 'Exclude it' }).click();
  await expect(page.getByText('Without a reason trial 3 counts')).toBeVisible();
  await page.getByLabel('What went wrong').fill('a bubble under the washers');
  await page.getByRole('button', { name: 'Exclude it' }).click();
  await expect(page.getByText('excluded: a bubble under the washers (IV)')).toBeVisible();
  await expect(page.getByRole('img', { name: /^2 values/ })).toBeVisible();
  await page.getByRole('button', { name: 'Include it again' }).click();
  await expect(page.getByRole('img', { name: /^3 values/ })).toBeVisible();

  await page.getByLabel('or with your own value, g/mL').fill('8.91');
  await page.getByLabel('or with your own value, g/mL').press('Tab');
  await expect(page.getByText(/% from the value you chose/)).toBeVisible();
  await page.getByRole('button', { name: /^Water temperature/ }).click();
  await page.getByRole('textbox', { name: 'Water temperature' }).fill('hot');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('list', { name: 'What to look at' })).toContainText('Water temperature: “hot”');

  await expect(page.getByText('Everything is saved.')).toBeVisible();
  await page.getByRole('button', { name: 'Hand in' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText(/^Handed in/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Dry mass,/ })).toHaveCount(0);
  // Until the teacher opens it, the group may think again.
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('button', { name: /^Dry mass,/ })).not.toHaveCount(0);
  await page.getByRole('button', { name: 'Hand in' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Hand in' }).click();
  await expect(page.getByText(/^Handed in/)).toBeVisible();

  const room = await browser.newContext();
  const teacher = await room.newPage();
  await enterAs(teacher, 'teacher', new URL(page.url()).pathname);
  await expect(page.getByRole('button', { name: 'Take it back' })).toHaveCount(0);
  await teacher.getByRole('button', { name: 'Return it' }).click();
  await expect(page.getByRole('button', { name: 'Dry mass, trial 1, 8.91' })).toBeVisible();
  await teacher.getByRole('link', { name: 'All laboratories' }).click();
  await expect(teacher.getByRole('link', { name: /Nickel washers, five/ })).toContainText('under way');
  await expect(teacher.getByRole('link', { name: /Bronze deck nail/ })).toContainText('handed in');
  await room.close();
});

test('a partner joins with the PIN, and one tap says who is writing', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await page.getByText('Tin ballast ingot').click();
  await page.getByRole('button', { name: 'A partner joins' }).click();
  const names = page.getByLabel('Partner’s name');
  const partner =
    (
      await page
        .getByText(/Ines V\., | Ines V\.$/)
        .first()
        .innerText()
    )
      .split(', ')
      .find((name) => name !== 'Ines V.') ?? '';
  await names.selectOption({ label: partner });
  await page.getByLabel('PIN').fill('0000');
  await page.getByRole('button', { name: 'Join' }).click();
  await expect(page.getByRole('alert')).toBeVisible();
  await page.getByLabel('PIN').fill('2468');
  await page.getByRole('button', { name: 'Join' }).click();
  const writer = page.getByRole('radio', { name: partner.slice(0, -2) });
  await writer.click();
  await expect(writer).toHaveAttribute('aria-checked', 'true');
  await fillCell(page, 'Dry mass, trial 3', '43.87');
  await page.getByRole('button', { name: 'Dry mass, trial 3, 43.87' }).click();
  await page.getByRole('textbox', { name: 'Dry mass, trial 3', exact: true }).fill('43.88');
  await page.getByLabel('Reason for the correction').fill('misread the last digit');
  await page.getByLabel('Reason for the correction').press('Enter');
  await expect(page.getByTitle('misread the last digit')).not.toContainText('IV');
});

test('what the server will not take stays legible, and can be sent again', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await page.getByText('Tin ballast ingot').click();
  await expect(page.getByRole('heading', { name: 'Tin ballast ingot' })).toBeVisible();
  await page.route('**/events', (route) =>
    route.request().method() === 'POST'
      ? route.fulfill({ status: 409, json: { message: 'This page has been handed in.', field: null } })
      : route.continue(),
  );
  await page.getByRole('button', { name: /^Water before, trial 3/ }).click();
  await page.getByRole('textbox', { name: 'Water before, trial 3', exact: true }).fill('18.9');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: '1 not accepted' }).click();
  await expect(page.getByRole('dialog')).toContainText('Water before, trial 3: 18.9');
  await expect(page.getByRole('dialog')).toContainText('This page has been handed in.');
  await page.reload();
  await page.getByRole('button', { name: '1 not accepted' }).click();
  await page.unroute('**/events');
  await page.getByRole('button', { name: 'Send again' }).click();
  await expect(page.getByText('Nothing is left here.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Water before, trial 3, 18.9' })).toBeVisible();
});

test('where two wrote different numbers, one entry decides', async ({ page }) => {
  await enterAs(page, 'student', '/notebook');
  await beginLaboratory(page, 'Cork bung, contested');
  await fillCell(page, 'Dry mass, trial 1', '9.81');
  await expect(page.getByText('Everything is saved.')).toBeVisible();
  const { signedIn, csrfToken } = await (await page.request.get('/api/session')).json();
  const path = `/api/classes/${signedIn.class.id}/runs/${new URL(page.url()).pathname.split('/').at(-1)}`;
  const { events } = await (await page.request.get(path)).json();
  const [first] = events;
  const rivals = ['9.82', '9.83'].map((text) => ({
    id: randomUUID(),
    address: first.address,
    text,
    replaces: first.id,
    person: signedIn.person.id,
    deviceTime: new Date().toISOString(),
  }));
  const sent = await page.request.post(`${path}/events`, {
    data: { events: rivals },
    headers: { 'x-csrf-token': csrfToken },
  });
  expect(sent.status()).toBe(200);
  const cell = page.getByRole('button', { name: 'Dry mass, trial 1, 9.82, or 9.83?' });
  await cell.click();
  // Who only looks decides nothing.
  await page.keyboard.press('Escape');
  await cell.click();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Dry mass, trial 1, 9\.82, corrected from/ })).toBeVisible();
  await expect(page.getByText('or 9.83?')).toHaveCount(0);
});
