import { setTimeout as pause } from 'node:timers/promises';
import { copyCluster, ownDatabase, removeCluster } from '../../scripts/postgres.mjs';
import { freePort } from '../../scripts/processes.mjs';
import { keepServing, serverEnvironment, watchOver } from '../../scripts/serve.mjs';
import { mayOwnDatabases } from './own-server.ts';
import { expect, test } from './world.ts';
import { allHaveWritten, expectAllStored, someWriters } from './writer.ts';

test.skip(!mayOwnDatabases, 'a database that was given is not killed by a test');

/** `npm run kills` has more. */
const KILLS = Number(process.env['KILLS'] ?? 3);
test.setTimeout(120_000 + KILLS * 30_000);

test(`${KILLS} times the server or the database is killed: what was acknowledged is stored, and nothing twice`, async () => {
  const cluster = `kills-${process.pid}`;
  const sample = process.env['SAMPLE_CLUSTER'];
  if (sample) copyCluster(sample, cluster);
  const database = await ownDatabase(cluster);
  const base = `http://127.0.0.1:${await freePort()}`;
  const leave = watchOver(database);
  const environment = serverEnvironment(database.url, {
    GREEN_BEAM_DEMO: '1',
    PORT: new URL(base).port,
    PROCESSES: '2',
  });
  const serving = keepServing(environment, () => undefined);
  const healthy = async (): Promise<boolean> =>
    fetch(`${base}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
  try {
    await expect.poll(healthy, { timeout: 120_000 }).toBe(true);
    const writers = await someWriters(base);
    let goesOn = true;
    const written = Promise.all(writers.map((writer) => writer.writeWhile(() => goesOn)));
    for (let kill = 0; kill < KILLS; kill += 1) {
      await pause(500 + Math.random() * 2000);
      if (kill % 2 === 0) database.kill?.();
      else serving.process().kill('SIGKILL');
      await expect.poll(healthy, { timeout: 60_000 }).toBe(true);
    }
    await allHaveWritten(writers);
    goesOn = false;
    await written;

    await expectAllStored(database.url, writers);
  } finally {
    serving.stop();
    await serving.over;
    leave();
    database.stop();
    removeCluster(cluster);
  }
});
