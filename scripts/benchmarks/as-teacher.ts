import { chromium, type Browser, type Page } from 'playwright-core';

/** A browser in which the teacher of the sample class is signed in. @param baseURL where the server is reached. */
export async function asTeacher(
  baseURL = process.env['BASE_URL'] ?? '',
): Promise<{ readonly browser: Browser; readonly page: Page }> {
  const browser = await chromium.launch({
    executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  const page = await browser.newPage({
    viewport: { width: 1280, height: 800 },
    baseURL,
  });
  await page.goto('/sign-in');
  await page.getByRole('button', { name: /As Maren/ }).click();
  await page.getByRole('button', { name: 'Sign out' }).waitFor();
  return { browser, page };
}
