import type { Page } from '@playwright/test';
import { mayOwnDatabases, ownServer, type OwnServer } from './own-server.ts';
import { expect, signOut, test } from './world.ts';

test.skip(!mayOwnDatabases, 'a database that was given may not be empty');
test.describe.configure({ mode: 'serial' });

const PASSWORD = 'salt on the marsh';
let server: OwnServer;
let code = '';
let firstPin = '';

test.beforeAll(async () => {
  server = await ownServer('installation');
});
test.afterAll(() => server.stop());

async function signInAsTeacher(page: Page, email: string, password = PASSWORD): Promise<void> {
  await page.goto(`${server.base}/sign-in`);
  await page.getByLabel('E-mail').fill(email);
  await page.getByLabel('Password').fill(password);
  await page.getByRole('button', { name: 'Sign in' }).click();
}

async function linkOn(page: Page): Promise<string> {
  return page.getByText(/\/link\//).innerText();
}

test('the first start prints a link that makes the administrator, once', async ({ page }) => {
  const link = /http:\S+\/link\/\S+/.exec(server.said)?.[0] ?? '';
  expect(link).toContain(server.base);
  await page.goto(link);
  await page.getByRole('button', { name: 'Go on' }).click();
  await page.getByLabel('Password').fill('short');
  await expect(page.getByText('A password has at least 10 characters.')).toBeVisible();
  await page.getByLabel('Password').fill(PASSWORD);
  await page.getByLabel('Your e-mail').fill('halima@saltmarsh.example');
  await page.getByLabel('Your name').fill('Halima Strand');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByText('Write the name of your school.')).toBeVisible();
  await page.getByLabel('Name of your school').fill('Saltmarsh School');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('heading', { name: 'School' })).toBeVisible();
  await expect(page.getByText('Halima Strand, administrator')).toBeVisible();

  await signOut(page);
  await page.goto(link);
  await expect(page.getByText('This link has been used already.')).toBeVisible();
});

test('there is no demonstration door', async ({ page }) => {
  await page.goto(`${server.base}/sign-in`);
  await expect(page.getByRole('heading', { name: 'Students' })).toBeVisible();
  await expect(page.getByText('Look around')).toHaveCount(0);
});

test('the administrator invites a teacher, who makes a class and imports its list', async ({ page, browser }) => {
  await signInAsTeacher(page, 'halima@saltmarsh.example');
  await page.getByRole('link', { name: 'School' }).click();
  await page.getByLabel('Name').fill('Maren Oduya');
  await page.getByLabel('E-mail').fill('maren@saltmarsh.example');
  await page.getByRole('button', { name: 'Make the link' }).click();
  const link = await linkOn(page);

  const room = await browser.newContext();
  const maren = await room.newPage();
  await maren.goto(link);
  await expect(maren.getByText('Maren Oduya, maren@saltmarsh.example, Saltmarsh School')).toBeVisible();
  await maren.getByLabel('Password').fill(PASSWORD);
  await maren.getByRole('button', { name: 'Go on' }).click();
  await expect(maren.getByText('You have no class yet.')).toBeVisible();
  await maren.getByRole('link', { name: 'Students' }).click();
  await maren.getByLabel('Name of the class').fill('Heron 9');
  await maren.getByRole('button', { name: 'Make the class' }).click();
  await expect(maren.getByRole('heading', { name: 'Heron 9' })).toBeVisible();

  const list = maren.getByLabel(/^Paste the list/);
  await list.fill('first name,last name\nInes,Varga\n,Bielak\nInes,Varga');
  await maren.getByRole('button', { name: 'Add 3 to the class' }).click();
  await expect(maren.getByText('Row 2, first name: The first name is missing.')).toBeVisible();
  await expect(maren.getByText('Row 3, first name: The same name is in row 1')).toBeVisible();
  await expect(list).toHaveValue(/Bielak/);
  await maren.getByLabel('CSV file', { exact: true }).setInputFiles({
    name: 'heron.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('Surname;Given name\r\nVarga;Ines\r\nBielak;Tomasz\r\n'),
  });
  await maren.getByRole('button', { name: 'Add 2 to the class' }).click();
  await expect(maren.getByText('2 added.')).toBeVisible();
  await expect(maren.getByText('Tomasz Bielak')).toBeVisible();
  await expect(maren.getByText('no PIN yet')).toHaveCount(2);
  code = await maren.getByText(/^[A-Z]{3}-\d{3}$/).innerText();

  await maren.getByRole('button', { name: 'Print first PINs for 2' }).click();
  await expect(maren.getByRole('heading', { name: 'First PINs, Heron 9' })).toBeVisible();
  const slip = maren.getByRole('listitem').filter({ hasText: 'Ines Varga' });
  await expect(slip).toContainText(code);
  firstPin = await slip.getByText(/^\d{6}$/).innerText();
  await maren.getByRole('button', { name: 'Back to the students' }).click();
  await expect(maren.getByText('has a first PIN')).toHaveCount(2);
  await expect(maren.getByText(firstPin)).toHaveCount(0);

  await maren.getByLabel('Add a teacher of your school').fill('nobody@saltmarsh.example');
  await maren.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(maren.getByText('No teacher of your school has this address.')).toBeVisible();
  await expect(maren.getByLabel('Add a teacher of your school')).toHaveValue('nobody@saltmarsh.example');
  await maren.getByLabel('Add a teacher of your school').fill('halima@saltmarsh.example');
  await maren.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(maren.getByText('Halima Strand,')).toBeVisible();
  await maren.getByRole('button', { name: 'Remove Halima Strand from this class' }).click();
  await expect(maren.getByText('Halima Strand,')).toHaveCount(0);
  // The administrator removes a teacher, whose class passes on, and says how long shared laptops stay signed in.
  await page.getByLabel('Name').fill('Tobias Ferrant');
  await page.getByLabel('E-mail').fill('tobias@saltmarsh.example');
  await page.getByRole('button', { name: 'Make the link' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'tobias@saltmarsh.example' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Tobias Ferrant' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Remove' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'tobias@saltmarsh.example' })).toHaveCount(0);
  await page.getByLabel(/^Minutes without work/).fill('3');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('At least 5 minutes.')).toBeVisible();
  await page.getByLabel(/^Minutes without work/).fill('45');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await room.close();
});

test('a student joins with code, name and first PIN, chooses their own, and reads', async ({ page }) => {
  await page.goto(`${server.base}/sign-in`);
  await page.getByLabel('Class code').fill('AAA-222');
  await page.getByRole('button', { name: 'Find my class' }).click();
  await expect(page.getByText('There is no open class with this code.')).toBeVisible();
  await page.getByLabel('Class code').fill(code.toLowerCase());
  await page.getByRole('button', { name: 'Find my class' }).click();
  await expect(page.getByRole('option')).toHaveText(['choose', 'Ines V.', 'Tomasz B.']);
  await page.getByRole('button', { name: 'Sign in' }).first().click();
  await expect(page.getByText('Choose your name first.')).toBeVisible();
  await page.getByLabel('Your name').selectOption({ label: 'Ines V.' });
  await expect(page.getByText('You are signed out after 45 minutes without work.')).toBeVisible();
  await page.getByLabel('PIN').fill('12');
  await page.getByRole('button', { name: 'Sign in' }).first().click();
  await expect(page.getByText('A PIN has four to six digits.')).toBeVisible();
  await page.getByLabel('PIN').fill(firstPin);
  await page.getByRole('button', { name: 'Sign in' }).first().click();
  await expect(page.getByText('Your first PIN is right.')).toBeVisible();
  await page.getByLabel('Your own PIN').fill('1234');
  await page.getByRole('button', { name: 'Sign in' }).first().click();
  await expect(page.getByText('This PIN is easy to guess. Choose another one.')).toBeVisible();
  await page.getByLabel('Your own PIN').fill('8642');
  await page.getByRole('button', { name: 'Sign in' }).first().click();
  // Whatever tool comes first, this is no reading of it.
  await expect(page.getByText('Reading 1 of 10')).toBeVisible();
  await page.getByLabel('Your reading, with its unit').fill('1 mL');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/second try next/)).toBeVisible();
  await page.getByRole('button', { name: 'Show me' }).click();
  await expect(page.getByText('the right reading')).toBeVisible();
  await page.getByRole('link', { name: 'My progress' }).click();
  await expect(page.getByRole('button', { name: /1 mL/ })).toBeVisible();
  await page.getByRole('link', { name: 'Ines V.' }).click();
  await page.getByLabel('Your present PIN').fill('8642');
  await page.getByLabel('New PIN').fill('9753');
  await page.getByRole('button', { name: 'Change the PIN' }).click();
  await expect(page.getByText('Your PIN is changed. You are signed out everywhere else.')).toBeVisible();
  await signOut(page);

  await page.goto(`${server.base}/sign-in`);
  await page.getByLabel('Class code').fill(code);
  await page.getByRole('button', { name: 'Find my class' }).click();
  await page.getByLabel('Your name').selectOption({ label: 'Ines V.' });
  await page.getByLabel('PIN').fill('0000');
  await page.getByRole('button', { name: 'Sign in' }).first().click();
  await expect(page.getByText('This PIN is wrong for this name.')).toBeVisible();
});

test('the teacher makes a new first PIN, renews and closes the code, puts a student away, exports and deletes', async ({
  page,
  browser,
}) => {
  await signInAsTeacher(page, 'maren@saltmarsh.example');
  await expect(
    page.getByRole('row', { name: /Ines V\./ }).getByRole('button', { name: /too early to say, 1 so far/ }),
  ).toBeVisible();
  await page.getByRole('link', { name: 'Students' }).click();
  await page.getByRole('button', { name: 'New first PIN for Ines V.' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Ines Varga' })).toContainText(/\d{6}/);
  await page.getByRole('button', { name: 'Back to the students' }).click();
  await expect(page.getByText('has a first PIN')).toHaveCount(2);
  await page.getByRole('button', { name: 'Make a new code' }).click();
  await expect(page.getByText(code)).toHaveCount(0);
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(page.getByText('closed', { exact: true })).toBeVisible();

  await page.getByLabel('More about Tomasz B.').click();
  await page.getByRole('button', { name: 'Archive Tomasz B.' }).click();
  await expect(page.getByText('removed')).toBeVisible();
  await page.getByRole('button', { name: 'Bring back Tomasz B.' }).click();
  await expect(page.getByText('removed')).toHaveCount(0);

  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export as JSON' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('Heron-9.json');
  const stream = await file.createReadStream();
  let text = '';
  for await (const chunk of stream) text += String(chunk);
  const exported = JSON.parse(text) as {
    format: string;
    students: { name: string; attempts: { entry: string; verdict: string }[] }[];
  };
  expect(exported.format).toBe('green-beam-export');
  expect(
    exported.students.find((student) => student.name === 'Ines Varga')?.attempts.map((attempt) => attempt.entry),
  ).toEqual(['1 mL', '']);

  await page.getByLabel('More about Ines V.').click();
  await page.getByRole('button', { name: 'Delete Ines V.' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText('Ines Varga')).toBeVisible();
  await page.getByRole('button', { name: 'Delete Ines V.' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Delete', exact: true }).click();
  await expect(page.getByText('Ines Varga')).toHaveCount(0);
  await page.getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Heron 9, archived' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete the class' }).click();
  await page.getByRole('alertdialog').getByRole('button', { name: 'Delete everything' }).click();
  await expect(page.getByRole('heading', { name: /Heron 9/ })).toHaveCount(0);

  const room = await browser.newContext();
  const halima = await room.newPage();
  await signInAsTeacher(halima, 'halima@saltmarsh.example');
  await halima.getByRole('link', { name: 'School' }).click();
  await halima.getByRole('button', { name: 'Link for a new password for Maren Oduya' }).click();
  const link = await linkOn(halima);
  await room.close();
  await page.goto(link);
  await expect(page.getByRole('heading', { name: 'Choose a new password' })).toBeVisible();
  await page.getByLabel('Password').fill('another salt altogether');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page).toHaveURL(/\/class$/);
  await signOut(page);
  await signInAsTeacher(page, 'maren@saltmarsh.example');
  await expect(page.getByText('E-mail or password is wrong.')).toBeVisible();
  await signInAsTeacher(page, 'maren@saltmarsh.example', 'another salt altogether');
  await expect(page.getByRole('button', { name: 'Sign out' })).toBeVisible();
});
