import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { resolve } from 'node:path';
import { build } from './build.mjs';
import { checkNode, chromiumPath, installPackages, pdfPrograms } from './packages.mjs';
import { listen, ROOT } from './processes.mjs';
import { orSayWhy, withOwnDatabase, withSampleCluster, withSampleServer } from './serve.mjs';

const REPORTS = resolve(ROOT, '.local', 'reports');

/** How many end-to-end groups run at a time, each with a server and a database of its own: while one waits for a movement or a network, another works. A database that is given cannot be shared. */
const GROUPS = process.env.DATABASE_URL ? 1 : 3;

/** Runs one tool as one test of its own. */
async function check(name, command, args) {
  const { status, output } = await listen(command, args);
  console.log(`\n${name}: ${status === 0 ? 'nothing to say' : `\n${output}`}`);
  return { passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1 };
}

/** Where no file and no folder may import itself by way of others. */
const SOURCES = ['core/src', 'contract/src', 'server/src', 'web/src'];
const WORKSPACES = ['core', 'contract', 'server', 'web', 'e2e', '.'];

/** What is checked one after the other while the slower linter runs. */
async function checks() {
  const results = [];
  for (const workspace of WORKSPACES)
    results.push(await check(`Types of ${workspace}`, 'npx', ['tsc', '--project', workspace]));
  results.push(await check('Format', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']));
  results.push(await check('Unused code', 'npx', ['knip', '--no-progress']));
  results.push(await check('Circles', 'npx', ['depcruise', '--config', '.dependency-cruiser.js', ...SOURCES]));
  return results;
}

/** Runs a test runner, shows the end of its output, and reads its counts from a JSON report. */
async function suite(name, args, environment, report, countsOf) {
  const file = resolve(REPORTS, report);
  rmSync(file, { force: true });
  const { status, output } = await listen('npx', args, { env: { ...process.env, ...environment(file) } });
  console.log(`\n${name}\n${output.slice(-12_000)}`);
  try {
    const counts = countsOf(JSON.parse(readFileSync(file, 'utf8')));
    return status !== 0 && counts.failed === 0 ? { ...counts, failed: 1 } : counts;
  } catch {
    return { passed: 0, failed: 1 };
  }
}

function unitTests() {
  return withOwnDatabase('test', (url) =>
    suite(
      'Unit tests',
      ['vitest', 'run', '--reporter=default', '--reporter=json'],
      () => ({ DATABASE_URL: url, VITEST_JSON: resolve(REPORTS, 'unit.json') }),
      'unit.json',
      (report) => ({ passed: report.numPassedTests, failed: report.numFailedTests + report.numFailedTestSuites }),
    ),
  );
}

/** @param sample a cluster with the sample data, copied for each group; null where the one database that is given is filled. */
function endToEnd(group, sample) {
  const shard = `${group}/${GROUPS}`;
  const work = (url) =>
    withSampleServer(
      url,
      (base) => {
        const environment = (file) => ({
          BASE_URL: base,
          CHROMIUM: chromiumPath(),
          PLAYWRIGHT_JSON_OUTPUT_NAME: file,
          ...(sample ? { SAMPLE_CLUSTER: sample } : {}),
        });
        const args = [
          'playwright',
          'test',
          '--config',
          'e2e/playwright.config.ts',
          '--shard',
          shard,
          '--output',
          `test-results/${group}`,
        ];
        return suite(
          `End-to-end tests in Chromium, group ${shard}`,
          args,
          environment,
          `end-to-end-${group}.json`,
          ({ stats }) => ({ passed: stats.expected + stats.flaky, failed: stats.unexpected }),
        );
      },
      { fresh: sample === null },
    );
  return withOwnDatabase(`test-pages-${group}`, work, { copyOf: sample });
}

/** All groups at a time. */
function allGroups(sample) {
  return Promise.all(Array.from({ length: GROUPS }, (_, group) => endToEnd(group + 1, sample)));
}

async function test() {
  checkNode();
  installPackages();
  pdfPrograms();
  mkdirSync(REPORTS, { recursive: true });
  console.log('Format, types, lint …');
  const results = (await Promise.all([checks(), check('Lint', 'npx', ['eslint', '.'])])).flat();
  console.log('\nUnit tests …');
  results.push(await unitTests());
  build();
  console.log('\nEnd-to-end tests …');
  results.push(...(await (process.env.DATABASE_URL ? allGroups(null) : withSampleCluster(allGroups))));
  const total = (key) => results.reduce((sum, result) => sum + result[key], 0);
  process.exitCode = total('failed') > 0 ? 1 : 0;
  console.log(`\n${total('passed')} passed, ${total('failed')} failed`);
}

orSayWhy(test());
