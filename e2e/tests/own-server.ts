import { copyCluster, ownDatabase, removeCluster } from '../../scripts/postgres.mjs';
import { freePort } from '../../scripts/processes.mjs';
import { serverEnvironment, startServer } from '../../scripts/serve.mjs';

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
