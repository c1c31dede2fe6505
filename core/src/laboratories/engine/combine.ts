import type { HouseRules } from '../../rules/house-rules.ts';
import { coverageFactor } from '../../uncertainty/coverage.ts';
import type { CorrelatedPair } from '../../uncertainty/correlations.ts';
import { UncertaintyInputError } from '../../uncertainty/input.ts';
import {
  CORNERS_AT_A_TIME,
  extremes,
  plainSum,
  quadrature,
  sharesOf,
  type CombinedInputs,
} from '../../uncertainty/methods.ts';
import { evaluatorOf, type PropagationSchool } from '../../uncertainty/propagate.ts';
import type { BaseInput, InputLabel } from './inputs.ts';
import type { Nodes } from './nodes.ts';

/** A share of an uncertainty, and what it comes from. */
export interface BudgetEntry {
  readonly label: InputLabel;
  readonly share: number;
}

/** The uncertainty of one number by one method. */
export interface CombinedUncertainty {
  readonly method: PropagationSchool;
  /** A standard uncertainty by quadrature; a limit by the others. */
  readonly uncertainty: number;
  /** Infinity where nothing of it comes from repeats; null where it cannot be told. */
  readonly degreesOfFreedom: number | null;
  /** What it is multiplied by before it is quoted. */
  readonly coverageFactor: number;
  /** Largest share first. */
  readonly budget: readonly BudgetEntry[];
  /** What the method could not take into account, in words. */
  readonly notes: readonly string[];
}

/** The inputs that a node depends on, with its slopes. */
interface Sloped {
  readonly inputs: readonly BaseInput[];
  readonly indices: readonly number[];
  readonly slopes: readonly number[];
}

function slopedInputs(nodes: Nodes, node: number): Sloped {
  const indices: number[] = [];
  const slopes: number[] = [];
  for (const [index, slope] of nodes.graph.slopesOf(node)) {
    if (slope === 0) continue;
    indices.push(index);
    slopes.push(slope);
  }
  return { indices, slopes, inputs: indices.flatMap((index) => nodes.inputs.all[index] ?? []) };
}

/** The correlation of errors that come from one scatter. */
function pairsOf(inputs: readonly BaseInput[]): CorrelatedPair[] {
  const pairs: CorrelatedPair[] = [];
  inputs.forEach((first, i) => {
    inputs.slice(i + 1).forEach((second, k) => {
      const [a, b] = [first.together, second.together];
      if (!a || !b || a.scatter !== b.scatter) return;
      const products = a.weights.reduce((sum, weight, at) => sum + weight * (b.weights[at] ?? 0), 0);
      pairs.push([i, i + 1 + k, products / (first.standard * second.standard)]);
    });
  });
  return pairs;
}

/**
 * Effective degrees of freedom (Welch, 1947; Satterthwaite, 1946; JCGM 100:2008, G.4.1): errors that come from one scatter count as
 * one, the rest by themselves. Cut to a whole number, as the Guide does. Null where an error has none that are known.
 */
function degreesOfFreedom({ inputs, slopes }: Sloped, variance: number): number | null {
  const groups = new Map<string, { spread: number[]; freedom: number }>();
  for (const [i, input] of inputs.entries()) {
    if (input.unknownFreedom) return null;
    if (input.degreesOfFreedom === Infinity) continue;
    const slope = slopes[i] ?? 0;
    const key = input.together?.scatter ?? input.name;
    const weights = input.together?.weights ?? [input.standard];
    const known = groups.get(key);
    const spread = weights.map((weight, k) => slope * weight + (known?.spread[k] ?? 0));
    groups.set(key, { spread, freedom: input.degreesOfFreedom });
  }
  let sum = 0;
  for (const { spread, freedom } of groups.values())
    sum += spread.reduce((total, one) => total + one * one, 0) ** 2 / freedom;
  if (!(sum > 0)) return Infinity;
  const effective = variance ** 2 / sum;
  // What rounding of doubles leaves below a whole number is not less than it.
  return Math.max(1, Math.floor(effective * (1 + 1e-9)));
}

function isOfRepeats({ label }: BaseInput): boolean {
  return label.kind === 'repeats' || label.kind === 'line';
}

/** Only the inputs that are chosen, the others taken for certain. */
function only(sloped: Sloped, chosen: (input: BaseInput) => boolean): Sloped {
  const kept = sloped.inputs.flatMap((input, i) => (chosen(input) ? [i] : []));
  const pick = <T>(list: readonly T[]): T[] => kept.flatMap((i) => list[i] ?? []);
  return {
    inputs: pick(sloped.inputs),
    indices: pick(sloped.indices),
    slopes: kept.map((i) => sloped.slopes[i] ?? 0),
  };
}

function byMethod(
  nodes: Nodes,
  node: number,
  sloped: Sloped,
  method: PropagationSchool,
): CombinedInputs & { notes: string[] } {
  const { inputs, slopes, indices } = sloped;
  if (method === 'quadrature') return { ...quadrature(inputs, slopes, pairsOf(inputs)), notes: [] };
  if (method === 'plain-sum') return { ...plainSum(inputs, slopes), notes: [] };
  const run = evaluatorOf(nodes.graph, node, CORNERS_AT_A_TIME);
  const found = extremes(inputs, slopes, (errors, count) => {
    const all: (Float64Array | undefined)[] = [];
    indices.forEach((index, i) => {
      all[index] = errors[i];
    });
    return run(all, count);
  });
  return {
    ...found,
    notes: found.allCorners
      ? []
      : ['With so many uncertain readings only the two corners are tried to which the slopes point.'],
  };
}

/**
 * The uncertainty of a node by a method and the class’s rules.
 * @param replaced each input as it is taken: itself, or what it would be with another tool.
 * @throws UncertaintyInputError when the method has no result there.
 */
function combine(
  nodes: Nodes,
  node: number,
  method: PropagationSchool,
  rules: HouseRules,
  replaced: (input: BaseInput) => BaseInput,
): CombinedUncertainty {
  const found = slopedInputs(nodes, node);
  const all = { ...found, inputs: found.inputs.map(replaced) };
  const of = (sloped: Sloped): CombinedInputs & { notes: string[]; sloped: Sloped } => ({
    ...byMethod(nodes, node, sloped, method),
    sloped,
  });
  const chosen =
    rules.repeatUncertainty === 'larger-of-the-two'
      ? [of(only(all, (input) => !isOfRepeats(input))), of(only(all, isOfRepeats))].reduce((a, b) =>
          b.uncertainty > a.uncertainty ? b : a,
        )
      : of(all);
  const { uncertainty, parts, notes, sloped } = chosen;
  const shares = sharesOf(parts);
  const freedom = method === 'quadrature' ? degreesOfFreedom(sloped, uncertainty ** 2) : null;
  return {
    method,
    uncertainty,
    degreesOfFreedom: freedom,
    // Limits are not widened.
    coverageFactor: method === 'quadrature' ? coverageFactor(rules, freedom ?? Infinity) : 1,
    budget: sloped.inputs.map(({ label }, i) => ({ label, share: shares[i] ?? 0 })).sort((a, b) => b.share - a.share),
    notes: freedom === null && method === 'quadrature' ? [...notes, NO_FREEDOM] : notes,
  };
}

const NO_FREEDOM = 'How well this uncertainty itself is known cannot be told by the class’s rule for repeats.';

/** As `combine`; null when the method has no result there. */
export function combineIfPossible(
  nodes: Nodes,
  node: number,
  method: PropagationSchool,
  rules: HouseRules,
  replaced: (input: BaseInput) => BaseInput = (input) => input,
): CombinedUncertainty | null {
  try {
    return combine(nodes, node, method, rules, replaced);
  } catch (error) {
    if (error instanceof UncertaintyInputError) return null;
    throw error;
  }
}
