import type { Browser, Page } from '@playwright/test';
import { enterAs, expect, test } from './world.ts';

test.setTimeout(180_000);

const CODE = 'HRN-947';
const PIN = '2468';

/** Browsers of students of the sample class, each signed in and at a page of their own. */
async function studentsAt(browser: Browser, paths: readonly string[]): Promise<Page[]> {
  return Promise.all(
    paths.map(async (path, i) => {
      const page = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
      const { csrfToken } = await (await page.request.get('/api/session')).json();
      const headers = { 'x-csrf-token': csrfToken };
      const { students } = await (
        await page.request.post('/api/session/class', { data: { code: CODE }, headers })
      ).json();
      const entered = await page.request.post('/api/session/student', {
        // Ines is the one whom other proofs sign in.
        data: {
          code: CODE,
          studentId: students.filter(({ label }: { label: string }) => !label.startsWith('Ines'))[i].id,
          pin: PIN,
          shared: false,
        },
        headers,
      });
      expect(entered.status()).toBe(200);
      await page.goto(path);
      return page;
    }),
  );
}

/** Ends what a class reads, so that other proofs are not offered it. */
async function finish(teacher: Page): Promise<void> {
  await teacher.getByRole('link', { name: 'Finish' }).click();
  await expect(teacher.getByRole('link', { name: 'All readings' })).toBeVisible();
}

async function begin(teacher: Page, value: string): Promise<void> {
  await teacher.getByRole('link', { name: 'Read together' }).click();
  await teacher.getByLabel('Where it stands, mL').fill(value);
  await teacher.getByRole('button', { name: 'Start' }).click();
  await expect(teacher.getByRole('heading', { name: 'What does the burette read?' })).toBeVisible();
}

async function sends(page: Page, entry: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Your reading, with its unit' }).fill(entry);
  await page.getByRole('button', { name: 'Send' }).click();
  await expect(page.getByText('Your reading is in.')).toBeVisible();
}

test('a room reads one burette twice: the count alone on the wall, then the dots, and the second shape over the first', async ({
  page: teacher,
  browser,
}) => {
  await enterAs(teacher, 'teacher', '/class');
  const students = await studentsAt(browser, ['/', '/notebook', '/numbers', '/record', '/', '/notebook']);
  await begin(teacher, '27.54');
  await expect(teacher.getByRole('status').filter({ hasText: '0 of' })).toBeVisible();
  const readings = ['27.54 mL', '27.52 mL', '27.46 mL', '27.61 mL', '28.46 mL', '27.5 mL'];
  for (const [i, student] of students.entries()) {
    await student.getByRole('link', { name: 'Read it now' }).click();
    await expect(student.getByText('Read together')).toBeVisible();
    await sends(student, readings[i]!);
    await expect(teacher.getByRole('status').filter({ hasText: `${i + 1} of` })).toBeVisible({ timeout: 1500 });
  }
  await expect(teacher.getByText('27.5')).toHaveCount(0);
  // Until Stop one may think again.
  const [first, , upward] = students as [Page, Page, Page];
  await first.getByRole('button', { name: 'Change it' }).click();
  await sends(first, '27.53 mL');
  await expect(teacher.getByRole('status').filter({ hasText: '6 of' })).toBeVisible();

  await teacher.getByRole('button', { name: 'Stop' }).click();
  await expect(teacher.getByRole('img', { name: '6 readings, from 27.46 to 27.61 mL, and 1 far off.' })).toBeVisible();
  await teacher.getByRole('button', { name: 'Which digits agree?' }).click();
  await expect(teacher.getByText('6 of 6 agree on 2. The next digit is an estimate.')).toHaveCount(0);
  await expect(teacher.getByText(/5 of 6 agree on 27\b/)).toBeVisible();
  await expect(teacher.getByText('One reading is far off and not counted in it.')).toBeVisible();
  // Each sees the own slip, and nobody the answer. Which slip it is depends on where the eye was left.
  await expect(upward.getByText('Look at:').first()).toBeVisible();
  await expect(upward.getByText('Correct reading')).toHaveCount(0);
  await expect(upward.getByText('the true value')).toHaveCount(0);
  await expect(first.getByText('Correct reading')).toBeVisible();
  await expect(first.getByText('Look at:')).toHaveCount(0);

  await teacher.getByRole('button', { name: 'Read again' }).click();
  await expect(teacher.getByText('Reading 2.')).toBeVisible();
  const again = ['27.54 mL', '27.53 mL', '27.54 mL', '27.55 mL', '27.54 mL', '27.53 mL'];
  for (const [i, student] of students.entries()) {
    await expect(student.getByText('Read together, reading 2')).toBeVisible();
    await sends(student, again[i]!);
  }
  await expect(teacher.getByRole('status').filter({ hasText: '6 of' })).toBeVisible();
  await teacher.getByRole('button', { name: 'Stop' }).click();
  await expect(teacher.getByText('reading 1', { exact: true })).toBeVisible();
  await teacher.getByRole('button', { name: 'Which digits agree?' }).click();
  await expect(teacher.getByText('6 of 6 agree on 27.5. The next digit is an estimate.')).toBeVisible();
  await teacher.getByRole('button', { name: 'Show the true value' }).click();
  await expect(teacher.getByText('On average the room reads the true value: no bias can be seen.')).toBeVisible();
  await expect(first.getByText('the true value')).toBeVisible();

  await finish(teacher);
  await expect(teacher.getByRole('heading', { name: '50 mL burette, reading 2' })).toBeVisible();
  await teacher.getByRole('link', { name: 'All readings' }).click();
  await expect(teacher.getByRole('row', { name: /50 mL burette, reading 2 6/ }).first()).toBeVisible();
  await teacher.getByRole('link', { name: '50 mL burette', exact: true }).first().click();
  await expect(teacher.getByRole('row', { name: /27\.54 mL 27\.53 mL Correct/ })).toBeVisible();
  await expect(teacher.getByRole('row', { name: /27\.46 mL (Counted upward|Eye too)/ })).toBeVisible();
  await Promise.all(students.map((student) => student.context().close()));
});

test('a real tool at the front: two at one laptop read it, and slips are named once its value and type are written', async ({
  page: teacher,
  browser,
}) => {
  await enterAs(teacher, 'teacher', '/read-together');
  const [ada] = (await studentsAt(browser, ['/'])) as [Page];
  const { signedIn, csrfToken } = await (await ada.request.get('/api/session')).json();
  const mates = await (await ada.request.get(`/api/classes/${signedIn.class.id}/classmates`)).json();
  const mate = mates
    .filter(({ id, label }: { id: string; label: string }) => id !== signedIn.person.id && !label.startsWith('Ines'))
    .at(3);
  const joined = await ada.request.post('/api/session/partners', {
    data: { studentId: mate.id, pin: PIN },
    headers: { 'x-csrf-token': csrfToken },
  });
  expect(joined.status()).toBe(200);
  await ada.reload();

  await teacher.getByRole('radio', { name: 'A real tool at the front' }).click();
  await teacher.getByLabel('What the tool is called').fill('the burette by the window');
  await teacher.getByRole('button', { name: 'Start' }).click();
  await expect(teacher.getByRole('heading', { name: 'Read at the front: the burette by the window' })).toBeVisible();
  await ada.getByRole('link', { name: 'Read it now' }).click();
  // The bench has such a line too.
  await expect(ada.getByRole('heading', { name: 'Read at the front: the burette by the window' })).toBeVisible();
  await ada.getByRole('textbox', { name: 'Your reading, with its unit' }).fill('about half');
  await ada.getByRole('button', { name: 'Send' }).click();
  await expect(ada.getByRole('alert')).toContainText('“about half” is not a number and a unit.');
  await sends(ada, '27.54 mL');
  // What one has read is hidden from the next.
  await expect(ada.getByText('27.54')).toHaveCount(0);
  await ada.getByRole('button', { name: `Next reader: ${mate.label}` }).click();
  await expect(ada.getByText(`${mate.label} reads.`)).toBeVisible();
  await sends(ada, '27.46 mL');
  await expect(teacher.getByRole('status').filter({ hasText: '2 of' })).toBeVisible();
  await teacher.getByRole('button', { name: 'Stop' }).click();
  await expect(ada.getByText('27.46 mL')).toBeVisible();
  await expect(ada.getByText('Counted upward', { exact: true })).toHaveCount(0);

  await teacher.getByRole('button', { name: 'Show the true value' }).click();
  await teacher.getByLabel('It shows, in mL').fill('99');
  await teacher.getByLabel('Type of tool').selectOption('50 mL burette');
  await teacher.getByRole('button', { name: 'Show it' }).click();
  await expect(teacher.getByRole('alert').first()).toBeVisible();
  await teacher.getByLabel('It shows, in mL').fill('27,54');
  await teacher.getByRole('button', { name: 'Show it' }).click();
  await expect(ada.getByText('Counted upward', { exact: true })).toBeVisible();
  await expect(ada.getByText(/Eye too/)).toHaveCount(0);
  await finish(teacher);
  await ada.context().close();
});
