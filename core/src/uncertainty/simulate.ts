import { compensatedSum } from '../statistics/compensated-sum.ts';
import { seededRandom, type Random } from '../simulation/random.ts';
import { drawOf, type Draw } from './draws.ts';
import type { Graph } from './graph/graph.ts';
import { UncertaintyInputError, type Input } from './input.ts';
import { evaluatorOf, formulaAtInputs } from './propagate.ts';

/** What many draws say of a result. */
export interface Simulated {
  readonly mean: number;
  /** Null where an input’s t has no standard deviation: with two degrees of freedom or fewer. */
  readonly standard: number | null;
  /** As much outside it on either side. */
  readonly symmetric: readonly [number, number];
  readonly shortest: readonly [number, number];
}

/** Some inputs that are drawn together, by their index. */
export interface DrawnInputs {
  readonly inputs: readonly number[];
  readonly draw: Draw;
}

const BLOCK = 4096;
const MOST_DRAWS = 10_000_000;

/** @throws UncertaintyInputError when a simulation cannot be of that size. */
function checkSize(draws: number, coverage: number): void {
  if (!Number.isInteger(draws) || draws < 100 || draws > MOST_DRAWS)
    throw new UncertaintyInputError('draws', `${String(draws)} is not a whole number from 100 to ${MOST_DRAWS}.`);
  if (!(coverage > 0 && coverage < 1))
    throw new UncertaintyInputError('coverage', `${String(coverage)} is not between 0 and 1.`);
}

/**
 * Propagation of distributions (JCGM 101:2008): the whole graph for block after block of drawn errors. Made step by step, so that
 * whoever runs it can show how far it is and stop it.
 */
export class Simulation {
  private readonly results: Float64Array;
  private readonly errors: (Float64Array | undefined)[] = [];
  private readonly evaluate: ReturnType<typeof evaluatorOf>;
  private done = 0;

  /**
   * @param drawn every uncertain input once. @param coverage of the intervals.
   * @throws UncertaintyInputError when draws or coverage cannot be.
   */
  constructor(
    graph: Graph,
    node: number,
    private readonly drawn: readonly DrawnInputs[],
    private readonly draws: number,
    private readonly coverage = 0.95,
  ) {
    checkSize(draws, coverage);
    this.results = new Float64Array(draws);
    for (const { inputs } of drawn) for (const input of inputs) this.errors[input] = new Float64Array(BLOCK);
    this.evaluate = evaluatorOf(graph, node, BLOCK);
  }

  /** Draws one more block. @returns how much is done, 0 to 1. */
  step(): number {
    const count = Math.min(BLOCK, this.draws - this.done);
    for (const { inputs, draw } of this.drawn)
      draw(
        inputs.map((input) => this.errors[input] ?? new Float64Array(0)),
        count,
      );
    this.results.set(this.evaluate(this.errors, count).subarray(0, count), this.done);
    this.done += count;
    return this.done / this.draws;
  }

  /**
   * What all draws say, and the draws themselves in their order from small to large.
   * @throws UncertaintyInputError when the formula has no value for some of them.
   */
  finish(): Simulated & { readonly sorted: Float64Array } {
    while (this.done < this.draws) this.step();
    const sorted = this.results.sort();
    const [least = NaN, most = NaN] = [sorted[0], sorted[sorted.length - 1]];
    if (!Number.isFinite(least) || !Number.isFinite(most))
      throw new UncertaintyInputError(
        'formula',
        'it has no value for some of the draws; the uncertainties are too large for it.',
      );
    const mean = compensatedSum(sorted) / this.draws;
    let squares = 0;
    for (const value of sorted) squares += (value - mean) ** 2;
    return { mean, standard: Math.sqrt(squares / (this.draws - 1)), ...this.intervals(sorted), sorted };
  }

  private intervals(sorted: Float64Array): Pick<Simulated, 'symmetric' | 'shortest'> {
    const inside = Math.min(this.draws - 1, Math.round(this.coverage * this.draws));
    const from = Math.floor((this.draws - inside) / 2);
    const at = (index: number): number => sorted[index] ?? NaN;
    let best = 0;
    for (let i = 0; i + inside < this.draws; i += 1)
      if (at(i + inside) - at(i) < at(best + inside) - at(best)) best = i;
    return { symmetric: [at(from), at(from + inside)], shortest: [at(best), at(best + inside)] };
  }
}

/** Whether a t of these degrees of freedom has no standard deviation. */
export function hasNoStandard(shape: Input['shape'], degreesOfFreedom: number): boolean {
  return shape === 't' && degreesOfFreedom <= 2;
}

/**
 * Simulates a formula’s result: each input is drawn from its own distribution.
 * @param options draws from 100 to 10 million; seed a whole number from 0 to 2⁵³ − 1; coverage of the intervals, 0.95 unless said otherwise.
 * @throws UncertaintyInputError naming the input or option; ExpressionError for the formula; RangeError for the seed.
 */
export function simulate(
  formula: string,
  inputs: Readonly<Record<string, Input>>,
  options: { readonly draws: number; readonly seed: number; readonly coverage?: number },
): Simulated {
  const at = formulaAtInputs(formula, inputs);
  const random: Random = seededRandom(options.seed);
  const slopes = at.graph.slopesOf(at.node);
  const drawn = at.inputs.flatMap((input, i): DrawnInputs[] =>
    input.standard > 0 ? [{ inputs: [i], draw: drawOf(input, random) }] : [],
  );
  const { mean, standard, symmetric, shortest } = new Simulation(
    at.graph,
    at.node,
    drawn,
    options.draws,
    options.coverage,
  ).finish();
  const none = at.inputs.some(
    ({ shape, degreesOfFreedom, standard: size }, i) =>
      size > 0 && slopes.has(i) && hasNoStandard(shape, degreesOfFreedom),
  );
  return { mean, standard: none ? null : standard, symmetric, shortest };
}
