import { workOut } from '../../core/src/laboratories/engine/evaluate.ts';
import { smallProtocol } from '../../core/src/laboratories/engine/small-protocol.ts';
import { runFromRows, type Row } from '../../core/src/laboratories/run/run-from-rows.ts';
import type { Run } from '../../core/src/laboratories/run/run.ts';
import { seededRandom } from '../../core/src/simulation/random.ts';
import { evaluatorOf, formulaAtInputs } from '../../core/src/uncertainty/propagate.ts';
import { simulate } from '../../core/src/uncertainty/simulate.ts';

/** Five cells a trial: three read, two computed. */
const PROTOCOL = smallProtocol({
  dimensions: [{ kind: 'repeat', id: 'trial', name: 'Trial', least: 1, most: 100 }],
  quantities: [
    { kind: 'read', id: 'mass', name: 'Mass', symbol: 'm', unit: 'g', over: ['trial'], tools: { kinds: ['balances'] } },
    {
      kind: 'read',
      id: 'before',
      name: 'Before',
      symbol: 'V_1',
      unit: 'mL',
      over: ['trial'],
      tools: { kinds: ['graduated-glass'] },
    },
    {
      kind: 'read',
      id: 'after',
      name: 'After',
      symbol: 'V_2',
      unit: 'mL',
      over: ['trial'],
      tools: { sameAs: 'before' },
    },
    {
      kind: 'computed',
      id: 'volume',
      name: 'Volume',
      symbol: 'V',
      unit: 'mL',
      over: ['trial'],
      formula: 'after - before',
    },
    {
      kind: 'computed',
      id: 'density',
      name: 'Density',
      symbol: 'd',
      unit: 'g/mL',
      over: ['trial'],
      formula: 'mass / volume',
    },
    {
      kind: 'computed',
      id: 'average',
      name: 'Mean',
      symbol: 'd',
      unit: 'g/mL',
      over: [],
      formula: 'mean(density over trial)',
    },
  ],
  results: [{ quantity: 'average' }],
});

function runOf(trials: number): Run {
  const random = seededRandom(trials);
  const rows = Array.from({ length: trials }, (_, i): Row[] => {
    const members = { trial: String(i + 1) };
    const before = 18 + random.uniform() * 4;
    return [
      { quantity: 'mass', members, text: (54.3 + random.normal() * 0.01).toFixed(2) },
      { quantity: 'before', members, text: before.toFixed(1) },
      { quantity: 'after', members, text: (before + 6.2 + random.normal() * 0.1).toFixed(1) },
    ];
  }).flat();
  return runFromRows(PROTOCOL, rows);
}

/** Milliseconds, the median of several. */
function timed(times: number, work: () => unknown): number {
  const each = Array.from({ length: times }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return each.sort((a, b) => a - b)[Math.floor(times / 2)] ?? NaN;
}

const [small, large] = [runOf(8), runOf(80)];
timed(20, () => workOut(PROTOCOL, small).results[0]?.quoted);
const forty = timed(41, () => workOut(PROTOCOL, small).results[0]?.quoted);
const fourHundred = timed(11, () => workOut(PROTOCOL, large).results[0]?.quoted);
process.stdout.write(
  `a run of 40 cells recomputed: ${forty.toFixed(1)} ms (aim: under 16); of 400: ${fourHundred.toFixed(1)} ms, ${(fourHundred / forty).toFixed(1)} times as long (at most 15)\n`,
);

const DRAWS = 1_000_000;
const HALF = 0.05;

/** The same by hand: the same generator, one loop over typed arrays, the same sort. */
function byHand(): number {
  const random = seededRandom(1);
  const [m, b, a, d] = Array.from({ length: 4 }, () => new Float64Array(DRAWS)) as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ];
  for (let i = 0; i < DRAWS; i += 1) m[i] = 54.3 + 0.01 * random.normal();
  for (let i = 0; i < DRAWS; i += 1) b[i] = 18.4 + 2 * HALF * (random.uniform() - 0.5);
  for (let i = 0; i < DRAWS; i += 1) a[i] = 24.6 + 2 * HALF * (random.uniform() - 0.5);
  for (let i = 0; i < DRAWS; i += 1) d[i] = (m[i] ?? 0) / ((a[i] ?? 0) - (b[i] ?? 0));
  return d.sort()[DRAWS / 2] ?? NaN;
}

const INPUTS = {
  m: { value: 54.3, standard: 0.01 },
  b: { value: 18.4, halfWidth: HALF },
  a: { value: 24.6, halfWidth: HALF },
};

function arithmetic(): number {
  const { graph, node } = formulaAtInputs('m / (a - b)', INPUTS);
  const block = 4096;
  const evaluate = evaluatorOf(graph, node, block);
  const errors = [0.01, 0.02, 0.03].map((error) => new Float64Array(block).fill(error));
  let sum = 0;
  for (let done = 0; done < DRAWS; done += block) sum += evaluate(errors, Math.min(block, DRAWS - done))[0] ?? 0;
  return sum;
}

function arithmeticByHand(): number {
  const [m, b, a, d] = Array.from({ length: 4 }, (_, i) =>
    new Float64Array(DRAWS).fill([54.31, 18.42, 24.63, 0][i] ?? 0),
  ) as [Float64Array, Float64Array, Float64Array, Float64Array];
  const start = performance.now();
  for (let i = 0; i < DRAWS; i += 1) d[i] = (m[i] ?? 0) / ((a[i] ?? 0) - (b[i] ?? 0));
  return performance.now() - start;
}

/** One thing beside the other, again and again in turn: the median time of the first, and that of the ratios. */
function paired(times: number, first: () => number, second: () => number): { time: number; ratio: number } {
  first();
  second();
  const pairs = Array.from({ length: times }, () => ({ time: first(), other: second() }));
  const middle = (list: number[]): number => list.sort((a, b) => a - b)[Math.floor(times / 2)] ?? NaN;
  return { time: middle(pairs.map(({ time }) => time)), ratio: middle(pairs.map(({ time, other }) => time / other)) };
}

const once = (work: () => unknown) => (): number => timed(1, work);
const whole = paired(
  9,
  once(() => simulate('m / (a - b)', INPUTS, { draws: DRAWS, seed: 1 })),
  once(byHand),
);
const alone = paired(21, once(arithmetic), arithmeticByHand);
process.stdout.write(
  `a density of a million draws: ${whole.time.toFixed(0)} ms (aim: under 1000), ${whole.ratio.toFixed(2)} times a hand-written loop (at most 1.5); its arithmetic alone ${alone.ratio.toFixed(1)} times (at most 4)\n`,
);
