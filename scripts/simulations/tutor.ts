import {
  asOperated,
  instrumentIds,
  completeRules,
  drawTask,
  expectedReading,
  instrumentById,
  MADE,
  planForBelief,
  planRound,
  predictedEntries,
  PRIORS,
  seededRandom,
  slipById,
  slipsOn,
  subjectsNamed,
  updated,
  type Belief,
  type PlannedItem,
  startingEye,
  type Random,
  type ReadingTask,
} from '../../core/src/index.ts';

const LEARNERS = Number(process.env['LEARNERS'] ?? 200);
const MOST_READINGS = 80;
const SURE = 0.95;
const SCATTER = 0.07;
const RULES = completeRules();

/** What a learner does with the tool: an eye that is a habit stays where it is, a hasty one does not wait. */
function handled(task: ReadingTask, slip: string | null): ReadingTask {
  const done = [
    { kind: 'lower', at: 0, to: null },
    { kind: 'lay', at: 0, to: task.family === 'rulers' ? (task.situation.endOffset ?? 0) : 0 },
  ] as const;
  return asOperated(task, {
    eyeHeight: slip?.startsWith('eye-') ? startingEye(task) : 0,
    done,
    at: slip === 'unsettled' ? 2000 : 60_000,
  });
}

/** The number in an entry moved by a reader’s scatter, to the same place. */
function scattered(entry: string, task: ReadingTask, random: Random): string {
  const [digits = '', ...unit] = entry.split(' ');
  const { place } = expectedReading(task);
  const instrument = instrumentById(task.instrumentId);
  if (
    !('scale' in instrument) ||
    !/^-?[\d.]+$/.test(digits) ||
    (digits.split('.')[1]?.length ?? 0) !== Math.max(0, -place)
  )
    return entry;
  const off = Math.round((SCATTER * instrument.division * random.normal()) / 10 ** place) * 10 ** place;
  return [(Number(digits) + off).toFixed(Math.max(0, -place)), ...unit].join(' ');
}

/** Seven times in ten the slip, where it can be made; otherwise a careful reading. */
function entryOf(task: ReadingTask, slip: string, random: Random): { entry: string; read: ReadingTask } {
  const made = random.uniform() < MADE;
  const read = handled(task, made ? slip : null);
  const wrong = made ? predictedEntries(read, slipById(slip)) : [];
  const { text, unit } = expectedReading(read);
  return { read, entry: scattered(wrong[random.below(Math.max(1, wrong.length))] ?? `${text} ${unit}`, read, random) };
}

type Choose = (belief: Belief, seed: number) => PlannedItem;

/** Readings until the true slip has a posterior of 95 %. */
function readingsNeeded(slip: string, choose: Choose, random: Random): number {
  let belief: Belief = PRIORS.reading;
  for (let reading = 1; reading <= MOST_READINGS; reading += 1) {
    const item = choose(belief, random.below(2 ** 40));
    const task = drawTask(item.subjectId, { seed: item.seed, aim: item.aim, rules: RULES });
    const { entry, read } = entryOf(task, slip, random);
    belief = updated(belief, task, read, entry);
    if ((belief[slip] ?? 0) >= SURE) return reading;
  }
  return MOST_READINGS;
}

/** The reading by which half of the learners are known; between two whole numbers in proportion to how many of them each one adds. */
function median(values: readonly number[]): number {
  const half = values.length / 2;
  for (let reading = 1; reading <= MOST_READINGS; reading += 1) {
    const [before, by] = [reading - 1, reading].map((most) => values.filter((value) => value <= most).length) as [
      number,
      number,
    ];
    if (by >= half) return reading - 1 + (half - before) / (by - before);
  }
  return MOST_READINGS;
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

function simulated(tools: readonly string[], choose: Choose): number[] {
  const random = seededRandom(2026);
  const slips = [...new Set(tools.flatMap((id) => slipsOn(id, RULES)))];
  return Array.from({ length: LEARNERS }, () =>
    readingsNeeded(slips[random.below(slips.length)] ?? '', choose, random),
  );
}

function report(name: string, tools: readonly string[]): void {
  const adaptive = simulated(
    tools,
    (belief, seed) =>
      planForBelief(belief, { subjects: subjectsNamed(tools), count: 1, seed, rules: RULES })[0] ?? {
        subjectId: tools[0] ?? '',
        seed,
        aim: [],
      },
  );
  const atRandom = simulated(tools, (_, seed) => ({
    ...(planRound(subjectsNamed(tools), 1, seed, RULES)[0] ?? { subjectId: tools[0] ?? '', seed }),
    aim: [],
  }));
  const [with_, without] = [median(adaptive), median(atRandom)];
  process.stdout.write(
    `${name}: median readings until the slip is known with 95 %: ${with_.toFixed(1)} chosen, ${without.toFixed(1)} at random (${(with_ / without).toFixed(2)} of random; aim: at most 4, and at most half of random)\n  mean: ${mean(adaptive).toFixed(1)} chosen, ${mean(atRandom).toFixed(1)} at random, those not known counted as ${MOST_READINGS} (${(mean(adaptive) / mean(atRandom)).toFixed(2)} of random)\n`,
  );
  const late = (values: readonly number[]): string =>
    `${Math.round((100 * values.filter((value) => value >= MOST_READINGS).length) / values.length)} %`;
  process.stdout.write(
    `  not known after ${MOST_READINGS} readings: ${late(adaptive)} chosen, ${late(atRandom)} at random; ${LEARNERS} learners each\n`,
  );
}

report('every tool', instrumentIds());
report(
  'cylinders',
  instrumentIds().filter((id) => id.startsWith('cylinder-')),
);
