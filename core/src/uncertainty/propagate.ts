import { namesIn } from '../calculations/expression/expression.ts';
import { parseExpression } from '../calculations/expression/parse-expression.ts';
import { resolveUnits } from '../calculations/resolve-units.ts';
import { correlatedPairs } from './correlations.ts';
import { Graph } from './graph/graph.ts';
import { lower } from './graph/lower.ts';
import { uncertainInput, UncertaintyInputError, type Input, type UncertainInput } from './input.ts';
import {
  CORNERS_AT_A_TIME,
  extremes,
  MOST_CORNER_INPUTS,
  plainSum,
  quadrature,
  sharesOf,
  type CombinedInputs,
  type EvaluateMany,
} from './methods.ts';

const SCHOOLS = ['quadrature', 'plain-sum', 'extremes'] as const;
export type PropagationSchool = (typeof SCHOOLS)[number];

export interface Propagated {
  readonly value: number;
  readonly uncertainty: number;
  /** Each input's share of the whole, largest first; the shares sum to 1, or are all 0 when nothing is uncertain. */
  readonly budget: readonly { readonly name: string; readonly share: number }[];
  /** What the method leaves out, where it was given. */
  readonly notes: readonly string[];
}

export interface PropagationOptions {
  readonly school?: PropagationSchool;
  /** Correlation coefficients between inputs: [name, name, r] with −1 ≤ r ≤ 1. */
  readonly correlations?: readonly (readonly [string, string, number])[];
}

/** A formula at its inputs: the graph, the node of the result, and the inputs in the order of their errors. */
export interface FormulaAtInputs {
  readonly graph: Graph;
  readonly node: number;
  readonly inputs: readonly UncertainInput[];
}

/**
 * A formula with its inputs as a graph.
 * @throws UncertaintyInputError naming the input; ExpressionError for the formula.
 */
export function formulaAtInputs(formula: string, inputs: Readonly<Record<string, Input>>): FormulaAtInputs {
  const tree = resolveUnits(parseExpression(formula), () => ({})).tree;
  const missing = namesIn(tree).find((name) => !Object.hasOwn(inputs, name));
  if (missing !== undefined)
    throw new UncertaintyInputError(missing, 'the formula uses it, but it is not among the inputs.');
  const graph = new Graph();
  const uncertain = Object.entries(inputs).map(([name, input]) => uncertainInput(name, input));
  const nodes = new Map(Object.entries(inputs).map(([name, { value }]) => [name, graph.value(value, [graph.input()])]));
  const node = lower(tree, graph, (name) => nodes.get(name));
  return { graph, node, inputs: uncertain };
}

/** A result for many sets of errors, in blocks of a size. */
export function evaluatorOf(graph: Graph, node: number, size: number): EvaluateMany {
  const run = graph.compile([node], size);
  return (errors, count) => run(errors, count)[0] ?? new Float64Array(0);
}

const CORRELATIONS_LEFT_OUT = 'Correlations were given, and this school takes no account of them.';
const TWO_CORNERS = `With more than ${MOST_CORNER_INPUTS} uncertain inputs only the two corners are tried to which the slopes point.`;

/** A result with its slopes, and for other errors of the inputs. */
interface AtInputs {
  readonly value: number;
  readonly slopes: readonly number[];
  readonly inputs: readonly UncertainInput[];
  readonly evaluate: EvaluateMany;
}

function combined(
  { slopes, inputs, evaluate }: AtInputs,
  school: PropagationSchool,
  correlations: readonly (readonly [string, string, number])[],
): CombinedInputs & { readonly notes: readonly string[] } {
  if (school === 'quadrature') {
    const pairs = correlatedPairs(
      inputs.map(({ name }) => name),
      correlations,
    );
    return { ...quadrature(inputs, slopes, pairs), notes: [] };
  }
  const notes = correlations.length > 0 ? [CORRELATIONS_LEFT_OUT] : [];
  if (school === 'plain-sum') return { ...plainSum(inputs, slopes), notes };
  const found = extremes(inputs, slopes, evaluate);
  return { ...found, notes: found.allCorners ? notes : [...notes, TWO_CORNERS] };
}

function propagated(at: AtInputs, { school = 'quadrature', correlations = [] }: PropagationOptions): Propagated {
  if (!SCHOOLS.includes(school))
    throw new UncertaintyInputError('school', `“${school}” is not quadrature, plain-sum or extremes.`);
  if (!Number.isFinite(at.value)) throw new UncertaintyInputError('formula', 'it has no value at these inputs.');
  const { uncertainty, parts, notes } = combined(at, school, correlations);
  const shares = sharesOf(parts);
  const budget = at.inputs.map(({ name }, i) => ({ name, share: shares[i] ?? 0 })).sort((a, b) => b.share - a.share);
  return { value: at.value, uncertainty, budget, notes };
}

/**
 * Propagates the inputs' uncertainties through a formula.
 * - `quadrature` (default): u² = Σᵢⱼ cᵢuᵢ·cⱼuⱼ·rᵢⱼ with exact derivatives (JCGM 100:2008, 5.1.2 and 5.2.2).
 * - `plain-sum`: Σ|cᵢ|δᵢ.
 * - `extremes`: half the difference between the largest and the smallest result over all corners; its budget is by what each input does alone.
 * @param formula uses the inputs by name; an input that appears twice is one input. Numbers carry no unit.
 * @throws UncertaintyInputError naming the input; ExpressionError for the formula.
 * @example propagate('m / V', { m: { value: 54.3, standard: 0.01 }, V: { value: 6.2, standard: 0.4 } })
 */
export function propagate(
  formula: string,
  inputs: Readonly<Record<string, Input>>,
  options: PropagationOptions = {},
): Propagated {
  const { graph, node, inputs: uncertain } = formulaAtInputs(formula, inputs);
  const slopes = uncertain.map((_, i) => graph.slopesOf(node).get(i) ?? 0);
  const evaluate = evaluatorOf(graph, node, CORNERS_AT_A_TIME);
  return propagated({ value: graph.valueOf(node), slopes, inputs: uncertain, evaluate }, options);
}
