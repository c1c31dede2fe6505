import { copyCluster, ownDatabase, removeCluster } from '../../scripts/postgres.mjs';
import { freePort } from '../../scripts/processes.mjs';
import { keepServing, serverEnvironment, startServer, watchOver } from '../../scripts/serve.mjs';
import { expect } from './world.ts';
import { allHaveWritten, expectAllStored, someWriters, type Writer } from './writer.ts';

/** A server of a test's own, on a database that can be pulled out from under it. */
export interface OwnServer {
  readonly base: string;
  /** What it said while it started. */
  readonly said: string;
  interrupt(): void;
  resume(): void;
  stop(): Promise<void>;
}

/** True where the tests may make databases of their own. */
export const mayOwnDatabases = !process.env['DATABASE_URL'];

/** A server with the sample class, from the copy that the tests were given where there is one. */
export function ownSampleServer(purpose: string): Promise<OwnServer> {
  return ownServer(purpose, { GREEN_BEAM_DEMO: '1' }, process.env['SAMPLE_CLUSTER'] ?? null);
}

/**
 * @param settings environment of the server beyond the usual: with none it is a real installation.
 * @param copyOf a cluster that is not running, whose contents it begins with.
 */
export async function ownServer(
  purpose: string,
  settings: Record<string, string> = {},
  copyOf: string | null = null,
): Promise<OwnServer> {
  const cluster = `${purpose}-${process.pid}`;
  if (copyOf !== null) copyCluster(copyOf, cluster);
  const database = await ownDatabase(cluster);
  const port = String(await freePort());
  const server = startServer(serverEnvironment(database.url, { ...settings, PORT: port }), {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  await new Promise<void>((ready, fail) => {
    server.once('exit', () => fail(new Error(`The server did not start: ${said}`)));
    server.stdout?.on('data', (chunk) => {
      said += String(chunk);
      if (said.includes('is ready')) ready();
    });
  });
  return {
    base: `http://127.0.0.1:${port}`,
    said,
    interrupt: () => database.interrupt?.(),
    resume: () => database.resume?.(),
    stop: async () => {
      const gone = new Promise((done) => server.once('exit', done));
      server.kill('SIGTERM');
      await gone;
      database.stop();
      removeCluster(cluster);
    },
  };
}

/** A sample school that `npm start` would keep alive, with six students who write all the time. */
export interface KeptAlive {
  readonly database: Awaited<ReturnType<typeof ownDatabase>>;
  readonly writers: readonly Writer[];
  /** Ends the server as a power cut would. */
  killServer(): void;
  /** Waits until the server answers. */
  untilWell(): Promise<void>;
}

/** Has six students write while something goes wrong; afterwards everything acknowledged has to be stored, and nothing twice. */
export async function whileSixWrite(
  cluster: string,
  settings: Record<string, string>,
  trouble: (school: KeptAlive) => Promise<void>,
): Promise<void> {
  const sample = process.env['SAMPLE_CLUSTER'];
  if (sample) copyCluster(sample, cluster);
  const database = await ownDatabase(cluster);
  const leave = watchOver(database);
  const base = `http://127.0.0.1:${await freePort()}`;
  const serving = keepServing(
    serverEnvironment(database.url, { GREEN_BEAM_DEMO: '1', PORT: new URL(base).port, ...settings }),
    () => undefined,
  );
  const answers = (): Promise<boolean> =>
    fetch(`${base}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
  const untilWell = (): Promise<void> => expect.poll(answers, { timeout: 120_000 }).toBe(true);
  try {
    await untilWell();
    const writers = await someWriters(base);
    let goesOn = true;
    const written = Promise.all(writers.map((writer) => writer.writeWhile(() => goesOn)));
    await trouble({ database, writers, killServer: () => serving.process().kill('SIGKILL'), untilWell });
    await untilWell();
    await allHaveWritten(writers);
    goesOn = false;
    await written;
    await expectAllStored(database.url, writers);
  } finally {
    serving.stop();
    await serving.over;
    leave();
    database.stop();
  }
}
