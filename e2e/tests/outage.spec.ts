import { mayOwnDatabases, ownSampleServer } from './own-server.ts';
import { enterAs, expect, test } from './world.ts';

test.skip(!mayOwnDatabases, 'a database that was given is not stopped by a test');

// It fills a database of its own with the sample class first.
test.setTimeout(300_000);

test('the database stops in the middle: nothing typed is lost, and nothing acknowledged is missing after it is back', async ({
  browser,
}) => {
  const { base, interrupt, resume, stop } = await ownSampleServer('outage');
  const room = await browser.newContext({ baseURL: base });
  const page = await room.newPage();
  const acknowledged: string[] = [];
  page.on('response', (response) => {
    if (response.request().method() === 'POST' && response.ok() && /\/(attempts|events)$/.test(response.url()))
      acknowledged.push(response.request().postData() ?? '');
  });
  try {
    await enterAs(page, 'student');
    const entry = page.getByRole('textbox', { name: 'Your reading, with its unit' });
    await entry.fill('0.7 mL');
    await entry.press('Enter');
    await expect(page.getByText(/second try next/)).toBeVisible();
    await page.goto('/notebook');
    await page.getByText('Tin ballast ingot').click();
    const cell = page.getByRole('button', { name: /^Water after, trial 2/ });
    await expect(cell).toBeVisible();

    interrupt();
    expect((await page.request.get('/api/health')).status()).toBe(503);
    await cell.click();
    await page.getByRole('textbox', { name: 'Water after, trial 2', exact: true }).fill('23.4');
    await page.keyboard.press('Enter');
    await expect(page.getByText(/Not saved: 1 waiting/)).toBeVisible();
    await expect(page.getByRole('button', { name: 'Water after, trial 2, 23.4' })).toBeVisible();
    // What this tab has fetched is kept in it: the page is there again, with what was written.
    await page.reload();
    await expect(page.getByRole('button', { name: 'Water after, trial 2, 23.4' })).toBeVisible();
    await expect(page.getByText(/Not saved: 1 waiting/)).toBeVisible();
    // A tab that is opened now has nothing.
    const late = await room.newPage();
    await late.goto('/');
    await expect(late.getByText(/The server cannot be reached just now/)).toBeVisible();

    resume();
    await expect(page.getByRole('button', { name: 'Water after, trial 2, 23.4' })).toBeVisible({ timeout: 60_000 });
    await expect(page.getByText('Everything is saved.')).toBeVisible();
    expect((await page.request.get('/api/health')).status()).toBe(200);

    const { signedIn } = (await (await page.request.get('/api/session')).json()) as {
      signedIn: { class: { id: string } };
    };
    const inClass = `/api/classes/${signedIn.class.id}`;
    const record = await (await page.request.get(`${inClass}/record`)).text();
    const run = await (await page.request.get(`${inClass}/runs/${page.url().split('/').at(-1) ?? ''}`)).text();
    const ids = acknowledged.flatMap((body) => {
      const { id, events } = JSON.parse(body) as { id?: string; events?: { id: string }[] };
      return events?.map((event) => event.id) ?? id ?? [];
    });
    expect(ids.length).toBeGreaterThanOrEqual(2);
    for (const id of ids) expect(record + run).toContain(id);
  } finally {
    await room.close();
    await stop();
  }
});
