import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { buildPages } from './build-pages.mjs';
import { checkNode, chromiumPath, installPackages, pdfPrograms } from './packages.mjs';
import { ask, ROOT } from './processes.mjs';
import { orSayWhy, withOwnDatabase, withSampleServer } from './serve.mjs';

const REPORTS = resolve(ROOT, '.local', 'reports');

/** Runs one tool as one test of its own. */
function check(name, command, args) {
  console.log(`\n${name} …`);
  const { status, stdout, stderr } = ask(command, args, { maxBuffer: 64 * 1024 * 1024 });
  if (status !== 0) console.log(stdout + stderr);
  return { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 };
}

/** Runs a test runner with its output shown, and reads its counts from a JSON report. */
function suite(name, args, environment, report, countsOf) {
  console.log(`\n${name} …`);
  const file = resolve(REPORTS, report);
  rmSync(file, { force: true });
  const { status, stdout, stderr } = ask('npx', args, { env: { ...process.env, ...environment(file) }, maxBuffer: 64 * 1024 * 1024 });
  console.log((stdout + stderr).slice(-12_000));
  try {
    const counts = countsOf(JSON.parse(readFileSync(file, 'utf8')));
    return status !== 0 && counts.failed === 0 ? { ...counts, failed: 1 } : counts;
  } catch {
    return { passed: 0, failed: 1 };
  }
}

async function endToEnd(url) {
  buildPages();
  pdfPrograms();
  return withSampleServer(url, (base) => {
    const environment = (file) => ({ BASE_URL: base, CHROMIUM: chromiumPath(), PLAYWRIGHT_JSON_OUTPUT_NAME: file });
    return suite('End-to-end tests in Chromium', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], environment, 'end-to-end.json', ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }));
  });
}

async function test() {
  checkNode();
  installPackages();
  mkdirSync(REPORTS, { recursive: true });
  const results = await withOwnDatabase('test', async (url) => [
    check('Types', 'npx', ['tsc', '--noEmit', '-p', 'tsconfig.json']),
    check('Lint', 'npx', ['eslint', '.']),
    suite('Unit tests', ['vitest', 'run', '--reporter=default', '--reporter=json'], () => ({ DATABASE_URL: url, VITEST_JSON: resolve(REPORTS, 'unit.json') }), 'unit.json', (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests + report.numFailedTestSuites })),
    await endToEnd(url),
  ]);
  const total = (key) => results.reduce((sum, result) => sum + result[key], 0);
  process.exitCode = total('failed') > 0 ? 1 : 0;
  console.log(`\n${total('passed')} passed, ${total('failed')} failed`);
}

orSayWhy(test());
