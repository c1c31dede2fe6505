import { centred, checkFinite } from './centred.ts';
import { compensatedSum } from './compensated-sum.ts';
import { beyondT } from './tails.ts';

/** Several results of one quantity, put together. */
export interface Consensus {
  readonly value: number;
  /** Standard uncertainty of the value: the results’ own, and how far they lie apart beyond those. */
  readonly standard: number;
  /** Standard deviation between the results beyond their own uncertainties; 0 where these explain it. */
  readonly betweenGroups: number;
  /** What each result counts for; together 1. */
  readonly weights: readonly number[];
  /** Indices of the results that lie further from the rest than chance brings one of so many. */
  readonly disagreeing: readonly number[];
}

/** In so many sets of results that do agree is one of them said to disagree. */
const CHANCE = 0.05;
/** Of three results that lie apart nobody can say which is the odd one. */
const FEWEST_TO_TELL = 4;
const STEPS = 200;

interface Weighted {
  readonly value: number;
  readonly weights: readonly number[];
  /** Sum of the weights as they were, 1 ÷ variance. */
  readonly sum: number;
}

function weighted(values: readonly number[], variances: readonly number[], between: number): Weighted {
  const raw = variances.map((variance) => 1 / (variance + between));
  const sum = compensatedSum(raw);
  const weights = raw.map((weight) => weight / sum);
  return { value: compensatedSum(values.map((value, i) => value * (weights[i] ?? 0))), weights, sum };
}

/** Σ (value − mean)² ÷ (variance + between): what is expected to be one less than there are values. */
function squares(values: readonly number[], variances: readonly number[], between: number): number {
  const { value } = weighted(values, variances, between);
  return compensatedSum(values.map((one, i) => (one - value) ** 2 / ((variances[i] ?? 0) + between)));
}

/** The variance between the results with which they scatter as they should; 0 where they scatter less. */
function betweenBy(values: readonly number[], variances: readonly number[]): number {
  const expected = values.length - 1;
  const { deviations } = centred(values);
  const all = compensatedSum(deviations.map((deviation) => deviation ** 2));
  if (all === 0) return 0;
  const isExact = variances.some((variance) => variance === 0);
  if (!isExact && squares(values, variances, 0) <= expected) return 0;
  // With all the scatter between the results, and more, they scatter less than they should.
  let [low, high] = [0, all];
  for (let step = 0; step < STEPS && high - low > Number.EPSILON * high; step += 1) {
    const middle = (low + high) / 2;
    if (squares(values, variances, middle) > expected) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}

interface Put {
  readonly value: number;
  readonly standard: number;
  readonly between: number;
  readonly weights: readonly number[];
}

function together(values: readonly number[], variances: readonly number[]): Put {
  const between = betweenBy(values, variances);
  if (between === 0 && variances.some((variance) => variance === 0)) {
    // All the same, and some of them known exactly: those decide.
    const exact = variances.filter((variance) => variance === 0).length;
    const weights = variances.map((variance) => (variance === 0 ? 1 / exact : 0));
    return { value: values[0] ?? NaN, standard: 0, between, weights };
  }
  const { value, weights, sum } = weighted(values, variances, between);
  return { value, standard: Math.sqrt(1 / sum), between, weights };
}

/** How often chance would bring one result so far from all the others. */
function chanceOf(values: readonly number[], variances: readonly number[], left: number): number {
  const without = <T>(list: readonly T[]): T[] => list.filter((_, i) => i !== left);
  const rest = together(without(values), without(variances));
  const variance = (variances[left] ?? 0) + rest.between + rest.standard ** 2;
  const distance = Math.abs((values[left] ?? 0) - rest.value);
  if (variance === 0) return distance === 0 ? 1 : 0;
  // What lies between the others is known from as many of them, less one.
  return beyondT(distance / Math.sqrt(variance), values.length - 2);
}

/** Which of so many chances are too small for them all to be chance (Holm, Scand. J. Stat. 6 (1979) 65). */
export function tooSmallTogether(chances: readonly number[], chance: number): number[] {
  const order = chances.map((p, i) => ({ p, i })).sort((a, b) => a.p - b.p);
  const kept = order.findIndex(({ p }, rank) => p > chance / (chances.length - rank));
  return order
    .slice(0, kept < 0 ? order.length : kept)
    .map(({ i }) => i)
    .sort((a, b) => a - b);
}

/**
 * Puts results of one quantity together by random effects: each counts by its own uncertainty and by what lies between them (Paule &
 * Mandel, J. Res. Natl. Bur. Stand. 87 (1982) 377). A result disagrees where it lies further from the others than Student’s t brings
 * one of so many, the others taken without it: at most one set in twenty whose results agree has one that is said to disagree.
 * Fewer than four accuse nobody.
 * @param values in one unit, at least one.
 * @param standard uncertainty of each that it shares with no other; 0 for one that is known exactly.
 * @throws RangeError naming the value or the uncertainty that is not finite, or is below 0.
 */
export function consensus(values: readonly number[], standard: readonly number[]): Consensus {
  if (values.length === 0) throw new RangeError('values: at least one is needed.');
  if (values.length !== standard.length)
    throw new RangeError(`standard: ${standard.length} uncertainties for ${values.length} values.`);
  checkFinite('values', values);
  checkFinite('standard', standard);
  const below = standard.findIndex((u) => u < 0);
  if (below >= 0) throw new RangeError(`standard[${below}]: ${standard[below]} is below 0.`);
  const variances = standard.map((u) => u ** 2);
  const { value, standard: own, between, weights } = together(values, variances);
  const chances = values.map((_, i) => (values.length < FEWEST_TO_TELL ? 1 : chanceOf(values, variances, i)));
  return {
    value,
    standard: own,
    betweenGroups: Math.sqrt(between),
    weights,
    disagreeing: tooSmallTogether(chances, CHANCE),
  };
}
