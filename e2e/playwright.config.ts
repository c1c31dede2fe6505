import { defineConfig } from '@playwright/test';

/** The browser is Debian's; the address of a running server is given by `npm test`. */
export default defineConfig({
  testDir: 'tests',
  outputDir: '../test-results',
  // A loaded machine is slow, and slowness is no failure: what has to be quick says so itself.
  timeout: 300_000,
  expect: { timeout: 30_000 },
  workers: 1,
  retries: 0,
  reporter: [['list'], ['json']],
  use: {
    baseURL: process.env['BASE_URL'] ?? 'http://127.0.0.1:4710',
    viewport: { width: 1280, height: 800 },
    // What a page asks for is stopped by some tests: a service worker would ask for it in its place.
    serviceWorkers: 'block',
    launchOptions: {
      executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
  },
});
