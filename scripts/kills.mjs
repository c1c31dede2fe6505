import { build } from './build.mjs';
import { checkNode, chromiumPath, installPackages } from './packages.mjs';
import { ROOT, run } from './processes.mjs';
import { orSayWhy, withSampleCluster } from './serve.mjs';

/** Kills the server and the database again and again while a class writes: how often can be said behind the command. */
async function kills([times = '20']) {
  checkNode();
  installPackages();
  build();
  await withSampleCluster((cluster) =>
    run('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts', '--reporter=list', 'kills'], {
      cwd: ROOT,
      env: { ...process.env, KILLS: times, SAMPLE_CLUSTER: cluster, CHROMIUM: chromiumPath() },
    }),
  );
}

orSayWhy(kills(process.argv.slice(2)));
