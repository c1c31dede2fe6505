import { spawnSync } from 'node:child_process';
import { closeSync, mkdirSync, openSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { clusterFolder, copyCluster, ownDatabase, removeCluster } from '../../scripts/postgres.mjs';
import { freePort } from '../../scripts/processes.mjs';
import { keepServing, serverEnvironment, watchOver } from '../../scripts/serve.mjs';
import { mayOwnDatabases } from './own-server.ts';
import { expect, test } from './world.ts';
import { allHaveWritten, expectAllStored, someWriters } from './writer.ts';

test.skip(!mayOwnDatabases, 'the disk of a database that was given is not filled by a test');
test.skip(process.getuid?.() !== 0, 'only root may make a file system');
test.setTimeout(300_000);

const MEGABYTE = 2 ** 20;
/** Room for the sample school, and for its log twice over. */
const SIZE = 320;

/** Writes zeros until there is no room for more. */
function fill(file: string): void {
  const open = openSync(file, 'w');
  try {
    for (const size of [MEGABYTE, 4096]) {
      try {
        for (;;) writeSync(open, Buffer.alloc(size));
      } catch (error) {
        expect((error as NodeJS.ErrnoException).code).toBe('ENOSPC');
      }
    }
  } finally {
    closeSync(open);
  }
}

test('the disk fills up: entries are put off in words, and after it has room again everything acknowledged is stored once', async () => {
  const cluster = `full-${process.pid}`;
  const folder = clusterFolder(cluster);
  mkdirSync(folder, { recursive: true });
  const mounted = spawnSync('mount', ['-t', 'tmpfs', '-o', `size=${SIZE}m`, 'tmpfs', folder]).status === 0;
  test.skip(!mounted, 'this machine lets nobody make a file system');
  const sample = process.env['SAMPLE_CLUSTER'];
  if (sample) copyCluster(sample, cluster);
  const database = await ownDatabase(cluster);
  const leave = watchOver(database);
  const base = `http://127.0.0.1:${await freePort()}`;
  const serving = keepServing(
    serverEnvironment(database.url, { GREEN_BEAM_DEMO: '1', PORT: new URL(base).port }),
    () => undefined,
  );
  const answers = (): Promise<boolean> =>
    fetch(`${base}/api/health`).then(
      ({ ok }) => ok,
      () => false,
    );
  try {
    await expect.poll(answers, { timeout: 120_000 }).toBe(true);
    const writers = await someWriters(base);
    let goesOn = true;
    const written = Promise.all(writers.map((writer) => writer.writeWhile(() => goesOn)));
    await pause(1500);
    const ballast = join(folder, 'ballast');
    const putOff = (): number => writers.reduce((sum, one) => sum + one.putOff, 0);
    // What is stored already may still have room in half empty pages: it fills up again until nothing has.
    await expect
      .poll(
        () => {
          rmSync(ballast, { force: true });
          fill(ballast);
          return putOff();
        },
        { timeout: 120_000, intervals: [1000] },
      )
      .toBeGreaterThan(6);
    const before = putOff();
    await pause(2000);
    expect(putOff()).toBeGreaterThan(before);
    rmSync(ballast);
    await expect.poll(answers, { timeout: 60_000 }).toBe(true);
    await allHaveWritten(writers);
    goesOn = false;
    await written;
    await expectAllStored(database.url, writers);
  } finally {
    serving.stop();
    await serving.over;
    leave();
    database.stop();
    spawnSync('umount', ['-l', folder]);
    removeCluster(cluster);
  }
});
