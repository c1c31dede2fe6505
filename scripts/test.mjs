import { mkdirSync, readFileSync, rmSync } from 'node:fs';
import { relative, resolve } from 'node:path';
import { build } from './build.mjs';
import { checkNode, chromiumPath, installPackages, pdfPrograms } from './packages.mjs';
import { listen, ROOT } from './processes.mjs';
import { orSayWhy, withOwnDatabase, withSampleCluster, withSampleServer } from './serve.mjs';

const REPORTS = resolve(ROOT, '.local', 'reports');

/** How many end-to-end groups run at a time, each with a server and a database of its own: while one waits for a movement or a network, another works. A database that is given cannot be shared. */
const GROUPS = process.env.DATABASE_URL ? 1 : 2;

/** Runs one tool as one test of its own. */
async function check(name, command, args) {
  const { status, output } = await listen(command, args);
  console.log(`\n${name}: ${status === 0 ? 'nothing to say' : `\n${output}`}`);
  return { passed: status === 0 ? 1 : 0, failed: status === 0 ? [] : [name] };
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

/** Runs a test runner, shows the end of its output, and reads from its JSON report how many passed and what failed. */
async function suite(name, args, environment, report, resultsOf) {
  const file = resolve(REPORTS, report);
  rmSync(file, { force: true });
  const { status, output } = await listen('npx', args, { env: { ...process.env, ...environment(file) } });
  console.log(`\n${name}\n${output.slice(-12_000)}`);
  try {
    const results = resultsOf(JSON.parse(readFileSync(file, 'utf8')));
    return status !== 0 && results.failed.length === 0 ? { ...results, failed: [name] } : results;
  } catch {
    return { passed: 0, failed: [`${name}, which left no report`] };
  }
}

/** What a report of unit tests says: a file that could not be run counts as one that failed. */
function unitResults({ numPassedTests, testResults }) {
  const failed = testResults.flatMap(({ name, status, message, assertionResults }) => {
    const tests = assertionResults.filter((test) => test.status === 'failed');
    if (status === 'failed' && tests.length === 0) return [`${relative(ROOT, name)}: ${message}`];
    return tests.map(({ fullName, failureMessages }) => `${relative(ROOT, name)}: ${fullName}\n${failureMessages[0]}`);
  });
  return { passed: numPassedTests, failed };
}

/** The tests of a suite of pages, and of the suites within it. */
const specsOf = ({ specs = [], suites = [] }) => [...specs, ...suites.flatMap(specsOf)];

function pageResults({ stats, suites }) {
  const failed = suites
    .flatMap(specsOf)
    .filter(({ ok }) => !ok)
    .map(({ file, title }) => `${file}: ${title}`);
  return { passed: stats.expected + stats.flaky, failed };
}

function unitTests() {
  return withOwnDatabase('test', (url) =>
    suite(
      'Unit tests',
      ['vitest', 'run', '--reporter=default', '--reporter=json'],
      () => ({ DATABASE_URL: url, VITEST_JSON: resolve(REPORTS, 'unit.json') }),
      'unit.json',
      unitResults,
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
          pageResults,
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
  const failed = results.flatMap((result) => result.failed);
  process.exitCode = failed.length > 0 ? 1 : 0;
  for (const what of failed) console.log(`\nFailed: ${what}`);
  console.log(`\n${results.reduce((sum, { passed }) => sum + passed, 0)} passed, ${failed.length} failed`);
}

orSayWhy(test());
