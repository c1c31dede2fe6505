import { resolve } from 'node:path';
import { build } from './build.mjs';
import { checkNode, installPackages } from './packages.mjs';
import { copyCluster, ownDatabase, removeCluster } from './postgres.mjs';
import { ended, freePort, isFree, ROOT, start } from './processes.mjs';
import { sessionSecret } from './secrets.mjs';

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

/** How often it is looked whether the database still runs, in ms. */
const LOOK_EVERY = 1000;
/** The server starts again so long after it died, in ms: twice as long each time, until it has served for a while. */
const FIRST_WAIT = 500;
const LONGEST_WAIT = 30_000;
const SERVED_WELL = 60_000;

/** Starts a database of its own again whenever it has died, until the returned function is called. */
export function watchOver(database) {
  const watch = setInterval(() => {
    try {
      if (database.revive()) console.error('The database had stopped; it has been started again.');
    } catch (error) {
      console.error(`The database cannot be started: ${error.message}`);
    }
  }, LOOK_EVERY);
  return () => clearInterval(watch);
}

/**
 * Serves until it is told to stop: a server that dies is started again. A first start that fails is the end.
 * @param {(chunk: Uint8Array) => unknown} say what becomes of what it says.
 * @returns how to stop it, its process at the moment, and its exit code once it is over.
 */
export function keepServing(environment, say = (chunk) => process.stdout.write(chunk)) {
  let isStopping = false;
  let server;
  const serveOn = async () => {
    let wait = FIRST_WAIT;
    for (let hasServed = false; ;) {
      const began = Date.now();
      // What was asked for once, such as fresh sample data, is not done again.
      server = startServer(hasServed ? { ...environment, GREEN_BEAM_FRESH: '0' } : environment, {
        stdio: ['inherit', 'pipe', 'inherit'],
      });
      server.stdout.on('data', (chunk) => {
        hasServed ||= String(chunk).includes('is ready');
        say(chunk);
      });
      const code = await ended(server);
      if (isStopping || !hasServed) return code;
      wait = Date.now() - began > SERVED_WELL ? FIRST_WAIT : Math.min(LONGEST_WAIT, wait * 2);
      console.error(`The server ended (${code}); it starts again in ${wait} ms.`);
      await new Promise((done) => setTimeout(done, wait));
      if (isStopping) return 0;
    }
  };
  return {
    over: serveOn(),
    process: () => server,
    stop: () => {
      isStopping = true;
      server.kill('SIGTERM');
    },
  };
}

/**
 * Does all that is needed on a fresh machine, builds, serves in the foreground, and on Ctrl-C or SIGTERM stops what it started. A
 * database or a server that dies meanwhile is started again.
 * @param cluster which of the project's own clusters to use when no DATABASE_URL is given.
 * @param databasePort on which it listens, unless DATABASE_PORT says another; null for a free one.
 */
export async function serve(cluster, { databasePort, ...extra }) {
  checkNode();
  installPackages();
  const given = process.env.DATABASE_PORT;
  const database = await ownDatabase(cluster, { port: given ? Number(given) : databasePort });
  try {
    build();
    const leave = watchOver(database);
    const serving = keepServing(serverEnvironment(database.url, { ...extra, PORT: await portToUse() }));
    for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, serving.stop);
    process.exitCode = await serving.over;
    leave();
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
  const database = await ownDatabase(cluster, { createsDatabases: true });
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
