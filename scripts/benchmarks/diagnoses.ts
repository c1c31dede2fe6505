import {
  diagnose,
  drawTask,
  entriesWith,
  expectedReading,
  instrumentIds,
  readingTask,
  slipsOn,
  type ReadingTask,
} from '../../core/src/index.ts';

/** Items of each tool; every one is judged as at the bench, once, and never met before. */
const ITEMS = 60;

interface Written {
  readonly task: ReadingTask;
  readonly entry: string;
}

/** Right entries, what slips lead to, and what nothing leads to, in turn. */
function writtenOn(instrumentId: string): Written[] {
  const slips = slipsOn(instrumentId);
  return Array.from({ length: ITEMS }, (_, seed) => {
    const aim = seed % 3 === 1 && slips.length > 0 ? [slips[seed % slips.length] ?? ''] : [];
    const task = drawTask(instrumentId, { seed, aim });
    const { text, unit } = expectedReading(task);
    const entry = [`${text} ${unit}`, aim.length > 0 ? entriesWith(task, aim[0] ?? '')[0] : undefined, `${text}7`][
      seed % 3
    ];
    return { task, entry: entry ?? text };
  });
}

/** As `drawn`, but as it comes from the database: nothing that was worked out for it before is known. */
function fresh({ instrumentId, situation, rules }: ReadingTask): ReadingTask {
  return readingTask(instrumentId, situation, rules);
}

const written = instrumentIds().flatMap(writtenOn);

function perSecond(): number {
  const all = written.map(({ task, entry }) => ({ task: fresh(task), entry }));
  const start = performance.now();
  for (const { task, entry } of all) diagnose(task, entry);
  return (1000 * all.length) / (performance.now() - start);
}

for (let warm = 0; warm < 10; warm += 1) perSecond();
const rates = Array.from({ length: 21 }, perSecond).sort((a, b) => a - b);
process.stdout.write(
  `diagnoses on one core, ${written.length} new items of ${instrumentIds().length} tools: ${Math.round(rates[10] ?? NaN)} per second (aim: above 20000)\n`,
);
