import { setTimeout as pause } from 'node:timers/promises';
import { removeCluster } from '../../scripts/postgres.mjs';
import { mayOwnDatabases, whileSixWrite } from './own-server.ts';
import { test } from './world.ts';

test.skip(!mayOwnDatabases, 'a database that was given is not killed by a test');

/** `npm run kills` has more. */
const KILLS = Number(process.env['KILLS'] ?? 3);
test.setTimeout(120_000 + KILLS * 30_000);

test(`${KILLS} times the server or the database is killed: what was acknowledged is stored, and nothing twice`, async () => {
  const cluster = `kills-${process.pid}`;
  await whileSixWrite(cluster, { PROCESSES: '2' }, async ({ database, killServer, untilWell }) => {
    for (let kill = 0; kill < KILLS; kill += 1) {
      await pause(500 + Math.random() * 2000);
      if (kill % 2 === 0) database.kill?.();
      else killServer();
      await untilWell();
    }
  }).finally(() => removeCluster(cluster));
});
