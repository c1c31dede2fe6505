import { resolve } from 'node:path';
import { build } from './build.mjs';
import { checkNode, installPackages } from './packages.mjs';
import { copyCluster, ownDatabase, removeCluster, sessionSecret } from './postgres.mjs';
import { ended, freePort, isFree, ROOT, start } from './processes.mjs';

/** Environment of the server for a database. */
export function serverEnvironment(url, extra = {}) {
  return {
    ...process.env,
    NODE_ENV: 'production',
    DATABASE_URL: url,
    SESSION_SECRET: sessionSecret(),
    GREEN_BEAM_PAGES: resolve(ROOT, 'web', 'dist'),
    ...extra,
  };
}

/** Starts the server process itself. */
export function startServer(environment, options = {}) {
  return start(process.execPath, ['--enable-source-maps', resolve(ROOT, 'server', 'dist', 'main.js')], {
    env: environment,
    ...options,
  });
}

const USUAL_PORT = 4710;

/** PORT when it is given; otherwise the usual one, or a free one while that is taken. */
async function portToUse() {
  if (process.env.PORT) return process.env.PORT;
  return String((await isFree(USUAL_PORT)) ? USUAL_PORT : await freePort());
}

/**
 * Does all that is needed on a fresh machine, builds, serves in the foreground, and on Ctrl-C or SIGTERM stops what it started.
 * @param cluster which of the project's own clusters to use when no DATABASE_URL is given.
 */
export async function serve(cluster, extra) {
  checkNode();
  installPackages();
  const database = await ownDatabase(cluster);
  try {
    build();
    const server = startServer(serverEnvironment(database.url, { ...extra, PORT: await portToUse() }));
    for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill('SIGTERM'));
    process.exitCode = await ended(server);
  } finally {
    database.stop();
  }
}

/**
 * Starts a server with sample data on a database and a free port, hands its address to the work, and stops it.
 * @param fresh whether the sample data are made anew; otherwise those that are there stand.
 * @param processes how many serve; the usual number unless it is given.
 */
export async function withSampleServer(url, work, { fresh = true, processes = null } = {}) {
  const port = await freePort();
  const server = startServer(
    serverEnvironment(url, {
      GREEN_BEAM_DEMO: '1',
      ...(fresh ? { GREEN_BEAM_FRESH: '1' } : {}),
      ...(processes === null ? {} : { PROCESSES: String(processes) }),
      PORT: String(port),
    }),
    { stdio: ['ignore', 'pipe', 'inherit'] },
  );
  try {
    await new Promise((ready, fail) => {
      server.stdout.on('data', (chunk) => String(chunk).includes('is ready') && ready());
      server.once('exit', () => fail(new Error('The server did not start.')));
    });
    return await work(`http://127.0.0.1:${port}`);
  } finally {
    server.kill('SIGTERM');
    if (server.exitCode === null) await new Promise((done) => server.once('exit', done));
  }
}

/**
 * Hands a database of its own to the work, and removes it afterwards.
 * @param copyOf a cluster that is not running, whose contents it begins with.
 */
export async function withOwnDatabase(purpose, work, { copyOf = null } = {}) {
  const cluster = `${purpose}-${process.pid}`;
  if (copyOf !== null) copyCluster(copyOf, cluster);
  const database = await ownDatabase(cluster);
  try {
    return await work(database.url);
  } finally {
    database.stop();
    if (!process.env.DATABASE_URL) removeCluster(cluster);
  }
}

/** Fills a cluster with the sample data once, hands its name to the work to be copied, and removes it afterwards. */
export async function withSampleCluster(work) {
  const cluster = `sample-${process.pid}`;
  const database = await ownDatabase(cluster);
  try {
    try {
      await withSampleServer(database.url, () => undefined);
    } finally {
      database.stop();
    }
    return await work(cluster);
  } finally {
    removeCluster(cluster);
  }
}

/** Ends with a message rather than a stack when something is missing. */
export function orSayWhy(promise) {
  promise.catch((error) => {
    console.error(error.message);
    process.exit(1);
  });
}
