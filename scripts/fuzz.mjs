import { checkNode, installPackages } from './packages.mjs';
import { ROOT, run } from './processes.mjs';
import { orSayWhy, withOwnDatabase } from './serve.mjs';

/** Sends the server a great many requests that nobody means: how many, and by which seed, can be said behind the command. */
async function fuzz([requests = '100000', seed = '1']) {
  checkNode();
  installPackages();
  await withOwnDatabase('fuzz', (url) =>
    run('npx', ['vitest', 'run', '--project', 'server', 'server/test/fuzz'], {
      cwd: ROOT,
      env: { ...process.env, DATABASE_URL: url, FUZZED_REQUESTS: requests, FUZZ_SEED: seed },
    }),
  );
}

orSayWhy(fuzz(process.argv.slice(2)));
