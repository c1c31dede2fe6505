import { spawnSync } from 'node:child_process';
import { closeSync, mkdirSync, openSync, rmSync, writeSync } from 'node:fs';
import { join } from 'node:path';
import { clusterFolder, removeCluster } from '../../scripts/postgres.mjs';
import { mayOwnDatabases, whileSixWrite } from './own-server.ts';
import { expect, test } from './world.ts';
import { allHaveWritten } from './writer.ts';

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
  try {
    await whileSixWrite(cluster, {}, async ({ writers }) => {
      const putOff = (): number => writers.reduce((sum, one) => sum + one.putOff, 0);
      await allHaveWritten(writers);
      const ballast = join(folder, 'ballast');
      const filledUp = (): number => {
        rmSync(ballast, { force: true });
        fill(ballast);
        return putOff();
      };
      // What is stored already may still have room in half empty pages: it is filled up again until nothing has.
      await expect.poll(filledUp, { timeout: 120_000, intervals: [1000] }).toBeGreaterThan(6);
      const before = putOff();
      await expect.poll(putOff).toBeGreaterThan(before);
      rmSync(ballast);
    });
  } finally {
    spawnSync('umount', ['-l', folder]);
    removeCluster(cluster);
  }
});
