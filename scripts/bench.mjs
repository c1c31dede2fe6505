import { checkNode, chromiumPath, installPackages } from './packages.mjs';
import { buildPages } from './build-pages.mjs';
import { ownDatabase, removeCluster } from './postgres.mjs';
import { freePort, run } from './processes.mjs';
import { orSayWhy, serverEnvironment, startServer } from './serve.mjs';

/** Prints how fast the work that matters is; the measurements themselves are in scripts/benchmarks/. */
async function bench() {
  checkNode();
  installPackages();
  buildPages();
  run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/diagnoses.ts']);
  const cluster = `bench-${process.pid}`;
  const database = await ownDatabase(cluster);
  const port = await freePort();
  const server = startServer(serverEnvironment(database.url, { GREEN_BEAM_DEMO: '1', GREEN_BEAM_FRESH: '1', PORT: String(port) }), { stdio: ['ignore', 'pipe', 'inherit'] });
  try {
    await new Promise((ready) => server.stdout.on('data', (chunk) => String(chunk).includes('is ready') && ready()));
    const env = { ...process.env, BASE_URL: `http://127.0.0.1:${port}`, DATABASE_URL: database.url, CHROMIUM: chromiumPath() };
    run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/attempts.ts'], { env });
    run(process.execPath, ['--import', 'tsx', 'scripts/benchmarks/frames.ts'], { env });
  } finally {
    server.kill('SIGTERM');
    await new Promise((done) => server.once('exit', done));
    database.stop();
    if (!process.env.DATABASE_URL) removeCluster(cluster);
  }
}

orSayWhy(bench());
