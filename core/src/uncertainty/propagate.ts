import { namesIn } from '../calculations/expression/expression.ts';
import { compileGradient, type Dual } from '../calculations/expression/gradient.ts';
import { parseExpression } from '../calculations/expression/parse-expression.ts';
import { resolveUnits } from '../calculations/resolve-units.ts';
import { compensatedSum } from '../statistics/compensated-sum.ts';

export type InputShape = 'normal' | 'rectangular' | 'triangular' | 't';

/** One measured input: its value with a standard uncertainty, or a half-width (rectangular unless said otherwise). */
export interface Input {
  readonly value: number;
  readonly standard?: number;
  readonly halfWidth?: number;
  readonly shape?: InputShape;
  readonly degreesOfFreedom?: number;
}

const SCHOOLS = ['quadrature', 'plain-sum', 'extremes'] as const;
export type PropagationSchool = (typeof SCHOOLS)[number];

export interface Propagated {
  readonly value: number;
  readonly uncertainty: number;
  /** Each input's share of the whole, largest first; the shares sum to 1, or are all 0 when nothing is uncertain. */
  readonly budget: readonly { readonly name: string; readonly share: number }[];
  /** What the school leaves out, where it was given. */
  readonly notes: readonly string[];
}

export interface PropagationOptions {
  readonly school?: PropagationSchool;
  /** Correlation coefficients between inputs: [name, name, r] with −1 ≤ r ≤ 1. */
  readonly correlations?: readonly (readonly [string, string, number])[];
}

/** An input or option is not usable; `input` names it. */
export class UncertaintyInputError extends Error {
  override readonly name = 'UncertaintyInputError';
  constructor(
    readonly input: string,
    reason: string,
  ) {
    super(`${input}: ${reason}`);
  }
}

function checkInput(name: string, input: Input): void {
  if (!Number.isFinite(input.value))
    throw new UncertaintyInputError(name, `its value ${String(input.value)} is not a finite number.`);
  for (const [field, size] of [
    ['standard', input.standard],
    ['halfWidth', input.halfWidth],
  ] as const) {
    if (size !== undefined && !(Number.isFinite(size) && size >= 0))
      throw new UncertaintyInputError(name, `${field} ${String(size)} is not a number of zero or more.`);
  }
  if (
    input.standard === undefined &&
    input.halfWidth !== undefined &&
    (input.shape === 'normal' || input.shape === 't')
  ) {
    throw new UncertaintyInputError(
      name,
      `a ${input.shape} input needs a standard uncertainty; a half-width belongs to a rectangle or a triangle.`,
    );
  }
}

/**
 * Standard uncertainty of an input: as given, or half-width ÷ √3 for a rectangle and ÷ √6 for a triangle
 * (JCGM 100:2008, 4.3.7 and 4.3.9).
 */
function standardUncertainty(input: Input): number {
  if (input.standard !== undefined) return input.standard;
  return (input.halfWidth ?? 0) / Math.sqrt(input.shape === 'triangular' ? 6 : 3);
}

/** The width that the plain-sum and extremes schools use: the half-width, else the standard uncertainty. */
function quotedWidth(input: Input): number {
  return input.halfWidth ?? input.standard ?? 0;
}

interface Contribution {
  readonly name: string;
  readonly size: number;
}

/** Shares by the contributions' sizes, which may be negative under correlation; all zero when they sum to nothing. */
function sharesOf(contributions: readonly Contribution[]): { name: string; share: number }[] {
  const total = compensatedSum(contributions.map((c) => c.size));
  return contributions
    .map(({ name, size }) => ({ name, share: total > 0 ? size / total : 0 }))
    .sort((a, b) => b.share - a.share);
}

/**
 * Slope times width. An input that is not uncertain adds nothing, whatever the slope.
 * @throws UncertaintyInputError where an uncertain input has no finite slope: sqrt(x) at 0.
 */
function spread(name: string, slope: number, width: number): number {
  if (width === 0) return 0;
  if (!Number.isFinite(slope))
    throw new UncertaintyInputError(
      name,
      'the formula has no finite slope there, so its uncertainty cannot be carried on by slopes.',
    );
  return slope * width;
}

function correlationMatrix(
  names: readonly string[],
  correlations: PropagationOptions['correlations'] = [],
): number[][] {
  const matrix = names.map((_, i) => names.map((__, j): number => (i === j ? 1 : 0)));
  const stated = new Map<string, number>();
  for (const [first, second, r] of correlations) {
    const [i, j] = [names.indexOf(first), names.indexOf(second)];
    if (i < 0 || j < 0) throw new UncertaintyInputError('correlations', `${i < 0 ? first : second} is not an input.`);
    if (!(Math.abs(r) <= 1))
      throw new UncertaintyInputError(
        'correlations',
        `${String(r)} between ${first} and ${second} is not between −1 and 1.`,
      );
    if (i === j) throw new UncertaintyInputError('correlations', `${first} is always fully correlated with itself.`);
    const [rowI, rowJ] = [matrix[i], matrix[j]];
    if (!rowI || !rowJ) continue;
    const before = stated.get(`${Math.min(i, j)} ${Math.max(i, j)}`);
    if (before !== undefined && before !== r)
      throw new UncertaintyInputError('correlations', `${first} and ${second} have both ${before} and ${r}.`);
    stated.set(`${Math.min(i, j)} ${Math.max(i, j)}`, r);
    rowI[j] = rowJ[i] = r;
  }
  if (!isPositiveSemidefinite(matrix))
    throw new UncertaintyInputError(
      'correlations',
      'these coefficients cannot all be true together: two inputs that go with a third go with each other.',
    );
  return matrix;
}

/** What rounding may leave of a variance that is zero. */
const NO_VARIANCE = 1e-12;

/** Whether a symmetric matrix has no negative eigenvalue, by its Cholesky factor (Higham, Accuracy and Stability of Numerical Algorithms, 2002, 10.3). */
function isPositiveSemidefinite(matrix: readonly (readonly number[])[]): boolean {
  const factor: number[][] = [];
  const at = (i: number, j: number): number => factor[i]?.[j] ?? 0;
  for (const [i, row] of matrix.entries()) {
    const next: number[] = [];
    factor.push(next);
    for (let j = 0; j <= i; j += 1) {
      const rest = (row[j] ?? 0) - compensatedSum(next.slice(0, j).map((entry, k) => entry * at(j, k)));
      if (i === j) {
        if (rest < -NO_VARIANCE) return false;
        next.push(Math.sqrt(Math.max(0, rest)));
      } else if (at(j, j) > Math.sqrt(NO_VARIANCE)) next.push(rest / at(j, j));
      // Of an input that is wholly known by others nothing is left to go with this one.
      else if (Math.abs(rest) > Math.sqrt(NO_VARIANCE)) return false;
      else next.push(0);
    }
  }
  return true;
}

function quadrature(
  names: readonly string[],
  inputs: readonly Input[],
  at: Dual,
  options: PropagationOptions,
): Propagated {
  const spreads = inputs.map((input, i) => spread(names[i] ?? '', at.gradient[i] ?? 0, standardUncertainty(input)));
  const matrix = correlationMatrix(names, options.correlations);
  const contributions = names.map((name, i) => ({
    name,
    size: (spreads[i] ?? 0) * compensatedSum(spreads.map((other, j) => other * (matrix[i]?.[j] ?? 0))),
  }));
  const variance = Math.max(0, compensatedSum(contributions.map((c) => c.size)));
  return { value: at.value, uncertainty: Math.sqrt(variance), budget: sharesOf(contributions), notes: [] };
}

const CORRELATIONS_LEFT_OUT = 'Correlations were given, and this school takes no account of them.';

function notesOn({ correlations = [] }: PropagationOptions): string[] {
  return correlations.length > 0 ? [CORRELATIONS_LEFT_OUT] : [];
}

function plainSum(
  names: readonly string[],
  inputs: readonly Input[],
  at: Dual,
  options: PropagationOptions,
): Propagated {
  const contributions = names.map((name, i) => ({
    name,
    size: Math.abs(spread(name, at.gradient[i] ?? 0, quotedWidth(inputs[i] ?? { value: 0 }))),
  }));
  return {
    value: at.value,
    uncertainty: compensatedSum(contributions.map((c) => c.size)),
    budget: sharesOf(contributions),
    notes: notesOn(options),
  };
}

const MOST_CORNERS = 20;

/** Half the difference between the largest and the smallest result when some inputs go to both ends of their widths, and the others stay. */
function halfRange(inputs: readonly Input[], moved: readonly number[], at: Dual, evaluate: Differentiable): number {
  let [least, most] = [at.value, at.value];
  for (let corner = 0; corner < 2 ** moved.length; corner += 1) {
    const values = Float64Array.from(inputs, (input) => input.value);
    moved.forEach((index, bit) => {
      const input = inputs[index];
      if (input) values[index] = input.value + (Math.floor(corner / 2 ** bit) % 2 === 1 ? 1 : -1) * quotedWidth(input);
    });
    const { value } = evaluate(values);
    if (!Number.isFinite(value))
      throw new UncertaintyInputError(
        'inputs',
        'the formula has no value at one of the corners; the widths are too large for this school.',
      );
    [least, most] = [Math.min(least, value), Math.max(most, value)];
  }
  return (most - least) / 2;
}

function extremes(
  names: readonly string[],
  inputs: readonly Input[],
  at: Dual,
  evaluate: Differentiable,
  options: PropagationOptions,
): Propagated {
  const uncertain = inputs.flatMap((input, i) => (quotedWidth(input) > 0 ? [i] : []));
  if (uncertain.length > MOST_CORNERS)
    throw new UncertaintyInputError(
      'inputs',
      `the extremes of ${uncertain.length} uncertain inputs are too many corners; at most ${MOST_CORNERS}.`,
    );
  const uncertainty = halfRange(inputs, uncertain, at, evaluate);
  const sized = (size: (index: number) => number): Contribution[] =>
    names.map((name, i) => ({ name, size: uncertain.includes(i) ? size(i) : 0 }));
  // What each does alone; where each does nothing alone, as at the zero of a product, they do it together.
  const alone = sized((i) => halfRange(inputs, [i], at, evaluate));
  const contributions = alone.some(({ size }) => size > 0) ? alone : sized(() => uncertainty);
  return { value: at.value, uncertainty, budget: sharesOf(contributions), notes: notesOn(options) };
}

/** Value and gradient of a function of the inputs, in the order of their names. */
export type Differentiable = (values: Float64Array) => Dual;

/**
 * Propagates the inputs' uncertainties through any differentiable function.
 * - `quadrature` (default): u² = Σᵢⱼ cᵢuᵢ·cⱼuⱼ·rᵢⱼ with exact derivatives (JCGM 100:2008, 5.1.2 and 5.2.2).
 * - `plain-sum`: Σ|cᵢ|δᵢ.
 * - `extremes`: half the difference between the largest and the smallest result over all corners; its budget is by what each input does alone.
 * @throws UncertaintyInputError naming the input.
 */
export function propagateThrough(
  evaluate: Differentiable,
  inputs: Readonly<Record<string, Input>>,
  options: PropagationOptions = {},
): Propagated {
  const names = Object.keys(inputs);
  const given = Object.values(inputs);
  names.forEach((name, i) => {
    const input = given[i];
    if (input) checkInput(name, input);
  });
  const at = evaluate(Float64Array.from(given, (input) => input.value));
  if (!Number.isFinite(at.value)) throw new UncertaintyInputError('formula', 'it has no value at these inputs.');
  const { school = 'quadrature' } = options;
  if (!SCHOOLS.includes(school))
    throw new UncertaintyInputError('school', `“${school}” is not quadrature, plain-sum or extremes.`);
  switch (school) {
    case 'plain-sum':
      return plainSum(names, given, at, options);
    case 'extremes':
      return extremes(names, given, at, evaluate, options);
    case 'quadrature':
      return quadrature(names, given, at, options);
  }
}

/**
 * Propagates the inputs' uncertainties through a formula, as `propagateThrough` does.
 * @param formula uses the inputs by name; an input that appears twice is one input. Numbers carry no unit.
 * @throws UncertaintyInputError naming the input; ExpressionError for the formula.
 * @example propagate('m / V', { m: { value: 54.3, standard: 0.01 }, V: { value: 6.2, standard: 0.4 } })
 */
export function propagate(
  formula: string,
  inputs: Readonly<Record<string, Input>>,
  options: PropagationOptions = {},
): Propagated {
  const tree = resolveUnits(parseExpression(formula), () => ({})).tree;
  const missing = namesIn(tree).find((name) => !Object.hasOwn(inputs, name));
  if (missing !== undefined)
    throw new UncertaintyInputError(missing, 'the formula uses it, but it is not among the inputs.');
  return propagateThrough(compileGradient(tree, Object.keys(inputs)), inputs, options);
}
