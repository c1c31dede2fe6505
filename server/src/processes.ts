import cluster, { type Worker } from 'node:cluster';
import { fileURLToPath } from 'node:url';
import { FROM_SOURCE } from './from-source.ts';

const FIRST_WAIT = 200;
const LONGEST_WAIT = 10_000;
/** A process that has served so long, in ms, has started well. */
const STARTED_WELL = 30_000;
/** Time a process has to finish what it is about, in ms. */
const TO_FINISH = 10_000;

/**
 * Serves in so many processes, which share one port. One that ends is replaced, at once at first and after longer and longer waits
 * while it keeps ending; all of them are stopped with this one.
 * @returns when all of them answer. @throws Error when one cannot start.
 */
export async function superviseProcesses(count: number): Promise<void> {
  cluster.setupPrimary({ exec: fileURLToPath(new URL(FROM_SOURCE ? './serve.ts' : './serve.js', import.meta.url)) });
  let isStopping = false;
  let wait = FIRST_WAIT;

  const keepServing = (): Worker => {
    const started = Date.now();
    const worker = cluster.fork();
    worker.once('exit', (code, signal) => {
      if (isStopping) return;
      wait = Date.now() - started > STARTED_WELL ? FIRST_WAIT : Math.min(LONGEST_WAIT, wait * 2);
      process.stderr.write(`A server process ended (${signal || code}); another one starts in ${wait} ms.\n`);
      setTimeout(() => !isStopping && keepServing(), wait);
    });
    return worker;
  };

  const stop = (): void => {
    isStopping = true;
    const workers = Object.values(cluster.workers ?? {}).filter((worker) => worker !== undefined);
    workers.forEach((worker) => worker.process.kill('SIGTERM'));
    const giveUp = setTimeout(() => workers.forEach((worker) => worker.process.kill('SIGKILL')), TO_FINISH);
    void Promise.all(workers.map((worker) => new Promise((done) => worker.once('exit', done)))).then(() => {
      clearTimeout(giveUp);
      process.exit(0);
    });
  };
  process.once('SIGTERM', stop);
  process.once('SIGINT', stop);

  const first = Array.from({ length: count }, keepServing);
  await Promise.all(
    first.map(
      (worker) =>
        new Promise((answers, fails) => {
          worker.once('listening', answers);
          worker.once('exit', () => fails(new Error('a server process ended before it answered.')));
        }),
    ),
  );
}
