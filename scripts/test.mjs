import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { buildPages } from './build-pages.mjs';
import { checkNode, chromiumPath, installPackages } from './packages.mjs';
import { ownDatabase, removeCluster } from './postgres.mjs';
import { ask, freePort, ROOT } from './processes.mjs';
import { orSayWhy, serverEnvironment, startServer } from './serve.mjs';

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
  const port = await freePort();
  const server = startServer(serverEnvironment(url, { GREEN_BEAM_DEMO: '1', GREEN_BEAM_FRESH: '1', PORT: String(port) }), { stdio: ['ignore', 'pipe', 'inherit'] });
  try {
    await new Promise((ready, fail) => {
      server.stdout.on('data', (chunk) => String(chunk).includes('is ready') && ready());
      server.once('exit', () => fail(new Error('The server for the end-to-end tests did not start.')));
    });
    const environment = (file) => ({ BASE_URL: `http://127.0.0.1:${port}`, CHROMIUM: chromiumPath(), PLAYWRIGHT_JSON_OUTPUT_NAME: file });
    return suite('End-to-end tests in Chromium', ['playwright', 'test', '--config', 'e2e/playwright.config.ts'], environment, 'end-to-end.json', ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }));
  } finally {
    server.kill('SIGTERM');
  }
}

async function test() {
  checkNode();
  installPackages();
  mkdirSync(REPORTS, { recursive: true });
  const cluster = `test-${process.pid}`;
  const database = await ownDatabase(cluster);
  const results = [];
  try {
    results.push(check('Types', 'npx', ['tsc', '--noEmit', '-p', 'tsconfig.json']));
    results.push(check('Lint', 'npx', ['eslint', '.']));
    results.push(
      suite('Unit tests', ['vitest', 'run', '--reporter=default', '--reporter=json'], () => ({ DATABASE_URL: database.url, VITEST_JSON: resolve(REPORTS, 'unit.json') }), 'unit.json', (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests + report.numFailedTestSuites })),
    );
    results.push(await endToEnd(database.url));
  } finally {
    database.stop();
    if (!process.env.DATABASE_URL) removeCluster(cluster);
  }
  const total = (key) => results.reduce((sum, result) => sum + result[key], 0);
  process.exitCode = total('failed') > 0 ? 1 : 0;
  console.log(`\n${total('passed')} passed, ${total('failed')} failed`);
}

orSayWhy(test());
