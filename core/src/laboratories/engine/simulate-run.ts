import { seededRandom } from '../../simulation/random.ts';
import { drawOf, drawTogether } from '../../uncertainty/draws.ts';
import { hasNoStandard, Simulation, type DrawnInputs } from '../../uncertainty/simulate.ts';
import type { BaseInput } from './inputs.ts';
import type { Nodes } from './nodes.ts';

/** How many draws, from which seed, and whether repeats are drawn as Student’s t or, as quadrature takes them, as normal. */
export interface SimulationOptions {
  readonly draws: number;
  readonly seed: number;
  readonly repeatsAs?: 't' | 'normal';
}

/** A simulation that is ready to be run, and whether its standard uncertainty exists. */
export interface ReadySimulation {
  readonly simulation: Simulation;
  /** False where an error has two degrees of freedom or fewer: then only intervals can be given. */
  readonly hasStandard: boolean;
}

/**
 * The simulation of one node of a run: every error that it depends on is drawn from its own distribution, those of one scatter together.
 * @throws UncertaintyInputError for the number of draws; RangeError for the seed.
 */
export function simulationOf(nodes: Nodes, node: number, options: SimulationOptions): ReadySimulation {
  const { draws, seed, repeatsAs = 't' } = options;
  const random = seededRandom(seed);
  const scatters = new Map<string, { readonly index: number; readonly input: BaseInput }[]>();
  const drawn: DrawnInputs[] = [];
  let hasStandard = true;
  for (const [index, slope] of nodes.graph.slopesOf(node)) {
    const input = nodes.inputs.all[index];
    if (!input || slope === 0 || input.standard === 0) continue;
    if (repeatsAs === 't' && hasNoStandard(input.shape, input.degreesOfFreedom)) hasStandard = false;
    const scatter = input.together?.scatter;
    if (scatter === undefined) drawn.push({ inputs: [index], draw: drawOf(asDrawn(input, repeatsAs), random) });
    else scatters.set(scatter, [...(scatters.get(scatter) ?? []), { index, input }]);
  }
  for (const group of scatters.values()) {
    const [first] = group;
    if (!first) continue;
    const inputs = group.map(({ index }) => index);
    const draw =
      group.length === 1
        ? drawOf(asDrawn(first.input, repeatsAs), random)
        : drawTogether(
            group.map(({ input }) => input.together?.weights ?? []),
            first.input.degreesOfFreedom,
            random,
            repeatsAs,
          );
    drawn.push({ inputs, draw });
  }
  return { simulation: new Simulation(nodes.graph, node, drawn, draws), hasStandard };
}

function asDrawn(input: BaseInput, repeatsAs: 't' | 'normal'): BaseInput {
  return input.shape === 't' && repeatsAs === 'normal' ? { ...input, shape: 'normal' } : input;
}
