import { diagnose, drawTask } from '../../core/src/index.ts';

const ITEMS = 500;
const SECONDS = 3;

const tasks = Array.from({ length: ITEMS }, (_, seed) =>
  drawTask(['cylinder-10', 'cylinder-50', 'cylinder-100'][seed % 3] ?? 'cylinder-50', { seed }),
);
/** Right, nearly right and wrong entries in turn. */
const entries = tasks.map(
  (task, i) =>
    `${(task.situation.value * (1 + ((i % 7) - 3) / 100)).toFixed(task.instrumentId === 'cylinder-10' ? 2 : 1)} mL`,
);

function perSecond(): number {
  const start = performance.now();
  let done = 0;
  while (performance.now() - start < SECONDS * 1000) {
    for (const [i, task] of tasks.entries()) diagnose(task, entries[i] ?? '');
    done += ITEMS;
  }
  return done / ((performance.now() - start) / 1000);
}

perSecond();
process.stdout.write(`diagnoses on one core: ${Math.round(perSecond())} per second (aim: above 20000)\n`);
